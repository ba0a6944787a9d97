/** Characters of JSON that mean something, by their codes, and its strings in a text that is not parsed (RFC 8259). */
export const QUOTE = 34;
export const COMMA = 44;
export const COLON = 58;
export const OPEN_LIST = 91;
export const BACKSLASH = 92;
export const CLOSE_LIST = 93;
export const OPEN_RECORD = 123;
export const CLOSE_RECORD = 125;

/** Offset of the closing quote of the string that opens at `from`, or -1. */
export function stringEnd(text: string, from: number): number {
  // Most strings are short: looking at each character beats a call of indexOf up to here.
  const near = Math.min(text.length, from + 40);
  let i = from + 1;
  for (; i < near; i += 1) {
    const char = text.charCodeAt(i);
    if (char === QUOTE) return i;
    if (char === BACKSLASH) i += 1;
  }
  return farStringEnd(text, from, i);
}

/** The same for a long string; everything from the opening quote up to `reached` is known to be inside. */
function farStringEnd(text: string, from: number, reached: number): number {
  let end = text.indexOf('"', reached);
  while (end > 0) {
    let slashes = 0;
    while (end - 1 - slashes > from && text.charCodeAt(end - 1 - slashes) === BACKSLASH)
      slashes += 1;
    if (slashes % 2 === 0) return end;
    end = text.indexOf('"', end + 1);
  }
  return -1;
}

export function nextIsColon(text: string, from: number): boolean {
  let i = from;
  while (text.charCodeAt(i) <= 32) i += 1;
  return text.charCodeAt(i) === COLON;
}

export function unquoted(text: string, start: number, end: number): string {
  const inside = text.slice(start + 1, end);
  if (!inside.includes('\\')) return inside;
  try {
    return String(JSON.parse(text.slice(start, end + 1)));
  } catch {
    return inside;
  }
}
