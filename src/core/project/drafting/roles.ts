import { isRecord, type Json, ownValue } from '../../base';
import { type Item, likelyTitle } from '../../items';
import { likelyPart } from '../../templates';
import { type Field, isShowable } from '../../values';
import type { ItemType } from '../project';

/** A value that can be shown: a field, or one inside a record. */
export interface Candidate {
  readonly field: Field;
  readonly path: readonly string[];
  /** Those of the items that have one. */
  readonly values: readonly Json[];
  /** Whether some item has none. */
  readonly isMissing: boolean;
}

/** What shows what. */
export interface Roles {
  readonly title: Candidate | undefined;
  readonly picture: Candidate | undefined;
  readonly second: Candidate | undefined;
  readonly third: Candidate | undefined;
  readonly value: Candidate | undefined;
  readonly badge: Candidate | undefined;
}

const moneyNames = /price|cost|amount|total|fee|sum|value|salary|rate/i;
const codeNames = /^(?:id|uuid|key|code|sku)$|(?:_id|Id|url|Url)$/;
const countNames = /stock|count|quantity|qty|places|free|left|seats|number|size|pages/i;

/** What of a type's fields is shown as what; `apart`: those that tell items and types apart. */
export function rolesOf(
  { fields }: ItemType,
  items: readonly Item[],
  apart: readonly string[],
): Roles {
  const all = candidatesIn(fields, items).filter(({ path }) => !apart.includes(path.join('.')));
  const titlePath = JSON.stringify(likelyTitle(fields, items));
  const title = all.find(({ path }) => JSON.stringify(path) === titlePath);
  const taken = new Set<Candidate | undefined>([title]);
  const take = (found: Candidate | undefined) => {
    taken.add(found);
    return found;
  };
  const free = (wanted: (each: Candidate) => boolean) =>
    take(all.find((each) => !taken.has(each) && wanted(each)));
  const picture = free(isPicture);
  const value =
    free((each) => isNumber(each) && moneyNames.test(each.field.name)) ??
    free((each) => isNumber(each) && !codeNames.test(each.field.name) && !isSmallWhole(each)) ??
    free((each) => isNumber(each) && !codeNames.test(each.field.name));
  const badge =
    free((each) => isSmallWhole(each) && countNames.test(each.field.name)) ??
    free(isSmallWhole) ??
    free(isOneOfFew);
  const isWords = (each: Candidate) => isText(each) && !isOneOfFew(each) && !isDate(each);
  const second =
    free((each) => isWords(each) && isName(each)) ??
    free(isWords) ??
    free((each) => isText(each) && isName(each)) ??
    free(isDate) ??
    free(isText);
  const third = free(isDate) ?? free(isText);
  return { title, picture, second, third, value, badge };
}

function candidatesIn(
  fields: readonly Field[],
  items: readonly Json[],
  before: readonly string[] = [],
): readonly Candidate[] {
  return fields.flatMap((field): readonly Candidate[] => {
    const path = [...before, field.name];
    const own = items.map((item) => (isRecord(item) ? ownValue(item, field.name) : undefined));
    if (field.type === 'record' && before.length === 0)
      return candidatesIn(
        field.fields,
        own.map((each) => each ?? null),
        path,
      );
    if (!isShowable(field)) return [];
    const values = own.flatMap((each) =>
      each === undefined || each === null || each === '' ? [] : [each],
    );
    return values.length === 0
      ? []
      : [{ field, path, values, isMissing: values.length < items.length }];
  });
}

const isNumber = ({ field }: Candidate): boolean =>
  field.type === 'number' || field.type === 'integer';
/** Dates that nobody has decoded are texts. */
const isDate = ({ field, values }: Candidate): boolean =>
  field.type === 'date' ||
  field.type === 'datetime' ||
  (field.type === 'text' &&
    values.every((value) => typeof value === 'string' && /^\d{4}-\d\d-\d\d/.test(value)));
const isName = ({ field }: Candidate): boolean =>
  /name|title|maker|author|by|from|town|city|place/i.test(field.name);

const isPicture = ({ field, values }: Candidate): boolean => {
  const [sample] = values;
  return likelyPart(field, typeof sample === 'string' ? sample : undefined) === 'image';
};

const isText = (each: Candidate): boolean =>
  each.field.type === 'text' &&
  !isPicture(each) &&
  !codeNames.test(each.field.name) &&
  // What money is written in, not what one reads.
  !/currency/i.test(each.field.name);

const isSmallWhole = (each: Candidate): boolean =>
  isNumber(each) &&
  !codeNames.test(each.field.name) &&
  each.values.every(
    (value) => typeof value === 'number' && Number.isInteger(value) && value >= 0 && value < 1_000,
  );

/** A status, a kind: few short words that come again and again. */
const isOneOfFew = (each: Candidate): boolean => {
  const words = new Set(each.values);
  return (
    each.field.type === 'text' &&
    each.values.length > 4 &&
    words.size <= Math.min(8, each.values.length / 2) &&
    each.values.every((value) => typeof value === 'string' && value.length <= 16)
  );
};
