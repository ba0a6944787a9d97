import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { isRecord, type Json, ownValue } from '../../../core/base';
import type { Item } from '../../../core/items';
import type { ItemType, Source } from '../../../core/project';
import { type Field, fieldNamed, fieldsOfAll, typeInWords } from '../../../core/values';
import type { Range } from '../../../engine';
import { handItem } from '../../shared/at-hand';
import { goWithin, useRoute } from '../../shared/route';
import { engine, useSession } from '../../shared/session';
import { TypeMark } from '../../shared/typed';

const rowPx = 26;
const overscan = 5;
const highestPx = 12_000_000;

interface ItemTableProps {
  readonly source: Source;
  readonly types: readonly ItemType[];
}

/** All items as they are; only the rows in sight are in the page. */
export function ItemTable({ source, types }: ItemTableProps) {
  const columns = useMemo(() => fieldsOfAll(types), [types]);
  const { view, atHand } = useSession();
  const { route } = useRoute();
  const field = route.page === 'project' ? route.field : undefined;
  const itemCount = view?.itemCount ?? 0;
  const host = useRef<HTMLElement>(null);
  const [range, setRange] = useState<Range>({ from: 0, to: 24 });
  const rows = useItems(source.id, range, itemCount);
  const hasRows = rows.length > 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the first rows settle the widths, not those scrolled to
  const widths = useMemo(
    () => columns.map((column) => widthOf(column, rows.slice(0, 30))),
    [columns, hasRows],
  );
  const [across, setAcross] = useState<Range>({ from: 0, to: 8 });
  // Past what an element can be high, a px of the scroll bar stands for more than one.
  const scale = Math.max(1, (itemCount * rowPx) / highestPx);
  const see = () => {
    const {
      scrollTop = 0,
      clientHeight = 600,
      scrollLeft = 0,
      clientWidth = 700,
    } = host.current ?? {};
    const from = Math.max(0, Math.floor((scrollTop * scale) / rowPx) - overscan);
    const to = Math.min(itemCount, from + Math.ceil(clientHeight / rowPx) + 2 * overscan);
    setRange((before) => (before.from === from && before.to === to ? before : { from, to }));
    const columnsSeen = rangeAcross(widths, scrollLeft, scrollLeft + clientWidth);
    setAcross((before) =>
      before.from === columnsSeen.from && before.to === columnsSeen.to ? before : columnsSeen,
    );
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: another count or other widths show other cells
  useEffect(see, [itemCount, widths]);
  return (
    <section
      ref={host}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard
      tabIndex={0}
      aria-label="Items"
      className="min-h-0 overflow-auto"
      onScroll={see}
    >
      <table
        className="table-fixed border-separate border-spacing-0 text-sm"
        style={{ width: widths.reduce((sum, width) => sum + width, 0) }}
        aria-rowcount={itemCount + 1}
      >
        <colgroup>
          {columns.map((column, index) => (
            <col key={column.name} style={{ width: widths[index] }} />
          ))}
        </colgroup>
        <thead className="sticky top-0 z-10 bg-wool">
          <tr>
            {columns.map((column) => (
              <th
                key={column.name}
                scope="col"
                className="border-b border-ink px-2 py-1 text-start align-top font-normal"
              >
                <button
                  type="button"
                  className="block w-full truncate text-start"
                  aria-pressed={column.name === field}
                  onClick={() =>
                    goWithin({ field: column.name === field ? undefined : column.name }, 'replace')
                  }
                >
                  <span
                    className={column.name === field ? 'font-semibold text-woad' : 'font-semibold'}
                  >
                    {column.name}
                  </span>
                  <span className="flex items-center gap-1.5 text-ash">
                    <TypeMark type={column} />
                    {column.name === source.key ? 'key, ' : ''}
                    {typeInWords(column)}
                    {column.required ? '' : ', not in all'}
                  </span>
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <Spacer heightPx={(rows.from * rowPx) / scale} columns={columns.length} />
          {rows.map((item, offset) => {
            const position = rows.from + offset;
            const type = typeOf(types, source, item);
            return (
              <ItemRow
                key={position}
                {...{ item, position, columns, across, type }}
                isAtHand={position === atHand?.item}
              />
            );
          })}
          <Spacer
            heightPx={(Math.max(0, itemCount - rows.from - rows.length) * rowPx) / scale}
            columns={columns.length}
          />
        </tbody>
      </table>
    </section>
  );
}

/** The columns that touch the stretch from `left` to `right`. */
function rangeAcross(widths: readonly number[], left: number, right: number): Range {
  let x = 0;
  let from = 0;
  let to = 0;
  for (const [index, width] of widths.entries()) {
    if (x + width <= left) from = index + 1;
    if (x < right) to = index + 1;
    x += width;
  }
  return { from, to };
}

const charPx = 6.8;
const mostChars = 30;

/** By the first items, then fixed: a table that measures its cells lays out anew at every scroll. */
function widthOf(column: Field, sample: readonly Item[]): number {
  const chars = sample.map((item) => shownLength(ownValue(item, column.name)));
  const head = Math.max(
    column.name.length + 1,
    typeInWords(column).length + (column.required ? 9 : 16),
  );
  return 20 + charPx * Math.max(head, ...chars.map((length) => Math.min(length, mostChars)));
}

function shownLength(value: Json | undefined): number {
  if (value === undefined || value === null) return 'missing'.length;
  return typeof value === 'object' ? nestedInWords(value).length : String(value).length;
}

type Rows = readonly Item[] & { readonly from: number };

const noRows: Rows = Object.assign([], { from: 0 });

/** The items of a range; those before stay until the next have come. */
function useItems(source: string, range: Range, itemCount: number): Rows {
  const [rows, setRows] = useState<Rows>(noRows);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another count means other items
  useEffect(() => {
    let isLatest = true;
    void engine()
      .itemsIn(source, range)
      .then((items) => isLatest && setRows(Object.assign(items.slice(), { from: range.from })));
    return () => {
      isLatest = false;
    };
  }, [source, range, itemCount]);
  return rows;
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
    : types.find((each) => each.value === item[discriminator]);
}

interface ItemRowProps {
  readonly item: Item;
  readonly position: number;
  readonly columns: readonly Field[];
  /** The columns in sight; the others are one empty cell on either side. */
  readonly across: Range;
  readonly type: ItemType | undefined;
  readonly isAtHand: boolean;
}

const ItemRow = memo(({ item, position, columns, across, type, isAtHand }: ItemRowProps) => (
  <tr
    aria-rowindex={position + 2}
    className={`h-[26px] cursor-default ${isAtHand ? 'bg-chosen' : 'hover:bg-paper'}`}
    onClick={() => void handItem(position)}
  >
    {across.from > 0 && <td colSpan={across.from} className="border-b border-rule" />}
    {columns.slice(across.from, across.to).map((column) => {
      // Only a field of the item's own type can be missing.
      const isOwn = type === undefined || fieldNamed(type.fields, column.name) !== undefined;
      return <Cell key={column.name} value={ownValue(item, column.name)} isOwn={isOwn} />;
    })}
    {across.to < columns.length && (
      <td colSpan={columns.length - across.to} className="border-b border-rule" />
    )}
  </tr>
));

function Cell({ value, isOwn }: { readonly value: Json | undefined; readonly isOwn: boolean }) {
  const look = 'truncate border-b border-rule px-2';
  if (value === undefined && !isOwn) return <td className={look} />;
  if (value === undefined || value === null)
    return <td className={`${look} text-madder italic`}>missing</td>;
  if (value === '') return <td className={`${look} text-ash italic`}>empty</td>;
  if (typeof value === 'number')
    return <td className={`${look} text-end tabular-nums`}>{value}</td>;
  if (typeof value === 'string') {
    return (
      <td className={look} dir="auto">
        {value.slice(0, 200)}
      </td>
    );
  }
  if (typeof value === 'boolean') return <td className={look}>{String(value)}</td>;
  return <td className={`${look} text-ash`}>{nestedInWords(value)}</td>;
}

function nestedInWords(value: Json): string {
  if (Array.isArray(value)) return `${value.length} in list`;
  if (!isRecord(value)) return '';
  const inside = Object.entries(value).slice(0, 3);
  return inside
    .map(
      ([name, each]) =>
        `${name}: ${typeof each === 'object' && each !== null ? '…' : String(each)}`,
    )
    .join(', ');
}
