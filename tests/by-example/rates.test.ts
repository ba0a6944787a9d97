import { writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { handWritten } from './hand-written';
import { keptApart } from './kept-apart';
import { orders } from './orders';
import { type Outcome, ratesOf, trial } from './rates';
import { generatedTargets, type Target } from './targets';
import { trips } from './trips';
import { locales } from './writing';

const asked = Number(process.env['TARGETS'] ?? 60);
const isMeasuring = process.env['TARGETS'] !== undefined;

const items = orders(10_000, 7);
const { run } = trial(items);
const outcomesOf = (targets: readonly Target[]): readonly Outcome[] =>
  targets.flatMap((target, at) => run(target, (at * 37) % 5_000) ?? []);

const apart = trial(trips(4_000, 23));
/** Only how many of them are right is looked at, never which. */
const unseen = keptApart.flatMap((target, at) => apart.run(target, (at * 53) % 2_000) ?? []);

const generated = outcomesOf(generatedTargets(asked, 11));
const written = outcomesOf(handWritten);
const all = [...generated, ...written].filter(({ target }) => !target.isArabicPlural);
const ofLocale = (locale: string) => all.filter(({ target }) => target.locale === locale);

test('every target finds an item to begin with', () => {
  expect([generated.length, written.length]).toEqual([asked, handWritten.length]);
});

test('one example puts the right one among the first three', () => {
  expect(ratesOf(all).firstThree).toBeGreaterThanOrEqual(0.83);
});

test('most of what nobody tuned to is right, too', () => {
  expect(unseen.length).toBe(keptApart.length);
  const { first, firstThree, afterSecond } = ratesOf(unseen);
  expect(first).toBeGreaterThanOrEqual(0.68);
  expect(firstThree).toBeGreaterThanOrEqual(0.86);
  expect(afterSecond).toBeGreaterThanOrEqual(0.9);
});

test('a second example on the item that is asked for puts the right one first', () => {
  expect(ratesOf(all).afterSecond).toBeGreaterThanOrEqual(0.93);
  expect(ratesOf(ofLocale('en-GB')).afterSecond).toBeGreaterThanOrEqual(0.95);
});

test.runIf(isMeasuring)('rates and times', () => {
  const times = [...generated, ...written]
    .flatMap(({ milliseconds }) => milliseconds)
    .sort((a, b) => a - b);
  const at = (share: number) => Math.round(times[Math.floor(times.length * share)] ?? 0);
  const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
  const row = (name: string, outcomes: readonly Outcome[]) => {
    const { count, first, firstThree, firstThreeAsShown, afterSecond } = ratesOf(outcomes);
    const shares = [first, firstThree, firstThreeAsShown, afterSecond].map(percent);
    return `| ${[name, count, ...shares].join(' | ')} |`;
  };
  const page = `# By example: how often it is right

${generated.length} generated targets and ${written.length} written by hand, over ${items.length} items of 40 fields, in five locales; Arabic plurals, which need six forms, stand apart. ${unseen.length} more, of other items and by families of what people write, are kept apart: nothing is tuned to them. \`npm run by-example\` writes this page anew. "As shown": forms of words that one example cannot show ("1 Strang" where "12 Stränge" was typed) are left aside; what can be guessed of them is said to be guessed, the rest to be open, and the next question falls on it.

| targets | how many | first, after one example | among three | among three, as shown | first, after the second |
| --- | --- | --- | --- | --- | --- |
${row('all', all)}
${row(
  'generated',
  all.filter((each) => generated.includes(each)),
)}
${row('written by hand', written)}
${row('kept apart', unseen)}
${locales.map((locale) => row(locale, ofLocale(locale))).join('\n')}
${row(
  'Arabic plurals',
  [...generated, ...written].filter(({ target }) => target.isArabicPlural),
)}

At least: among three 83 of 100, first after the second 93 (English 95); of those kept apart 68 first, 86 among three, 90 after the second. Before the families were built, 28, 39 and 42 of those kept apart.

Proposals: ${at(0.5)} ms at the median, ${at(0.9)} ms at the ninetieth percentile (at most 150), ${at(0.99)} ms at the ninety-ninth (at most 500).
`;
  writeFileSync('docs/by-example.md', page);
  console.log(page);
});
