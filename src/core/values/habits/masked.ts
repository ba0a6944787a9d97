const blot = '_';

/**
 * The text with what stands inside quotes blotted out, as long as before: what looks like an
 * operator in there is none.
 */
export function masked(text: string): string {
  let quote = '';
  let made = '';
  for (let at = 0; at < text.length; at += 1) {
    const char = text[at] ?? '';
    if (quote === '') {
      // An apostrophe inside a word opens nothing.
      const opens = char === '"' || char === '`' || char === "'";
      if (opens && text.includes(char, at + 1)) quote = char;
      made += char;
    } else if (char === '\\' && at + 1 < text.length) {
      made += blot + blot;
      at += 1;
    } else {
      made += char === quote ? char : blot;
      if (char === quote) quote = '';
    }
  }
  return made;
}

/** The text with what a pattern finds outside its quotes written otherwise. */
export function replacedOutside(text: string, pattern: RegExp, by: string): string {
  let made = '';
  let done = 0;
  for (const found of masked(text).matchAll(new RegExp(pattern.source, 'g'))) {
    made += text.slice(done, found.index) + by;
    done = found.index + found[0].length;
  }
  return made + text.slice(done);
}
