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
      if (names !== undefined && isBeforeColon(text, close + 1)) {
        const name = unquoted(text, at, close);
        if (names.has(name)) return { name, offset: at };
        names.add(name);
      }
      at = close;
    }
  }
  return undefined;
}

const QUOTE = 34;
const BACKSLASH = 92;
const COLON = 58;
const OPEN_LIST = 91;
const CLOSE_LIST = 93;
const OPEN_RECORD = 123;
const CLOSE_RECORD = 125;

function stringEnd(text: string, from: number): number {
  for (let at = text.indexOf('"', from + 1); at >= 0; at = text.indexOf('"', at + 1)) {
    let before = at;
    while (text.charCodeAt(before - 1) === BACKSLASH) before -= 1;
    if ((at - before) % 2 === 0) return at;
  }
  return -1;
}

function isBeforeColon(text: string, from: number): boolean {
  let at = from;
  while (text.charCodeAt(at) <= 32) at += 1;
  return text.charCodeAt(at) === COLON;
}

function unquoted(text: string, from: number, close: number): string {
  const inside = text.slice(from + 1, close);
  if (!inside.includes('\\')) return inside;
  try {
    return String(JSON.parse(`"${inside}"`));
  } catch {
    return inside;
  }
}
