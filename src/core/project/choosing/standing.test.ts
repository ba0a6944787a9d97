import { expect, test } from 'vitest';
import { edited } from '../../../../tests/support/edited';
import { atOnce } from '../../base';
import { infer } from '../../items';
import { standingTemplates } from '../../lists';
import { standingDraft } from '../drafting/standing-drafts';
import { type Edit, edits, usesOfTemplate } from '../edits';
import { makeProject } from '../make';
import { brokenReferences } from '../problems';
import { type Project, withId } from '../project';
import { usesOfField } from '../uses';

const shop = [
  { id: 'a', name: 'Merino', dye: 'madder' },
  { id: 'b', name: 'Sock', dye: 'woad' },
];
const notices = [{ id: 'n', words: 'Closed on Monday' }];
const stock = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items: shop },
  atOnce(infer(shop, 'stock.json')),
);
const beside = makeProject(
  'notices.json',
  { format: 'json', at: '$[*]', items: notices },
  atOnce(infer(notices, 'notices.json')),
);
const project: Project = {
  ...stock,
  sources: [...stock.sources, ...beside.sources],
  types: [...stock.types, ...beside.types],
  templates: [...stock.templates, ...beside.templates],
};
const [list] = project.lists.map(({ id }) => id);
const [notice] = beside.templates.map(({ id }) => id);
const [type] = stock.types.map(({ id }) => id);

const draft = (place: Parameters<typeof standingDraft>[0]): Edit =>
  edits.addDraft({ id: place, name: place, type: type ?? '' }, standingDraft(place, 'Stock'));
const inPlace = edited(
  project,
  draft('heading'),
  draft('footing'),
  edits.divide(list ?? '', { by: 'dye', heading: 'heading', footing: 'footing', sticks: true }),
  edits.insertBetween(list ?? '', {
    from: 1,
    every: 2,
    template: notice ?? '',
    source: 'notices',
  }),
);

const codes = (of: Project): readonly string[] => brokenReferences(of).map(({ code }) => code);
const why = (edit: Edit, of = inPlace): string => {
  const made = edit.apply(of);
  return made.ok ? '' : made.error;
};

test('what stands beside rows counts as shown, and is drafted without anything wrong', () => {
  expect(codes(inPlace)).toEqual([]);
  expect(usesOfTemplate(inPlace, 'heading')).toMatchObject([{ list: 'stock', isStanding: true }]);
  expect(why(edits.removeTemplate('heading'))).toContain('shows it');
  expect(usesOfField(inPlace, inPlace.types[0] ?? never(), ['dye'])).toContainEqual({
    kind: 'sections',
    list,
    by: 'dye',
  });
});

test('sections follow a field to its new name; what reads items of the section does, too', () => {
  const sum = edits.bind(
    { template: 'footing', part: 'count', property: 'text' },
    { expr: 'section.items.map(x => x.dye).join(", ")' },
  );
  const place = { type: type ?? '', path: ['dye'] };
  const renamed = edited(inPlace, sum, edits.renameField(place, 'colour'));
  expect(renamed.lists[0]?.sections?.by).toBe('colour');
  expect(JSON.stringify(withId(renamed.templates, 'footing')?.row)).toContain('x.colour');
  expect(codes(renamed)).toEqual([]);
});

test('a filter box looks in a field under its new name; lines and ground keep a colour under its', () => {
  const place = list ?? '';
  const coloured = edited(
    inPlace,
    edits.filterBy(place, { fields: ['name', 'dye'] }),
    edits.arrangeAs(place, {
      ...{ kind: 'list', gap: 0, edge: 0, ground: 'soft' },
      separators: { colour: 'rule', inset: 4 },
    }),
  );
  const field = { type: type ?? '', path: ['dye'] };
  const own = coloured.types[0] ?? never();
  expect(usesOfField(coloured, own, ['dye']).map(({ kind }) => kind)).toContain('filter');
  const renamed = edited(
    coloured,
    edits.renameField(field, 'colour'),
    edits.renameColour('soft', 'linen'),
    edits.renameColour('rule', 'thread'),
  );
  expect(renamed.lists[0]?.filter?.fields).toEqual(['name', 'colour']);
  expect(renamed.lists[0]?.arrangement).toMatchObject({
    ...{ ground: 'linen', separators: { colour: 'thread', inset: 4 } },
  });
  const bare = edited(renamed, edits.removeColour('linen'), edits.removeColour('thread'));
  expect(bare.lists[0]?.arrangement).toEqual({
    ...{ kind: 'list', gap: 0, edge: 0, separators: { inset: 4 } },
  });
});

test('what can be wrong beside rows is told', () => {
  const [own] = inPlace.lists;
  if (own === undefined || own.sections === undefined || own.inserts === undefined) never();
  const withList = (change: Partial<typeof own>): Project => ({
    ...inPlace,
    lists: [{ ...own, ...change }],
  });
  expect(codes(withList({ sections: { ...own.sections, by: 'dyes' } }))).toEqual([
    'sections-unfit',
  ]);
  expect(codes(withList({ inserts: { ...own.inserts, source: 'gone' } }))).toContain(
    'insert-source-unknown',
  );
  expect(codes(withList({ header: notice ?? '' }))).toEqual(['standing-unfit']);
  expect(codes(withList({ header: 'gone' }))).toEqual(['choice-template-unknown']);
});

test('what can not stand there is refused with its reason, and what can be taken away is', () => {
  const place = list ?? '';
  expect(why(edits.stand(place, 'header', 'gone'))).toContain('no template');
  expect(why(edits.divide(place, { by: ' ' }))).toContain('made by');
  expect(why(edits.insertBetween(place, { from: 0, every: 2, template: 'heading' }))).toContain(
    'whole numbers',
  );
  expect(why(edits.stand(place, 'footing', undefined), project)).toContain('no sections');
  const bare = edited(
    inPlace,
    edits.divide(place, undefined),
    edits.insertBetween(place, undefined),
    edits.removeTemplate('heading'),
    edits.removeTemplate('footing'),
  );
  expect(bare).toEqual(project);
});

test('a source that goes takes its inserts with it', () => {
  const left = edited(inPlace, edits.removeSource('notices'));
  expect(left.lists.flatMap(standingTemplates)).toEqual(['heading', 'footing']);
  expect(codes(left)).toEqual([]);
});

function never(): never {
  throw new Error('This cannot be.');
}
