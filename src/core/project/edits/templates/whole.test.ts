import { describe, expect, test } from 'vitest';
import { edited } from '../../../../../tests/support/edited';
import { atOnce } from '../../../base';
import { infer } from '../../../items';
import { draftLabel, draftStack, slotsOf } from '../../../templates';
import { makeProject } from '../../make';
import { type Project, withId } from '../../project';
import { type Edit, edits, matchFields, usesOfTemplate } from '../index';

const goods = [
  { kind: 'skein', id: 's1', name: 'Fell Lace', price: 14.5, maker: 'Hollow', grams: 100 },
  { kind: 'tool', id: 't1', name: 'Niddy noddy', Price: 22, by: 'Oak & Ash', photo: 'x.png' },
  { kind: 'skein', id: 's2', name: 'Heron', price: 9, maker: 'Beck', grams: 50 },
  { kind: 'tool', id: 't2', name: 'Swift', Price: 40, by: 'Ash', photo: 'y.png' },
];
const row = draftStack('row', 'across', [
  draftLabel('name', { expr: 'name' }, 'title'),
  draftLabel('maker', { expr: '`${maker} · ${grams} g`' }, 'small'),
  draftLabel('price', { expr: 'price', else: { expr: 'grams' } }, 'value'),
]);
const made = makeProject(
  'goods.json',
  { format: 'json', at: '$[*]', items: goods },
  atOnce(infer(goods, 'goods')),
);
const project: Project = {
  ...made,
  templates: made.templates.map((each) => (each.type === 'skein' ? { ...each, row } : each)),
};
const names = (of: Project) => of.templates.map(({ id, name }) => `${id} ${name}`);
const why = (edit: Edit, of = project) => {
  const applied = edit.apply(of);
  return applied.ok ? '' : applied.error;
};

describe('templates of a project', () => {
  test('are named, duplicated, removed where no list shows them', () => {
    const two = edited(
      project,
      edits.duplicateTemplate('skein-plain', { id: 'skein-rich', name: 'rich' }),
      edits.renameTemplate('skein-rich', ' shop window '),
    );
    expect(names(two)).toEqual(['skein-plain plain', 'skein-rich shop window', 'tool-plain plain']);
    expect(names(edited(two, edits.removeTemplate('skein-rich')))).toEqual(names(project));
    expect(why(edits.removeTemplate('skein-plain'))).toBe(
      '“goods” shows it: choose another there first.',
    );
    expect(why(edits.renameTemplate('skein-plain', ' '))).toBe('A template needs a name.');
    expect(why(edits.duplicateTemplate('skein-plain', { id: 'tool-plain', name: 'x' }))).toMatch(
      'already',
    );
  });

  test('say where they are shown', () => {
    expect(usesOfTemplate(project, 'skein-plain')).toEqual([
      {
        list: 'goods',
        choices: [{ type: 'skein', template: 'skein-plain' }],
        isOtherwise: true,
        isStanding: false,
      },
    ]);
    expect(usesOfTemplate(project, 'none')).toEqual([]);
  });

  test('are moved to a list of their own', () => {
    const two = edited(project, edits.listOfItsOwn('tool-plain', { id: 'tools', name: 'Tools' }));
    expect(withId(two.lists, 'tools')).toMatchObject({
      source: 'goods',
      choices: [{ type: 'tool', template: 'tool-plain' }],
      otherwise: null,
    });
  });
});

describe('a template is given to another item type', () => {
  const skein = withId(project.types, 'skein')?.fields ?? [];
  const tool = withId(project.types, 'tool')?.fields ?? [];

  test('what it reads is matched by name and type; what is not there is listed with the nearest', () => {
    expect(matchFields(row, skein, tool)).toEqual({
      matched: [
        { from: 'name', to: 'name' },
        { from: 'price', to: 'Price' },
      ],
      unmatched: [
        { from: 'maker', nearest: expect.any(String) },
        { from: 'grams', nearest: 'Price' },
      ],
    });
  });

  test('its expressions read what the other type calls the same, stand-ins too', () => {
    const given = edited(
      project,
      edits.giveTemplate('skein-plain', { id: 'tool-brief', name: 'brief', type: 'tool' }),
    );
    const own = withId(given.templates, 'tool-brief');
    expect(own && slotsOf(own.row).map(({ binding }) => binding)).toEqual([
      { expr: 'name' },
      { expr: '`${maker} · ${grams} g`' },
      { expr: 'Price', else: { expr: 'grams' } },
    ]);
    expect(withId(given.templates, 'skein-plain')?.row).toEqual(row);
  });
});
