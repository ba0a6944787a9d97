import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import {
  compileFor,
  edits,
  projectFileSchema,
  readProject,
  usesOfField,
  writeProject,
} from '../src/core/project';
import {
  insertedKinds,
  kinds,
  mapBindings,
  type PartKind,
  propertyOf,
  slotsOf,
} from '../src/core/templates';
import { bindable, fraction, rare, text, word } from '../src/core/templates/parts/declare';
import { trace } from '../src/engine';
import { edited } from './support/edited';
import { everything, openShop } from './support/shop';

/** A kind of part that no screen knows: what a person who adds one would write, in one file. */
const stamp = {
  part: 'stamp',
  about: 'Words as if stamped on',
  shows: 'words',
  box: 'label',
  properties: {
    words: text('words'),
    slant: rare(bindable(fraction('slant', 0.5))),
    ink: bindable(word('ink', ['woad', 'madder'])),
  },
  draft: (id: string, value: unknown) => ({ part: 'stamp', id, words: value }),
};

beforeAll(() => Object.assign(kinds, { stamp }));
afterAll(() => Reflect.deleteProperty(kinds, 'stamp'));

const place = { template: 'stock-plain', part: 'mark' };

/** The shop with a stamp in its row. */
function stamped(more: Record<string, unknown> = {}) {
  const shop = openShop();
  const part = { ...kinds.label.draft('mark', { expr: 'name' }, 'beside') };
  const { text: _, style: __, ...bare } = part;
  const made = { ...bare, ...stamp.draft('mark', { expr: 'name' }), ...more };
  shop.make(
    edits.insert('stock-plain', { beside: 'title', side: 'after' }, Object.assign(part, made)),
  );
  return shop;
}

describe('a kind of part that is declared in one file', () => {
  test('is offered among those that show something', () => {
    expect(insertedKinds().map(({ part }: Pick<PartKind, 'part'>) => part)).toContain('stamp');
  });

  test('has a place for each value that feeds it, and its words in every row', () => {
    const { engine, project } = stamped({ slant: { expr: 'price.length / 10' } });
    const [row] = project().templates.map((template) => template.row);
    expect(row && slotsOf(row).map(({ part, property }) => `${part}.${property}`)).toEqual([
      'title.text',
      'mark.words',
      'mark.slant',
    ]);
    expect(engine.view(everything).entries.map(({ values }) => values.slice(1))).toEqual([
      ['Lace', 0.5],
      ['Sock', 0.4],
      ['Slub', 0.5],
    ]);
  });

  test('is bound, set and put back; what it does not have is refused', () => {
    const shop = stamped();
    shop.make(edits.bind({ ...place, property: 'words' }, { expr: 'made' }));
    shop.make(edits.bind({ ...place, property: 'ink' }, { expr: '"madder"' }));
    shop.make(edits.set({ ...place, property: 'slant' }, 0.25));
    expect(shop.engine.view(everything).entries[0]?.values).toEqual([
      'Lace',
      '24.03.2026',
      'madder',
    ]);
    expect(shop.engine.view(everything).plans[0]?.row.children[1]?.values).toMatchObject({
      slant: 0.25,
    });
    shop.make(edits.set({ ...place, property: 'slant' }, undefined));
    expect(shop.engine.view(everything).plans[0]?.row.children[1]?.values).toMatchObject({
      slant: 0.5,
    });
    for (const edit of [
      edits.set({ ...place, property: 'weight' }, 3),
      edits.set({ ...place, property: 'words' }, undefined),
      edits.bind({ ...place, property: 'text' }, { expr: 'name' }),
    ])
      expect(edit.apply(shop.project()).ok).toBe(false);
  });

  test('follows a field that is renamed, is among its uses, and is traced', () => {
    const shop = stamped();
    const type = shop.project().types[0];
    expect(type && usesOfField(shop.project(), type, ['name'])).toContainEqual(
      expect.objectContaining({ kind: 'binding', part: 'mark', property: 'words' }),
    );
    shop.make(edits.renameField({ type: shop.type(), path: ['name'] }, 'title'));
    expect(shop.engine.view(everything).entries[0]?.values[1]).toBe('Lace');
    expect(trace(shop.engine, { ...place, property: 'words' }, 1)).toMatchObject({ text: 'Sock' });
  });

  test('is checked: what an expression gives, the words that it writes, the values of all items', () => {
    const codes = (property: string, expr: string) => {
      const shop = stamped();
      const project = edited(shop.project(), edits.bind({ ...place, property }, { expr }));
      const [template] = project.templates;
      shop.engine.update(project, everything);
      return [
        ...(template === undefined ? [] : compileFor(project, template).findings),
        ...shop.engine.surveyNow().findings,
      ].map(({ code, place: at }) => ({ code, at: at.in === 'part' ? [at.from, at.to] : [] }));
    };
    expect(codes('slant', 'name')).toContainEqual({ code: 'value-unfit', at: [0, 0] });
    expect(codes('ink', 'made === "x" ? "woad" : "weld"')).toContainEqual({
      code: 'word-unknown',
      at: [24, 30],
    });
    expect(codes('slant', 'price.length')).toContainEqual({ code: 'values-unfit', at: [0, 0] });
    expect(codes('slant', 'price.length / 10')).toEqual([]);
    expect(codes('ink', '"woad"')).toEqual([]);
  });

  test('draws the nearest that it can be, and its default for what is missing or no such thing', () => {
    const shop = stamped({ slant: { expr: 'price.length' }, ink: { expr: 'name' } });
    expect(shop.engine.view(everything).entries[0]?.values.slice(2)).toEqual([1, 'woad']);
  });

  test('has its place in the file, and in the schema of files', async () => {
    const shop = stamped({ slant: 0.75 });
    const write = (of: ReturnType<typeof shop.project>) =>
      [...writeProject(of, new Map([['stock', []]]))].join('');
    const file = write(shop.project());
    const read = await readProject(file, 'x.yarncard.json');
    expect(read.ok ? write(read.value.project) : read.error.message).toBe(file);
    const bent = await readProject(file.replace('0.75', '75'), 'x.yarncard.json');
    expect(bent.ok ? '' : bent.error.message).toContain('children[1].slant');
    expect(JSON.stringify(projectFileSchema())).toContain('"slant"');
  });

  test('has each of its expressions changed with all others', () => {
    const [row] = stamped({ slant: { expr: '0.1' } })
      .project()
      .templates.map((each) => each.row);
    const changed = row && mapBindings(row, () => 'changed');
    expect(changed && slotsOf(changed).map(({ binding }) => binding)).toEqual([
      'changed',
      'changed',
    ]);
    const mark = changed && 'children' in changed ? changed.children[1] : undefined;
    expect(mark && propertyOf(mark, 'slant')).toBe('changed');
  });
});
