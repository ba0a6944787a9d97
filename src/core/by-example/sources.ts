import { isRecord, type JsonRecord, ownValue } from '../base';
import {
  type Field,
  isShowable,
  kindOf,
  makeExpression,
  pathText,
  type ResultType,
  type RowContext,
  type Value,
  type ValueType,
} from '../values';

/** Something that a hole can show: an expression over the item, with how likely it is meant. */
export interface Source {
  readonly expr: string;
  readonly type: ResultType;
  /** The less likely, the higher. */
  readonly cost: number;
  /** Parts of the names that it reads, in lower case. */
  readonly names: readonly string[];
  /** Read as it is, not made of several values. */
  readonly isPath: boolean;
  /** One number as a part of another: only percents are meant by it. */
  readonly isShare: boolean;
  /** How many sixties a number is, or what is left of them: hours and minutes. */
  readonly isOfSixty: boolean;
  evaluate(item: JsonRecord, context?: RowContext): Value;
}

const maxSources = 1_400;
const deepest = 4;

/** How much each way to a value costs. */
const costs = {
  step: 0.3,
  length: 1.6,
  sum: 2.2,
  product: 2.6,
  average: 2.6,
  extreme: 2.8,
  counted: 3.4,
  first: 2.2,
  last: 2.6,
  joined: 1.2,
  arithmetic: 4.2,
  initials: 0.6,
  joinedNumbers: 2.4,
  remainder: 2.4,
  sixties: 1.7,
} as const;

/** All that a hole could show of an item type, from some of its items. */
export function sourcesOf(
  fields: readonly Field[],
  samples: readonly JsonRecord[],
): readonly Source[] {
  const drafts = [...pathsIn(fields, [], samples)];
  const numbers = drafts
    .filter((draft) => draft.isNumber && draft.isPath)
    .map((draft) => ({ ...draft, isMoney: isMoney(draft, samples, fields) }));
  const all = [...drafts, ...numbers.flatMap(partsOfNumber), ...pairs(numbers)];
  return all
    .slice(0, maxSources)
    .flatMap(({ expr, cost, names, isPath, isShare = false, isOfSixty = false }): Source[] => {
      const { checked, evaluate } = makeExpression(expr, fields);
      if (checked === undefined || evaluate === undefined) return [];
      return [{ expr, cost, names, isPath, isShare, isOfSixty, type: checked.type, evaluate }];
    });
}

interface Draft {
  readonly expr: string;
  readonly cost: number;
  readonly names: readonly string[];
  readonly isNumber: boolean;
  readonly isPath: boolean;
  readonly isWhole: boolean;
  readonly isShare?: true;
  readonly isOfSixty?: true;
}

type NumberDraft = Draft & { readonly isMoney: boolean };

const moneyName =
  /price|cost|amount|total|fee|fare|paid|balance|money|net|gross|deposit|tax|vat|tip/;
const maxLooked = 40;

/** Tells money by its name, or since all its values are of cents. */
function isMoney(
  { expr, names, isWhole }: Draft,
  samples: readonly JsonRecord[],
  fields: readonly Field[],
): boolean {
  if (names.some((name) => moneyName.test(name))) return true;
  const { evaluate } = makeExpression(expr, fields);
  if (isWhole || evaluate === undefined) return false;
  const values = samples.slice(0, maxLooked).flatMap((item) => {
    const value = evaluate(item);
    return typeof value === 'number' ? [Math.abs(value)] : [];
  });
  const areCents = values.every((value) => Number(value.toFixed(2)) === value);
  return areCents && values.some((value) => Number(value.toFixed(1)) !== value && value > 1);
}

