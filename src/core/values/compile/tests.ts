import type { Checked, CompareAs } from '../check/checked';
import { instantOf } from '../functions/instant';
import type { CompareOperator } from '../syntax/tree';
import type { Value } from '../value';
import { booleanField, fieldTest } from './fused';
import type { Closures, Run, RunTest } from './scope';

/** A condition: true, or not. */
export function test(checked: Checked, make: Closures): RunTest {
  switch (checked.kind) {
    case 'isMissing': {
      const of = make.run(checked.of);
      const isWanted = !checked.isNegated;
      return (item, scope) => (of(item, scope) === undefined) === isWanted;
    }
    case 'not': {
      const of = make.test(checked.of);
      return (item, scope) => !of(item, scope);
    }
    case 'logical': {
      const left = make.test(checked.left);
      const right = make.test(checked.right);
      if (checked.operator === '&&')
        return (item, scope) => left(item, scope) && right(item, scope);
      if (checked.operator === '||')
        return (item, scope) => left(item, scope) || right(item, scope);
      break;
    }
    case 'compare': {
      const fused = fieldTest(checked);
      if (fused !== undefined) return fused;
      if (checked.as === 'number') return numberTest(checked, make);
      break;
    }
    case 'field':
      if (checked.type.type === 'boolean') return booleanField(checked.name);
      break;
  }
  const whole = make.run(checked);
  return (item, scope) => whole(item, scope) === true;
}

type Comparison = Checked & { kind: 'compare' };

/** NaN, which stands for missing, is never less, equal or more; only "not equal" must ask. */
function numberTest({ operator, left, right }: Comparison, make: Closures): RunTest {
  const a = make.number(left);
  const b = make.number(right);
  switch (operator) {
    case '===':
      return (item, scope) => a(item, scope) === b(item, scope);
    case '!==':
      return (item, scope) => {
        const [one, other] = [a(item, scope), b(item, scope)];
        return one < other || one > other;
      };
    case '<':
      return (item, scope) => a(item, scope) < b(item, scope);
    case '<=':
      return (item, scope) => a(item, scope) <= b(item, scope);
    case '>':
      return (item, scope) => a(item, scope) > b(item, scope);
    case '>=':
      return (item, scope) => a(item, scope) >= b(item, scope);
  }
}

/** A comparison as a value: missing where one side is. */
export function comparison(checked: Comparison, make: Closures): Run {
  const { operator, as, left, right } = checked;
  const fused = fieldTest(checked);
  if (fused !== undefined) return fused;
  if (as === 'number') {
    const a = make.number(left);
    const b = make.number(right);
    return (item, scope) => compareNumbers(operator, a(item, scope), b(item, scope));
  }
  const a = make.run(left);
  const b = make.run(right);
  return (item, scope) => compareValues(operator, as, a(item, scope), b(item, scope));
}

function compareNumbers(operator: CompareOperator, a: number, b: number): boolean | undefined {
  return Number.isNaN(a) || Number.isNaN(b) ? undefined : compared(operator, a, b);
}

/** Undefined where one is missing, or where the two turn out not to be of one kind. */
export function compareValues(
  operator: CompareOperator,
  as: CompareAs,
  a: Value,
  b: Value,
): boolean | undefined {
  if (as === 'date' && typeof a === 'string' && typeof b === 'string')
    return compareNumbers(operator, instantOf(a), instantOf(b));
  if (typeof a === 'number' && typeof b === 'number') return compareNumbers(operator, a, b);
  if (typeof a === 'string' && typeof b === 'string') return compared(operator, a, b);
  if (typeof a === 'boolean' && typeof b === 'boolean') return compared(operator, a, b);
  return undefined;
}

export function compared<T extends string | number | boolean>(
  operator: CompareOperator,
  a: T,
  b: T,
): boolean {
  switch (operator) {
    case '===':
      return a === b;
    case '!==':
      return a !== b;
    case '<':
      return a < b;
    case '<=':
      return a <= b;
    case '>':
      return a > b;
    case '>=':
      return a >= b;
  }
}
