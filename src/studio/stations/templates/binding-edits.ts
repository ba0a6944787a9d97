import { type Edit, edits } from '../../../core/project';
import type { Binding, SlotProperty } from '../../../core/templates';

export interface Place {
  readonly template: string;
  readonly part: string;
  readonly property: SlotProperty;
}

type Bound = Exclude<Binding, string>;

/** Another expression in a binding; its format and its stand-in stay. */
export function bindPath(place: Place, expr: string, before: Binding, joins?: string): Edit {
  return edits.bind(place, typeof before === 'string' ? { expr } : { ...before, expr }, joins);
}

/** What shows if the value is missing; empty: nothing. */
export function standIn(place: Place, before: Bound, words: string, joins: string): Edit {
  const { else: _, ...rest } = before;
  return edits.bind(place, words === '' ? rest : { ...rest, else: words }, joins);
}

/** How the value is written; undefined: plainly. */
export function writeAs(place: Place, before: Bound, format: string | undefined): Edit {
  const { format: _, else: words, expr } = before;
  return edits.bind(place, {
    expr,
    ...(format !== undefined && { format }),
    ...(words !== undefined && { else: words }),
  });
}