function* pathsIn(
  fields: readonly Field[],
  before: readonly string[],
  samples: readonly JsonRecord[],
): Generator<Draft, void> {
  yield* initials(fields, before);
  for (const field of fields) {
    const path = [...before, field.name];
    const expr = pathText(path);
    const names = [...before.slice(-1), field.name].flatMap(partsOfName);
    const cost = before.length * costs.step;
    if (field.type === 'record') {
      if (before.length < deepest) yield* pathsIn(field.fields, path, samples);
    } else if (field.type === 'list') {
      const own = before.length === 0 ? field.name : '';
      yield* fromList({ list: expr, own, names, cost }, field.of, samples);
    } else {
      const isNumber = kindOf(field) === 'number';
      const isWhole = field.type === 'integer';
      yield { expr, cost, names, isNumber, isPath: true, isWhole };
    }
  }
}

const givenName = /^(?:first|given|fore)/;
const familyName = /^(?:last|family|sur)/;

/** The initials of a person whose names are two fields. */
function* initials(fields: readonly Field[], before: readonly string[]): Generator<Draft, void> {
  const named = (is: RegExp) =>
    fields.find(({ name, type }) => type === 'text' && is.test(name.toLowerCase()));
  const [given, family] = [named(givenName), named(familyName)];
  if (given === undefined || family === undefined) return;
  const first = ({ name }: Field) => `\${${pathText([...before, name])}.slice(0, 1)}`;
  yield {
    expr: `\`${first(given)}${first(family)}\``,
    cost: before.length * costs.step + costs.initials,
    names: [...partsOfName(given.name), ...partsOfName(family.name)],
    ...{ isNumber: false, isPath: false, isWhole: false },
  };
}

const sixtyName = /^(?:minutes?|mins?|seconds?|secs?|duration|runtime|time|length|lasts?)$/;

/** What one number gives: what is missing to a whole, and hours and minutes of minutes. */
function partsOfNumber({ expr, names, cost, isWhole, isMoney: isAmount }: NumberDraft): Draft[] {
  const made = { names, isNumber: true, isPath: false };
  if (isWhole && names.some((name) => sixtyName.test(name))) {
    const sixty = { ...made, cost: cost + costs.sixties, isWhole: true, isOfSixty: true } as const;
    return [
      { ...sixty, expr: `Math.floor(${expr} / 60)` },
      { ...sixty, expr: `${expr} % 60` },
    ];
  }
  if (isWhole || isAmount) return [];
  return [
    { ...made, expr: `1 - ${expr}`, cost: cost + costs.remainder, isWhole: false, isShare: true },
  ];
}

/** A list of an item: how it is read, and what reading it costs. */
interface ListSource {
  readonly list: string;
  /** Its name, where it stands in the item itself. */
  readonly own: string;
  readonly names: readonly string[];
  readonly cost: number;
}

function* fromList(
  { list, own, names, cost }: ListSource,
  of: ValueType,
  samples: readonly JsonRecord[],
): Generator<Draft, void> {
  const draft = (expr: string, more: number, isNumber: boolean, inner: readonly string[] = []) => ({
    expr,
    cost: cost + more,
    names: [...names, ...inner.flatMap(partsOfName)],
    isNumber,
    isPath: false,
    isWhole: false,
  });
  yield draft(`${list}.length`, costs.length, true);
  if (of.type !== 'record') {
    if (!isShowable(of)) return;
    yield draft(list, kindOf(of) === 'number' ? costs.joinedNumbers - 1 : costs.joined, false);
    yield draft(`${list}[0]`, costs.first, kindOf(of) === 'number');
    yield draft(`${list}.at(-1)`, costs.last, kindOf(of) === 'number');
    if (kindOf(of) === 'number') yield* aggregates(list, '', draft);
    return;
  }
  const inner = of.fields.filter(isShowable);
  const numbers = inner.filter((field) => kindOf(field) === 'number');
  for (const field of inner) {
    const step = pathText(['x', field.name]);
    const isNumber = kindOf(field) === 'number';
    yield draft(`${list}[0]${step.slice(1)}`, costs.first, isNumber, [field.name]);
    yield draft(`${list}.at(-1)${step.slice(1)}`, costs.last, isNumber, [field.name]);
    if (isNumber) yield* aggregates(list, step, draft, field.name);
    if (field.type !== 'boolean')
      yield draft(
        `${list}.map(x => ${step})`,
        isNumber ? costs.joinedNumbers : costs.joined + 0.4,
        false,
        [field.name],
      );
    if (kindOf(field) === 'date')
      for (const name of ['smallest', 'largest'])
        yield draft(`${name}(${list}, x => ${step})`, costs.extreme, false, [field.name]);
    yield* counts({ list, own }, field, samples, draft);
  }
  for (const [at, a] of numbers.entries())
    for (const b of numbers.slice(at + 1)) {
      const product = `${pathText(['x', a.name])} * ${pathText(['x', b.name])}`;
      yield draft(`sum(${list}, x => ${product})`, costs.product, true, [a.name, b.name]);
    }
}

