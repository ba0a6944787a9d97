import { clipboardCells, type Item, keyFields, rawPathOf, valueAt } from '../../../../core/items';
import {
  edits,
  type ItemType,
  inOneStep,
  rawDiscriminator,
  type Source,
} from '../../../../core/project';
import { fieldAtPath, type ScalarName } from '../../../../core/values';
import { type BlockColumn, type TableLook, valueTyped } from '../../../../engine';
import { changeItems } from '../../../shared/session/editing';
import { engine, useSession } from '../../../shared/session/session';
import type { Column } from './columns';
import type { CellAt } from './grid-keys';

interface Table {
  readonly source: Source;
  readonly types: readonly ItemType[];
  readonly set: string;
  readonly look: TableLook;
  readonly columns: readonly Column[];
}

/** A block of cells, where it would go, and what about it has to be asked. */
export interface Paste {
  readonly table: Table;
  readonly cells: readonly (readonly string[])[];
  readonly positions: readonly number[];
  readonly columns: readonly BlockColumn[];
  /** The columns above that are keys. */
  readonly keyColumns: readonly number[];
  /** How many items would get another key. */
  readonly keyChangeCount: number;
  readonly startsAtKey: boolean;
  /** Columns past the last of the table. */
  readonly surplusCount: number;
  /** Names of columns that follow from others and cannot be written. */
  readonly computed: readonly string[];
}

/** What a paste at a cell would do. */
export async function pasteAt(table: Table, at: CellAt, text: string): Promise<Paste> {
  const cells = await clipboardCells(text);
  const width = Math.max(...cells.map((row) => row.length));
  const range = { from: at.row, to: at.row + cells.length };
  const { rows } = await engine().rows(table.source.id, table.look, range);
  const hit = table.columns.slice(at.column, at.column + width);
  const columns = hit.map(({ path, field }): BlockColumn => {
    const owner = table.types.find((type) => fieldAtPath(type.fields, path) !== undefined);
    return field.expr === undefined
      ? { path: rawPathOf(owner?.fields ?? [], path), field }
      : undefined;
  });
  const keys = new Set(keyFields(table.source.key));
  const isKey = ({ path }: Column) => path.length === 1 && keys.has(path[0] ?? '');
  const keyColumns = hit.flatMap((column, index) => (isKey(column) ? [index] : []));
  return {
    table,
    cells,
    positions: rows.map(({ position }) => position),
    columns,
    keyColumns,
    keyChangeCount: rows.filter(({ item }, row) =>
      keyColumns.some((index) => isOther(item, hit[index], cells[row]?.[index])),
    ).length,
    startsAtKey: keyColumns.includes(0),
    surplusCount: Math.max(0, at.column + width - table.columns.length),
    computed: hit.flatMap(({ id, field }) => (field.expr === undefined ? [] : [id])),
  };
}

function isOther(item: Item, column: Column | undefined, cell: string | undefined): boolean {
  if (column === undefined || cell === undefined) return false;
  return valueTyped(cell, column.field) !== valueAt(item, column.path);
}

/** Nothing of it has to be asked first. */
export const isPlain = ({ keyChangeCount, surplusCount, computed }: Paste): boolean =>
  keyChangeCount === 0 && surplusCount === 0 && computed.length === 0;

export interface Meant {
  readonly changesKeys: boolean;
  readonly addsFields: boolean;
}

/** Pastes, in one step: cells into items, rows past the last as new ones, new fields if they are meant. */
export async function paste(what: Paste, { changesKeys, addsFields }: Meant): Promise<void> {
  const { table, cells, positions, keyColumns } = what;
  const { source, types, set } = table;
  const fresh = addsFields ? freshFields(what) : [];
  const columns = what.columns.map((column, index) =>
    !changesKeys && keyColumns.includes(index) ? undefined : column,
  );
  const all = [...columns, ...fresh.map(({ name, type }) => column(name, type))];
  const rows = cells.map((_, row) => row);
  const kept = rows.filter((row) => row < positions.length);
  const added = rows.slice(kept.length);
  const base = baseOf(source, types);
  // New items have no key yet that could be changed.
  const withKeys = [...what.columns, ...all.slice(columns.length)];
  const name = `Paste ${cells.length} ${cells.length === 1 ? 'row' : 'rows'}`;
  await changeItems(
    source.id,
    name,
    async () => {
      const into = (of: readonly number[], columns: readonly BlockColumn[]) =>
        ({
          kind: 'block',
          positions: of.flatMap((row) => positions[row] ?? []),
          columns,
          cells: of.map((row) => cells[row] ?? []),
          base,
        }) as const;
      return engine().change(source.id, set, {
        kind: 'several',
        changes: [into(kept, all), into(added, withKeys)],
      });
    },
    (revision) =>
      inOneStep(name, [
        ...fresh.flatMap((field) =>
          types.map((type) => edits.addField(type.id, field.name, field.type)),
        ),
        edits.itemsChanged(source.id, revision, name),
      ]),
  );
}

const column = (name: string, type: ScalarName): BlockColumn => ({
  path: [name],
  field: { name, type, required: false },
});

/** Fields for the columns past the last, named by their place. */
function freshFields({ table, cells, columns, surplusCount }: Paste) {
  const taken = new Set(table.types.flatMap((type) => type.fields.map((field) => field.name)));
  return Array.from({ length: surplusCount }, (_, index) => {
    let number = table.columns.length + index + 1;
    while (taken.has(`field ${number}`)) number += 1;
    const name = `field ${number}`;
    taken.add(name);
    const own = cells.flatMap((row) => row[columns.length + index] ?? []);
    return { name, type: likelyType(own) };
  });
}

function likelyType(cells: readonly string[]): ScalarName {
  const filled = cells.filter((cell) => cell !== '');
  const field = { name: '', type: 'number', required: false } as const;
  const isNumeric = filled.every((cell) => typeof valueTyped(cell, field) === 'number');
  return filled.length > 0 && isNumeric ? 'number' : 'text';
}

/** What tells a new item's type. */
function baseOf(source: Source, types: readonly ItemType[]): Item {
  const { history } = useSession.getState();
  const name = history === undefined ? null : rawDiscriminator(history.project, source);
  const value = types[0]?.value;
  return name === null || value == null ? {} : { [name]: value };
}
