import { memo } from 'react';
import { namesInWords, ownValue } from '../../../../core/base';
import { type Item, valueAt } from '../../../../core/items';
import type { ItemType, Source } from '../../../../core/project';
import { fieldAtPath } from '../../../../core/values';
import type { EntryRange, Unread } from '../../../../engine';
import { Cell, type Next } from './cell';
import { type Column, isSamePath } from './columns';
import type { CellAt } from './grid-keys';

interface ItemRowProps {
  readonly item: Item;
  readonly unread: readonly Unread[];
  readonly row: number;
  readonly columns: readonly Column[];
  /** The columns in sight; the others are one empty cell on either side. */
  readonly across: EntryRange;
  readonly type: ItemType | undefined;
  readonly isAtHand: boolean;
  /** The column of the cell that has the keys, in its row only. */
  readonly active: number | undefined;
  /** What is typed in that cell. */
  readonly typed: string | undefined;
  /** What was typed in a cell; the same function for as long as the table stands. */
  readonly onTyped: (at: CellAt, text: string | undefined, next: Next) => void;
}

export const ItemRow = memo(
  ({
    item,
    unread,
    row,
    columns,
    across,
    type,
    isAtHand,
    active,
    typed,
    onTyped,
  }: ItemRowProps) => (
    <tr
      aria-rowindex={row + 2}
      className={`h-[26px] cursor-default ${isAtHand ? 'bg-chosen' : 'hover:bg-paper'}`}
    >
      {across.from > 0 && <td colSpan={across.from} className="border-b border-rule" />}
      {columns.slice(across.from, across.to).map((column, index) => {
        const at = { row, column: across.from + index };
        const isActive = active === at.column;
        return (
          <Cell
            key={column.id}
            value={valueAt(item, column.path)}
            unread={unread.find(({ path }) => isSamePath(path, column.path))?.raw}
            unreadWithin={unread.flatMap(({ path }) => namesWithin(path, column.path))}
            isOwn={type === undefined || fieldAtPath(type.fields, column.path) !== undefined}
            grid={{
              ...at,
              isActive,
              typed: isActive ? typed : undefined,
              onTyped: (text, next) => onTyped(at, text, next),
            }}
          />
        );
      })}
      {across.to < columns.length && (
        <td colSpan={columns.length - across.to} className="border-b border-rule" />
      )}
    </tr>
  ),
);

/** What of a path lies within a record that is one column, if it does. */
const namesWithin = (path: readonly string[], column: readonly string[]): readonly string[] =>
  path.length > column.length && isSamePath(path.slice(0, column.length), column)
    ? [namesInWords(path.slice(column.length))]
    : [];

export function typeOf(
  types: readonly ItemType[],
  { discriminator }: Source,
  item: Item,
): ItemType | undefined {
  return discriminator === null
    ? types[0]
    : types.find((each) => each.value === ownValue(item, discriminator));
}
