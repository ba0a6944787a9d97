import { describe, expect, test } from 'vitest';
import { edited } from '../../../tests/support/edited';
import { atOnce } from '../base';
import { infer } from '../items';
import { slotsOf } from '../templates';
import { type Edit, edits, freeFormatId, inOneStep } from './edits';
import { readProject } from './file/read';
import { writeProject } from './file/write';
import { makeEdit, startHistory, undo } from './history';
import { makeProject } from './make';
import { brokenReferences, compileFor, problemsIn } from './problems';
import type { Project } from './project';
import { idsIn } from './used-ids';
import { usesOfField } from './uses';

const shop = [
  { id: 'a', name: 'Lace', price: 1_234.5, currency: 'EUR', sold: true, dyes: ['woad', 'weld'] },
  { id: 'b', name: 'Sock', currency: 'SEK', sold: false, dyes: [] },
];

const bare = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items: shop },
  atOnce(infer(shop, 'stock')),
);

const place = (project: Project) => ({
  template: project.templates[0]?.id ?? '',
  part: slotsOf(project.templates[0]?.row ?? never())[0]?.part ?? '',
  property: 'text' as const,
});

const words = (project: Project, locale?: string) => {
  const [template] = project.templates;
  if (template === undefined) return [];
  const compiled = compileFor(project, template, undefined, locale);
  return shop.map((item) => compiled.values(item)[0]?.toString().replace(/\s/g, ' '));
};

const priced = edited(
  bare,
  inOneStep('Price as money', [
    edits.addFormat({ id: 'money', name: 'Money', as: 'money', currency: { expr: 'currency' } }),
    edits.bind(place(bare), { expr: 'price', format: 'money', else: 'ask' }),
  ]),
);

describe('a format', () => {
  test('writes the value, its options from the item; where there is none the stand-in shows', () => {
    expect(words(priced)).toEqual(['€1,234.50', 'ask']);
    expect(words(priced, 'de')).toEqual(['1.234,50 €', 'ask']);
  });

  test('is kept once: changed in one place, all that have it follow', () => {
    const changed = edited(
      priced,
      edits.changeFormat('money', { as: 'money', currency: 'JPY', display: 'code' }),
      edits.renameFormat('money', 'Yen'),
    );
    expect(words(changed)[0]).toBe('JPY 1,235');
    expect(changed.formats).toMatchObject([{ id: 'money', name: 'Yen' }]);
  });

  test('that is removed leaves its bindings plain, and goes in one step', () => {
    const made = makeEdit(startHistory(priced), edits.removeFormat('money'));
    if (!made.ok) throw new Error(made.error);
    expect(words(made.value.project)).toEqual(['1234.5', 'ask']);
    expect(made.value.project.formats).toBeUndefined();
    expect(undo(made.value).project).toBe(priced);
  });

  test('writes lists and booleans, which have no text or an odd one of their own', () => {
    const listed = edited(
      bare,
      edits.addFormat({ id: 'list', name: 'List', as: 'list' }),
      edits.bind(place(bare), { expr: 'dyes', format: 'list' }),
    );
    expect(words(listed)).toEqual(['woad and weld', '']);
    const told = edited(
      bare,
      edits.addFormat({ id: 'sold', name: 'Sold', as: 'yesNo', yes: 'sold', no: 'in stock' }),
      edits.bind(place(bare), { expr: 'sold', format: 'sold' }),
    );
    expect(words(told)).toEqual(['sold', 'in stock']);
  });

  test('is in the file as it is, with the locales, and comes back the same', async () => {
    const both = edited(priced, edits.setLocales(['de', 'en', 'de']));
    expect(both.locales).toEqual(['de', 'en']);
    expect(words(both)[0]).toBe('1.234,50 €');
    const text = [...writeProject(both, new Map([['stock', shop]]))].join('');
    const read = await readProject(text, 'x.yarncard.json');
    expect(read.ok && read.value.project).toEqual(both);
    expect(read.ok && [...writeProject(read.value.project, read.value.items)].join('')).toBe(text);
  });

  test('that a file has wrong is refused with its place', async () => {
    const wrong = {
      ...priced,
      formats: [{ id: 'm', name: 'M', as: 'money', currency: 'EUR', display: 'gold' }],
    };
    const text = [...writeProject(wrong as Project, new Map())].join('');
    const read = await readProject(text, 'x.yarncard.json');
    expect(read.ok ? '' : read.error.message).toContain('formats[0].display');
  });
});

