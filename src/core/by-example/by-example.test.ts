import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { JsonRecord } from '../base';
import { bindText } from '../templates';
import type { Field } from '../values';
import { fold, folded } from './fold';
import {
  type Asked,
  completed,
  numberOf,
  openForm,
  type Proposal,
  propose,
  sourcesOf,
} from './index';
import { otherNumber } from './noun-number';

const fields: readonly Field[] = [
  { name: 'name', type: 'text', required: true },
  { name: 'price', type: 'number', required: false },
  { name: 'currency', type: 'text', required: true },
  { name: 'stock', type: 'integer', required: true },
  { name: 'sold', type: 'boolean', required: true },
  { name: 'dyedOn', type: 'date', required: true },
  {
    name: 'maker',
    type: 'record',
    required: false,
    fields: [
      { name: 'name', type: 'text', required: true },
      { name: 'first town', type: 'text', required: true },
    ],
  },
  {
    name: 'reviews',
    type: 'list',
    required: true,
    of: { type: 'record', fields: [{ name: 'stars', type: 'integer', required: true }] },
  },
];

const skein = (
  name: string,
  price: number | undefined,
  stock: number,
  sold: boolean,
  dyedOn: string,
  stars: readonly number[],
): JsonRecord => ({
  name,
  ...(price !== undefined && { price }),
  currency: 'EUR',
  stock,
  sold,
  dyedOn,
  maker: { name: 'Hollow Fell', 'first town': `${name} town` },
  reviews: stars.map((each) => ({ stars: each })),
});

const skeins: readonly JsonRecord[] = [
  skein('Merino lace', 14.5, 12, false, '2026-03-02', [5, 4]),
  skein('Slate', 1_204, 1, true, '2026-01-19', [3]),
  skein('Nep', undefined, 0, true, '2025-11-30', []),
  skein('Cobweb `S` ${x} {y}', 27, 2_400, false, '2026-01-27', [4, 4, 5]),
];

const context = { now: '2026-03-21T10:00:00Z' };
const samples = skeins.map((item, position) => ({ item, position, context }));
const sources = sourcesOf(fields, skeins);

/** Proposals for words that are wanted for items by their positions. */
function asked(wanted: Readonly<Record<number, string>>, more: Partial<Asked> = {}) {
  const examples = Object.entries(wanted).map(([position, text]) => ({
    item: skeins[Number(position)] ?? {},
    position: Number(position),
    text,
    context,
  }));
  return propose({ fields, sources, samples, examples, locale: 'en-GB', formats: [], ...more });
}

/** What a proposal gives as the binding that it becomes. */
function given({ expr, format, words, newFormats }: Proposal, locale = 'en-GB') {
  const binding = expr === undefined ? words : { expr, ...(format !== undefined && { format }) };
  const bound = bindText(binding, {
    fields,
    sources: new Map(),
    formats: newFormats,
    tokens: { styles: [], colours: [], spacing: [] },
    hasPicture: () => true,
    locale,
  });
  expect(bound.findings).toEqual([]);
  return skeins.map((item) => bound.text(item, context));
}

const first = (wanted: Readonly<Record<number, string>>, more?: Partial<Asked>) => {
  const [proposal] = asked(wanted, more).proposals;
  if (proposal === undefined) throw new Error('Nothing is proposed.');
  return proposal;
};

