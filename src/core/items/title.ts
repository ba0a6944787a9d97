import { ownValue } from '../base';
import type { Field } from '../values';
import type { Item } from './item';

const sampleSize = 400;
const titleNames =
  /^(?:title|name|label|headline|subject|heading|display ?name|full ?name|caption)$/i;
const nearTitleNames = /(?:title|name|label|subject)/i;
const codeNames =
  /(?:^|[_ -])(?:id|uuid|key|url|href|image|picture|icon|code|sku|type|kind|date)$|[a-z](?:Id|Url|At|Code|Date)$/;

/** The field whose values most likely name an item: for the first label of a drafted template. */
export function likelyTitle(fields: readonly Field[], items: readonly Item[]): string | undefined {
  const sample = items.slice(0, sampleSize);
  let best: { readonly name: string; readonly score: number } | undefined;
  for (const [position, field] of fields.entries()) {
    const score = titleScore(field, sample) - position * 0.05;
    if (score > 0 && (best === undefined || score > best.score)) best = { name: field.name, score };
  }
  return (
    best?.name ?? fields.find((field) => field.type !== 'record' && field.type !== 'list')?.name
  );
}

function titleScore(field: Field, sample: readonly Item[]): number {
  if (field.type !== 'text') return 0;
  const texts = sample
    .map((item) => ownValue(item, field.name))
    .filter((value) => typeof value === 'string');
  if (texts.length === 0) return 0;
  const lengths = texts.reduce((sum, text) => sum + text.length, 0) / texts.length;
  const withSpaces = texts.filter((text) => text.includes(' ')).length / texts.length;
  const distinct = new Set(texts).size / texts.length;
  let score = 1 + withSpaces * 2 + distinct * 2 + (field.required ? 1 : 0);
  if (titleNames.test(field.name)) score += 8;
  else if (nearTitleNames.test(field.name)) score += 4;
  if (codeNames.test(field.name)) score -= 5;
  if (lengths > 80) score -= 3;
  if (texts.every((text) => /^(?:https?:|data:|[\d\s:.TZ+-]+$)/.test(text))) score -= 5;
  // Dates, amounts and codes have digits; names seldom do.
  else if (texts.filter((text) => /\d/.test(text)).length > texts.length / 2) score -= 2;
  return score;
}
