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
  let i = 0;

  try {
    value(0);
    space();
    if (i < text.length) wrong(i, `${shown(i)} after the end of the document`);
    return undefined;
  } catch (error) {
    if (error instanceof Fault) return error.fault;
    throw error;
  }

  function value(depth: number): void {
    space();
    if (depth > maxDepth) throw new Fault({ offset: i, wrong: 'nested too deep', isTooDeep: true });
    const char = text[i];
    if (char === '{') record(depth);
    else if (char === '[') list(depth);
    else if (char === '"') string();
    else if (char === '-' || (char !== undefined && char >= '0' && char <= '9')) number();
    else word();
  }

  function record(depth: number): void {
    const opened = i;
    i += 1;
    space();
    if (text[i] === '}') {
      i += 1;
      return;
    }
    for (;;) {
      space();
      if (i >= text.length) ends('an object', opened);
      if (text[i] !== '"') wrong(i, `a name in double quotes was expected, not ${shown(i)}`);
      string();
      space();
      if (i >= text.length) ends('an object', opened);
      if (text[i] !== ':') wrong(i, `a colon was expected, not ${shown(i)}`);
      i += 1;
      value(depth + 1);
      if (closes('}', 'an object', opened)) return;
    }
  }

  function list(depth: number): void {
    const opened = i;
    i += 1;
    space();
    if (text[i] === ']') {
      i += 1;
      return;
    }
    for (;;) {
      value(depth + 1);
      if (closes(']', 'a list', opened)) return;
    }
  }

  function closes(bracket: string, what: string, opened: number): boolean {
    space();
    if (i >= text.length) ends(what, opened);
    if (text[i] === bracket) {
      i += 1;
      return true;
    }
    if (text[i] !== ',') wrong(i, `a comma or ${bracket} was expected, not ${shown(i)}`);
    i += 1;
    space();
    if (text[i] === bracket) wrong(i, `a comma stands before ${bracket}`);
    return false;
  }

  function string(): void {
    const opened = i;
    for (i += 1; i < text.length; i += 1) {
      const char = text.charCodeAt(i);
      if (char === 34) {
        i += 1;
        return;
      }
      if (char < 32) wrong(i, 'a line break or control character stands inside a text');
      if (char === 92) escaped();
    }
    wrong(opened, 'a text is opened by a quote and never closed');
  }

  function escaped(): void {
    i += 1;
    if (text[i] === 'u') {
      if (!/^[0-9a-fA-F]{4}$/.test(text.slice(i + 1, i + 5)))
        wrong(i - 1, '\\u needs four hexadecimal digits');
      i += 4;
    } else if (!'"\\/bfnrt'.includes(text[i] ?? ' ')) {
      wrong(i - 1, `\\${text[i] ?? ''} is not an escape of JSON`);
    }
  }

  function number(): void {
    const found = /^-?(?:0|[1-9][0-9]*)(?:\.[0-9]+)?(?:[eE][+-]?[0-9]+)?/.exec(
      text.slice(i, i + 2000),
    );
    const length = found?.[0].length ?? 0;
    const next = text[i + length] ?? '';
    if (length === 0 || /[0-9A-Za-z.+-]/.test(next)) wrong(i, 'a number is malformed');
    i += length;
  }

  function word(): void {
    if (i >= text.length) wrong(i, 'the document ends where a value was expected');
    for (const each of ['true', 'false', 'null']) {
      if (text.startsWith(each, i)) {
        i += each.length;
        return;
      }
    }
    wrong(i, `a value was expected, not ${shown(i)}`);
  }

  function space(): void {
    while (i < text.length && ' \t\n\r'.includes(text.charAt(i))) i += 1;
  }

  function ends(what: string, opened: number): never {
    return wrong(
      text.length,
      `the document ends inside ${what} that opens at line ${positionAt(text, opened).line}`,
    );
  }

  function wrong(offset: number, words: string): never {
    throw new Fault({ offset, wrong: words });
  }

  function shown(at: number): string {
    return at >= text.length ? 'the end' : JSON.stringify(text.slice(at, at + 1));
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
