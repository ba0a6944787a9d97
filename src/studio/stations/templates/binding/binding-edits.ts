import { type Edit, edits } from '../../../../core/project';
import type { Binding, Bound, StandIn } from '../../../../core/templates';

export interface Place {
  readonly template: string;
  readonly part: string;
  readonly property: string;
}

/** Another expression in a binding; its format and its stand-in stay. */
export function bindPath(place: Place, expr: string, before: Binding, joins?: string): Edit {
  return edits.bind(place, typeof before === 'string' ? { expr } : { ...before, expr }, joins);
}

/** What shows if the value is missing; undefined: nothing. */
export function standIn(
  place: Place,
  before: Bound,
  instead: StandIn | undefined,
  joins?: string,
): Edit {
  const { else: _, ...rest } = before;
  return edits.bind(place, instead === undefined ? rest : { ...rest, else: instead }, joins);
}

export function follows(place: Place, before: Bound, how: 'live' | 'once'): Edit {
  const { once: _, ...rest } = before;
  return edits.bind(place, how === 'once' ? { ...rest, once: true } : rest);
}

/** How the value is written; undefined: plainly. */
export function writeAs(place: Place, before: Bound, format: string | undefined): Edit {
  const { format: _, expr, ...rest } = before;
  return edits.bind(place, { expr, ...(format !== undefined && { format }), ...rest });
}
