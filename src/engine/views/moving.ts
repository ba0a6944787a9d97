import { failed, ok, type Result } from '../../core/base';
import { rawPathOf, valueAt } from '../../core/items';
import type { SectionTable } from '../../core/lists';
import { fieldNamed, withId } from '../../core/project';
import type { Beside, OneChange } from '../items';
import type { Acting } from './raising';
import type { ItemPlace } from './shown-list';

/** A row that is let go: beside another, or in a section where no row stands. */
export interface MoveTask {
  /** Of the row. */
  readonly key: string;
  readonly to: Beside | { readonly section: string };
}

/** What becomes of its item. */
export interface RowMoved {
  readonly at: ItemPlace;
  readonly change: OneChange;
  /** In words. */
  readonly did: string;
}

/** Where an item goes, and what it is given there so that it is of that section; why it can't, if so. */
export function movedTo(acting: Acting, { key, to }: MoveTask): Result<RowMoved, string> {
  const { of, table } = acting;
  const list = of.list();
  if (list?.reorders !== true) return failed('rows of this list are not moved');
  const item = of.itemOfKey(key);
  const at = of.placeOf(item);
  if (at === undefined) return failed('its item is gone');
  const target = 'section' in to ? firstOf(table, to.section) : of.itemOfKey(to.key);
  if (target < 0) return failed('where it was to go is gone');
  if (target === item) return failed('it is where it was');
  const other = of.placeOf(target);
  if (other?.source !== at.source) return failed('items of another source stand there');
  const isSorted = (list.order?.length ?? 0) > 0;
  const beside = 'section' in to || isSorted ? undefined : { ...to, key: other.key };
  const section = table?.sectionOfItem[target];
  if (table === undefined || section === undefined || section === table.sectionOfItem[item]) {
    if (beside === undefined) return failed('the list is sorted, and stands as it is sorted');
    const did = `moved it ${beside.side} ${beside.key}`;
    return ok({ at, change: { kind: 'move', beside, value: undefined }, did });
  }
  const given = sectionGiven(acting, { at, other, target });
  if (!given.ok) return given;
  const did = `moved it to section ${table.names[section] ?? '–'}`;
  return ok({ at, change: { kind: 'move', beside, value: given.value }, did });
}

const firstOf = (table: SectionTable | undefined, key: string): number =>
  table?.sectionOfItem.indexOf(table.keys.indexOf(key)) ?? -1;

/** The value by which an item is of the same section as another. */
function sectionGiven(
  { world, of }: Acting,
  { at, other, target }: Record<'at' | 'other', ItemPlace> & { readonly target: number },
): Result<Extract<OneChange, { kind: 'value' }>, string> {
  const { by, part } = of.list()?.sections ?? {};
  const fieldsOf = ({ type = '' }: ItemPlace) =>
    withId(world.project?.types ?? [], type)?.fields ?? [];
  const fields = fieldsOf(at);
  const cannot = (why: string) => failed(`its section can’t be written: ${why}`);
  if (by === undefined) return cannot('sections are those of sources');
  if (part !== undefined) return cannot(`a ${part} of ${by} says too little of the value`);
  const field = fieldNamed(by, fields);
  if (!field.ok) return cannot(field.error);
  // Items of another type may have it under another name as they are read.
  const said = valueAt(of.rawItems()[target] ?? {}, rawPathOf(fieldsOf(other), field.value));
  return ok({ kind: 'value', path: rawPathOf(fields, field.value), value: said });
}
