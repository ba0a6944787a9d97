import { useEffect, useState } from 'react';
import type { Range, TableLook, TableRows } from '../../../engine';
import { engine, useSession } from '../../shared/session';

export interface RowsShown extends TableRows {
  readonly from: number;
}

const noRows: RowsShown = { count: 0, rows: [], from: 0 };

/** The items of a range as they are looked at; those before stay until the next have come. */
export function useRows(source: string, look: TableLook, range: Range): RowsShown {
  const view = useSession((session) => session.view);
  const [rows, setRows] = useState<RowsShown>(noRows);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another view means other items
  useEffect(() => {
    let isLatest = true;
    void engine()
      .rows(source, look, range)
      .then((shown) => isLatest && setRows({ ...shown, from: range.from }));
    return () => {
      isLatest = false;
    };
  }, [source, look, range, view]);
  return rows;
}
