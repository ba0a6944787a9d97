import { useEffect, useMemo, useRef, useState } from 'react';
import { ownValue } from '../../../../core/base';
import type { ItemType, Source } from '../../../../core/project';
import { fieldsOfAll } from '../../../../core/values';
import type { EntryRange, TableLook } from '../../../../engine';
import { useRoute } from '../../../shared/session/route';
import { useSession } from '../../../shared/session/session';
import { columnsFor, rangeAcross, widthOf } from './columns';
import { ItemRow, typeOf } from './item-row';
import { PasteQuestion } from './paste-question';
import { TableHead } from './table-head';
import { TypingBar } from './typing-bar';
import { useGrid } from './use-grid';
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
  const [range, setRange] = useState<EntryRange>({ from: 0, to: 24 });
  const shown = useRows(source.id, look, range);
  const { count } = shown;
  const hasRows = shown.rows.length > 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the first rows settle the widths, not those scrolled to
  const widths = useMemo(() => {
    const sample = shown.rows.slice(0, 30).map((row) => row.item);
    return columns.map((column) => ownValue(own, column.id) ?? widthOf(column, sample));
  }, [columns, hasRows, own]);
  const [across, setAcross] = useState<EntryRange>({ from: 0, to: 8 });
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
  const grid = useGrid({
    ...{ source, types, set, look, columns, isTyped, host },
    rowCount: count,
    rows: shown.rows,
    rowsFrom: shown.from,
    pageRows: Math.max(1, Math.floor((host.current?.clientHeight ?? 600) / rowPx) - 2),
    reveal: ({ row, column }) => {
      if (host.current === null) return;
      reveal(host.current, widths, column);
      revealRow(host.current, (row * rowPx) / scale);
    },
  });
  return (
    <div data-pane="table" className="flex min-h-0 flex-col">
      {grid.question !== undefined && <PasteQuestion what={grid.question} onDone={grid.putAway} />}
      <section
        ref={host}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard
        tabIndex={0}
        aria-label="Items"
        className="min-h-0 flex-1 overflow-auto"
        onScroll={see}
        onClick={grid.onPress}
        onDoubleClick={grid.onOpen}
        onKeyDown={grid.onKeyDown}
        onPaste={grid.onPaste}
        onCopy={grid.onCopy}
      >
        <table
          // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: keys go about in it, cell by cell
          role="grid"
          aria-label="Items"
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
            {shown.rows.map(({ item, position }, offset) => {
              const isActive = grid.active.row === shown.from + offset;
              return (
                <ItemRow
                  key={position}
                  {...{ item, columns, across }}
                  row={shown.from + offset}
                  type={typeOf(types, source, item)}
                  isAtHand={position === atHand?.item}
                  active={isActive ? grid.active.column : undefined}
                  typed={isActive ? grid.typed : undefined}
                  onTyped={grid.onTyped}
                />
              );
            })}
            <Spacer
              heightPx={(Math.max(0, count - shown.from - shown.rows.length) * rowPx) / scale}
              columns={columns.length}
            />
          </tbody>
        </table>
        {isTyped && <TypingBar {...{ source, types, set }} />}
      </section>
    </div>
  );
}

/** Scrolls until a row is whole in sight, below the heads. */
function revealRow(host: HTMLElement, topPx: number): void {
  const headPx = host.querySelector('thead')?.offsetHeight ?? 0;
  if (topPx < host.scrollTop) host.scrollTop = topPx;
  else if (topPx + rowPx + headPx > host.scrollTop + host.clientHeight)
    host.scrollTop = topPx + rowPx + headPx - host.clientHeight;
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
