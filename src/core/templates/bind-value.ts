import type { Finding, JsonRecord } from '../base';
import {
  type Checked,
  type Kind,
  kindOf,
  makeExpression,
  type RowContext,
  resultsOf,
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
import { isContent, type Property } from './property';
import { fitted, numbersOf } from './running/fitted';
import { givenBy, laidWords, typedValue } from './running/slot-value';
import { writePlain } from './running/words';
import { isHexColour, type Tokens } from './tokens';

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
  const value = declared.kind === 'text' ? laidWords(bound.text) : bound.text;
  return { ...bound, value, unfit: () => undefined };
}

function typed(binding: string | Bound, declared: Property, scope: BindingScope): BoundValue {
  const checked = checkTyped(binding, declared, scope, environmentToRun(scope));
  const words = wordsOf(declared, scope.tokens);
  const given = givenBy(checked.expression?.evaluate, checked.standIn?.evaluate);
  return {
    ...checked,
    value: typedValue(given, declared, words),
    unfit: (item, context) => fitted(given(item, context), declared, words).unfit,
    write: writePlain,
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
export function wordsOf(declared: Property, tokens: Tokens): readonly string[] | undefined {
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
