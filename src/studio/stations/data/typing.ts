import type { ItemType, Source } from '../../../core/project';
import { type Field, heldFields } from '../../../core/values';
import { valueTyped } from '../../../engine';
import { changeItems } from '../../shared/editing';
import { engine, useSession } from '../../shared/session';
import type { Column } from './columns';

interface Typed {
  readonly source: Source;
  readonly set: string;
  readonly column: Column;
  readonly position: number;
  readonly text: string;
  readonly type: ItemType | undefined;
}

/** What was typed into a cell becomes the item's value. */
export async function typeInto({
  source,
  set,
  column,
  position,
  text,
  type,
}: Typed): Promise<void> {
  const { path, field } = column;
  await changeItems(source.id, `Type ${path.join('.')}`, () =>
    engine().change(source.id, set, {
      kind: 'value',
      position,
      path: rawPath(type?.fields ?? [], path),
      value: valueTyped(text, field),
    }),
  );
}

/** A path in the names that the items have as they are read. */
function rawPath(fields: readonly Field[], [first, ...rest]: readonly string[]): readonly string[] {
  if (first === undefined) return [];
  const field = fields.find((each) => each.name === first);
  return [field?.from ?? first, ...rawPath(field?.type === 'record' ? field.fields : [], rest)];
}

interface Block {
  readonly source: Source;
  readonly set: string;
  readonly columns: readonly Column[];
  readonly text: string;
  /** The item that the block's first row goes into. */
  readonly from: number;
}

/** Cells that were copied from a sheet: rows into the items from one on, columns from the first on. */
export async function pasteBlock({ source, set, columns, text, from }: Block): Promise<void> {
  const cells = text
    .replace(/\r?\n$/, '')
    .split(/\r?\n/)
    .map((row) => row.split('\t'));
  const count = useSession.getState().view?.itemCount ?? 0;
  const positions = cells.map((_, index) => from + index).filter((position) => position < count);
  const fields = heldFields(
    columns.filter((column) => column.path.length === 1).map((column) => column.field),
  );
  await changeItems(source.id, `Paste ${cells.length} rows`, () =>
    engine().change(source.id, set, { kind: 'block', positions, fields, cells }),
  );
}
