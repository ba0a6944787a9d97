/**
 * `base ** exponent` with the same last bit everywhere: ECMA-262 leaves it to the engine, and engines
 * differ (`7 ** -2`). Whole exponents are multiplied in a fixed order, a half is the square root.
 */
export function power(base: number, exponent: number): number {
  if (exponent === 0.5) return base === 0 ? 0 : Math.sqrt(base);
  if (!Number.isInteger(exponent)) return base ** exponent;
  return exponent < 0 ? reciprocal(base, -exponent) : whole(base, exponent);
}

/** Multiplies from the lowest bit of the exponent up. */
function whole(base: number, exponent: number): number {
  let result = 1;
  let square = base;
  for (let rest = exponent; rest > 0; rest = Math.floor(rest / 2)) {
    if (rest % 2 === 1) result *= square;
    if (rest > 1) square *= square;
  }
  return result;
}

/** A power past the largest double may have a reciprocal that is still a number: it is taken in two steps. */
function reciprocal(base: number, exponent: number): number {
  const divisor = whole(base, exponent);
  if (Number.isFinite(divisor)) return 1 / divisor;
  const half = Math.floor(exponent / 2);
  return 1 / whole(base, half) / whole(base, exponent - half);
}
