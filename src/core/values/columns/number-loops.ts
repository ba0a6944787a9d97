import { power } from '../power';
import type { ArithmeticOperator, CompareOperator } from '../syntax/tree';
import { isTrue } from './columns';

/** The loops over numbers, each alone like those over conditions; NaN stands for a missing one. */
export type NumberLoop = (a: Float64Array, b: Float64Array, out: Float64Array) => void;
export type CompareLoop = (a: Float64Array, b: Float64Array, out: Uint8Array) => void;

export function select(
  holds: Uint8Array,
  a: Float64Array,
  b: Float64Array,
  out: Float64Array,
): void {
  for (let i = 0; i < out.length; i += 1) out[i] = (holds[i] === isTrue ? a[i] : b[i]) ?? 0;
}

export function negate(a: Float64Array, out: Float64Array): void {
  for (let i = 0; i < out.length; i += 1) out[i] = -(a[i] ?? 0);
}

export const orElse: NumberLoop = (a, b, out) => {
  for (let i = 0; i < out.length; i += 1) {
    const value = a[i] ?? 0;
    out[i] = Number.isNaN(value) ? (b[i] ?? 0) : value;
  }
};

/** Past the bounds of doubles there is no number: infinity less itself is NaN. Keeps -0. */
const finite = (value: number): number => value - (value - value);

export const arithmetic: Readonly<Record<ArithmeticOperator, NumberLoop>> = {
  '+': (a, b, out) => {
    for (let i = 0; i < out.length; i += 1) out[i] = finite((a[i] ?? 0) + (b[i] ?? 0));
  },
  '-': (a, b, out) => {
    for (let i = 0; i < out.length; i += 1) out[i] = finite((a[i] ?? 0) - (b[i] ?? 0));
  },
  '*': (a, b, out) => {
    for (let i = 0; i < out.length; i += 1) out[i] = finite((a[i] ?? 0) * (b[i] ?? 0));
  },
  '/': (a, b, out) => {
    for (let i = 0; i < out.length; i += 1) out[i] = finite((a[i] ?? 0) / (b[i] ?? 0));
  },
  '%': (a, b, out) => {
    for (let i = 0; i < out.length; i += 1) out[i] = (a[i] ?? 0) % (b[i] ?? 0);
  },
  '**': (a, b, out) => {
    for (let i = 0; i < out.length; i += 1) {
      const base = a[i] ?? 0;
      // ECMA-262 gives 1 for anything to the power of 0, also where there is no base.
      out[i] = Number.isNaN(base) ? base : finite(power(base, b[i] ?? 0));
    }
  },
};

/** Where one of two numbers is missing, their difference is NaN, and no comparison but `!==` holds. */
const flag = (holds: boolean, difference: number): number =>
  Number(holds) | (Number(Number.isNaN(difference)) << 1);

const isSame: CompareLoop = (a, b, out) => {
  for (let i = 0; i < out.length; i += 1) {
    const one = a[i] ?? 0;
    const other = b[i] ?? 0;
    out[i] = flag(one === other, one - other);
  }
};

const isOther: CompareLoop = (a, b, out) => {
  for (let i = 0; i < out.length; i += 1) {
    const one = a[i] ?? 0;
    const other = b[i] ?? 0;
    out[i] = flag(one < other || one > other, one - other);
  }
};

const isLess: CompareLoop = (a, b, out) => {
  for (let i = 0; i < out.length; i += 1) {
    const one = a[i] ?? 0;
    const other = b[i] ?? 0;
    out[i] = flag(one < other, one - other);
  }
};

const isAtMost: CompareLoop = (a, b, out) => {
  for (let i = 0; i < out.length; i += 1) {
    const one = a[i] ?? 0;
    const other = b[i] ?? 0;
    out[i] = flag(one <= other, one - other);
  }
};

export const compareNumbers: Readonly<Record<CompareOperator, CompareLoop>> = {
  '===': isSame,
  '!==': isOther,
  '<': isLess,
  '<=': isAtMost,
  '>': (a, b, out) => isLess(b, a, out),
  '>=': (a, b, out) => isAtMost(b, a, out),
};
