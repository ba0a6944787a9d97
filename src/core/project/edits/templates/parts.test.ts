import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { atOnce } from '../../../base';
import { type Item, infer } from '../../../items';
import {
  draftImage,
  draftLabel,
  draftStack,
  kinds,
  type Landing,
  partIds,
  partsOf,
  type Side,
  type StackPart,
  stepFrom,
} from '../../../templates';
import { whyNotWritable } from '../../file/validate';
import { type History, makeEdit, redo, startHistory, undo } from '../../history';
import { makeProject } from '../../make';
import { copied, pieceText } from '../../pieces/copy';
import { arriving, readPiece } from '../../pieces/paste';
import { problemsIn } from '../../problems';
import { type Project, withId } from '../../project';
import { shownTemplate, writtenRows } from '../../rows/rows';
import { type Edit, edits, freePartId } from '../index';

const goods: readonly Item[] = [
  { id: 'a', name: 'Fell Lace', price: 14.5, picture: 'lace', tags: ['soft', 'fine'], open: true },
  { id: 'b', name: 'Heron Sock', price: 9, picture: 'sock', tags: [], open: false },
];

const run = kinds.run.draft('note', { expr: '` ${name}`' }, 'beside');
const row: StackPart = draftStack('row', 'across', [
  draftImage('picture', { expr: 'picture' }),
  draftStack('words', 'down', [
    { ...draftLabel('name', { expr: 'name' }, 'title'), runs: [run] },
    draftLabel('second', { expr: 'id', else: null }, 'small'),
  ]),
  draftLabel('price', { expr: 'price', format: 'money' }, 'value'),
]);

const made = makeProject(
  'goods.json',
  { format: 'json', at: '$[*]', items: goods },
  atOnce(infer(goods, 'goods')),
);
const project: Project = {
  ...made,
  templates: made.templates.map((each) => ({ ...each, id: 'plain', row })),
  formats: [{ id: 'money', name: 'money', as: 'money', currency: 'EUR' }],
};

const place = (...parts: readonly string[]) => ({ template: 'plain', parts });

/** The template's parts as `row(picture words(name second) price)`. */
function outline(of: Project): string {
  const told = (part: StackPart['children'][number]): string =>
    part.part === 'stack' ? `${part.id}(${part.children.map(told).join(' ')})` : part.id;
  const own = withId(of.templates, 'plain')?.row;
  return own === undefined ? '' : told(own);
}

function outlineAfter(edit: Edit, before = project): string {
  const applied = edit.apply(before);
  return applied.ok ? outline(applied.value) : applied.error;
}

const step = (part: string, side: Side): string => {
  const landing = stepFrom(row, part, side);
  return typeof landing === 'string' ? landing : outlineAfter(edits.move(place(part), landing));
};

describe('a part is moved', () => {
  test.each<[string, string, Side, string]>([
    ['along its stack', 'picture', 'after', 'row(words(name second) picture price)'],
    ['back', 'price', 'before', 'row(picture price words(name second))'],
    ['into the stack beside', 'price', 'above', 'row(picture words(name second price))'],
    ['into the next one', 'picture', 'below', 'row(words(picture name second) price)'],
    ['out of a stack, which gives way', 'second', 'after', 'row(picture name second price)'],
    ['out at the end of it', 'name', 'above', 'row(picture name second price)'],
    ['not further than the row', 'picture', 'before', 'There is nothing on that side to go to.'],
    ['not the row itself', 'row', 'after', 'The row itself stays where it is.'],
    ['not a run out of its label', 'note', 'after', 'A run of words stays in its label.'],
  ])('%s', (_, part, side, expected) => {
    expect(step(part, side)).toBe(expected);
  });

  test('beside others, in a stack of its own where that runs the other way', () => {
    const landing: Landing = { beside: 'picture', side: 'below' };
    expect(outlineAfter(edits.move(place('price'), landing))).toBe(
      'row(stack(picture price) words(name second))',
    );
  });

  test('several together, in the order of the row', () => {
    expect(outlineAfter(edits.move(place('price', 'picture'), { within: 'words', at: 1 }))).toBe(
      'row(words(name picture price second))',
    );
  });

  test('never into itself, into a label, or to where it stands', () => {
    expect(outlineAfter(edits.move(place('words'), { within: 'words', at: 0 }))).toBe(
      'A part can’t be put into itself.',
    );
    expect(outlineAfter(edits.move(place('price'), { within: 'name', at: 0 }))).toBe(
      'Only runs of words stand in a label.',
    );
    expect(outlineAfter(edits.move(place('price'), { within: 'row', at: 2 }))).toBe(
      'It stands there.',
    );
  });
});

