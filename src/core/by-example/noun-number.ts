import { ownValue } from '../base';
/**
 * The other number of a noun, guessed by how most nouns of a language make theirs: "reviews" and
 * "review". A guess only, to be shown as one; undefined where a language or word has no such habit.
 */
export function otherNumber(
  noun: string,
  wanted: 'one' | 'other',
  locale: string,
): string | undefined {
  const habits = ownValue(habitsOf, new Intl.Locale(locale).language);
  const found = habits?.[wanted].find(([ending]) => ending.test(noun));
  if (found === undefined) return undefined;
  const [ending, instead] = found;
  return instead === undefined ? undefined : noun.replace(ending, instead);
}

/** An ending and what stands in its place; undefined: it says nothing. The first that fits counts. */
type Habit = readonly [ending: RegExp, instead: string | undefined];

interface Habits {
  /** What turns several into one. */
  readonly one: readonly Habit[];
  /** What turns one into several. */
  readonly other: readonly Habit[];
}

const habitsOf: Readonly<Record<string, Habits | undefined>> = {
  en: {
    one: [
      [/(?<=\p{L}{2})ies$/u, 'y'],
      [/(?<=ss|x|ch|sh)es$/, ''],
      [/(?:ss|us|is)$/, undefined],
      [/s$/, ''],
    ],
    other: [
      [/(?<=[^aeiou])y$/, 'ies'],
      [/(?<=s|x|ch|sh)$/, 'es'],
      [/$/, 's'],
    ],
  },
  fr: {
    one: [
      [/(?<=eau|eu)x$/, ''],
      [/aux$/, 'al'],
      [/s$/, ''],
    ],
    other: [
      [/[sxz]$/, undefined],
      [/(?<=eau|eu)$/, 'x'],
      [/al$/, 'aux'],
      [/$/, 's'],
    ],
  },
  de: {
    one: [
      [/(?<=ung|heit|keit|schaft|ion|tät)en$/, ''],
      [/(?<=in)nen$/, ''],
      [/(?<=e)n$/, ''],
      [/(?<=[aiouy])s$/, ''],
    ],
    other: [
      [/(?<=ung|heit|keit|schaft|ion|tät)$/, 'en'],
      [/(?<=in)$/, 'nen'],
      [/(?<=e)$/, 'n'],
      [/(?<=[aiouy])$/, 's'],
    ],
  },
  es: {
    one: [
      [/iones$/, 'ión'],
      [/(?<=[dlnr])es$/, ''],
      [/(?<=[aeiouáéíóú])s$/, ''],
    ],
    other: [
      [/ión$/, 'iones'],
      [/(?<=[dlnr])$/, 'es'],
      [/(?<=[aeiouáéíóú])$/, 's'],
    ],
  },
};