describe('what is wrong with how a value is written is found', () => {
  const withFormat = (binding: { expr: string; format: string }, ...more: Edit[]) =>
    edited(bare, ...more, edits.bind(place(bare), binding));
  const codes = (project: Project) =>
    project.templates.flatMap((each) => problemsIn(project, each)).map(({ code }) => code);

  test('a format that is not there', () => {
    expect(codes(withFormat({ expr: 'price', format: 'mony' }))).toEqual(['format-unknown']);
  });

  test('a format that cannot write such values', () => {
    const money = edits.addFormat({ id: 'm', name: 'M', as: 'money', currency: 'EUR' });
    expect(codes(withFormat({ expr: 'name', format: 'm' }, money))).toEqual(['format-unfit']);
  });

  test('an option that reads a field which the item has not', () => {
    const money = edits.addFormat({ id: 'm', name: 'M', as: 'money', currency: { expr: 'code' } });
    expect(codes(withFormat({ expr: 'price', format: 'm' }, money))).toEqual(['format-option']);
  });

  test('a message that cannot be used', () => {
    const message = edits.addFormat({ id: 'm', name: 'M', as: 'message', message: '{$value' });
    const project = withFormat({ expr: 'price', format: 'm' }, message);
    const [template] = project.templates;
    expect(template && compileFor(project, template).findings).toMatchObject([
      { code: 'format-message', place: { in: 'part' } },
    ]);
    expect(brokenReferences(project)).toEqual([]);
  });

  test('locales that are none, formats without a name or named twice', () => {
    const why = (edit: Edit) => {
      const made = edit.apply(priced);
      return made.ok ? '' : made.error;
    };
    expect(why(edits.setLocales(['deutsch nur']))).toMatch(/names no locale/);
    expect(why(edits.setLocales([]))).toMatch(/needs a locale/);
    expect(why(edits.renameFormat('money', ' '))).toMatch(/needs a name/);
    expect(why(edits.renameFormat('none', 'x'))).toMatch(/no format "none"/);
    expect(why(edits.addFormat({ id: 'money', name: 'M', as: 'bytes' }))).toMatch(/already/);
    expect(freeFormatId(idsIn(priced), 'Money')).toBe('money-2');
  });
});

function never(): never {
  throw new Error('it is there');
}

describe('a renamed field', () => {
  const left = { id: 'left', name: 'left', as: 'message', message: '{$value} of {$name}' } as const;
  const type = bare.types[0]?.id ?? '';

  test('is followed by formats that read it: in options from the item and in messages', () => {
    const renamed = edited(
      priced,
      edits.addFormat(left),
      edits.renameField({ type, path: ['currency'] }, 'code'),
    );
    expect(renamed.formats?.[0]).toMatchObject({ currency: { expr: 'code' } });
    const told = edited(
      bare,
      edits.addFormat(left),
      edits.bind(place(bare), { expr: 'price ?? 0', format: 'left', else: { expr: 'name' } }),
      edits.renameField({ type, path: ['name'] }, 'title'),
    );
    expect(told.formats?.[0]).toMatchObject({ message: '{$value} of {$title}' });
    expect(slotsOf(told.templates[0]?.row ?? never())[0]?.binding).toMatchObject({
      else: { expr: 'title' },
    });
  });

  test('is told among the uses', () => {
    const [own] = priced.types;
    expect(usesOfField(priced, own ?? never(), ['currency'])).toContainEqual({
      kind: 'format',
      format: 'money',
    });
  });
});
