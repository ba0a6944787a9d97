import type { Json } from '../../base';
import { itemFindings } from '../findings';

// Written out, the engine skips through a text by the longer steps that a fixed length allows.
const manyDigits = new RegExp('[0-9.]'.repeat(16));
const largeExponent = /[0-9][eE]\+?[1-9][0-9][0-9]/;
const stringOrNumber = /"(?:[^"\\]|\\.)*"|-?\d[\d.eE+-]*/g;

/**
 * Parses JSON texts and keeps the digits of numbers that a double can't hold: they become texts.
 * Throws SyntaxError like JSON.parse.
 */
export class DigitKeeper {
  private keptCount = 0;
  private example = '';

  parse(text: string): Json {
    const mayHoldLong = manyDigits.test(text) || largeExponent.test(text);
    return JSON.parse(mayHoldLong ? this.quoteLongNumbers(text) : text);
  }

  findings(file: string) {
    return this.keptCount === 0 ? [] : [itemFindings.numberTooLong(file, this.keptCount, this.example)];
  }

  private quoteLongNumbers(text: string): string {
    return text.replace(stringOrNumber, (token) => {
      if (token.startsWith('"') || holds(token)) return token;
      if (!/^-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?$/.test(token)) return token;
      this.keptCount += 1;
      if (this.example === '') this.example = token.length > 30 ? `${token.slice(0, 30)}…` : token;
      return `"${token}"`;
    });
  }
}

/** Whether a double gives back every significant digit of the token. */
function holds(token: string): boolean {
  const value = Number(token);
  if (!Number.isFinite(value)) return false;
  const digits = significantDigits(token);
  return digits.length <= 15 || digits === significantDigits(String(value));
}

function significantDigits(token: string): string {
  const mantissa = token.replace(/^-/, '').replace(/[eE].*$/, '');
  const digits = mantissa.replace('.', '').replace(/^0+/, '');
  return digits.replace(/0+$/, '');
}