describe('parts are wrapped, unwrapped, duplicated, removed, named', () => {
  test.each<[string, Edit, string]>([
    ['one', edits.wrap(place('price'), 'down'), 'row(picture words(name second) stack(price))'],
    [
      'two of a stack, with one between',
      edits.wrap(place('price', 'picture'), 'over'),
      'row(stack(picture price) words(name second))',
    ],
    [
      'not parts of two stacks',
      edits.wrap(place('price', 'name'), 'over'),
      'Only parts of the same stack can be wrapped together.',
    ],
    ['not the row', edits.wrap(place('row'), 'down'), 'The row is a stack itself.'],
    ['a stack gives way', edits.unwrap('plain', 'words'), 'row(picture name second price)'],
    ['a label is no stack', edits.unwrap('plain', 'name'), 'Only a stack can be unwrapped.'],
    [
      'a stack twice, each part of a name of its own',
      edits.duplicate(place('words')),
      'row(picture words(name second) words-2(name-2 second-2) price)',
    ],
    ['several go', edits.remove(place('second', 'picture')), 'row(name price)'],
    ['what is in what goes, too', edits.remove(place('words', 'name')), 'row(picture price)'],
    ['not the row', edits.remove(place('row')), 'The row itself stays.'],
    ['a name', edits.renamePart('plain', 'second', 'code'), 'row(picture words(name code) price)'],
    [
      'a name twice',
      edits.renamePart('plain', 'second', 'price'),
      'There is a part price already.',
    ],
    [
      'no name',
      edits.renamePart('plain', 'second', '__proto__'),
      'A part is called by lower case letters, digits and hyphens.',
    ],
  ])('%s', (_, edit, expected) => {
    expect(outlineAfter(edit)).toBe(expected);
  });

  test('a part is called after what it shows until a person names it', () => {
    const bound = (part: string, expr: string) =>
      outlineAfter(edits.bind({ template: 'plain', part, property: 'text' }, { expr }));
    expect(bound('price', 'open')).toBe('row(picture words(name second) open)');
    expect(bound('second', 'open')).toBe('row(picture words(name second) price)');
    expect(bound('price', '`${name} ${open}`')).toBe(
      'row(picture words(name second) name-and-open)',
    );
    const words = edits.bind({ template: 'plain', part: 'price', property: 'text' }, 'on request');
    expect(outlineAfter(words)).toBe('row(picture words(name second) price)');
    const typed = edits.bind(
      { template: 'plain', part: 'price', property: 'text' },
      { expr: 'o' },
      'typing',
    );
    expect(outlineAfter(typed)).toBe('row(picture words(name second) price)');
  });
});

describe('parts are copied as text', () => {
  const piece = copied(project, place('words', 'price'));

  test('with what they need, which comes along where it is not there', async () => {
    const text = piece === undefined ? '' : pieceText(piece);
    const read = await readPiece(text);
    if (!read.ok) throw new Error(read.error);
    expect(Object.keys(read.value)).toEqual([
      ...['yarncard', 'parts', 'textStyles', 'colours', 'formats'],
    ]);
    const other: Project = {
      ...makeProject(
        'b.json',
        { format: 'json', at: '$[*]', items: [{ title: 'x', name: 'y' }] },
        atOnce(infer([{ title: 'x', name: 'y' }], 'b')),
      ),
      textStyles: [{ name: 'title', size: 30, lineHeight: 40, weight: 400, colour: 'ink' }],
    };
    const [template] = other.templates;
    const id = template?.id ?? '';
    expect(arriving(other, id, read.value)).toEqual({
      added: ['style small', 'style value', 'format money'],
      own: ['style title'],
      missing: ['value id', 'value price'],
    });
    const pasted = edits.paste(id, { beside: 'title', side: 'below' }, read.value).apply(other);
    if (!pasted.ok) throw new Error(pasted.error);
    expect(pasted.value.formats).toEqual(project.formats);
    expect(pasted.value.textStyles?.map(({ name, size }) => `${name} ${size}`)).toContain(
      'title 30',
    );
    expect(whyNotWritable(other, pasted.value)).toBeUndefined();
  });

  test('a run is pasted into a label and nowhere else', () => {
    const note = copied(project, place('note'));
    if (note === undefined) throw new Error('nothing copied');
    expect(outlineAfter(edits.paste('plain', { beside: 'price', side: 'after' }, note))).toBe(
      'A run of words is pasted into a label.',
    );
    const into = edits.paste('plain', { within: 'price', at: 0 }, note).apply(project);
    expect(
      into.ok && [...partsOf(shownTemplate(into.value, 'plain')?.row ?? row)].map(({ id }) => id),
    ).toContain('note-2');
  });

  test.each([
    ['words', 'What was pasted is no piece of a template.'],
    ['{"parts": 1}', 'What was pasted is no piece of a template.'],
    ['{"yarncard": 2, "parts": [{"part": "label"}]}', /can’t be read: parts\[0\].text/],
    ['{"yarncard": 2, "parts": [{"part": "__proto__", "id": "a"}]}', /can’t be read/],
  ])('what is no piece says so: %s', async (text, why) => {
    const read = await readPiece(text);
    expect(read.ok ? '' : read.error).toMatch(why);
  });
});

