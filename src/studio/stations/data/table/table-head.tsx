import { type Dispatch, memo, type SetStateAction } from 'react';
import type { Source } from '../../../../core/project';
import type { EntryRange, TableLook } from '../../../../engine';
import { ColumnHead } from './column-head';
import type { Column } from './columns';

interface TableHeadProps {
  readonly columns: readonly Column[];
  readonly widths: readonly number[];
  /** The columns in sight: a head has menus and charts, and there may be thousands. */
  readonly across: EntryRange;
  readonly source: Source;
  readonly look: TableLook;
  readonly onLook: (look: TableLook) => void;
  readonly setOwn: Dispatch<SetStateAction<Readonly<Record<string, number>>>>;
  readonly setOpen: Dispatch<SetStateAction<ReadonlySet<string>>>;
  readonly setHidden: Dispatch<SetStateAction<ReadonlySet<string>>>;
  readonly hasHidden: boolean;
}

/** The heads of all columns. They stay as they are while rows scroll by. */
export const TableHead = memo(
  ({
    columns,
    widths,
    across,
    source,
    look,
    onLook,
    setOwn,
    setOpen,
    setHidden,
    hasHidden,
  }: TableHeadProps) => (
    <thead className="sticky top-0 z-10 bg-wool">
      <tr>
        {across.from > 0 && <td colSpan={across.from} className="border-b border-ink" />}
        {columns.slice(across.from, across.to).map((column, index) => (
          <ColumnHead
            key={column.id}
            {...{ column, source, look, onLook }}
            widthPx={widths[across.from + index] ?? 80}
            onWidth={(px) => setOwn((before) => ({ ...before, [column.id]: px }))}
            onHide={() => setHidden((before) => new Set(before).add(column.id))}
            onOpen={() => setOpen((before) => new Set(before).add(column.id))}
            onClose={
              column.path.length > 1
                ? () => setOpen((before) => without(before, column.path.slice(0, -1).join('.')))
                : undefined
            }
            onShowAll={hasHidden ? () => setHidden(new Set()) : undefined}
          />
        ))}
        {across.to < columns.length && (
          <td colSpan={columns.length - across.to} className="border-b border-ink" />
        )}
      </tr>
    </thead>
  ),
);

function without(of: ReadonlySet<string>, id: string): ReadonlySet<string> {
  const left = new Set(of);
  left.delete(id);
  return left;
}