describe('words for one item', () => {
  test('become fields, in the formats that give them', () => {
    const proposal = first({ 0: '€14.50 · Hollow Fell' });
    expect(proposal.expr).toBe('`${format(price, "money")} · ${maker.name}`');
    expect(proposal.newFormats).toEqual([
      { id: 'money', name: 'money', as: 'money', currency: { expr: 'currency' } },
    ]);
    expect(given(proposal)[1]).toBe('€1,204.00 · Hollow Fell');
  });

  test.each([
    ['Merino lace', 'name', undefined],
    ['MERINO LACE', 'name.toUpperCase()', undefined],
    ['Merino', 'name.split(" ")[0]', undefined],
    ['Merino lace town', 'maker["first town"]', undefined],
    ['2 Mar 2026', 'dyedOn', { as: 'date', date: 'medium' }],
    ['02.03.2026', 'dyedOn', { as: 'date', pattern: 'dd.MM.yyyy' }],
    ['3 weeks ago', 'dyedOn', { as: 'relative' }],
    ['€14.50', 'price', { as: 'money', currency: { expr: 'currency' } }],
  ])('%s is %s', (words, expr, format) => {
    const proposal = first({ 0: words });
    expect(proposal.expr).toBe(expr);
    const { id: _, name: __, ...own } = proposal.newFormats[0] ?? {};
    expect(own).toEqual(format ?? {});
  });

  test('use the formats that the project has', () => {
    const money = { id: 'p', name: 'Price', as: 'money', currency: { expr: 'currency' } } as const;
    expect(first({ 0: '€14.50' }, { formats: [money] })).toMatchObject({
      format: 'p',
      newFormats: [],
    });
  });

  test('are read in the locale that they are typed in, by whatever keys there are', () => {
    const proposal = first({ 1: '1.204,00 €' }, { locale: 'de' });
    expect(given(proposal, 'de')[0]).toBe('14,50\u00a0€');
    expect(first({ 0: '2 mars 2026' }, { locale: 'fr' }).expr).toBe('dyedOn');
  });

  test('that stay fixed although they hold digits are doubted', () => {
    const { stretches } = first({ 0: 'Merino lace, shelf 23' });
    expect(stretches.map(({ text, value, doubt }) => [text, value?.expr, doubt])).toEqual([
      ['Merino lace', 'name', undefined],
      [
        ', shelf 23',
        undefined,
        '23 is no value of this item that is known here; it stays as it is',
      ],
    ]);
  });

  test('can be settled: a stretch stays, or is a value', () => {
    const at = (from: number, to: number, expr: string | undefined) => {
      const [item] = skeins;
      const examples = [
        { item: item ?? {}, position: 0, text: '12 left', context, pins: [{ from, to, expr }] },
      ];
      return propose({ fields, sources, samples, examples, locale: 'en-GB', formats: [] });
    };
    expect(at(0, 2, undefined).proposals[0]?.expr).toBeUndefined();
    expect(at(0, 2, 'stock').proposals.every(({ expr }) => expr?.includes('stock'))).toBe(true);
    expect(at(0, 2, 'price').proposals).toEqual([]);
  });
});

describe('a second example', () => {
  test('is asked for where the proposals differ, and settles the forms of a plural', () => {
    const { proposals, next } = asked({ 0: '2 reviews left' });
    expect(proposals.some(({ texts }) => texts.some((text) => text?.includes(openForm)))).toBe(
      true,
    );
    expect(next).toBe(1);
    expect(asked({ 0: '2 reviews' }).next).toBe(1);
    const proposal = first({ 0: '2 reviews', 1: '1 review' });
    expect(proposal.open).toEqual([]);
    expect(given(proposal)).toEqual(['2 reviews', '1 review', '0 reviews', '3 reviews']);
  });

  test('settles the two words of a boolean', () => {
    const proposal = first({ 0: 'Merino lace, for sale', 1: 'Slate, sold' });
    expect(given(proposal)[2]).toBe('Nep, sold');
  });

  test('that follows no common rule is said to be another one', () => {
    expect(asked({ 0: 'Merino lace', 1: 'sold out!' })).toMatchObject({
      proposals: [],
      isTwoRules: true,
    });
  });

  test('is never asked of an item that was asked already', () => {
    expect(asked({ 0: '2 reviews', 1: '1 review' }).next).not.toBe(1);
  });
});

test('what is stored is what was typed, not what was compared', () => {
  const words = first({ 0: 'Merino lace, it’s here', 1: 'Slate, sold' });
  expect(given(words)[0]).toBe('Merino lace, it’s here');
  const plural = first({ 0: '2\u00a0reviews', 1: '1\u00a0review' });
  expect(given(plural)[3]).toBe('3\u00a0reviews');
  const date = first({ 0: '02\u202f03\u202f2026' });
  expect(given(date)[1]).toBe('19\u202f01\u202f2026');
});

