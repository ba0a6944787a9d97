import { describe, expect, test } from 'vitest';
import { edited } from '../../tests/support/edited';
import { everything, openShop } from '../../tests/support/shop';
import { edits } from '../core/project';

const place = { template: 'stock-plain', part: 'title', property: 'text' } as const;

const goods = [
  { id: 'a', name: 'Lace', shop: 'Thrumwick' },
  { id: 'b', name: 'Sock', shop: 'Thrumwick' },
  { id: 'c', name: 'Slub', shop: 'Thrumwick' },
];

function codesOf(expr: string, words?: string, items = goods) {
  const shop = openShop(items);
  const binding = words === undefined ? { expr } : { expr, else: words };
  shop.engine.update(edited(shop.project(), edits.bind(place, binding)), everything);
  return shop.engine.surveyNow().findings.map(({ code }) => code);
}

describe('a binding that is probably not meant', () => {
  test('gives the same words for all items', () => {
    expect(codesOf('shop')).toEqual(['binding-same']);
    expect(codesOf('name.at(99)', 'none')).toEqual(['binding-same']);
  });

  test('gives the value of the first item for all', () => {
    expect(codesOf('lookup("stock", "a").name')).toEqual(['binding-first']);
  });

  test('gives nothing for any item', () => {
    expect(codesOf('name.at(99)')).toEqual(['binding-empty']);
  });

  test.each(['name', '"Thrumwick"', '`in ${shop}, ${name}`', 'nmae'])('is not %s', (expr) => {
    expect(codesOf(expr)).toEqual([]);
  });

  test('compares with a text that no item has, and says which was probably meant', () => {
    const shop = openShop(goods);
    const binding = { expr: 'name === "Lce" ? "fine" : name === "Sock" ? "warm" : name' };
    shop.engine.update(edited(shop.project(), edits.bind(place, binding)), everything);
    const [finding, ...others] = shop.engine.surveyNow().findings;
    expect(others).toEqual([]);
    expect(finding).toMatchObject({ code: 'comparison-never-equal', mend: { text: '"Lace"' } });
    expect(codesOf('kind === "x" ? "a" : name')).toEqual([]);
  });

  test('writes one currency for all, though the items name others', () => {
    const priced = ['EUR', 'SEK', 'EUR'].map((code, at) => ({
      ...{ id: `p${at}`, name: `Good ${at}` },
      fare: { amount: at + 1.5, currency: code },
    }));
    const shop = openShop(priced);
    const format = { id: 'money', name: 'money', as: 'money', currency: 'EUR' } as const;
    const project = edited(
      shop.project(),
      edits.addFormat(format),
      edits.bind(place, { expr: 'fare.amount', format: 'money' }),
    );
    shop.engine.update(project, everything);
    const found = shop.engine.surveyNow().findings;
    expect(found.map(({ code }) => code)).toEqual(['currency-fixed']);
    expect(found[0]?.message).toContain('fare.currency names another for 1 item');
  });

  test('is nothing to speak of where there are two items', () => {
    expect(codesOf('shop', undefined, goods.slice(1))).toEqual([]);
  });
});
