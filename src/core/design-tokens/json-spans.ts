/** Where a value of a JSON text stands, and where what is in it does. */
export interface JsonSpan {
  readonly from: number;
  /** Behind its last character. */
  readonly to: number;
  /** Of an object: its members, the last of a name. */
  readonly members: ReadonlyMap<string, JsonSpan>;
}

const none: ReadonlyMap<string, JsonSpan> = new Map();

/** The places of all values in a text that is JSON (RFC 8259); it is not held against that again. */
export function jsonSpans(text: string): JsonSpan {
  let at = 0;
  const space = () => {
    while (/[ \t\n\r]/.test(text[at] ?? '')) at += 1;
  };
  const string = (): string => {
    const from = at;
    at += 1;
    while (text[at] !== '"') at += text[at] === '\\' ? 2 : 1;
    at += 1;
    return String(JSON.parse(text.slice(from, at)));
  };
  const value = (): JsonSpan => {
    space();
    const from = at;
    const char = text[at];
    if (char === '{') return { from, members: members(), to: at };
    if (char === '"') string();
    else if (char === '[') elements();
    else while (at < text.length && !/[\s,\]}]/.test(text[at] ?? '')) at += 1;
    return { from, to: at, members: none };
  };
  const members = (): ReadonlyMap<string, JsonSpan> => {
    const found = new Map<string, JsonSpan>();
    at += 1;
    for (space(); text[at] !== '}'; space()) {
      const name = string();
      space();
      at += 1;
      found.set(name, value());
      space();
      if (text[at] === ',') at += 1;
    }
    at += 1;
    return found;
  };
  const elements = (): void => {
    at += 1;
    for (space(); text[at] !== ']'; space()) {
      value();
      space();
      if (text[at] === ',') at += 1;
    }
    at += 1;
  };
  return value();
}
