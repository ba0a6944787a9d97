/**
 * Whether a double (IEEE 754) gives back every significant digit of a decimal number. Seventeen of them are what
 * programs write for a double; a longer fraction is only whole if it comes back the same.
 */
export function keepsDigits(token: string): boolean {
  if (token.length <= 18 && token.includes('.')) return true;
  const value = Number(token);
  if (!Number.isFinite(value)) return false;
  if (String(value) === token) return true;
  const digits = significantDigits(token);
  return digits.length <= 15 || digits === significantDigits(String(value));
}

function significantDigits(token: string): string {
  const mantissa = token.replace(/^-/, '').replace(/[eE].*$/, '');
  const digits = mantissa.replace('.', '').replace(/^0+/, '');
  return digits.replace(/0+$/, '');
}
