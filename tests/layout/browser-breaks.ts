import type { Page } from '@playwright/test';
import type { FindBreaks } from '../../src/core/text';

const hasWordsWithoutSpaces = /[\u0e00-\u0eff\u1000-\u109f\u1780-\u17ff]/;
const hyphens = new Set(['-', '\u2010']);

/** The browser's own breaks of texts, of their words, and of what is left of them wherever a line may begin. */
export async function browserBreaks(page: Page, texts: readonly string[]): Promise<FindBreaks> {
  const wanted = new Set<string>();
  for (const text of texts) {
    wanted.add(text);
    // Words are asked for by themselves, too.
    for (const word of text.split(' ')) wanted.add(word);
    const isTakenAnew = hasWordsWithoutSpaces.test(text);
    for (let at = 1; at < text.length; at += 1)
      if (isTakenAnew || hyphens.has(text[at] ?? '')) wanted.add(text.slice(at));
  }
  const all = [...wanted];
  const found = new Map<string, readonly number[]>();
  for (let at = 0; at < all.length; at += 5_000) {
    const some = all.slice(at, at + 5_000);
    const breaks = await page.evaluate((some) => {
      const iterator = new Intl.v8BreakIterator('en', { type: 'line' });
      return some.map((text) => {
        iterator.adoptText(text);
        const breaks: number[] = [];
        iterator.first();
        for (let next = iterator.next(); next !== -1; next = iterator.next())
          if (next < text.length) breaks.push(next);
        return breaks;
      });
    }, some);
    for (const [i, text] of some.entries()) found.set(text, breaks[i] ?? []);
  }
  return (text) => {
    const breaks = found.get(text);
    if (breaks !== undefined) return breaks;
    // Of a long text only the beginning of what is left is asked for.
    for (const [known, all] of found)
      if (known.startsWith(text)) return all.filter((at) => at < text.length);
    throw new Error(`nobody asked the browser for the breaks of ${text}`);
  };
}
