import {
  type ClipboardEvent,
  type KeyboardEvent,
  type MouseEvent,
  type RefObject,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import type { ItemType, Source } from '../../../../core/project';
import { longestCrossing, type TableLook, type TableRow } from '../../../../engine';
import { handItem } from '../../../shared/session/at-hand';
import { refused } from '../../../shared/session/editing';
import { cellId, type Next, textIn } from './cell';
import type { Column } from './columns';
import { type CellAt, cellAfter } from './grid-keys';
import { typeOf } from './item-row';
import { isPlain, type Paste, paste, pasteAt } from './pasting';
import { typeInto } from './typing';

export interface GridTable {
  readonly source: Source;
  readonly types: readonly ItemType[];
  readonly set: string;
  readonly look: TableLook;
  readonly columns: readonly Column[];
  /** Whether the items can be changed here. */
  readonly isTyped: boolean;
  readonly rowCount: number;
  readonly rows: readonly TableRow[];
  /** The row of the first of `rows`. */
  readonly rowsFrom: number;
  readonly host: RefObject<HTMLElement | null>;
  readonly reveal: (at: CellAt) => void;
  readonly pageRows: number;
}

/** The keys of the table: one cell has them, typing begins an edit, a paste goes where it stands. */
export function useGrid(table: GridTable) {
  const [active, setActive] = useState<CellAt>({ row: 0, column: 0 });
  const [typed, setTyped] = useState<string>();
  const [question, setQuestion] = useState<Paste>();
  const latest = useRef({ table, active });
  latest.current = { table, active };
  const wantsFocus = useRef(false);

  // Rows come from the worker: the cell may be there only a moment later.
  useEffect(() => {
    if (!wantsFocus.current || typed !== undefined) return;
    const cell = table.host.current?.querySelector<HTMLElement>(`[data-cell="${cellId(active)}"]`);
    if (cell == null) return;
    wantsFocus.current = false;
    cell.focus({ preventScroll: true });
  });

  const { move, rowAt, open, write, onTyped } = useMemo(
    () => gridMoves({ latest, wantsFocus, setActive, setTyped }),
    [],
  );

  const onPress = ({ target }: MouseEvent) => {
    const at = cellOf(target);
    const position = at && rowAt(at.row)?.position;
    if (at === undefined || position === undefined) return;
    wantsFocus.current = cellOfOwn(target);
    setActive(at);
    void handItem(position);
  };
  const onOpen = ({ target }: MouseEvent) => {
    const at = cellOf(target);
    if (at !== undefined) open(at);
  };

  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const { key, ctrlKey, metaKey, altKey } = event;
    if (altKey || metaKey || isOnHead(event.target)) return;
    const to = cellAfter(active, event, sizeOf(table));
    if (to !== undefined) {
      event.preventDefault();
      move(event.target === table.host.current ? active : to);
      return;
    }
    const isComputed = table.columns[active.column]?.field.expr !== undefined;
    if (ctrlKey || !table.isTyped || isComputed) return;
    if (key === 'Enter' || key === 'F2') open(active);
    else if (key === 'Delete' || key === 'Backspace') write(active, '');
    else if (key.length === 1) open(active, key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const onPaste = (event: ClipboardEvent<HTMLElement>) => {
    if (!table.isTyped || event.target instanceof HTMLInputElement) return;
    event.preventDefault();
    event.stopPropagation();
    void pasteAt(table, active, event.clipboardData.getData('text')).then((what) => {
      if (isPlain(what)) void paste(what, { changesKeys: true, addsFields: false });
      else setQuestion(what);
    });
  };

  const onCopy = (event: ClipboardEvent<HTMLElement>) => {
    const row = rowAt(active.row);
    const column = table.columns[active.column];
    const hasSelection = document.getSelection()?.isCollapsed === false;
    if (event.target instanceof HTMLInputElement || hasSelection || row === undefined) return;
    event.preventDefault();
    event.clipboardData.setData('text/plain', textIn(row, column?.path ?? []));
  };

  const putAway = () => setQuestion(undefined);
  return {
    ...{ active, typed, question, putAway },
    ...{ onTyped, onPress, onOpen, onKeyDown, onPaste, onCopy },
  };
}

interface GridState {
  readonly latest: RefObject<{ readonly table: GridTable; readonly active: CellAt }>;
  readonly wantsFocus: RefObject<boolean>;
  readonly setActive: (at: CellAt) => void;
  readonly setTyped: (text: string | undefined) => void;
}

/** What keys and presses do, whatever the table shows by then. */
function gridMoves({ latest, wantsFocus, setActive, setTyped }: GridState) {
  const now = () => latest.current.table;
  const rowAt = (row: number) => now().rows[row - now().rowsFrom];
  const columnAt = (column: number) => now().columns[column];
  const move = (to: CellAt) => {
    wantsFocus.current = true;
    setActive(to);
    now().reveal(to);
    const position = rowAt(to.row)?.position;
    if (position !== undefined && to.row !== latest.current.active.row) void handItem(position);
  };
  /** Begins to type; `text`: what stands there at first, the value itself if it is not given. */
  const open = (at: CellAt, text?: string) => {
    const row = rowAt(at.row);
    const column = columnAt(at.column);
    if (!now().isTyped || row === undefined || column?.field.expr !== undefined) return;
    const words = text ?? textIn(row, column?.path ?? []);
    if (words.length > longestCrossing && refused('Type into it', tooLong)) return;
    setActive(at);
    setTyped(words);
  };
  const write = (at: CellAt, text: string) => {
    const { source, types, set } = now();
    const row = rowAt(at.row);
    const column = columnAt(at.column);
    if (row === undefined || column === undefined) return;
    if (text === textIn(row, column.path)) return;
    const type = typeOf(types, source, row.item);
    void typeInto({ source, set, column, position: row.position, text, type });
  };
  const onTyped = (at: CellAt, text: string | undefined, next: Next) => {
    setTyped(undefined);
    if (text !== undefined) write(at, text);
    if (next === 'elsewhere') return;
    const key = keyOf[next];
    const to = key === undefined ? at : cellAfter(at, { key, ctrlKey: false }, sizeOf(now()));
    move(to ?? at);
  };
  return { move, rowAt, open, write, onTyped };
}

const sizeOf = ({ rowCount, columns, pageRows }: GridTable) => ({
  rowCount,
  columnCount: columns.length,
  pageRows,
});

/** The cell that an element is in; undefined: it is in none, or in what was opened from one. */
function cellOf(target: EventTarget): CellAt | undefined {
  const id =
    target instanceof Element
      ? target.closest<HTMLElement>('[data-cell]')?.dataset['cell']
      : undefined;
  const [row, column] = (id ?? '').split(':').map(Number);
  return id === undefined || row === undefined || column === undefined
    ? undefined
    : { row, column };
}

/** Whether a press met the cell itself, and nothing in it that takes the keys. */
const cellOfOwn = (target: EventTarget): boolean =>
  target instanceof Element && target.closest('button') === null;

const tooLong = 'This text is too long to be typed in here: only its beginning is shown.';

const keyOf: Readonly<Record<Next, string | undefined>> = {
  here: undefined,
  elsewhere: undefined,
  below: 'ArrowDown',
  after: 'ArrowRight',
  before: 'ArrowLeft',
};

/** The heads have keys of their own, and so has what is opened from a cell. */
const isOnHead = (target: EventTarget): boolean =>
  !(target instanceof HTMLElement) ||
  target.closest('thead, input, [role=dialog]') !== null ||
  target.closest('section') === null;
