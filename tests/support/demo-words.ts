import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const demoFile = 'public/demo/thrumwick.yarncard.json';
export const demoLooks = ['brief', 'rich'] as const;
export const demoLocales = ['en-GB', 'de', 'ar', 'ja'] as const;

/** Where the words of all entries of the demo are kept, as the command line prints them. */
export const referenceOf = (look: string, locale: string): string =>
  fileURLToPath(new URL(`../fixtures/demo-words/${look}-${locale}.txt`, import.meta.url));

/**
 * The words of each entry of a list, in order, without their markup; pictures, numbers that are
 * drawn, and what is missing are none.
 */
export function wordsOfList(look: string, locale: string, list: string): readonly string[][] {
  const lines = readFileSync(referenceOf(look, locale), 'utf8').trimEnd().split('\n');
  const start = lines.findIndex((line) => line.startsWith(`${list} (`));
  const count = Number(/\((\d+)\)$/.exec(lines[start] ?? '')?.[1]);
  return lines.slice(start + 1, start + 1 + count).map((line) => {
    const [first, ...rest] = line.split('\t');
    const words = kinds.has(first ?? '') ? rest.slice(1) : rest;
    return words
      .filter((word) => !/^(–|\[.*\]|[\d.]+|true|false|https?:.*)$/.test(word))
      .map(withoutMarkup);
  });
}

const withoutMarkup = (word: string): string => word.replaceAll('**', '');

const kinds = new Set(['header', 'heading', 'insert', 'separator', 'footing', 'state', 'footer']);
