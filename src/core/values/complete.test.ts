import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyExpression, yarnFields } from '../../../tests/support/expressions';
import { completionsAt, pathAt } from './complete';
import { type Environment, emptyEnvironment } from './environment';

const item = {
  name: 'Lace',
  price: 14.5,
  maker: { town: 'Ousby', since: 1987 },
  reviews: [{ by: 'Ada', stars: 4 }],
  tags: ['woad'],
};

const environment: Environment = {
  sources: new Map([['makers', { fields: [], hasKey: true, find: () => undefined }]]),
  formats: new Map(),
};
const here = { fields: yarnFields, environment: emptyEnvironment, item };

/** `|` is the caret. */
function offered(text: string, world = here) {
  const at = text.indexOf('|');
  return completionsAt(text.replace('|', ''), at, world).offers;
}
const names = (text: string) => offered(text).map((offer) => offer.text);

describe('completion', () => {
  test('offers fields with the value of the item at hand, then functions with an example', () => {
    expect(offered('na|')[0]).toMatchObject({ text: 'name', kind: 'field', about: '"Lace"' });
    expect(offered('su|')[0]).toMatchObject({ text: 'sum()', caret: 4, about: 'sum([1, 2, 3])' });
    expect(offered('price + st|')[0]).toMatchObject({ text: 'stock', about: 'missing' });
    expect(names('no|')).toContain('now');
    expect(names('Math.ro|')).toEqual(['round()']);
    expect(offered('tow|')[0]).toMatchObject({ text: 'maker.town', about: '"Ousby"' });
  });

  test('offers what is inside a value: fields of a record, methods of texts and lists', () => {
    expect(offered('maker.|').map(({ text, about }) => [text, about])).toEqual([
      ['town', '"Ousby"'],
      ['since', '1987'],
    ]);
    expect(names('maker?.to|')).toEqual(['town']);
    expect(names('maker.town.tr|')).toEqual(['trim()']);
    expect(names('"a" + name.le|')).toEqual(['length']);
    expect(names('(name + dye).toU|')).toEqual(['toUpperCase()']);
    expect(names('tags.filter(t => t !== "").jo|')).toEqual(['join()']);
    expect(names('price.|')).toEqual([]);
  });

  test('knows the parameters of functions of elements', () => {
    expect(names('reviews.map(r => r.|')).toEqual(['by', 'stars']);
    expect(offered('sum(reviews, r => r.st|')[0]).toMatchObject({ text: 'stars', about: '4' });
    expect(names('tags.map(t => t.tr|')).toEqual(['trim()']);
    expect(names('reviews.toSorted((a, b) => a.|')).toContain('stars');
  });

  test('offers nothing inside quotes, but in the holes of a template', () => {
    expect(names('"na|')).toEqual([]);
    expect(names('`na|')).toEqual([]);
    expect(names('`${na|')[0]).toBe('name');
    expect(names('`${name} na|')).toEqual([]);
  });

  test('offers other sources to look into', () => {
    const [first] = offered('loo|', { ...here, environment });
    expect(first).toMatchObject({ text: 'lookup("makers", )', caret: 17 });
  });

  test('never fails, wherever the caret stands', () => {
    fc.assert(
      fc.property(fc.oneof(anyExpression, fc.string()), fc.nat(), (text, at) => {
        completionsAt(text, at % (text.length + 1), here);
        pathAt(text, at % (text.length + 1));
      }),
      { numRuns: 300 },
    );
  });
});

test.each([
  ['na|me', ['name']],
  ['maker.to|wn', ['maker', 'town']],
  ['mak|er.town', ['maker']],
  ['`${maker?.tow|n}!`', ['maker', 'town']],
  ['1 + sto|ck * 2', ['stock']],
  ['reviews.map(r => r.st|ars)', ['reviews', '[]', 'stars']],
  ['"na|me"', undefined],
  ['1 +| ', undefined],
])('at the caret of %s stands %j', (text, path) => {
  const at = text.indexOf('|');
  expect(pathAt(text.replace('|', ''), at)).toEqual(path);
});
