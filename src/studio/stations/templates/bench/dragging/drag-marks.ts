import { create } from 'zustand';
import type { Box, Landed } from './landing';

/** What shows where a drag is, and what it would do. All in px of the page. */
export interface DragMarks {
  readonly landed: Landed | undefined;
  /** A frame that is drawn round parts. */
  readonly frame: Box | undefined;
  /** Words beside the pointer. */
  readonly chip: { readonly x: number; readonly y: number; readonly words: string } | undefined;
  /** Parts that something is done with now: the bench keeps its row as it was. */
  readonly isMoving: boolean;
}

const none: DragMarks = { landed: undefined, frame: undefined, chip: undefined, isMoving: false };

export const useDragMarks = create<DragMarks>()(() => none);

export const showMarks = (marks: Partial<DragMarks>): void =>
  useDragMarks.setState({ ...none, ...marks });

export const clearMarks = (): void => useDragMarks.setState(none);
