import { inKeyOrder, type Keys } from './key-order';
import { type Compare, markedLetters, plainSigns } from './letters';

/**
 * Texts as bytes that sort nearly as a collator has them: letters without their marks and their
 * size, numbers by what they say. What a key can't say is left to the collator.
 */
export interface TextKeys extends Keys {
  /** 1 where another key stands for another place in the locale, if that other is sure as well. */
  readonly areSure: Uint8Array;
}

export function keysOfTexts(texts: readonly string[], compare: Compare): TextKeys {
  const keys = writeKeys(texts, compare);
  return isUsualOrder(compare) ? keys : { ...keys, areSure: new Uint8Array(texts.length) };
}

function writeKeys(texts: readonly string[], compare: Compare): TextKeys {
  const starts = new Int32Array(texts.length + 1);
  const areSure = new Uint8Array(texts.length);
  const writer = new KeyWriter(16 * texts.length, compare);
  for (let at = 0; at < texts.length; at += 1) {
    areSure[at] = writer.write(texts[at] ?? '') ? 1 : 0;
    starts[at + 1] = writer.end;
  }
  return { bytes: writer.bytes, starts, areSure };
}

/** What stands first sorts first. */
const mark = { end: 0, space: 1, sign: 2, number: 64, letter: 130, other: 250 } as const;
/** More digits than this are not told by their number. */
const mostDigits = 60;
/** What is alike for so long is for the collator to tell apart. */
const longestKey = 256;

class KeyWriter {
  bytes: Uint8Array;
  end = 0;
  readonly #compare: Compare;
  #isSure = true;

  constructor(size: number, compare: Compare) {
    this.bytes = new Uint8Array(size + 2 * longestKey);
    this.#compare = compare;
  }

  /** Adds the key of a text; whether it is sure. */
  write(text: string): boolean {
    this.#makeRoom();
    this.#isSure = true;
    const longest = this.end + longestKey;
    for (let at = 0; at < text.length && this.end < longest; at += 1) {
      const code = text.charCodeAt(at);
      const small = code | 0x20;
      if (small >= 97 && small <= 122) this.#add(mark.letter + small - 97);
      else if (code === 32) this.#add(mark.space);
      else if (isDigit(code)) at = this.#addDigits(text, at);
      else this.#addOther(code);
    }
    this.#add(mark.end);
    return this.#isSure;
  }

  #makeRoom(): void {
    if (this.end + 2 * longestKey <= this.bytes.length) return;
    const more = new Uint8Array(2 * this.bytes.length);
    more.set(this.bytes);
    this.bytes = more;
  }

  #add(byte: number): void {
    this.bytes[this.end] = byte;
    this.end += 1;
  }

  /** A number by how many digits it has, then by these; where its last one is. */
  #addDigits(text: string, from: number): number {
    let first = from;
    while (text.charCodeAt(first) === 48 && isDigit(text.charCodeAt(first + 1))) first += 1;
    let end = first + 1;
    while (isDigit(text.charCodeAt(end))) end += 1;
    const count = Math.min(end - first, mostDigits);
    if (end - first > mostDigits) this.#isSure = false;
    this.#add(mark.number + count);
    for (let at = first; at < first + count; at += 1) this.#add(text.charCodeAt(at));
    return end - 1;
  }

  #addOther(code: number): void {
    const letter = code < 128 ? undefined : markedLetters(code, this.#compare);
    if (letter === undefined || !letter.isLikeBare) this.#isSure = false;
    if (letter !== undefined && letter.bare !== undefined)
      for (let at = 0; at < letter.bare.length; at += 1)
        this.#add(mark.letter + letter.bare.charCodeAt(at) - 97);
    else {
      this.#add(code < 128 ? mark.sign : mark.other);
      // No byte within a key is 0.
      this.#add((code >> 7) + 1);
      this.#add((code & 127) + 1);
    }
  }
}

const isDigit = (code: number): boolean => code >= 48 && code <= 57;

const knownUsual = new WeakMap<Compare, boolean>();

/** Whether a locale has plain letters, digits and spaces in the order of keys: where two stand for one, it has not. */
function isUsualOrder(compare: Compare): boolean {
  let isUsual = knownUsual.get(compare);
  if (isUsual === undefined) {
    const pairs = plainSigns.flatMap((one) => plainSigns.map((other) => `x${one}${other}`));
    const { order } = inKeyOrder(writeKeys(pairs, compare));
    const sorted = Array.from(order, (at) => pairs[at] ?? '');
    isUsual = sorted.every((text, at) => at === 0 || compare(sorted[at - 1] ?? '', text) <= 0);
    knownUsual.set(compare, isUsual);
  }
  return isUsual;
}
