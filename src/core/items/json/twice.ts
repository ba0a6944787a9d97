import {
  CLOSE_LIST,
  CLOSE_RECORD,
  nextIsColon,
  OPEN_LIST,
  OPEN_RECORD,
  QUOTE,
  stringEnd,
  unquoted,
} from './marks';

/** A record that has a name twice, of which JSON readers keep the last value. */
export interface NameTwice {
  readonly name: string;
  /** Of the second time, in UTF-16 units. */
  readonly offset: number;
}

/** Whoever writes such records writes them from the beginning. */
const maxLooked = 500_000;

/** The first name that stands twice in a record, in the beginning of a JSON text. */
export function nameTwice(text: string): NameTwice | undefined {
  const open: (Set<string> | undefined)[] = [];
  const end = Math.min(text.length, maxLooked);
  for (let at = 0; at < end; at += 1) {
    const char = text.charCodeAt(at);
    if (char === OPEN_RECORD) open.push(new Set());
    else if (char === OPEN_LIST) open.push(undefined);
    else if (char === CLOSE_RECORD || char === CLOSE_LIST) open.pop();
    else if (char === QUOTE) {
      const close = stringEnd(text, at);
      if (close < 0) return undefined;
      const names = open.at(-1);
      if (names !== undefined && nextIsColon(text, close + 1)) {
        const name = unquoted(text, at, close);
        if (names.has(name)) return { name, offset: at };
        names.add(name);
      }
      at = close;
    }
  }
  return undefined;
}
