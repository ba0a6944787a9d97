/** After which rows something is inserted. */
export interface InsertPlaces {
  /** The number of the first row that one comes after, from 1. */
  readonly from: number;
  /** So many rows on comes the next. */
  readonly every: number;
  /** Rows are counted from the beginning of each section. */
  readonly inEachSection?: true;
  /** One may come after the last row, too. */
  readonly mayBeLast?: true;
}

/** Where a row stands. */
interface RowPlace {
  /** Its number, from 1, among so many: of the list, or of its section. */
  readonly number: number;
  readonly of: number;
}

/** Which insert, from 0, comes after a row; -1: none. */
export function insertAfter({ from, every, mayBeLast }: InsertPlaces, { number, of }: RowPlace) {
  const past = number - from;
  if (past < 0 || past % every !== 0) return -1;
  return number < of || mayBeLast === true ? past / every : -1;
}

/** The numbers of the first rows that one comes after, with no end to the rows. */
export const firstInserts = ({ from, every }: InsertPlaces, count: number): readonly number[] =>
  Array.from({ length: count }, (_, at) => from + at * every);

/** How many inserts come after so many rows. */
export function insertCount(places: InsertPlaces, of: number): number {
  const last = places.mayBeLast === true ? of : of - 1;
  return last < places.from ? 0 : Math.floor((last - places.from) / places.every) + 1;
}
