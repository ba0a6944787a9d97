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
import { rowPx, useRowScroll } from './use-row-scroll';
import { useRows } from './use-rows';

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
  const [count, setCount] = useState(0);
  const scroll = useRowScroll(host, count);
  const shown = useRows(source.id, look, scroll.range);
  useEffect(() => setCount(shown.count), [shown.count]);
  const hasRows = shown.rows.length > 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the first rows settle the widths, not those scrolled to
  const widths = useMemo(() => {
    const sample = shown.rows.slice(0, 30).map((row) => row.item);
    return columns.map((column) => ownValue(own, column.id) ?? widthOf(column, sample));
  }, [columns, hasRows, own]);
  const [across, setAcross] = useState<EntryRange>({ from: 0, to: 8 });
  const seeAcross = () => {
    const { scrollLeft = 0, clientWidth = 700 } = host.current ?? {};
    const columnsSeen = rangeAcross(widths, scrollLeft, scrollLeft + clientWidth);
    setAcross((before) =>
      before.from === columnsSeen.from && before.to === columnsSeen.to ? before : columnsSeen,
    );
  };
  useEffect(seeAcross, [widths]);
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
      scroll.reveal(row);
    },
  });
  const topPx = scroll.topPxOf(shown.from);
  return (
    <div data-pane="table" className="flex min-h-0 flex-col">
      {grid.question !== undefined && <PasteQuestion what={grid.question} onDone={grid.putAway} />}
      <section
        ref={host}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard
        tabIndex={0}
        aria-label="Items"
        className="min-h-0 flex-1 overflow-auto [overflow-anchor:none]"
        onScroll={() => {
          scroll.see();
          seeAcross();
        }}
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
            <Spacer heightPx={topPx} columns={columns.length} />
            {shown.rows.map(({ item, unread, position }, offset) => {
              const isActive = grid.active.row === shown.from + offset;
              return (
                <ItemRow
                  key={position}
                  {...{ item, unread, columns, across }}
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
              heightPx={scroll.bodyPx - topPx - shown.rows.length * rowPx}
              columns={columns.length}
            />
          </tbody>
        </table>
        {isTyped && <TypingBar {...{ source, types, set }} />}
      </section>
    </div>
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
