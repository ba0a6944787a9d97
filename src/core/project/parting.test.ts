import { describe, expect, test } from 'vitest';
import { atOnce } from '../base';
import { type Item, infer, reshaper } from '../items';
import { type Edit, edits, separatorsIn } from './edits';
import { makeProject } from './make';

const items: readonly Item[] = [
  { id: 'a', maker: { name: 'Pell, Ida' }, town: 'Ousby', zip: 'CA10' },
  { id: 'b', maker: { name: 'Fell, Ann, of Ings' }, town: '', zip: 'CA11' },
  { id: 'c', maker: { name: 'Reel' }, zip: 'CA12' },
];

function itemsAfter(edit: (type: string) => Edit) {
  const inference = atOnce(infer(items, 'stock'));
  const project = makeProject('stock.json', { format: 'json', at: '$[*]', items }, inference);
  const made = edit(project.types[0]?.id ?? '').apply(project);
  if (!made.ok) throw new Error(made.error);
  const reshape = reshaper(made.value.types[0]?.fields ?? []);
  return items.map((item) => reshape?.(item) ?? item);
}

describe('a field in two', () => {
  test('parts at what stands in most texts', () => {
    expect(separatorsIn(['Pell, Ida', 'Fell, Ann, of Ings', 'Reel'])[0]).toEqual({
      text: ', ',
      textCount: 2,
      mostPieces: 3,
    });
    expect(separatorsIn(['12-a', '13-b']).map(({ text }) => text)).toEqual(['-']);
    expect(separatorsIn(['Reel', 'Lace,', ''])).toEqual([]);
  });

  test('keeps all that comes after the first separator; without one there is no second', () => {
    const [comma] = separatorsIn(['Pell, Ida', 'Fell, Ann, of Ings']);
    if (comma === undefined) throw new Error('there is no separator');
    const place = { path: ['maker', 'name'] };
    const split = itemsAfter((type) =>
      edits.splitField({ ...place, type }, comma, ['last', 'first']),
    );
    expect(split.map(({ last }) => last)).toEqual(['Pell', 'Fell', 'Reel']);
    expect(split.map(({ first }) => first)).toEqual(['Ida', 'Ann, of Ings', '']);
    const two = { ...comma, mostPieces: 2 };
    const pair = itemsAfter((type) => edits.splitField({ ...place, type }, two, ['last', 'first']));
    expect(pair.map(({ first }) => first)).toEqual(['Ida', 'Ann', undefined]);
  });
});

test('two fields in one, with the separator only where both are there', () => {
  const joined = itemsAfter((type) =>
    edits.joinFields({ type, path: ['zip'] }, ['town'], { text: ' ', name: 'place' }),
  );
  expect(joined.map(({ place }) => place)).toEqual(['CA10 Ousby', 'CA11', 'CA12']);
});
