import type { Finding, JsonRecord } from '../base';
import { isLocale, NoText } from '../formats';
import {
  type Checked,
  type Kind,
  kindOf,
  makeExpression,
  plainText,
  type RowContext,
  resultsOf,
  type Value,
  type ValueType,
} from '../values';
import { addressOf } from './address';
import { type BoundText, bindText, environmentToRun } from './bind-words';
import {
  type BindingScope,
  type CheckedBinding,
  checkWords,
  environmentToCheck,
  noExpression,
  standInOf,
} from './binding';
import { type Bound, isBound } from './bound';
import { bindingFindings } from './findings';
import type { EntryValue } from './parts/entry-value';
import { laidOut } from './parts/long-text';
import { isContent, maxPx, type Property } from './property';
import { isHexColour, knownName, type Tokens } from './tokens';

/** What feeds a property, made ready for items with some fields. */
export interface BoundValue extends Pick<BoundText, keyof CheckedBinding | 'write'> {
  value(item: JsonRecord, context?: RowContext): EntryValue;
  /** Why the value of an item is not what is drawn, where it is out of bounds or no such thing. */
  unfit(item: JsonRecord, context?: RowContext): string | undefined;
}

/** What is wrong with what feeds a property. */
export const checkSlot = (
  binding: string | Bound,
  declared: Property,
  scope: BindingScope,
): readonly Finding[] =>
  (isContent(declared)
    ? checkWords(binding, scope)
    : checkTyped(binding, declared, scope, environmentToCheck(scope))
  ).findings;

export function bindSlot(
  binding: string | Bound,
  declared: Property,
  scope: BindingScope,
): BoundValue {
  if (!isContent(declared)) return typed(binding, declared, scope);
  const bound = bindText(binding, scope, declared.kind === 'address' ? addressOf : undefined);
  if (declared.kind !== 'text') return { ...bound, value: bound.text, unfit: () => undefined };
  const value = (item: JsonRecord, context?: RowContext) => {
    const text = bound.text(item, context);
    return text === undefined ? undefined : laidOut(text);
  };
  return { ...bound, value, unfit: () => undefined };
}

function typed(binding: string | Bound, declared: Property, scope: BindingScope): BoundValue {
  const checked = checkTyped(binding, declared, scope, environmentToRun(scope));
  const words = wordsOf(declared, scope.tokens);
  const [evaluate, instead] = [checked.expression?.evaluate, checked.standIn?.evaluate];
  const given = (item: JsonRecord, context?: RowContext): Value =>
    evaluate?.(item, context) ?? instead?.(item, context);
  return {
    ...checked,
    value(item, context) {
      const { value } = fitted(given(item, context), declared, words);
      return value;
    },
    unfit: (item, context) => fitted(given(item, context), declared, words).unfit,
    write: (value) => plainText(value) ?? new NoText('it has no text'),
  };
}

function checkTyped(
  binding: string | Bound,
  declared: Property,
  { fields, tokens }: BindingScope,
  environment: Parameters<typeof makeExpression>[3],
): CheckedBinding {
  if (!isBound(binding)) return noExpression;
  const read = (expr: string) => makeExpression(expr, fields, 'any', environment);
  const expression = read(binding.expr);
  const standIn = standInOf(binding, read);
  const wrong = [expression, standIn].map((each) =>
    each?.checked === undefined
      ? []
      : wrongResults(each.checked, declared, wordsOf(declared, tokens)),
  );
  return {
    ...noExpression,
    expression,
    standIn,
    findings: [
      ...expression.findings,
      ...(wrong[0] ?? []),
      ...[...(standIn?.findings ?? []), ...(wrong[1] ?? [])].map(bindingFindings.standIn),
    ],
  };
}

/** Results that the property can't take: of another kind, or words that it does not know. */
function wrongResults(
  checked: Checked,
  declared: Property,
  words: readonly string[] | undefined,
): readonly Finding[] {
  const wanted = kindsWanted(declared);
  const kind = kindOf(checked.type);
  if (wanted === undefined) return [];
  if (kind !== 'mixed' && !wanted.some((each) => each === kind))
    return [bindingFindings.valueUnfit(declared.words, wanted[0], checked.type)];
  if (words === undefined) return [];
  return resultsOf(checked).flatMap((result) =>
    result.kind === 'literal' &&
    typeof result.value === 'string' &&
    !words.includes(result.value) &&
    !(declared.kind === 'colour' && isHexColour(result.value))
      ? [bindingFindings.wordUnknown(declared.words, result.value, words, result)]
      : [],
  );
}

type Wanted = Exclude<Kind, 'mixed'>;

/** What kinds of value a property takes, the usual one first; undefined: any. */
function kindsWanted(declared: Property): readonly [Wanted, ...Wanted[]] | undefined {
  if (declared.kind === 'condition') return ['boolean'];
  if (declared.kind === 'list') return ['list'];
  if (declared.kind === 'input') return wantedBy(declared.type);
  if (numbersOf(declared) === undefined) return ['text'];
  return wordsOf(declared, noTokens) === undefined ? ['number'] : ['number', 'text'];
}

function wantedBy(type: ValueType): readonly [Wanted, ...Wanted[]] | undefined {
  const kind = kindOf(type);
  if (kind === 'mixed') return undefined;
  return kind === 'text' ? ['text', 'date'] : [kind];
}

const noTokens: Tokens = { styles: [], colours: [], spacing: [] };

/** The names of what a property takes of the project; undefined: it takes nothing of it. */
export function namesOf(declared: Property, tokens: Tokens): readonly string[] | undefined {
  const names = (all: readonly { readonly name: string }[]) => all.map(({ name }) => name);
  switch (declared.kind) {
    case 'style':
      return names(tokens.styles);
    case 'colour':
      return names(tokens.colours);
    case 'padding':
      return names(tokens.spacing);
    case 'number':
      return declared.takesSteps ? names(tokens.spacing) : undefined;
    default:
      return undefined;
  }
}

/** Words that a property knows; undefined: it takes none, or any. */
function wordsOf(declared: Property, tokens: Tokens): readonly string[] | undefined {
  switch (declared.kind) {
    case 'word':
      return declared.among;
    case 'style':
    case 'colour':
      return namesOf(declared, tokens);
    case 'lines':
      return ['all'];
    case 'size':
      return declared.among.includes('fit') ? ['fit'] : undefined;
    default:
      return undefined;
  }
}

interface Numbers {
  readonly min: number;
  readonly max: number;
  readonly isWhole: boolean;
}

/** Numbers that a property takes, in px where it is a length; undefined: it takes none. */
function numbersOf(declared: Property): Numbers | undefined {
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

interface Fitted {
  readonly value: EntryValue;
  readonly unfit: string | undefined;
}

/** A value within what the property takes; what is missing is the default, and nothing is wrong. */
function fitted(given: Value, declared: Property, words: readonly string[] | undefined): Fitted {
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
function defaultOf(declared: Property, words: readonly string[] | undefined): EntryValue {
  const { kind, default: own } = declared;
  const isName = (kind === 'style' || kind === 'colour') && typeof own === 'string';
  return isName ? knownName(words ?? [], own) : plain(own);
}

/** A default as an entry brings it: a fixed size as its px. */
function plain(constant: Property['default']): EntryValue {
  if (typeof constant !== 'object') return constant;
  return 'fixed' in constant ? constant.fixed : undefined;
}
