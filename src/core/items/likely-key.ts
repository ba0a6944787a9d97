import { type Finding, grouped, type Json, ownReader, ownValue } from '../base';
import { isThere } from './decoding/decode';
import { type Item, type Key, keyFields } from './item';
import { itemKeys, keyReader } from './key';
import type { ShapeStat } from './shape';

export interface KeyFound {
  /** Undefined: nothing tells the items apart, or what should does not by far. */
  readonly key: NonNullable<Key> | undefined;
  /** Whether it does tell all items apart. */
  readonly isUnique: boolean;
  readonly findings: readonly Finding[];
}

const idNames =
  /^(?:_?id|key|uuid|guid|sku|code|ref|isbn|ean|slug|symbol|handle|no|nr|number|.*[ _-](?:id|key|code|no|nr|number)|.*[a-z](?:I[dD]|Key|Code|No|Nr|Number))$/i;
/** What counts, weighs or prices something is another from one item to the next by chance only. */
const measureNames =
  /(?:^|[ _-])(?:population|people|amount|price|cost|fee|total|sum|count|quantity|value|area|size|weight|mass|grams|kilograms|kg|metres|meters|km|minutes|hours|days|stock|height|width|length|depth|distance|speed|score|rate|share|percent|age|lat|latitude|lon|lng|longitude|first ?name|last ?name|given ?name|family ?name|surname|description|summary|comment|note|url|image|picture)s?$|[a-z](?:Population|Amount|Price|Cost|Total|Count|Value|Area|Size|Weight|Height|Score|Rate|Url|Name)$/i;
const splitWords = (name: string) => name.replace(/([a-z])([A-Z])/g, '$1 $2');

/** Both ends of a link, or both measures of a place, tell it apart from others. */
const endNames = /^(?:source|target|from|to|origin|destination|parent|child)$/i;
const placeNames = [/^(?:lat|latitude)$/i, /^(?:lon|lng|long|longitude)$/i] as const;

const sampleSize = 400;
const maxParts = 8;
/** A key of which so few repeat is meant as one all the same, and what repeats is told. */
const fewRepeats = 0.02;

interface Candidate {
  readonly name: string;
  readonly score: number;
  readonly isNamed: boolean;
}

/**
 * What tells all items apart: by its name, by what its values are and by its place among the fields;
 * else two or three fields together. What is merely another in each item, a measure or a comment, is
 * no key.
 */
export function findKey(items: readonly Item[], whole: ShapeStat, source: string): KeyFound {
  const candidates = candidatesOf(items, whole);
  const likely = candidates.filter(({ score }) => score > 0);
  for (const { name } of likely.toSorted((one, other) => other.score - one.score))
    if (isDistinct(items, name)) return { key: name, isUnique: true, findings: [] };
  const meant = candidates.find(({ isNamed }) => isNamed)?.name;
  if (meant !== undefined && repeatCount(items, meant) <= Math.max(1, items.length * fewRepeats))
    return { key: meant, isUnique: false, findings: itemKeys(items, meant, source).findings };
  const together = fieldsTogether(items, candidates) ?? placeOnMap(items, whole);
  if (together !== undefined) return { key: together, isUnique: true, findings: [] };
  return { key: undefined, isUnique: false, findings: itemKeys(items, null, source).findings };
}

/** Why such a key was chosen, or would be, in words. */
export function keyReason(key: NonNullable<Key>, itemCount: number): string {
  const items = `${grouped(itemCount)} items`;
  const [first = '', ...others] = keyFields(key);
  if (others.length > 0) return `no field alone tells all ${items} apart, these together do`;
  return idNames.test(first)
    ? `called like a key, and another in each of ${items}`
    : `another in each of ${items}, and no measure or remark`;
}

function candidatesOf(items: readonly Item[], { fields, itemCount }: ShapeStat): Candidate[] {
  return fields.flatMap(({ name, stat }, place) => {
    const [kind, ...others] = stat.kinds();
    const isPossible =
      stat.presentCount === itemCount &&
      others.length === 0 &&
      (kind === 'text' || kind === 'integer');
    if (!isPossible) return [];
    const isAlone = fields.length === 1;
    const score = valueScore(sampleOf(items, name)) + (isAlone ? 0 : nameScore(name)) - place * 0.1;
    return score <= -9 ? [] : [{ name, score, isNamed: idNames.test(name) }];
  });
}

