import type { Size } from './size';

/** Space inside the edges, in px; start and end follow the reading direction. */
export interface Padding {
  readonly start: number;
  readonly end: number;
  readonly top: number;
  readonly bottom: number;
}

/** Parts beside (across) or under each other (down); what parts there are, the list of them knows. */
export interface StackOf<Child> {
  readonly part: 'stack';
  readonly id: string;
  readonly direction: 'across' | 'down';
  readonly gap: number;
  readonly padding?: Padding;
  readonly align: 'start' | 'centre' | 'end' | 'stretch';
  readonly width: Size;
  readonly children: readonly Child[];
}

export const stack = {
  part: 'stack',
  draft: <Child>(
    id: string,
    direction: StackOf<Child>['direction'],
    children: readonly Child[],
  ): StackOf<Child> => ({
    part: 'stack',
    id,
    direction,
    gap: direction === 'across' ? 12 : 2,
    align: direction === 'across' ? 'centre' : 'stretch',
    width: { share: 1 },
    children,
  }),
} as const;
