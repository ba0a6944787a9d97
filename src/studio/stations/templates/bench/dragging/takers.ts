import type { Edit } from '../../../../../core/project';
import type { Point } from '../../../../shared/pointer/pointer-drag';

/** Something outside of the row that takes a value which is carried to it. */
export interface Taker {
  /** What it would do with it. */
  readonly words: string;
  readonly edit: (path: readonly string[]) => Edit;
}

const takers = new WeakMap<Element, Taker>();
const mark = 'data-takes-value';

/** An element takes values as long as it is there. */
export function takeValues(element: Element | null, taker: Taker): void {
  if (element === null) return;
  element.setAttribute(mark, '');
  takers.set(element, taker);
}

export function takerAt({ x, y }: Point): Taker | undefined {
  const element = document.elementFromPoint(x, y)?.closest(`[${mark}]`);
  return element === null || element === undefined ? undefined : takers.get(element);
}
