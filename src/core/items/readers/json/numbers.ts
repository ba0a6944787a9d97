import { type Json, keepsDigits } from '../../../base';
import { itemFindings } from '../../findings';

// Written out, the engine skips through a text by the longer steps that a fixed length allows.
const manyDigits = new RegExp('[0-9.]'.repeat(16), 'g');
// `e400` and `e+400`; the words that match as well only cost a closer look.
const largeExponent = /[eE][1-9+][0-9][0-9]/;
const stringOrNumber = /"(?:[^"\\]|\\.)*"|-?\d[\d.eE+-]*/g;

/**
 * Parses JSON texts and keeps the digits of numbers that a double can't hold: they become texts.
 * Throws SyntaxError like JSON.parse.
 */
export class DigitKeeper {
  private keptCount = 0;
  private example = '';

  parse(text: string): Json {
    const value: Json = JSON.parse(text);
    // Only a text that is JSON as it stands: with quotes, a number could pass for a name.
    return mayLoseDigits(text) ? JSON.parse(this.quoteLongNumbers(text)) : value;
  }

  findings(file: string) {
    return this.keptCount === 0
      ? []
      : [itemFindings.numberTooLong(file, this.keptCount, this.example)];
  }

  private quoteLongNumbers(text: string): string {
    return text.replace(stringOrNumber, (token) => {
      if (token.startsWith('"') || keepsDigits(token)) return token;
      if (!/^-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?$/.test(token)) return token;
      this.keptCount += 1;
      if (this.example === '') this.example = token.length > 30 ? `${token.slice(0, 30)}…` : token;
      return `"${token}"`;
    });
  }
}

/** Whether a number of the text may lose digits; never false where one does. */
function mayLoseDigits(text: string): boolean {
  manyDigits.lastIndex = 0;
  for (let found = manyDigits.exec(text); found !== null; found = manyDigits.exec(text)) {
    let start = found.index;
    let end = manyDigits.lastIndex;
    while (isOfNumber(text.charCodeAt(start - 1))) start -= 1;
    while (isOfNumber(text.charCodeAt(end))) end += 1;
    manyDigits.lastIndex = end;
    const isText = text.charCodeAt(start - 1) === QUOTE && text.charCodeAt(end) === QUOTE;
    if (!isText && !keepsDigits(text.slice(start, end))) return true;
  }
  return largeExponent.test(text);
}

const QUOTE = 34;

/** Digits, point, sign, exponent. */
function isOfNumber(char: number): boolean {
  return (char >= 43 && char <= 57 && char !== 44 && char !== 47) || char === 69 || char === 101;
}
