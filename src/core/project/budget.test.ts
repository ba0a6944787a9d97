import { expect, test } from 'vitest';
import { edited } from '../../../tests/support/edited';
import { atOnce } from '../base';
import { infer } from '../items';
import { kinds } from '../templates';
import { edits } from './edits';
import { makeProject } from './make';
import { brokenReferences, drawnPartCount } from './problems';

const items = [{ id: 'a', name: 'Lace', dyes: ['weld', 'woad'] }];
const project = makeProject(
  'stock.json',
  { format: 'json', at: '$[*]', items },
  atOnce(infer(items, 'stock')),
);
const [template] = project.templates;

test('a row that has more parts than the project allows is told of, repeated ones counted as they stand', () => {
  const badge = kinds.badge.draft('dye', { expr: 'each' }, 'beside');
  const more = edited(
    project,
    edits.insert(
      'stock-plain',
      { beside: 'title', side: 'after' },
      { part: 'stack', id: 'dyes', over: { expr: 'dyes' }, max: 3, children: [badge] },
    ),
    edits.limitParts(5),
  );
  const own = more.templates[0];
  expect(own && drawnPartCount(more, own)).toBeGreaterThan(5);
  expect(brokenReferences(more).map(({ code }) => code)).toEqual(['row-over-budget']);
  expect(brokenReferences(edited(more, edits.limitParts(undefined)))).toEqual([]);
  expect(template && drawnPartCount(project, template)).toBe(2);
});

test('a budget is a whole number of parts', () => {
  for (const max of [0, 1.5, 501, Number.NaN])
    expect(edits.limitParts(max).apply(project)).toMatchObject({ ok: false });
  const { maxParts } = edited(project, edits.limitParts(12));
  expect(maxParts).toBe(12);
});
