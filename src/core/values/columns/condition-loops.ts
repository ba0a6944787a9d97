import { isTrue } from './columns';

/**
 * The loops over conditions. Each stands alone, not in a closure a node: so the engine makes its code
 * once for all nodes. They have no branches: conditions come in no order that could be foreseen.
 */
export type Loop = (a: Uint8Array, b: Uint8Array, out: Uint8Array) => void;

/** `a` where it holds, else `b`. */
export function select(holds: Uint8Array, a: Uint8Array, b: Uint8Array, out: Uint8Array): void {
  for (let i = 0; i < out.length; i += 1) {
    // All ones where it is true.
    const mask = -((holds[i] ?? 0) & isTrue);
    out[i] = ((a[i] ?? 0) & mask) | ((b[i] ?? 0) & ~mask);
  }
}

export const and: Loop = (a, b, out) => select(a, b, a, out);
export const or: Loop = (a, b, out) => select(a, a, b, out);

/** The other where the first is missing. */
export const orElse: Loop = (a, b, out) => {
  for (let i = 0; i < out.length; i += 1) {
    const value = a[i] ?? 0;
    const mask = -(value >> 1);
    out[i] = ((b[i] ?? 0) & mask) | (value & ~mask);
  }
};

/** What is missing does not hold. */
export function not(a: Uint8Array, out: Uint8Array): void {
  for (let i = 0; i < out.length; i += 1) out[i] = ((a[i] ?? 0) & isTrue) ^ isTrue;
}

export function missingConditions(a: Uint8Array, out: Uint8Array): void {
  for (let i = 0; i < out.length; i += 1) out[i] = (a[i] ?? 0) >> 1;
}

export function missingNumbers(a: Float64Array, out: Uint8Array): void {
  for (let i = 0; i < out.length; i += 1) out[i] = Number(Number.isNaN(a[i]));
}

export function missingTexts(codes: Int32Array, out: Uint8Array): void {
  for (let i = 0; i < out.length; i += 1) out[i] = (codes[i] ?? 0) >>> 31;
}

/** `results`: by code; the last for what has none. */
export function ofTable(codes: Int32Array, results: Uint8Array, out: Uint8Array): void {
  const none = results.length - 1;
  for (let i = 0; i < out.length; i += 1) {
    const code = codes[i] ?? 0;
    out[i] = results[code < 0 ? none : code] ?? 0;
  }
}
