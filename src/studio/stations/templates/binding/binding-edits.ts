import { type Edit, edits, inOneStep } from '../../../../core/project';
import {
  type Binding,
  type Bound,
  type Constant,
  isBound,
  type StandIn,
} from '../../../../core/templates';
import type { Selection } from '../selection';

export interface Place {
  readonly template: string;
  readonly part: string;
  readonly property: string;
}

/** Sets a property of all selected parts, in one step; undefined: back to what their kinds say. */
export function setAll(
  { template, parts }: Pick<Selection, 'template' | 'parts'>,
  property: string,
  value: Constant | Bound | undefined,
  joins?: string,
): Edit {
  const all = parts.map(({ id }) => {
    const place = { template: template.id, part: id, property };
    return isBound(value) ? edits.bind(place, value, joins) : edits.set(place, value, joins);
  });
  const [first] = all;
  if (first === undefined || all.length === 1) return first ?? inOneStep(`Set ${property}`, []);
  const edit = inOneStep(`${first.name} and ${all.length - 1} more`, all);
  return joins === undefined ? edit : { ...edit, joins };
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

/** Whether what stands in does so for an empty text, too. */
export function emptyIsMissing(place: Place, before: Bound, isSo: boolean): Edit {
  const { emptyIsMissing: _, ...rest } = before;
  return edits.bind(place, isSo ? { ...rest, emptyIsMissing: true } : rest);
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
