import { isRecord } from '../../base';
import type { Checked } from '../check/checked';
import { power } from '../power';
import type { ArithmeticOperator } from '../syntax/tree';
import { loadNumber } from './load';
import type { Closures, RunNumber } from './scope';

/** A node of numbers as a closure of numbers: nothing is boxed, and NaN says that there is none. */
export function number(checked: Checked, make: Closures): RunNumber {
  switch (checked.kind) {
    case 'literal': {
      const { value } = checked;
      return typeof value === 'number' ? () => value : () => Number.NaN;
    }
    case 'field':
      return loadNumber(checked.name);
    case 'member': {
      const of = make.run(checked.of);
      const step = loadNumber(checked.name);
      return (item, scope) => {
        const record = of(item, scope);
        return isRecord(record) ? step(record) : Number.NaN;
      };
    }
    case 'negate': {
      const of = make.number(checked.of);
      return (item, scope) => -of(item, scope);
    }
    case 'arithmetic':
      return arithmetic(
        checked.operator,
        make.number(checked.left),
        make.number(checked.right),
        checked,
      );
    default: {
      const whole = make.run(checked);
      return (item, scope) => {
        const value = whole(item, scope);
        return typeof value === 'number' ? value : Number.NaN;
      };
    }
  }
}

/** Past the bounds of doubles there is no number. */
const finite = (value: number): number => (Number.isFinite(value) ? value : Number.NaN);

function arithmetic(
  operator: ArithmeticOperator,
  left: RunNumber,
  right: RunNumber,
  node: Checked & { kind: 'arithmetic' },
): RunNumber {
  const fixed = node.right.kind === 'literal' ? node.right.value : undefined;
  if (typeof fixed === 'number') return withFixed(operator, left, fixed);
  switch (operator) {
    case '+':
      return (item, scope) => finite(left(item, scope) + right(item, scope));
    case '-':
      return (item, scope) => finite(left(item, scope) - right(item, scope));
    case '*':
      return (item, scope) => finite(left(item, scope) * right(item, scope));
    case '/':
      return (item, scope) => finite(left(item, scope) / right(item, scope));
    case '%':
      return (item, scope) => left(item, scope) % right(item, scope);
    case '**':
      return (item, scope) => {
        const base = left(item, scope);
        const exponent = right(item, scope);
        // ECMA-262 gives 1 for anything to the power of 0, also where there is no base.
        return Number.isNaN(base) ? base : finite(power(base, exponent));
      };
  }
}

function withFixed(operator: ArithmeticOperator, left: RunNumber, fixed: number): RunNumber {
  switch (operator) {
    case '+':
      return (item, scope) => finite(left(item, scope) + fixed);
    case '-':
      return (item, scope) => finite(left(item, scope) - fixed);
    case '*':
      return (item, scope) => finite(left(item, scope) * fixed);
    case '/':
      return (item, scope) => finite(left(item, scope) / fixed);
    case '%':
      return (item, scope) => left(item, scope) % fixed;
    case '**':
      return (item, scope) => {
        const base = left(item, scope);
        return Number.isNaN(base) ? base : finite(power(base, fixed));
      };
  }
}