type Drafting = (expr: string, more: number, isNumber: boolean, inner?: readonly string[]) => Draft;

function* aggregates(list: string, step: string, draft: Drafting, name?: string) {
  const given = step === '' ? '' : `, x => ${step}`;
  const inner = name === undefined ? [] : [name];
  yield draft(`sum(${list}${given})`, costs.sum, true, inner);
  yield draft(`average(${list}${given})`, costs.average, true, inner);
  yield draft(`smallest(${list}${given})`, costs.extreme, true, inner);
  yield draft(`largest(${list}${given})`, costs.extreme, true, inner);
}

const maxValues = 6;

/** How many elements have a value that many have. */
function* counts(
  { list, own }: Pick<ListSource, 'list' | 'own'>,
  field: Field,
  samples: readonly JsonRecord[],
  draft: Drafting,
): Generator<Draft, void> {
  const step = pathText(['x', field.name]);
  if (field.type === 'boolean') {
    yield draft(`${list}.filter(x => ${step}).length`, costs.counted, true, [field.name]);
    yield draft(`${list}.filter(x => !${step}).length`, costs.counted + 0.4, true, [field.name]);
    return;
  }
  if (own === '' || (field.type !== 'text' && field.type !== 'integer')) return;
  const seen = new Set<string | number>();
  for (const item of samples) {
    const elements = ownValue(item, own);
    if (!Array.isArray(elements)) continue;
    for (const element of elements) {
      const value = isRecord(element) ? ownValue(element, field.name) : undefined;
      if (typeof value === 'string' || typeof value === 'number') seen.add(value);
    }
    if (seen.size > maxValues) return;
  }
  for (const value of seen)
    yield draft(
      `${list}.filter(x => ${step} === ${JSON.stringify(value)}).length`,
      costs.counted,
      true,
      [field.name],
    );
}

/** Two numbers combined, of like kinds only: money with money, a count with money, whole with whole. */
function* pairs(numbers: readonly NumberDraft[]): Generator<Draft, void> {
  for (const [at, a] of numbers.entries())
    for (const b of numbers.slice(at + 1)) {
      const names = [...a.names, ...b.names];
      const cost = a.cost + b.cost + costs.arithmetic;
      const both = { names, cost, isNumber: true, isPath: false, isWhole: false };
      const isLike = a.isMoney ? b.isMoney : !b.isMoney && a.isWhole && b.isWhole;
      if (isLike) {
        yield { ...both, expr: `${a.expr} - ${b.expr}` };
        yield { ...both, expr: `${b.expr} - ${a.expr}` };
        yield { ...both, expr: `${a.expr} + ${b.expr}` };
        yield { ...both, expr: `${a.expr} / ${b.expr}`, isShare: true };
        yield { ...both, expr: `${b.expr} / ${a.expr}`, isShare: true };
      }
      const isProduct =
        a.isMoney === b.isMoney ? isLike && !a.isMoney : (a.isMoney ? b : a).isWhole;
      if (isProduct) yield { ...both, expr: `${a.expr} * ${b.expr}` };
    }
}

/** `reviewCount`: review, count. */
function partsOfName(name: string): string[] {
  return name
    .replace(/([a-z\d])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((part) => part.length > 1);
}
