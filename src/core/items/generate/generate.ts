import { isRecord, type Json, ownValue, type Random, seededRandom } from '../../base';
import type { Item } from '../item';
import { profileOf, type RecordProfile, type ValueProfile } from './profile';
import { makeByRule, type Rule } from './rules';

export interface GeneratorTask {
  readonly seed: number;
  /** Fields that must tell items apart. */
  readonly key: readonly string[];
  /** The field that tells types apart: what is made follows the items of one type at a time. */
  readonly discriminator: string | null;
  /** The rules that fields have in the place of the evidence. */
  readonly rules: Readonly<Record<string, Rule>>;
}

/** Makes the next item; the same seed and items give the same ones. */
export type Generator = () => Item;

/** Items like those that are there: as full, as long, as large, with the same frequent values. */
export function itemGenerator(like: readonly Item[], task: GeneratorTask): Generator {
  const random = seededRandom(task.seed);
  const groups = grouped(like, task.discriminator).map(({ items, share }) => ({
    profile: profileOf(items),
    share,
  }));
  let made = 0;
  return () => {
    made += 1;
    const item = recordLike(pick(groups, random).profile, random);
    return withRules(withKey(item, task.key, made), task.rules, random, made);
  };
}

function grouped(items: readonly Item[], discriminator: string | null) {
  const groups = new Map<Json | undefined, Item[]>();
  for (const item of items) {
    const value = discriminator === null ? undefined : ownValue(item, discriminator);
    const own = groups.get(value);
    if (own === undefined) groups.set(value, [item]);
    else own.push(item);
  }
  return [...groups.values()].map((own) => ({ items: own, share: own.length / items.length }));
}

function pick<T extends { readonly share: number }>(of: readonly T[], random: Random): T {
  let at = random();
  for (const each of of) {
    at -= each.share;
    if (at < 0) return each;
  }
  const last = of.at(-1);
  if (last === undefined) throw new RangeError('There is nothing to make items like.');
  return last;
}

function recordLike(profile: RecordProfile, random: Random): Item {
  const entries: [string, Json][] = [];
  for (const { name, value } of profile.fields) {
    if (random() < value.presentShare) entries.push([name, presentLike(value, random)]);
    else if (value.nullShare > 0) entries.push([name, null]);
  }
  return Object.fromEntries(entries);
}

function valueLike(profile: ValueProfile, random: Random): Json {
  if (profile.kinds.length === 0 || random() >= profile.presentShare) return null;
  return presentLike(profile, random);
}

function presentLike(profile: ValueProfile, random: Random): Json {
  switch (pick(profile.kinds, random).kind) {
    case 'record':
      return recordLike(profile.record, random);
    case 'list': {
      const length = between(profile.lengths, random);
      const { element } = profile;
      return element === undefined ? [] : Array.from({ length }, () => valueLike(element, random));
    }
    case 'boolean':
      return random() < profile.trueShare;
    case 'number':
      return profile.isRepeating ? one(profile.numbers, random) : numberLike(profile, random);
    case 'text':
      return profile.isRepeating || profile.words.length === 0
        ? one(profile.texts, random)
        : textLike(profile, random);
  }
}

function numberLike({ range, decimals }: ValueProfile, random: Random): number {
  const value = range.min + random() * (range.max - range.min);
  return Number(value.toFixed(decimals));
}

/** Dates stay dates, codes stay codes; sentences are put together from the words that were found. */
function textLike(profile: ValueProfile, random: Random): string {
  if (profile.isMasked)
    return one(profile.texts, random).replace(/\d(?=[^\d]*$)/, () => digit(random));
  const length = between(profile.lengths, random);
  let text = one(profile.words, random);
  while (text.length < length) text += ` ${one(profile.words, random)}`;
  return text;
}

const digit = (random: Random): string => String(Math.floor(random() * 10));

function between({ min, max }: { min: number; max: number }, random: Random): number {
  return min + Math.floor(random() * (max - min + 1));
}

function one<T>(of: readonly T[], random: Random): T {
  const found = of[Math.floor(random() * of.length)];
  if (found === undefined) throw new RangeError('There is nothing to choose from.');
  return found;
}

/** Keys keep their look and get a number of their own. */
function withKey(item: Item, key: readonly string[], made: number): Item {
  const [first] = key;
  if (first === undefined) return item;
  const value = ownValue(item, first);
  const own =
    typeof value === 'number'
      ? made
      : `${String(isRecord(value) ? '' : (value ?? '')).replace(/[\d]+.*$/, '')}${String(made).padStart(6, '0')}`;
  return withField(item, first, own);
}

function withRules(item: Item, rules: GeneratorTask['rules'], random: Random, made: number): Item {
  return Object.entries(rules).reduce(
    (each, [name, rule]) => withField(each, name, makeByRule(rule, random, made)),
    item,
  );
}

function withField(item: Item, name: string, value: Json): Item {
  const entries = Object.entries(item).filter(([each]) => each !== name);
  const at = Math.max(0, Object.keys(item).indexOf(name));
  entries.splice(at, 0, [name, value]);
  return Object.fromEntries(entries);
}
