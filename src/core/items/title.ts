import { isRecord, type Json, ownValue } from '../base';
import type { Field } from '../values';
import type { Item } from './item';

const sampleSize = 400;
const titleNames =
  /^(?:title|name|label|headline|subject|heading|display ?name|full ?name|caption)$/i;
const nearTitleNames = /(?:title|name|label|subject)/i;
/** What is often called by its own kind. */
const kindNames =
  /^(?:country|city|town|place|state|person|company|product|item|player|team|artist|author)$/i;
const codeNames =
  /(?:^|[_ -])(?:id|uuid|url|href|image|picture|icon|code|sku|type|kind|date)$|[a-z](?:Id|Url|At|Code|Date)$/;
const remarkNames = /comment|remark|description|summary|note|abstract|body/i;
/** So many items of which all say the same show that it names none of them. */
const enoughToTell = 3;

/**
 * Path of the field whose values most likely name an item, also inside a record: for the first label
 * of a drafted template. Undefined: there is no plain field.
 */
export function likelyTitle(
  fields: readonly Field[],
  items: readonly Item[],
): readonly string[] | undefined {
  const sample = items.slice(0, sampleSize);
  let best: { readonly path: readonly string[]; readonly score: number } | undefined;
  for (const [position, candidate] of candidatesIn(fields, sample).entries()) {
    const score = titleScore(candidate, sample.length) - position * 0.05;
    if (score > 0 && (best === undefined || score > best.score))
      best = { path: candidate.path, score };
  }
  const plain = fields.find((field) => field.type !== 'record' && field.type !== 'list');
  return best?.path ?? (plain && [plain.name]);
}

interface Candidate {
  readonly path: readonly string[];
  readonly field: Field;
  readonly values: readonly (Json | undefined)[];
}

function candidatesIn(fields: readonly Field[], sample: readonly Item[]): readonly Candidate[] {
  return fields.flatMap((field): readonly Candidate[] => {
    const values = sample.map((item) => ownValue(item, field.name));
    if (field.type !== 'record') return [{ path: [field.name], field, values }];
    return field.fields.map((inner) => ({
      path: [field.name, inner.name],
      field: inner,
      values: values.map((value) => (isRecord(value) ? ownValue(value, inner.name) : undefined)),
    }));
  });
}

function titleScore({ path, field, values }: Candidate, itemCount: number): number {
  if (field.type !== 'text') return 0;
  const texts = values.filter((value) => typeof value === 'string');
  if (texts.length === 0) return 0;
  const lengths = texts.reduce((sum, text) => sum + text.length, 0) / texts.length;
  const withSpaces = texts.filter((text) => text.includes(' ')).length / texts.length;
  const distinct = new Set(texts).size;
  if (distinct === 1 && texts.length >= enoughToTell) return 0;
  let score = 1 + withSpaces * 2 + (distinct / texts.length) * 3 + texts.length / itemCount;
  // A few words that come again and again sort the items.
  if (distinct < texts.length * 0.1) score -= 2;
  score += nameScore(path);
  if (lengths > 80) score -= 3;
  if (texts.every((text) => /^(?:https?:|data:|[\d\s:.TZ+-]+$)/.test(text))) score -= 5;
  // Dates, amounts and codes have digits; names seldom do.
  else if (texts.filter((text) => /\d/.test(text)).length > texts.length / 2) score -= 2;
  return score;
}

/** A name in several forms is a record of them: `name.common`. */
function nameScore(path: readonly string[]): number {
  const [first = '', inner] = path;
  const name = inner ?? first;
  const isWithinName = inner !== undefined && titleNames.test(first);
  let score = isWithinName ? 7 : inner === undefined ? 0 : -1;
  if (titleNames.test(name)) score += 8;
  else if (nearTitleNames.test(name)) score += 4;
  else if (kindNames.test(name)) score += 3;
  if (codeNames.test(name)) score -= 5;
  else if (/^_?key$/i.test(name)) score -= 3;
  if (remarkNames.test(name)) score -= 4;
  return score;
}
