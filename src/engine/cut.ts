import type { Entry, FontedWords } from '../core/lists';

/** What a page can lay out at once; a text of megabytes would hold it up for seconds. */
export const longestCrossing = 20_000;

const isTooLong = (text: string): boolean => text.length > longestCrossing;
/** As much of a text as crosses to the page, and is drawn there. */
export const cutOff = (text: string): string =>
  isTooLong(text) ? `${text.slice(0, longestCrossing)}…` : text;

/** The same of the runs of a text. */
export const cutRuns = (runs: readonly FontedWords[]): readonly FontedWords[] =>
  runs.map(({ words, font }) => ({ words: cutOff(words), font }));

/** A row with words that can cross; a key that cannot is told by its item's position. */
export const entryCrossing = (entry: Entry): Entry => ({
  ...entry,
  key: isTooLong(entry.key) ? `${cutOff(entry.key)} ${entry.item}` : entry.key,
  values: entry.values.map((value) => (typeof value === 'string' ? cutOff(value) : value)),
});

/** An answer with the texts in it that are too long to cross cut off; the same object where none is. */
export function crossing<T>(value: T): T;
export function crossing(value: unknown): unknown {
  if (typeof value === 'string') return cutOff(value);
  if (Array.isArray(value)) {
    const list: unknown[] = value.map((each) => crossing(each));
    return list.some((each, at) => each !== value[at]) ? list : value;
  }
  if (!isPlainRecord(value)) return value;
  const entries = Object.entries(value);
  const cut = entries.map(([name, each]): [string, unknown] => [name, crossing(each)]);
  return cut.some(([, each], at) => each !== entries[at]?.[1]) ? Object.fromEntries(cut) : value;
}

const isPlainRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' &&
  value !== null &&
  [Object.prototype, null].includes(Object.getPrototypeOf(value));

type Answer = (...asked: never[]) => Promise<unknown>;

/** The same questions, with answers that hold values of items cut to what can cross. */
export function withAnswersCut<K extends string, P extends Readonly<Record<K, Answer>>>(
  protocol: P,
  names: readonly K[],
): P {
  const cut = names.map((name) => {
    const answer: Answer = protocol[name];
    return [name, async (...asked: never[]) => crossing(await answer(...asked))];
  });
  return { ...protocol, ...Object.fromEntries(cut) };
}
