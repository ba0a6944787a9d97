import type { Part } from './index';
import type { Size } from './size';

/** Space inside the edges, in px; start and end follow the reading direction. */
export interface Padding {
  readonly start: number;
  readonly end: number;
  readonly top: number;
  readonly bottom: number;
}

/** Parts beside (across) or under each other (down). */
export interface StackPart {
  readonly part: 'stack';
  readonly id: string;
  readonly direction: 'across' | 'down';
  readonly gap: number;
  readonly padding?: Padding;
  readonly align: 'start' | 'centre' | 'end' | 'stretch';
  readonly width: Size;
  readonly children: readonly Part[];
}

export const stack = {
  part: 'stack',
  draft: (id: string, direction: StackPart['direction'], children: readonly Part[]): StackPart => ({
    part: 'stack',
    id,
    direction,
    gap: direction === 'across' ? 12 : 2,
    align: direction === 'across' ? 'centre' : 'stretch',
    width: { share: 1 },
    children,
  }),
} as const;