/** What a person does next, told by numbers: which command, and on which of the parts that are there. */
const act = fc.record({
  command: fc.nat(14),
  part: fc.nat(40),
  other: fc.nat(40),
  at: fc.nat(4),
  side: fc.constantFrom<Side>('before', 'after', 'above', 'below'),
});
type Act = typeof act extends fc.Arbitrary<infer T> ? T : never;

/** The edit of an act; undefined: the command has nowhere to go, and says so. */
function editOf(of: Project, { command, part, other, at, side }: Act): Edit | string {
  const shown = shownTemplate(of, 'plain');
  if (shown === undefined) return 'no template';
  const ids = partIds(shown.row);
  const one = ids[part % ids.length] ?? 'row';
  const two = ids[other % ids.length] ?? 'row';
  const landing: Landing = at % 2 === 0 ? { within: two, at } : { beside: two, side };
  const label = draftLabel(freePartId(shown, two, 'price'), { expr: 'price' }, 'body');
  const piece = copied(of, place(one, two));
  const stepped = stepFrom(shown.row, one, side);
  const commands: readonly (Edit | string)[] = [
    typeof stepped === 'string' ? stepped : edits.move(place(one), stepped),
    edits.move(place(one), landing),
    edits.move(place(one, two), landing),
    edits.wrap(place(one), 'down'),
    edits.wrap(place(one, two), 'across'),
    edits.unwrap('plain', one),
    edits.duplicate(place(one)),
    edits.remove(place(one)),
    edits.insert('plain', landing, label),
    piece === undefined ? 'nothing to copy' : edits.paste('plain', landing, piece),
    edits.bind(
      { template: 'plain', part: one, property: 'text' },
      { expr: at > 2 ? 'name' : 'price' },
    ),
    edits.set({ template: 'plain', part: one, property: 'width' }, { fixed: at * 10 }),
    edits.share({ template: 'plain', part: one }, { id: `kept-${part}`, name: 'kept' }),
    edits.addRunTo('plain', one, kinds.run.draft(freePartId(shown, one, 'run'), 'x', 'beside')),
    edits.renamePart('plain', one, `part-${part}`),
  ];
  return commands[command % commands.length] ?? '';
}

const codesOf = (of: Project): readonly string[] =>
  of.templates.flatMap((template) => problemsIn(of, template).map(({ code }) => code));

test('whatever is done in whatever order: the project is valid, and undo and redo bring back the same bytes', () => {
  let doneCount = 0;
  fc.assert(
    fc.property(fc.array(act, { minLength: 1, maxLength: 25 }), (acts) => {
      let history: History = startHistory(project);
      const states = [JSON.stringify(project)];
      for (const each of acts) {
        const edit = editOf(history.project, each);
        if (typeof edit === 'string') {
          expect(edit).not.toBe('');
          continue;
        }
        const made = makeEdit(history, edit);
        if (!made.ok) {
          expect(made.error).toMatch(/\.$/);
          continue;
        }
        if (made.value === history) continue;
        doneCount += 1;
        history = made.value;
        states.push(JSON.stringify(history.project));
        expect(whyNotWritable(project, history.project)).toBeUndefined();
        for (const { row: written } of writtenRows(history.project))
          expect(new Set(partIds(written)).size).toBe(partIds(written).length);
        expect(codesOf(history.project).filter((code) => code.startsWith('shared-'))).toEqual([]);
      }
      for (const state of states.toReversed()) {
        expect(JSON.stringify(history.project)).toBe(state);
        history = undo(history);
      }
      for (const state of states.slice(1)) {
        history = redo(history);
        expect(JSON.stringify(history.project)).toBe(state);
      }
    }),
    { numRuns: 150 },
  );
  // A test in which nothing can be done would show nothing.
  expect(doneCount).toBeGreaterThan(200);
});
