import { type Random, seededRandom } from '../../src/core/base';
import type { Item } from '../../src/core/items';
import { type Kind, kinds, type One } from './kinds';
import { labels } from './vocabulary';
import { locales, type Write } from './writing';

/** Words that a person may want, as a function of the item: written with `Intl` by hand. */
export interface Target {
  readonly locale: string;
  readonly what: string;
  /** Undefined where the item has no value for it. */
  write(item: Item): string | undefined;
  /** Forms of words that more than two examples would be needed for. */
  readonly isArabicPlural?: boolean;
}

const separators = [' · ', ', ', ' – ', ' | ', ' / ', ': ', ' (', ' '];

/** Targets of one to four values with words around them, in five locales. */
export function generatedTargets(count: number, seed: number): readonly Target[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, index) =>
    target(random, locales[index % locales.length] ?? 'en-GB'),
  );
}

function target(random: Random, locale: string): Target {
  const one: One = (of) => {
    const found = of[Math.floor(random() * of.length)];
    if (found === undefined) throw new RangeError('Nothing to choose from.');
    return found;
  };
  const kind = (): Kind => {
    let left = random() * kinds.reduce((sum, each) => sum + each.weight, 0);
    for (const each of kinds) {
      left -= each.weight;
      if (left < 0) return each;
    }
    return one(kinds);
  };
  const count = one([1, 1, 2, 2, 2, 3, 3, 4]);
  const parts: { readonly what: string; readonly write: Write; readonly before: string }[] = [];
  while (parts.length < count) {
    const made = kind().make(one, locale);
    if (parts.some((part) => part.what.split(' ').at(-1) === made.what.split(' ').at(-1))) continue;
    const label = random() < 0.25 ? `${one(labels[locale] ?? [])} ` : '';
    const separator = parts.length === 0 ? '' : one(separators.slice(0, 7));
    parts.push({ ...made, before: separator + label });
  }
  const isOpen = parts.filter(({ before }) => before.startsWith(' (')).length;
  return {
    locale,
    what: parts.map(({ what }) => what).join(' + '),
    write(item) {
      let words = '';
      for (const part of parts) {
        const own = part.write(item, locale);
        if (own === undefined || own === '') return undefined;
        words += part.before + own;
      }
      return words + ')'.repeat(isOpen);
    },
    isArabicPlural: locale === 'ar' && parts.some(({ what }) => what.startsWith('plural')),
  };
}