function sampleOf(items: readonly Item[], name: string): readonly NonNullable<Json>[] {
  const step = Math.max(1, Math.floor(items.length / sampleSize));
  const values: NonNullable<Json>[] = [];
  for (let at = 0; at < items.length; at += step) {
    const value = ownValue(items[at] ?? {}, name);
    if (isThere(value)) values.push(value);
  }
  return values;
}

function nameScore(name: string): number {
  if (idNames.test(name)) return 5;
  if (measureNames.test(splitWords(name))) return -6;
  return /name|title|label/i.test(name) ? 1 : 0;
}

/** −10: never a key. */
function valueScore(values: readonly NonNullable<Json>[]): number {
  const texts = values.map(String);
  if (texts.some((text) => /^[-+(]?\s*\d*[.,]\d+\)?\s*%?$/.test(text.trim()))) return -10;
  const areNumbers = texts.every((text) => /^[-+]?[\d.,' ]*\d$/.test(text.trim()));
  // Measures rise, too, where somebody has put the items in their order.
  if (areNumbers) return isRising(texts.map(Number)) ? 1 : -2;
  if (texts.every((text) => dateText.test(text.trim()))) return 2.5;
  const length = texts.reduce((sum, text) => sum + text.length, 0) / Math.max(1, texts.length);
  return length > 80 ? -10 : length > 40 ? -1 : 1.5;
}

/** Whether numbers are ever higher, as those of a register are. */
const isRising = (numbers: readonly number[]): boolean =>
  numbers.every((value, at) => at === 0 || value > (numbers[at - 1] ?? value));

const dateText = /^\d{4}-\d\d(?:-\d\d(?:[T ].*)?)?$/;

/** Two fields that tell all items apart together, or three; earlier ones first. */
function fieldsTogether(
  items: readonly Item[],
  candidates: readonly Candidate[],
): readonly string[] | undefined {
  const names = candidates
    .map(({ name }) => name)
    .filter((name) => isPartOfKey(items, name))
    .slice(0, maxParts);
  const pairs = names.flatMap((one, at) => names.slice(at + 1).map((other) => [one, other]));
  const triples = pairs.flatMap(([one = '', other = '']) =>
    names.slice(names.indexOf(other) + 1).map((third) => [one, other, third]),
  );
  return [...pairs, ...triples].find((fields) => areDistinct(items, fields));
}

function placeOnMap(items: readonly Item[], { fields }: ShapeStat): readonly string[] | undefined {
  const found = placeNames.flatMap((own) => fields.find(({ name }) => own.test(name))?.name ?? []);
  return found.length === placeNames.length && areDistinct(items, found) ? found : undefined;
}

/** Whether a field groups items: by words, by years, by few numbers. Others are alone by chance. */
function isPartOfKey(items: readonly Item[], name: string): boolean {
  const values = sampleOf(items, name);
  const count = new Set(values).size;
  if (count < 2) return false;
  const texts = values.map((value) => String(value).trim());
  if (texts.every((text) => /^(?:1[0-9]|20)\d\d$/.test(text))) return true;
  const isFew = count <= values.length / 10;
  if (texts.every((text) => /^[-+]?[\d.,]+$/.test(text)))
    return isFew || idNames.test(name) || endNames.test(name);
  return isFew || !measureNames.test(splitWords(name));
}

function areDistinct(items: readonly Item[], fields: readonly string[]): boolean {
  const read = keyReader(fields);
  const seen = new Set<string>();
  for (const item of items) {
    const key = read(item);
    if (key === undefined || seen.has(key)) return false;
    seen.add(key);
  }
  return items.length > 1;
}

function repeatCount(items: readonly Item[], name: string): number {
  const read = ownReader(name);
  return items.length - new Set(items.map((item) => read(item))).size;
}

/** Whether no two items share a value of a field. */
function isDistinct(items: readonly Item[], field: string): boolean {
  const values = new Set<Json | undefined>();
  const read = ownReader(field);
  for (let index = 0; index < items.length; index += 1) {
    const value = read(items[index] ?? {});
    values.add(value);
    if (values.size <= index || value === '') return false;
  }
  return true;
}
