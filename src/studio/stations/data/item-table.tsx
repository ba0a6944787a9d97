import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { ownValue } from '../../../core/base';
import { type Item, valueAt } from '../../../core/items';
import type { ItemType, Source } from '../../../core/project';
import { fieldAtPath, fieldsOfAll } from '../../../core/values';
import type { Range, TableLook } from '../../../engine';
import { handItem } from '../../shared/at-hand';
import { useRoute } from '../../shared/route';
import { useSession } from '../../shared/session';
import { Cell } from './cell';
import { type Column, columnsFor, rangeAcross, widthOf } from './columns';
import { TableHead } from './table-head';
import { pasteBlock, typeInto } from './typing';
import { TypingBar } from './typing-bar';
import { useRows } from './use-rows';

const rowPx = 26;
const overscan = 5;
const highestPx = 12_000_000;

interface ItemTableProps {
  readonly source: Source;
  readonly types: readonly ItemType[];
  readonly look: TableLook;
  readonly onLook: (look: TableLook) => void;
  /** Whether the items can be changed here. */
  readonly isTyped: boolean;
  readonly set: string;
}

/** All items as they are; only the rows in sight are in the page. */
export function ItemTable({ source, types, look, onLook, isTyped, set }: ItemTableProps) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const [own, setOwn] = useState<Readonly<Record<string, number>>>({});
  const columns = useMemo(
    () => columnsFor(fieldsOfAll(types), open, hidden),
    [types, open, hidden],
  );
  const atHand = useSession((session) => session.atHand);
  const host = useRef<HTMLElement>(null);
  const [range, setRange] = useState<Range>({ from: 0, to: 24 });
  const shown = useRows(source.id, look, range);
  const { count } = shown;
  const hasRows = shown.rows.length > 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the first rows settle the widths, not those scrolled to
  const widths = useMemo(() => {
    const sample = shown.rows.slice(0, 30).map((row) => row.item);
    return columns.map((column) => ownValue(own, column.id) ?? widthOf(column, sample));
  }, [columns, hasRows, own]);
  const [across, setAcross] = useState<Range>({ from: 0, to: 8 });
  // Past what an element can be high, a px of the scroll bar stands for more than one.
  const scale = Math.max(1, (count * rowPx) / highestPx);
  const see = () => {
    const {
      scrollTop = 0,
      clientHeight = 600,
      scrollLeft = 0,
      clientWidth = 700,
    } = host.current ?? {};
    const from = Math.max(0, Math.floor((scrollTop * scale) / rowPx) - overscan);
    const to = Math.min(count, from + Math.ceil(clientHeight / rowPx) + 2 * overscan);
    setRange((before) => (before.from === from && before.to === to ? before : { from, to }));
    const columnsSeen = rangeAcross(widths, scrollLeft, scrollLeft + clientWidth);
    setAcross((before) =>
      before.from === columnsSeen.from && before.to === columnsSeen.to ? before : columnsSeen,
    );
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: another count or other widths show other cells
  useEffect(see, [count, widths]);
  const { route } = useRoute();
  const chosen = route.page === 'project' ? route.field : undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: only another choice moves the table
  useEffect(() => {
    const at = columns.findIndex((column) => column.id === chosen);
    if (host.current !== null && at >= 0) reveal(host.current, widths, at);
  }, [chosen, columns.length, hasRows]);
  const typing = useMemo(() => (isTyped ? { source, set } : undefined), [isTyped, source, set]);
  const typeAt = (item: Item) => typeOf(types, source, item);
  return (
    <section
      ref={host}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard
      tabIndex={0}
      aria-label="Items"
      className="min-h-0 overflow-auto"
      onScroll={see}
      onPaste={(event) => {
        if (!isTyped || event.target instanceof HTMLInputElement) return;
        const text = event.clipboardData.getData('text');
        event.preventDefault();
        event.stopPropagation();
        void pasteBlock({ source, set, columns, text, from: atHand?.item ?? 0 });
      }}
    >
      <table
        className="table-fixed border-separate border-spacing-0 text-sm"
        style={{ width: widths.reduce((sum, width) => sum + width, 0) }}
        aria-rowcount={count + 1}
      >
        <colgroup>
          {columns.map((column, index) => (
            <col key={column.id} style={{ width: widths[index] }} />
          ))}
        </colgroup>
        <TableHead
          {...{ columns, widths, across, source, look, onLook, setOwn, setOpen, setHidden }}
          hasHidden={hidden.size > 0}
        />
        <tbody>
          <Spacer heightPx={(shown.from * rowPx) / scale} columns={columns.length} />
          {shown.rows.map(({ item, position }, offset) => (
            <ItemRow
              key={position}
              {...{ item, position, columns, across }}
              row={shown.from + offset}
              type={typeAt(item)}
              isAtHand={position === atHand?.item}
              typing={typing}
            />
          ))}
          <Spacer
            heightPx={(Math.max(0, count - shown.from - shown.rows.length) * rowPx) / scale}
            columns={columns.length}
          />
        </tbody>
      </table>
      {isTyped && <TypingBar {...{ source, types, set }} />}
    </section>
  );
}

/** Scrolls until a column is whole in sight. */
function reveal(host: HTMLElement, widths: readonly number[], column: number): void {
  const start = widths.slice(0, column).reduce((sum, width) => sum + width, 0);
  const end = start + (widths[column] ?? 0);
  if (start < host.scrollLeft) host.scrollLeft = start;
  else if (end > host.scrollLeft + host.clientWidth) host.scrollLeft = end - host.clientWidth;
}

function Spacer({ heightPx, columns }: { readonly heightPx: number; readonly columns: number }) {
  if (heightPx <= 0) return null;
  return (
    <tr>
      <td colSpan={columns} style={{ height: heightPx }} />
    </tr>
  );
}

function typeOf(
  types: readonly ItemType[],
  { discriminator }: Source,
  item: Item,
): ItemType | undefined {
  return discriminator === null
    ? types[0]
    : types.find((each) => each.value === ownValue(item, discriminator));
}

interface ItemRowProps {
  readonly item: Item;
  readonly position: number;
  readonly row: number;
  readonly columns: readonly Column[];
  /** The columns in sight; the others are one empty cell on either side. */
  readonly across: Range;
  readonly type: ItemType | undefined;
  readonly isAtHand: boolean;
  readonly typing: { readonly source: Source; readonly set: string } | undefined;
}

const ItemRow = memo(
  ({ item, position, row, columns, across, type, isAtHand, typing }: ItemRowProps) => (
    <tr
      aria-rowindex={row + 2}
      className={`h-[26px] cursor-default ${isAtHand ? 'bg-chosen' : 'hover:bg-paper'}`}
      onClick={() => void handItem(position)}
    >
      {across.from > 0 && <td colSpan={across.from} className="border-b border-rule" />}
      {columns.slice(across.from, across.to).map((column) => (
        <Cell
          key={column.id}
          value={valueAt(item, column.path)}
          isOwn={type === undefined || fieldAtPath(type.fields, column.path) !== undefined}
          onType={
            typing && column.field.expr === undefined
              ? (text) => void typeInto({ ...typing, column, position, text, type })
              : undefined
          }
        />
      ))}
      {across.to < columns.length && (
        <td colSpan={columns.length - across.to} className="border-b border-rule" />
      )}
    </tr>
  ),
);
