import { type Edit, edits } from '../../../core/project';
import type { Binding, SlotProperty } from '../../../core/templates';

export interface Place {
  readonly template: string;
  readonly part: string;
  readonly property: SlotProperty;
}

/** Another expression in a binding; its stand-in stays. */
export function bindPath(place: Place, expr: string, before: Binding, joins?: string): Edit {
  const standIn = typeof before === 'string' ? undefined : before.else;
  return edits.bind(place, standIn === undefined ? { expr } : { expr, else: standIn }, joins);
}

/** What shows if the value is missing; empty: nothing. */
export function standIn(place: Place, expr: string, words: string, joins: string): Edit {
  return edits.bind(place, words === '' ? { expr } : { expr, else: words }, joins);
}
