import { isLocale } from '../../formats';
import { plainText, type Value } from '../../values';
import type { EntryValue } from '../parts/entry-value';
import { maxPx, type Property, type PropertyKind } from '../property';
import { isHexColour, knownName } from '../tokens';

/** What a value is to fit: what the property takes, and what it is without one. */
export type FitTo = PropertyKind & Pick<Property, 'default'>;

interface Numbers {
  readonly min: number;
  readonly max: number;
  readonly isWhole: boolean;
}

/** Numbers that a property takes, in px where it is a length; undefined: it takes none. */
export function numbersOf(declared: PropertyKind): Numbers | undefined {
  switch (declared.kind) {
    case 'number':
      return { min: declared.min, max: declared.max, isWhole: false };
    case 'lines':
      return { min: 1, max: declared.max, isWhole: true };
    case 'size':
      return { min: 0, max: maxPx, isWhole: false };
    default:
      return undefined;
  }
}

export interface Fitted {
  readonly value: EntryValue;
  readonly unfit: string | undefined;
}

/** A value within what the property takes; what is missing is the default, and nothing is wrong. */
export function fitted(
  given: Value,
  declared: FitTo,
  words: readonly string[] | undefined,
): Fitted {
  const otherwise = defaultOf(declared, words);
  if (given === undefined) return { value: otherwise, unfit: undefined };
  // It is drawn by the parts that read it.
  if (declared.kind === 'input') return { value: inputInWords(given), unfit: undefined };
  // What is drawn for it are its elements.
  if (declared.kind === 'list')
    return Array.isArray(given)
      ? { value: given.length, unfit: undefined }
      : { value: otherwise, unfit: 'it is no list' };
  if (declared.kind === 'condition')
    return typeof given === 'boolean'
      ? { value: given, unfit: undefined }
      : { value: otherwise, unfit: 'it is neither true nor false' };
  if (declared.kind === 'language')
    return typeof given === 'string' && isLocale(given)
      ? { value: given, unfit: undefined }
      : { value: otherwise, unfit: 'it names no language, such as en or de-AT' };
  const numbers = numbersOf(declared);
  if (declared.kind === 'colour' && isHexColour(given)) return { value: given, unfit: undefined };
  if (typeof given === 'string' && (words?.includes(given) ?? numbers === undefined))
    return { value: given, unfit: undefined };
  if (numbers === undefined)
    return { value: otherwise, unfit: `it is none of ${words?.join(', ') ?? 'its words'}` };
  return fittedNumber(given, numbers, otherwise);
}

const inputInWords = (given: Value): EntryValue =>
  plainText(given) ?? (Array.isArray(given) ? given.length : true);

function fittedNumber(given: Value, { min, max, isWhole }: Numbers, otherwise: EntryValue): Fitted {
  if (typeof given !== 'number' || Number.isNaN(given))
    return { value: otherwise, unfit: 'it is no number' };
  const within = Math.max(min, Math.min(given, max));
  const value = isWhole ? Math.floor(within) : within;
  if (value === given) return { value, unfit: undefined };
  return {
    value,
    unfit: value === within ? `it is not within ${min} and ${max}` : 'it is no whole number',
  };
}

/** What is drawn where there is no value; of names, one that the project has. */
function defaultOf(declared: FitTo, words: readonly string[] | undefined): EntryValue {
  const { kind, default: own } = declared;
  const isName = (kind === 'style' || kind === 'colour') && typeof own === 'string';
  return isName ? knownName(words ?? [], own) : plain(own);
}

/** A default as an entry brings it: a fixed size as its px. */
function plain(constant: Property['default']): EntryValue {
  if (typeof constant !== 'object') return constant;
  return 'fixed' in constant ? constant.fixed : undefined;
}
