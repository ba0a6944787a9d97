import { typeInWords, type ValueType } from './type';

/** What an expression yields: one type, or either of several plain ones (`price ?? "on request"`). */
export type ResultType = ValueType | { readonly type: 'either'; readonly of: readonly ValueType[] };

/** What can be done with values of a type: the kinds that operators and functions know. */
export type Kind = 'text' | 'number' | 'boolean' | 'date' | 'record' | 'list' | 'mixed';

export function kindOf(type: ResultType): Kind {
  switch (type.type) {
    case 'number':
    case 'integer':
      return 'number';
    case 'date':
    case 'datetime':
      return 'date';
    case 'boolean':
    case 'record':
    case 'list':
      return type.type;
    case 'unknown':
      return 'mixed';
    case 'either': {
      const kinds = new Set(type.of.map(kindOf));
      const [only] = kinds;
      return kinds.size === 1 && only !== undefined ? only : 'mixed';
    }
    default:
      return 'text';
  }
}

/** Texts and whatever is kept as a text: dates, colours, links. */
export const isTextual = (kind: Kind): boolean => kind === 'text' || kind === 'date';

export const typeOfResult = (type: ResultType): string =>
  type.type === 'either' ? type.of.map(typeInWords).join(' or ') : typeInWords(type);

/** `a number`, `an image`, `text`. */
export function withArticle(type: ResultType): string {
  const words = typeOfResult(type);
  return words === 'text' || words === 'unknown'
    ? words
    : `${/^[aeiou]/.test(words) ? 'an' : 'a'} ${words}`;
}

/** The type of either of two values; nothing at all (`null`) takes the other's type. */
export function common(left: ResultType | undefined, right: ResultType | undefined): ResultType {
  if (left === undefined) return right ?? { type: 'unknown' };
  if (right === undefined) return left;
  const types = [left, right].flatMap((type) => (type.type === 'either' ? type.of : [type]));
  const names = new Set(types.map((type) => type.type));
  if (names.size === 1) return left;
  if (types.every((type) => kindOf(type) === 'number')) return { type: 'number' };
  return { type: 'either', of: types };
}

export const numberOf = (type: ResultType): ResultType =>
  type.type === 'integer' ? type : { type: 'number' };

/** The bare type: what else a field says of itself is not true of a value made of it. */
export function bare(type: ResultType): ResultType {
  if (type.type === 'either') return type;
  if (type.type === 'record') return { type: 'record', fields: type.fields };
  return type.type === 'list' ? { type: 'list', of: type.of } : { type: type.type };
}

export function listOf(type: ResultType | undefined): ResultType {
  const of = type === undefined ? undefined : bare(type);
  if (of === undefined || of.type === 'either') return { type: 'list', of: { type: 'unknown' } };
  return { type: 'list', of };
}