describe('a form that no example has shown', () => {
  test('can be told: of a plural, by its number; of a boolean', () => {
    const proposal = asked({ 0: '2 reviews' }).proposals.find(({ open }) => open.length > 0);
    const [format] = proposal?.newFormats ?? [];
    if (proposal === undefined || format === undefined) throw new Error('Nothing is open.');
    expect(proposal.open).toEqual([{ format: format.id, form: 'one', guess: '1 review' }]);
    const told = completed(format, 'one', '1 {review}', 'en-GB');
    expect(given({ ...proposal, newFormats: [told] })[1]).toBe('1 {review}');
    const sold = { id: 'sold', name: 'sold', as: 'yesNo', yes: 'sold', no: '' } as const;
    expect(completed(sold, 'false', 'for sale', 'en')).toMatchObject({
      yes: 'sold',
      no: 'for sale',
    });
  });

  test('is guessed where the language has a habit, and never without saying so', () => {
    const fromSeveral = asked({ 0: '2 reviews' }).proposals.find(({ open }) => open.length > 0);
    if (fromSeveral === undefined) throw new Error('Nothing is open.');
    expect(given(fromSeveral)).toEqual(['2 reviews', '1 review', '0 reviews', '3 reviews']);
    expect(fromSeveral.isOpenAt).toEqual([false, true, false, false]);
    const fromOne = asked({ 1: '1 review' }).proposals.find(
      ({ expr }) => expr === 'reviews.length',
    );
    expect(fromOne?.open).toMatchObject([{ form: 'other', guess: '2 reviews' }]);
    expect(fromOne && given(fromOne)).toEqual(['2 reviews', '1 review', '0 reviews', '3 reviews']);
    const [format] = fromOne?.newFormats ?? [];
    const told = format && completed(format, 'other', '2 of them', 'en-GB');
    expect(fromOne && told && given({ ...fromOne, newFormats: [told] })).toEqual([
      '2 of them',
      '1 review',
      '0 of them',
      '3 of them',
    ]);
  });

  test.each([
    ['en', 'reviews', 'review'],
    ['en-GB', 'entries', 'entry'],
    ['en', 'boxes', 'box'],
    ['en', 'pieces', 'piece'],
    ['fr', 'écheveaux', 'écheveau'],
    ['fr', 'lignes', 'ligne'],
    ['fr', 'journaux', 'journal'],
    ['de', 'Bewertungen', 'Bewertung'],
    ['de', 'Zeilen', 'Zeile'],
    ['de', 'Leserinnen', 'Leserin'],
    ['de', 'Fotos', 'Foto'],
    ['es', 'opiniones', 'opinión'],
    ['es', 'opciones', 'opción'],
    ['es', 'madejas', 'madeja'],
    ['es', 'papeles', 'papel'],
  ])('in %s, %s and %s are guessed by each other', (locale, several, one) => {
    expect([otherNumber(several, 'one', locale), otherNumber(one, 'other', locale)]).toEqual([
      one,
      several,
    ]);
  });

  test.each([
    ['en', 'people'],
    ['en', 'glass'],
    ['de', 'Stränge'],
    ['pl', 'sztuki'],
    ['ja', '件'],
  ])('in %s, nothing is guessed of one of %s', (locale, noun) => {
    expect(otherNumber(noun, 'one', locale)).toBeUndefined();
  });

  test.each([
    ['en', 'one', 1],
    ['en', 'other', 2],
    ['ar', 'zero', 0],
    ['fr', 'one', 1],
    ['ar', 'few', 3],
    ['ar', 'many', 11],
    ['pl', 'few', 2],
  ])('in %s, %s is asked for by %i', (locale, category, number) => {
    expect(numberOf(category, locale)).toBe(number);
  });
});

describe('whatever is typed', () => {
  test('every proposal gives it, and reads without a finding', () => {
    const pieces = fc.constantFrom(
      ...['Merino lace', '€14.50', '12', '2 Mar 2026', 'Hollow Fell', '`', '${', '}', '{', '\\'],
      ...[' ', ' · ', '$', '|', '14.5', 'ü', '🧶', '\n', 'left', '2 reviews', '\u200f'],
    );
    fc.assert(
      fc.property(fc.array(pieces, { maxLength: 6 }), (words) => {
        const text = words.join('');
        for (const proposal of asked({ 0: text }).proposals) {
          if (proposal.open.length > 0) continue;
          expect(folded(given(proposal)[0] ?? '')).toBe(folded(text));
        }
      }),
      { numRuns: 150 },
    );
  });

  test('nothing fails', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), fc.string({ maxLength: 40 }), (one, two) => {
        asked({ 0: one });
        asked({ 0: one, 3: two });
      }),
      { numRuns: 100 },
    );
  });
});

describe('folding', () => {
  test('takes for the same what differs by keyboard only', () => {
    expect(folded('1\u202f204,50\u00a0€ − 5\u066a ‘x’')).toBe("1 204,50 € - 5% 'x'");
    expect(folded('١٢٣ ۴۵ ५')).toBe('123 45 5');
  });

  test('knows where each character was typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (words) => {
        const { text, typed, at } = fold(words);
        expect(at.length).toBe(text.length + 1);
        expect(at.at(-1)).toBe(typed.length);
        expect([...at]).toEqual([...at].sort((a, b) => a - b));
      }),
    );
  });
});
