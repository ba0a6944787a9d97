import type { Position } from '../findings';
import { maxDepth } from './scan';

/** Why a text is not JSON (RFC 8259): the offset in UTF-16 units and words for it. */
export interface JsonFault {
  readonly offset: number;
  readonly wrong: string;
  readonly isTooDeep?: boolean;
}

class Fault extends Error {
  constructor(readonly fault: JsonFault) {
    super(fault.wrong);
  }
}

/**
 * Says where and why JSON.parse refused: a strict reader that keeps nothing. Slower than the
 * engine's, so it only runs after a refusal.
 */
export function findJsonFault(text: string): JsonFault | undefined {
  try {
    new StrictReader(text).document();
    return undefined;
  } catch (error) {
    if (error instanceof Fault) return error.fault;
    throw error;
  }
}

class StrictReader {
  /** How far it has read. */
  private i = 0;

  constructor(private readonly text: string) {}

  document(): void {
    this.value(0);
    this.space();
    if (this.i < this.text.length)
      this.wrong(this.i, `${this.shown(this.i)} after the end of the document`);
  }

  private value(depth: number): void {
    this.space();
    if (depth > maxDepth)
      throw new Fault({ offset: this.i, wrong: 'nested too deep', isTooDeep: true });
    const char = this.text[this.i];
    if (char === '{') this.record(depth);
    else if (char === '[') this.list(depth);
    else if (char === '"') this.string();
    else if (char === '-' || (char !== undefined && char >= '0' && char <= '9')) this.number();
    else this.word();
  }

  private record(depth: number): void {
    const opened = this.i;
    this.i += 1;
    this.space();
    if (this.text[this.i] === '}') {
      this.i += 1;
      return;
    }
    for (;;) {
      this.space();
      if (this.i >= this.text.length) this.ends('an object', opened);
      if (this.text[this.i] !== '"')
        this.wrong(this.i, `a name in double quotes was expected, not ${this.shown(this.i)}`);
      this.string();
      this.space();
      if (this.i >= this.text.length) this.ends('an object', opened);
      if (this.text[this.i] !== ':')
        this.wrong(this.i, `a colon was expected, not ${this.shown(this.i)}`);
      this.i += 1;
      this.value(depth + 1);
      if (this.closes('}', 'an object', opened)) return;
    }
  }

  private list(depth: number): void {
    const opened = this.i;
    this.i += 1;
    this.space();
    if (this.text[this.i] === ']') {
      this.i += 1;
      return;
    }
    for (;;) {
      this.value(depth + 1);
      if (this.closes(']', 'a list', opened)) return;
    }
  }

  private closes(bracket: string, what: string, opened: number): boolean {
    this.space();
    if (this.i >= this.text.length) this.ends(what, opened);
    if (this.text[this.i] === bracket) {
      this.i += 1;
      return true;
    }
    if (this.text[this.i] !== ',')
      this.wrong(this.i, `a comma or ${bracket} was expected, not ${this.shown(this.i)}`);
    this.i += 1;
    this.space();
    if (this.text[this.i] === bracket) this.wrong(this.i, `a comma stands before ${bracket}`);
    return false;
  }

  private string(): void {
    const opened = this.i;
    for (this.i += 1; this.i < this.text.length; this.i += 1) {
      const char = this.text.charCodeAt(this.i);
      if (char === 34) {
        this.i += 1;
        return;
      }
      if (char < 32) this.wrong(this.i, 'a line break or control character stands inside a text');
      if (char === 92) this.escaped();
    }
    this.wrong(opened, 'a text is opened by a quote and never closed');
  }

  private escaped(): void {
    this.i += 1;
    if (this.text[this.i] === 'u') {
      if (!/^[0-9a-fA-F]{4}$/.test(this.text.slice(this.i + 1, this.i + 5)))
        this.wrong(this.i - 1, '\\u needs four hexadecimal digits');
      this.i += 4;
    } else if (!'"\\/bfnrt'.includes(this.text[this.i] ?? ' ')) {
      this.wrong(this.i - 1, `\\${this.text[this.i] ?? ''} is not an escape of JSON`);
    }
  }

  private number(): void {
    const found = /^-?(?:0|[1-9][0-9]*)(?:\.[0-9]+)?(?:[eE][+-]?[0-9]+)?/.exec(
      this.text.slice(this.i, this.i + 2000),
    );
    const length = found?.[0].length ?? 0;
    const next = this.text[this.i + length] ?? '';
    if (length === 0 || /[0-9A-Za-z.+-]/.test(next)) this.wrong(this.i, 'a number is malformed');
    this.i += length;
  }

  private word(): void {
    if (this.i >= this.text.length)
      this.wrong(this.i, 'the document ends where a value was expected');
    for (const each of ['true', 'false', 'null']) {
      if (this.text.startsWith(each, this.i)) {
        this.i += each.length;
        return;
      }
    }
    this.wrong(this.i, `a value was expected, not ${this.shown(this.i)}`);
  }

  private space(): void {
    while (this.i < this.text.length && ' \t\n\r'.includes(this.text.charAt(this.i))) this.i += 1;
  }

  private ends(what: string, opened: number): never {
    return this.wrong(
      this.text.length,
      `the document ends inside ${what} that opens at line ${positionAt(this.text, opened).line}`,
    );
  }

  private wrong(offset: number, words: string): never {
    throw new Fault({ offset, wrong: words });
  }

  private shown(at: number): string {
    return at >= this.text.length ? 'the end' : JSON.stringify(this.text.slice(at, at + 1));
  }
}

/** Line and column of an offset; lines end with LF, CR LF or CR. */
export function positionAt(text: string, offset: number): Position {
  let line = 1;
  let lineStart = 0;
  for (const end of text.slice(0, offset).matchAll(/\r\n|\r|\n/g)) {
    line += 1;
    lineStart = end.index + end[0].length;
  }
  return { line, column: offset - lineStart + 1 };
}
