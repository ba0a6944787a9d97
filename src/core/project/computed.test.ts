import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fieldName, items as someItems } from '../../../tests/support/arbitrary';
import { edited } from '../../../tests/support/edited';
import { atOnce } from '../base';
import { declarations, type Item, infer, itemsSchema, reshaper } from '../items';
import { fieldNamed, pathText, plainText } from '../values';
import { type Edit, edits } from './edits';
import { readProject } from './file/read';
import { writeProject } from './file/write';
import { makeProject } from './make';
import { brokenReferences } from './problems';
import { type Project, withId } from './project';
import { usesOfField } from './uses';

const shop: readonly Item[] = [
  { id: 'a', name: 'Lace', grams: 100, maker: { town: 'Ousby' } },
  { id: 'b', name: 'Sock', grams: 50 },
];

const projectOf = (items: readonly Item[]): Project =>
  makeProject('stock.json', { format: 'json', at: '$[*]', items }, atOnce(infer(items, 'stock')));

const type = (project: Project) => project.types[0] ?? never();
const shaped = (project: Project, items: readonly Item[] = shop) => {
  const reshape = reshaper(type(project).fields);
  return items.map((item) => reshape?.(item) ?? item);
};

const computed = edited(
  projectOf(shop),
  edits.addComputed('stock', 'weight', '`${grams} g`'),
  edits.addComputed('stock', 'words', '`${name}, ${weight} from ${maker.town ?? "afar"}`'),
  edits.addComputed('stock', 'town', 'maker.town'),
);

describe('a computed property', () => {
  test('is a field like any other, and may read those before it', () => {
    expect(shaped(computed).map((item) => [item['words'], item['town']])).toEqual([
      ['Lace, 100 g from Ousby', 'Ousby'],
      ['Sock, 50 g from afar', undefined],
    ]);
    expect(fieldNamed(type(computed).fields, 'weight')).toMatchObject({
      type: 'text',
      required: true,
    });
    expect(fieldNamed(type(computed).fields, 'town')).toMatchObject({
      type: 'text',
      required: false,
    });
  });

  test('follows renames of what it reads, and is one of its uses', () => {
    const renamed = edited(
      computed,
      edits.renameField({ type: 'stock', path: ['grams'] }, 'mass'),
      edits.renameField({ type: 'stock', path: ['weight'] }, 'in grams'),
    );
    expect(shaped(renamed)[0]?.['words']).toBe('Lace, 100 g from Ousby');
    expect(usesOfField(renamed, type(renamed), ['in grams'])).toMatchObject([
      { kind: 'computed', name: 'words' },
    ]);
  });

  test('takes another expression, with another type; a faulty one is a finding and gives nothing', () => {
    const place = { type: 'stock', path: ['weight'] };
    const other = edited(computed, edits.compute(place, 'grams'));
    expect(fieldNamed(type(other).fields, 'weight')?.type).toBe('integer');
    const broken = edited(computed, edits.compute(place, 'gram'));
    expect(shaped(broken)[0]?.['weight']).toBeUndefined();
    expect(brokenReferences(broken)[0]).toMatchObject({
      code: 'name-unknown',
      place: { in: 'items', field: 'weight' },
    });
  });

  test('cannot be retyped or decoded', () => {
    const why = (edit: Edit) => {
      const made = edit.apply(computed);
      return made.ok ? '' : made.error;
    };
    expect(why(edits.retypeField({ type: 'stock', path: ['weight'] }, 'date'))).toMatch(/computed/);
    expect(why(edits.addComputed('stock', 'name', 'id'))).toMatch(/already/);
  });

  test('reads others in whatever order they stand', () => {
    const early = edited(computed, edits.compute({ type: 'stock', path: ['weight'] }, 'town'));
    expect(brokenReferences(early)).toEqual([]);
    expect(fieldNamed(type(early).fields, 'weight')).toMatchObject({ type: 'text' });
    expect(shaped(early)[0]?.['weight']).toBe('Ousby');
  });

  test('that reads itself round in a circle is said with the whole circle, and has no value', () => {
    const round = edited(computed, edits.compute({ type: 'stock', path: ['weight'] }, 'words'));
    expect(brokenReferences(round)).toMatchObject([
      { code: 'computed-circle', place: { in: 'items', source: 'stock', field: 'weight' } },
    ]);
    expect(brokenReferences(round)[0]?.message).toContain('weight → words → weight');
    expect(shaped(round)[0]).toMatchObject({ town: 'Ousby' });
    expect(shaped(round)[0]?.['words']).toBeUndefined();
    const itself = edited(computed, edits.compute({ type: 'stock', path: ['town'] }, 'town'));
    expect(brokenReferences(itself)[0]?.message).toContain('town → town');
  });

  test('stays when the items come again, and is none of what the items hold', () => {
    const again = edited(
      computed,
      edits.importAgain('stock', {
        revision: 1,
        from: { file: 'b.json', format: 'json', at: '$[*]' },
        found: atOnce(infer([{ ...shop[0], dye: 'woad' }], 'stock')).types,
      }),
    );
    expect(type(again).fields.map((field) => field.name)).toEqual([
      ...['id', 'name', 'grams', 'maker', 'dye'],
      ...['weight', 'words', 'town'],
    ]);
    const shape = { name: 'stock', value: null, fields: type(computed).fields };
    expect(JSON.stringify(itemsSchema('stock', [shape], null))).not.toContain('weight');
    expect(declarations('stock', [shape], null)).not.toContain('weight');
  });

  test('is saved, and read again as it was', async () => {
    const text = [...writeProject(computed, new Map([['stock', shop]]))].join('');
    const read = await readProject(text, 'x.yarncard.json');
    expect(read.ok && read.value.project).toEqual(computed);
  });

  test('taken out is gone, and can be computed anew', () => {
    const without = edited(computed, edits.removeField({ type: 'stock', path: ['town'] }));
    expect(withId(without.types, 'stock')?.leftOut).toBeUndefined();
    expect(edited(without, edits.addComputed('stock', 'town', 'maker.town'))).toEqual(computed);
  });

  test('that reads a field gives its value, whatever the items and its name', () => {
    fc.assert(
      fc.property(someItems, fieldName, fc.nat(), (items, name, pick) => {
        const project = projectOf(items);
        const { fields, id } = type(project);
        const field = fields[pick % fields.length] ?? never();
        const made = edits.addComputed(id, name, pathText([field.name])).apply(project);
        if (!made.ok) return;
        const wanted = shaped(project, items).map((item) => {
          const value = own(item, field.name) ?? undefined;
          // Where numbers stand among texts, all of them are read as text.
          return field.type === 'text' ? plainText(value) : value;
        });
        expect(shaped(made.value, items).map((item) => own(item, name.trim()))).toEqual(wanted);
      }),
    );
  });
});

const own = (item: Item, name: string) => (Object.hasOwn(item, name) ? item[name] : undefined);

function never(): never {
  throw new Error('it is there');
}
