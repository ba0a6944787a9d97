// The faces that rows are drawn in and measured with, in the order of their packages.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../setup.mjs';
import { emojiSlices } from './emoji.mjs';

/** By package, what the family is called in style sheets and packs. */
const packages = {
  'noto-sans': 'Row',
  'noto-color-emoji': 'Row Emoji',
  'noto-sans-arabic': 'Row Arabic',
  'noto-sans-hebrew': 'Row Hebrew',
  'noto-sans-devanagari': 'Row Devanagari',
  'noto-sans-thai': 'Row Thai',
  'noto-sans-bengali': 'Row Bengali',
  'noto-sans-tamil': 'Row Tamil',
  'noto-sans-telugu': 'Row Telugu',
  'noto-sans-georgian': 'Row Georgian',
  'noto-sans-armenian': 'Row Armenian',
  'noto-sans-ethiopic': 'Row Ethiopic',
  'noto-sans-khmer': 'Row Khmer',
  'noto-sans-jp': 'Row Japanese',
  'noto-sans-kr': 'Row Korean',
  'noto-sans-sc': 'Row Chinese simplified',
  'noto-sans-tc': 'Row Chinese traditional',
};

/** Of Noto Sans it serves all that its own package would. */
const leftOut = new Set(['noto-sans-devanagari']);

/** @returns {{ family: string, slices: { file: string, unicodeRange: string, ranges: [number, number][] }[] }[]} */
export const families = () =>
  Object.entries(packages)
    .filter(([name]) => !leftOut.has(name))
    .map(([name, family]) => ({
      family,
      slices: name === 'noto-color-emoji' ? emojiSlices() : slicesOf(name),
    }));

/** The faces of a package as its style sheet has them, first rule first. */
function slicesOf(name) {
  const base = join(root, 'node_modules/@fontsource-variable', name);
  const css = readFileSync(join(base, 'index.css'), 'utf8');
  return [...css.matchAll(/@font-face\s*{([^}]*)}/g)].map(([, rule]) => {
    const of = (property) => new RegExp(`${property}:\\s*([^;]+);`).exec(rule)?.[1];
    const file = /url\(\.\/([^)]+\.woff2)\)/.exec(of('src'))[1];
    const unicodeRange = of('unicode-range');
    return { file: join(base, file), unicodeRange, ranges: rangesOf(unicodeRange) };
  });
}

/** `U+0-FF, U+131` as pairs of first and last, ascending. */
export const rangesOf = (unicodeRange) =>
  unicodeRange
    .split(',')
    .map((each) => {
      const [first, last = first] = each.trim().slice(2).split('-');
      const from = Number.parseInt(first.replaceAll('?', '0'), 16);
      return [from, Number.parseInt(last.replaceAll('?', 'F'), 16)];
    })
    .sort(([one], [other]) => one - other);
