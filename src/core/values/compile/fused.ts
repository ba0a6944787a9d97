import { type JsonRecord, ownValue } from '../../base';
import type { Checked } from '../check/checked';
import type { CompareOperator } from '../syntax/tree';
import { plainText, type Value } from '../value';
import type { Run, RunTest } from './scope';

/** A field compared with something fixed, which most conditions are, as one closure. */
export function fieldTest({
  operator,
  as,
  left,
  right,
}: Checked & { kind: 'compare' }): RunTest | undefined {
  if (left.kind !== 'field' || right.kind !== 'literal') return undefined;
  const { name } = left;
  const { value: fixed } = right;
  if (name in Object.prototype) return undefined;
  if (as === 'number' && typeof fixed === 'number') return numberField(operator, name, fixed);
  return as === 'text' && typeof fixed === 'string' && left.type.type === 'text'
    ? textField(operator, name, fixed)
    : undefined;
}

/** Past the bounds of doubles there is no number; to subtract such from itself gives none. */
const isNumber = (value: unknown): value is number =>
  typeof value === 'number' && value - value === 0;

function numberField(operator: CompareOperator, name: string, fixed: number): RunTest {
  const holds = holder(operator, fixed);
  return (item) => {
    const value = item[name];
    return isNumber(value) ? holds(value) : undefined;
  };
}

/**
 * Steps of one number, `stock === 0 ? … : stock < 5 ? …`: the field is read once. Where there is no
 * number none of the tests holds.
 */
export function numberSteps(tests: readonly Checked[], values: readonly Value[]): Run | undefined {
  const steps = tests.map(numberStep);
  const [one, two] = steps;
  const [first, second, third] = values;
  if (one === undefined || two === undefined || steps.length !== 2) return undefined;
  if (one.name !== two.name || one.name in Object.prototype) return undefined;
  const { name } = one;
  const { holds } = one;
  const { holds: alsoHolds } = two;
  return (item) => {
    const value = item[name];
    if (!isNumber(value)) return third;
    return holds(value) ? first : alsoHolds(value) ? second : third;
  };
}

interface NumberStep {
  readonly name: string;
  readonly holds: (value: number) => boolean;
}

function numberStep(test: Checked): NumberStep | undefined {
  if (test.kind !== 'compare' || test.as !== 'number') return undefined;
  const { left, right, operator } = test;
  if (left.kind !== 'field' || right.kind !== 'literal' || typeof right.value !== 'number')
    return undefined;
  return { name: left.name, holds: holder(operator, right.value) };
}

function holder(operator: CompareOperator, fixed: number): (value: number) => boolean {
  switch (operator) {
    case '===':
      return (value) => value === fixed;
    case '!==':
      return (value) => value !== fixed;
    case '<':
      return (value) => value < fixed;
    case '<=':
      return (value) => value <= fixed;
    case '>':
      return (value) => value > fixed;
    case '>=':
      return (value) => value >= fixed;
  }
}

/** Numbers and booleans that stand where texts are known are read as texts; only texts are quick. */
function textField(operator: CompareOperator, name: string, fixed: string): RunTest | undefined {
  if (operator !== '===' && operator !== '!==') return undefined;
  const isWanted = operator === '===';
  return (item) => {
    const value = item[name];
    if (typeof value === 'string') return (value === fixed) === isWanted;
    const text = plainText(value ?? undefined);
    return text === undefined ? undefined : (text === fixed) === isWanted;
  };
}

/** A field that is true. */
export const booleanField = (name: string): RunTest =>
  name in Object.prototype
    ? (item: JsonRecord) => ownValue(item, name) === true
    : (item) => item[name] === true;
