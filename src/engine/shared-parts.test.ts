import { describe, expect, test } from 'vitest';
import { everything, openShop } from '../../tests/support/shop';
import { edits, readProject, writeProject } from '../core/project';
import { draftLabel } from '../core/templates';
import { trace, tryFormats } from './answers';

const goods = ['Lace', 'Sock', 'Slub', 'Aran'].map((name, at) => ({
  ...{ id: `g-${at}`, name, price: 4 + at },
  ...(at === 2 ? {} : { note: `Note ${at}` }),
}));

const template = 'stock-plain';

/** A shop whose price is a shared part, twice in the row. */
function openShared() {
  const shop = openShop(goods);
  const price = { ...draftLabel('price', { expr: 'price' }, 'value'), colour: { expr: '"ink"' } };
  shop.make(edits.insert(template, { beside: 'title', side: 'after' }, price));
  shop.make(edits.share({ template, part: 'price' }, { id: 'tag', name: 'tag' }));
  const inputs = { price: { expr: 'price * 2' } };
  shop.make(
    edits.insert(
      template,
      { beside: 'price', side: 'after' },
      { part: 'shared', id: 'twice', of: 'tag', inputs },
    ),
  );
  return shop;
}

const values = ({ engine }: ReturnType<typeof openShared>) =>
  engine.view(everything).entries.map(({ values }) => values.filter((each) => each !== 'ink'));

describe('a shared part in the rows of a list', () => {
  test('has the words of its inputs, each use those that it is fed', () => {
    expect(values(openShared())[1]).toEqual(['Sock', '5', '5', '10', '10']);
  });

  test('is traced where it stands, with what it reads there', () => {
    const { engine } = openShared();
    const at = (part: string) => trace(engine, { template, part, property: 'text' }, 3);
    expect(at('price/price')?.text).toBe('7');
    expect(at('twice/price')?.text).toBe('14');
    expect(at('twice/price')?.steps).toMatchObject([{ label: 'price', shown: '14' }]);
  });

  test('has formats tried on its inputs', () => {
    const { engine } = openShared();
    const place = { template, part: 'twice/price', property: 'text' };
    const asked = { place, expr: 'price', formats: [undefined], locales: ['en'], items: [0] };
    expect(tryFormats(engine, asked)).toEqual([[[{ text: '8' }]]]);
  });

  test('is read as hard as any text; what is wrong in it is told once, however often it is used', () => {
    const shop = openShared();
    const place = { template, part: 'twice/price' };
    shop.make(edits.bind({ ...place, property: 'colour' }, { expr: '"rule"' }));
    const low = shop.engine.surveyNow().findings.filter(({ code }) => code === 'look-contrast');
    expect(low.map((each) => each.place)).toMatchObject([
      { part: 'price/price' },
      { part: 'twice/price' },
    ]);
    shop.make(edits.bind({ ...place, property: 'text' }, { expr: 'pirce' }));
    const { findings } = shop.engine.view(everything);
    expect(findings.filter(({ code }) => code === 'name-unknown')).toHaveLength(1);
  });

  test('blanks are counted where an input needs a value, not where it may be missing', () => {
    const shop = openShared();
    shop.make(edits.addInput('tag', 'note', 'text'));
    const place = { template, part: 'price', property: 'inputs.note' };
    shop.make(edits.bind(place, { expr: 'note' }));
    const missing = () =>
      shop.engine.surveyNow().templates[0]?.slots.find((each) => each.property === 'inputs.note')
        ?.missingCount;
    expect(missing()).toBe(1);
    shop.make(edits.changeInput('tag', 'note', { required: false }));
    expect(missing()).toBe(0);
  });

  test('inputs may be called what every object has, and are only inputs', async () => {
    const shop = openShared();
    for (const name of ['__proto__', 'constructor', 'toString']) {
      shop.make(edits.addInput('tag', name, 'text'));
      const property = `inputs.${name}`;
      shop.make(edits.bind({ template, part: 'price', property }, { expr: 'name' }));
      const label = draftLabel(
        `of-${name.toLowerCase().replaceAll('_', '')}`,
        { expr: name },
        'body',
      );
      shop.make(edits.insert(template, { beside: 'price/price', side: 'below' }, label));
    }
    expect(values(shop)[0]?.filter((each) => each === 'Lace')).toHaveLength(7);
    expect(Object.keys(Object.prototype)).toEqual([]);
    const file = [...writeProject(shop.project(), new Map([['stock', goods]]))].join('');
    const read = await readProject(file, 'x.yarncard.json');
    expect(read.ok && read.value.project.sharedParts).toEqual(shop.project().sharedParts);
    expect(file).toContain('"__proto__": {');
  });
});
