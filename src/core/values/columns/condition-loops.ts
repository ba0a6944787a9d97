import { isTrue } from './columns';

/**
 * The loops over conditions. Each stands alone, not in a closure a node: so the engine makes its code
 * once for all nodes. They have no branches: conditions come in no order that could be foreseen.
 */
export type Loop = (a: Uint8Array, b: Uint8Array, out: Uint8Array) => void;

/** Four conditions at once. */
const inFours = (block: Uint8Array): Uint32Array =>
  new Uint32Array(block.buffer, block.byteOffset, block.length / 4);

/** `a` where it holds, else `b`. */
export function select(holds: Uint8Array, a: Uint8Array, b: Uint8Array, out: Uint8Array): void {
  const [four, fourA, fourB, made] = [inFours(holds), inFours(a), inFours(b), inFours(out)];
  for (let i = 0; i < made.length; i += 1) {
    const other = fourB[i] ?? 0;
    // All ones in the bytes where it is true: there, what differs from the other is turned.
    const mask = Math.imul((four[i] ?? 0) & 0x01_01_01_01, 0xff);
    made[i] = other ^ ((other ^ (fourA[i] ?? 0)) & mask);
  }
}

export const and: Loop = (a, b, out) => select(a, b, a, out);
export const or: Loop = (a, b, out) => select(a, a, b, out);

/** The other where the first is missing. */
export const orElse: Loop = (a, b, out) => {
  missingConditions(a, out);
  select(out, b, a, out);
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

/** `results`: first for what has no text, then by code. */
export function ofTable(codes: Int32Array, results: Uint8Array, out: Uint8Array): void {
  for (let i = 0; i < out.length; i += 1) out[i] = results[(codes[i] ?? -1) + 1] ?? 0;
}
