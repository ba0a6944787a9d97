import { freeId } from '../../../base';
import {
  addRun,
  insertPart,
  type Landing,
  labelAround,
  moveParts,
  outermost,
  partIds,
  prefixOf,
  removePart,
  replacePart,
  type StackPart,
  type StandingPart,
  stackAround,
  unwrapPart,
  withFreeIds,
  wrapParts,
} from '../../../templates';
import type { Edit } from '../edit';
import { editRow } from './row-edit';

/** Parts of a template as it is shown. */
export interface PartsPlace {
  readonly template: string;
  /** One at least. */
  readonly parts: readonly string[];
}

const named = (parts: readonly string[]): string =>
  parts.length > 2 ? `${parts.length} parts` : parts.join(' and ');

/** Edits the row in which all of these parts are written, by their ids there. */
function editParts(
  name: string,
  { template, parts }: PartsPlace,
  change: (row: StackPart, ids: readonly string[]) => StackPart | string,
): Edit {
  const [first = ''] = parts;
  const prefix = prefixOf(first);
  return editRow(name, { template, part: first }, (row) => {
    if (parts.some((part) => prefixOf(part) !== prefix))
      return 'What is in a shared part and what is not are not changed together.';
    return change(
      row,
      parts.map((part) => part.slice(prefix.length)),
    );
  });
}

/** A landing in a template as it is shown, in the row in which parts are written. */
function landingIn(landing: Landing, parts: readonly string[]): Landing | undefined {
  const prefix = prefixOf(parts[0] ?? '');
  const target = 'within' in landing ? landing.within : landing.beside;
  if (prefixOf(target) !== prefix) return undefined;
  const own = target.slice(prefix.length);
  return 'within' in landing ? { ...landing, within: own } : { ...landing, beside: own };
}

export const move = (place: PartsPlace, landing: Landing): Edit =>
  editParts(`Move ${named(place.parts)}`, place, (row, ids) => {
    const own = landingIn(landing, place.parts);
    if (own === undefined) return 'What is in a shared part stays in it.';
    return moveParts(row, ids, own, freeId('stack', partIds(row)));
  });

export const wrap = (place: PartsPlace, direction: 'across' | 'down' | 'over'): Edit =>
  editParts(`Wrap ${named(place.parts)} ${direction}`, place, (row, ids) =>
    wrapParts(row, ids, direction, freeId('stack', partIds(row))),
  );

export const unwrap = (template: string, part: string): Edit =>
  editParts(`Unwrap ${part}`, { template, parts: [part] }, (row, [id = '']) => unwrapPart(row, id));

export const remove = (place: PartsPlace): Edit =>
  editParts(`Remove ${named(place.parts)}`, place, (row, ids) => {
    const parts = outermost(row, ids);
    if (parts.length === 0) return 'There is no such part.';
    if (parts.some(({ id }) => id === row.id)) return 'The row itself stays.';
    return parts.reduce<StackPart>((made, { id }) => removePart(made, id), row);
  });

/** Each part once more, right after itself. */
export const duplicate = (place: PartsPlace): Edit =>
  editParts(`Duplicate ${named(place.parts)}`, place, (row, ids) => {
    const parts = outermost(row, ids);
    if (parts.some(({ id }) => id === row.id)) return 'A template has one row.';
    return parts.reduce<StackPart>((made, part) => {
      const copy = withFreeIds(part, partIds(made));
      const label = labelAround(made, part.id);
      if (copy.part === 'run') {
        const at = label?.runs?.findIndex(({ id }) => id === part.id) ?? -1;
        return label === undefined ? made : addRun(made, label.id, copy, at + 1);
      }
      return withAfter(made, part.id, copy);
    }, row);
  });

/** Right after a part, whichever way its stack runs. */
function withAfter(row: StackPart, part: string, copy: StandingPart): StackPart {
  const around = stackAround(row, part);
  if (around === undefined) return row;
  const at = around.children.findIndex(({ id }) => id === part) + 1;
  return insertPart(row, { within: around.id, at }, { part: copy, stackId: '' });
}

/** The part under another name, as a person wants it. */
export const renamePart = (template: string, part: string, wish: string): Edit =>
  editParts(`Name ${part} ${wish}`, { template, parts: [part] }, (row, [id = '']) => {
    if (wish === id) return row;
    if (!isId(wish)) return 'A part is called by lower case letters, digits and hyphens.';
    if (partIds(row).includes(wish)) return `There is a part ${wish} already.`;
    if (id === row.id) return 'The row itself keeps its name.';
    return replacePart(row, id, (own) => ({ ...own, id: wish }));
  });

const isId = (text: string): boolean => /^[a-z][a-z0-9-]{0,59}$/.test(text);
