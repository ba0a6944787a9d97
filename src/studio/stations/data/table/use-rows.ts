import { useState } from 'react';
import type { EntryRange, Frame, TableLook, TableRows } from '../../../../engine';
import { engine, useSession } from '../../../shared/session/session';
import { useLatest } from '../../../shared/session/use-answer';

interface RowsShown extends TableRows {
  readonly from: number;
  /** What they were asked for with: under the same, a position has the same item. */
  readonly of: readonly [source: string, look: TableLook | undefined, view: Frame | undefined];
}

const noRows: RowsShown = { count: 0, rows: [], from: 0, of: ['', undefined, undefined] };

/** The items of a range as they are looked at; those before stay until the next have come. */
export function useRows(source: string, look: TableLook, range: EntryRange): RowsShown {
  const view = useSession((session) => session.view);
  const [rows, setRows] = useState<RowsShown>(noRows);
  useLatest(
    [source, look, range, view],
    () => engine().rows(source, look, range),
    (came) => setRows((before) => withKnown(before, came, range, [source, look, view])),
  );
  return rows;
}

/** Rows that were there stay the same objects, so that only new ones are drawn. */
function withKnown(
  before: RowsShown,
  came: TableRows,
  range: EntryRange,
  of: RowsShown['of'],
): RowsShown {
  const isSame = before.of.every((each, at) => each === of[at]);
  const known = new Map(isSame ? before.rows.map((row) => [row.position, row]) : []);
  const rows = came.rows.map((row) => known.get(row.position) ?? row);
  return { count: came.count, rows, from: range.from, of };
}
