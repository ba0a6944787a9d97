import type { EntryValue } from '../parts/entry-value';
import type { Constant } from '../property';

/** What becomes of what a part shows where it is drawn; undefined: nothing is. */
type Finish = (
  value: EntryValue,
  constants: Readonly<Record<string, Constant | undefined>>,
  around: { hasPicture(name: string): boolean },
) => EntryValue;

/** A number of things: none of them may be nothing, and very many are no more than so many. */
const count: Finish = (words, { atZero, max }) => {
  if (typeof words !== 'string' || !/^\d+$/.test(words)) return words;
  if (Number(words) === 0 && atZero === 'leaves') return undefined;
  const most = typeof max === 'number' ? max : 99;
  return Number(words) > most ? `${most}+` : words;
};

/** A picture that is not there. */
const picture: Finish = (name, { broken }, { hasPicture }) =>
  broken === 'leaves' && typeof name === 'string' && !hasPicture(name) ? undefined : name;

/** By the names under which kinds of part say them. */
export const finishes = { count, picture } as const;
export type FinishName = keyof typeof finishes;
