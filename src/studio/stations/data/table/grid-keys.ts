/** A cell of the table: its row as the table is looked at, and its column. */
export interface CellAt {
  readonly row: number;
  readonly column: number;
}

interface GridSize {
  readonly rowCount: number;
  readonly columnCount: number;
  /** Rows in sight: so far go Page Up and Page Down. */
  readonly pageRows: number;
}

/** Where a key leads from a cell; undefined: it is no key that moves. */
export function cellAfter(
  { row, column }: CellAt,
  { key, ctrlKey }: { readonly key: string; readonly ctrlKey: boolean },
  { rowCount, columnCount, pageRows }: GridSize,
): CellAt | undefined {
  const within = (to: CellAt): CellAt => ({
    row: Math.max(0, Math.min(rowCount - 1, to.row)),
    column: Math.max(0, Math.min(columnCount - 1, to.column)),
  });
  switch (key) {
    case 'ArrowUp':
      return within({ row: ctrlKey ? 0 : row - 1, column });
    case 'ArrowDown':
      return within({ row: ctrlKey ? rowCount - 1 : row + 1, column });
    case 'ArrowLeft':
      return within({ row, column: ctrlKey ? 0 : column - 1 });
    case 'ArrowRight':
      return within({ row, column: ctrlKey ? columnCount - 1 : column + 1 });
    case 'PageUp':
      return within({ row: row - pageRows, column });
    case 'PageDown':
      return within({ row: row + pageRows, column });
    case 'Home':
      return within({ row: ctrlKey ? 0 : row, column: 0 });
    case 'End':
      return within({ row: ctrlKey ? rowCount - 1 : row, column: columnCount - 1 });
    default:
      return undefined;
  }
}
