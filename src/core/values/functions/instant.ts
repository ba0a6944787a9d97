const msADay = 86_400_000;
const datePart = /^(\d{4})-(\d\d)-(\d\d)(?=$|[T ])/;

/** The day that stands in a date or date-time, counted from 1970-01-01. Standard: ISO 8601. */
export function dayOf(text: string): number | undefined {
  const [, year, month, day] = datePart.exec(text) ?? [];
  if (year === undefined) return undefined;
  const date = new Date(0);
  date.setUTCFullYear(Number(year), Number(month) - 1, Number(day));
  const isReal = date.getUTCMonth() === Number(month) - 1 && date.getUTCDate() === Number(day);
  return isReal ? date.getTime() / msADay : undefined;
}

/** Whether a text in quotes is meant as a date. */
export const isWrittenDate = (value: unknown): boolean =>
  typeof value === 'string' && dayOf(value) !== undefined;

/** The same time of another day; undefined past the years 0 to 9999. */
export function addDays(text: string, days: number): string | undefined {
  const day = dayOf(text);
  if (day === undefined || !Number.isInteger(days)) return undefined;
  const date = new Date((day + days) * msADay);
  const year = date.getUTCFullYear();
  if (!(year >= 0 && year <= 9_999)) return undefined;
  return date.toISOString().slice(0, 10) + text.slice(10);
}

/** Milliseconds since 1970; a date is its first moment, a time without a zone is in UTC. NaN: it is none. */
export function instantOf(text: string): number {
  const day = dayOf(text);
  if (day === undefined) return Number.NaN;
  if (text.length === 10) return day * msADay;
  const hasZone = /(?:Z|[+-]\d\d:?\d\d)$/.test(text);
  return Date.parse(hasZone ? text : `${text}Z`);
}
