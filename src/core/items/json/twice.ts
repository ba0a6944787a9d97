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
    const char = text[at];
    if (char === '{') open.push(new Set());
    else if (char === '[') open.push(undefined);
    else if (char === '}' || char === ']') open.pop();
    else if (char === '"') {
      const close = stringEnd(text, at);
      if (close < 0) return undefined;
      const names = open.at(-1);
      const isName = names !== undefined && /^\s*:/.test(text.slice(close + 1, close + 20));
      if (isName) {
        const name = unquoted(text.slice(at, close + 1));
        if (names.has(name)) return { name, offset: at };
        names.add(name);
      }
      at = close;
    }
  }
  return undefined;
}

function stringEnd(text: string, from: number): number {
  for (let at = text.indexOf('"', from + 1); at >= 0; at = text.indexOf('"', at + 1)) {
    let before = at;
    while (text[before - 1] === '\\') before -= 1;
    if ((at - before) % 2 === 0) return at;
  }
  return -1;
}

function unquoted(text: string): string {
  try {
    return String(JSON.parse(text));
  } catch {
    return text;
  }
}
