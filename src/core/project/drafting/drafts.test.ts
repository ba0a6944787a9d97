import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { items as someItems } from '../../../../tests/support/arbitrary';
import { edited } from '../../../../tests/support/edited';
import { atOnce } from '../../base';
import { type Item, infer } from '../../items';
import { type StandingPart, slotsOf } from '../../templates';
import { edits } from '../edits';
import { whyNotWritable } from '../file/validate';
import { makeProject } from '../make';
import { problemsIn } from '../problems';
import type { Project } from '../project';
import { draftsFor } from './drafts';

const boats: readonly Item[] = Array.from({ length: 12 }, (_, at) => ({
  id: `boat-${at}`,
  status: at % 3 === 0 ? 'hired' : 'free',
  title: `Clinker dinghy number ${'abcdefghijkl'[at]}`,
  photo: `boats/${at}.png`,
  builder: { name: `Yard at ${['Keld', 'Askrigg', 'Muker'][at % 3]} ${at}`, since: 1900 + at },
  pricePerDay: at === 4 ? null : 24.5 + at,
  seats: 2 + (at % 5),
  built: `20${10 + at}-05-01`,
}));

function projectOf(items: readonly Item[]): Project {
  return makeProject(
    'boats.json',
    { format: 'json', at: '$[*]', items },
    atOnce(infer(items, 'boats')),
  );
}

/** A row as `row(title value)`, each label with what feeds it. */
function outline(part: StandingPart): string {
  if (part.part === 'stack') return `${part.direction}(${part.children.map(outline).join(' ')})`;
  const [slot] = slotsOf(part);
  return `${part.part}:${slot === undefined || typeof slot.binding === 'string' ? '?' : slot.binding.expr}`;
}

describe('drafts for the items of a type', () => {
  const project = projectOf(boats);
  const [type] = project.types;
  const drafts = type === undefined ? [] : draftsFor(project, type, boats);

  test('show what names them, their picture, who they are from, money, dates, counts', () => {
    expect(drafts.map(({ name, row }) => `${name}: ${outline(row)}`)).toEqual([
      'plain: across(label:title label:pricePerDay)',
      'with picture: across(image:photo down(label:title label:builder.name) label:pricePerDay)',
      'detailed: across(image:photo down(label:title label:builder.name label:built) down(label:pricePerDay badge:seats))',
      'card: down(image:photo label:title label:builder.name across(label:pricePerDay badge:seats))',
    ]);
  });

  test('write values with formats, and say what stands in where one is missing', () => {
    const [plain] = drafts;
    expect(plain?.formats.map(({ name }) => name)).toEqual(['money']);
    const price = slotsOf(plain?.row ?? { part: 'stack', id: 'row', children: [] })[1]?.binding;
    expect(price).toEqual({ expr: 'pricePerDay', format: 'money', else: '—' });
  });

  test('take the project’s own format where it has such a one', () => {
    const [plain] = drafts;
    const template = project.templates[0]?.id ?? '';
    if (plain === undefined || type === undefined) throw new Error('nothing drafted');
    const taken = edited(project, edits.takeDraft(template, plain));
    expect(taken.formats).toHaveLength(1);
    expect(draftsFor(taken, type, boats)[0]?.formats).toEqual([]);
  });
});

test('whatever the items are, drafts are valid rows without findings', () => {
  fc.assert(
    fc.property(someItems, (items) => {
      const project = projectOf(items);
      const [type] = project.types;
      const template = project.templates[0]?.id ?? '';
      if (type === undefined) return;
      for (const draft of draftsFor(project, type, items)) {
        const taken = edited(project, edits.takeDraft(template, draft));
        expect(whyNotWritable(project, taken)).toBeUndefined();
        const found = taken.templates.flatMap((each) => problemsIn(taken, each));
        expect(found.filter(({ severity }) => severity === 'error')).toEqual([]);
      }
    }),
    { numRuns: 60 },
  );
});
