import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { atOnce, type Json } from '../../src/core/base';
import { type Item, infer, pathSteps } from '../../src/core/items';
import {
  type Edit,
  edits,
  makeEdit,
  makeProject,
  type Project,
  readProject,
  startHistory,
  typesOf,
  usesOfField,
  writeProject,
} from '../../src/core/project';
import {
  completionsAt,
  emptyEnvironment,
  explain,
  type Field,
  makeExpression,
  pathAt,
  renameStep,
} from '../../src/core/values';
import { Engine } from '../../src/engine';
import { yarnFields } from '../support/expressions';

/**
 * Whatever is typed, and however things are called: it is answered in words, nothing throws, and
 * what every object inherits (`__proto__`, `constructor` …) is a name like any other.
 */
const inherited = [
  '__proto__',
  'constructor',
  'toString',
  'valueOf',
  'hasOwnProperty',
  'isPrototypeOf',
  '__defineGetter__',
  '__lookupSetter__',
  'propertyIsEnumerable',
  'toLocaleString',
  'prototype',
];
const hostile = fc.constantFrom(
  ...inherited,
  '',
  ' ',
  'a.b',
  'a b',
  '"',
  "'",
  '`',
  '${x}',
  '<img src=x onerror=alert(1)>',
  '\u202e',
  '\u0000',
  '\ud800',
  '🧶',
  'item',
  'now',
  'null',
  '[0]',
  '$',
);

const piece = fc.oneof(
  fc.constantFrom(...yarnFields.map(({ name }) => name), 'item', 'now', 'x', 'Math', 'format'),
  fc.constantFrom(...inherited),
  fc.constantFrom('.', '?.', '(', ')', '[', ']', '{', '}', '=>', ',', '`', '${', '"', "'", '\\'),
  fc.constantFrom('?', ':', '??', '&&', '||', '!', '===', '==', '<', '+', '-', '*', '**', '=', ';'),
  fc.constantFrom('1', '0', '0042', '1e999', '9007199254740993', 'true', 'null', 'undefined'),
  fc.constantFrom('.length', '.map(x => x)', '.at(0)', '.toUpperCase()', 'sum(', 'lookup('),
  fc.string({ maxLength: 3 }),
);
const text = fc.oneof(
  fc.array(piece, { minLength: 1, maxLength: 12 }).map((pieces) => pieces.join('')),
  fc
    .tuple(fc.constantFrom('name', 'maker', 'tags', 'Math', 'item'), fc.constantFrom(...inherited))
    .map(([of, name]) => `${of}.${name}(1)`),
  fc.constantFrom(...inherited).map((name) => `${name}(1)`),
);

const yarn: Item = JSON.parse(
  '{"name":"Lace","price":1.5,"stock":2,"maker":{"town":"Ousby"},"tags":["a"],"__proto__":{"town":"x"}}',
);
const fields: readonly Field[] = [
  ...yarnFields,
  { name: '__proto__', type: 'record', required: false, fields: [] },
];
const textCount = Number(process.env['TEXTS'] ?? 2_000);
const isData = (value: unknown): boolean =>
  typeof value !== 'function' && value !== Object.prototype && value !== Function.prototype;

describe('an expression, whatever is typed', () => {
  test('is read, checked, completed, evaluated, explained and renamed, or refused in words', () => {
    fc.assert(
      fc.property(text, fc.nat(40), (typed, caret) => {
        for (const use of ['any', 'text', 'property'] as const) {
          const { findings, checked, evaluate } = makeExpression(typed, fields, use);
          for (const { message, hint } of findings) {
            expect(typeof message).toBe('string');
            expect(`${message} ${hint}`).not.toMatch(
              /native code|\[object|undefined is|prototype of/,
            );
          }
          expect(checked === undefined).toBe(findings.length > 0);
          if (checked === undefined || evaluate === undefined) continue;
          expect(isData(evaluate(yarn))).toBe(true);
          expect(isData(explain(checked, yarn).value)).toBe(true);
        }
        const at = Math.min(caret, typed.length);
        for (const offer of completionsAt(typed, at, {
          fields,
          environment: emptyEnvironment,
          item: yarn,
        }).offers)
          expect(`${offer.about} ${offer.detail}`).not.toContain('native code');
        pathAt(typed, at);
        renameStep(typed, ['maker', 'town'], '__proto__');
      }),
      { numRuns: textCount },
    );
  });

  test('can be bound and shown, and what else is bound goes on', () => {
    const items: readonly Item[] = [yarn, { name: 'Sock' }];
    const project = projectOf(items);
    const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
    engine.hold('yarns', items);
    const place = { template: project.templates[0]?.id ?? '', part: 'title', property: 'text' };
    fc.assert(
      fc.property(text, (typed) => {
        const bound = edits.bind({ ...place, property: 'text' }, { expr: typed }).apply(project);
        if (!bound.ok) throw new Error(bound.error);
        const view = engine.update(bound.value, { from: 0, to: 2 });
        engine.surveyNow();
        expect(view.entries.length).toBe(2);
      }),
      { numRuns: textCount / 4 },
    );
  });
});

describe('a name, whatever it is', () => {
  test('of a field, type, source, project, format or computed property', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.tuple(fc.nat(6), hostile), { maxLength: 6 }), async (names) => {
        const project = names.reduce(
          (before, [what, name]) => {
            const made = makeEdit(startHistory(before), naming(before, what, name));
            return made.ok ? made.value.project : before;
          },
          projectOf([yarn, { name: 'Sock' }]),
        );
        const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
        engine.hold('yarns', [yarn]);
        engine.update(project, { from: 0, to: 1 });
        engine.surveyNow();
        for (const type of project.types)
          for (const field of type.fields) usesOfField(project, type, [field.name]);
        const written = [...writeProject(project, engine.itemsOf(project))].join('');
        const again = await readProject(written, 'x.yarncard.json');
        if (!again.ok) throw new Error(again.error.message);
        expect([...writeProject(again.value.project, again.value.items)].join('')).toBe(written);
      }),
      { numRuns: textCount / 10 },
    );
  });

  test('of a property of items, which are read, told apart and shown by it', () => {
    fc.assert(
      fc.property(hostile, fc.array(hostile, { minLength: 1, maxLength: 3 }), (name, others) => {
        const own = (entries: readonly (readonly [string, Json])[]): Item =>
          JSON.parse(
            `{${entries.map(([key, value]) => `${JSON.stringify(key)}:${JSON.stringify(value)}`).join(',')}}`,
          );
        const items = [own([[name, 'a']]), own(others.map((other) => [other, 'b'])), own([])];
        const project = projectOf(items);
        const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
        engine.hold('yarns', items);
        const view = engine.update(project, { from: 0, to: 3 });
        const words = JSON.stringify([view.entries, engine.surveyNow()]);
        expect(words).not.toMatch(/native code|\[object Object\]/);
        expect(view.entries.length).toBe(3);
      }),
      { numRuns: textCount / 10 },
    );
  });
});

describe('a path, whatever is typed', () => {
  test('says how far it gets', async () => {
    const step = fc.oneof(
      hostile.map((name) => `.${name}`),
      hostile.map((name) => `['${name}']`),
      fc.constantFrom('[*]', '[0]', '[-1]', '..', '[?@.a]', '[', ']'),
    );
    const root: Json = JSON.parse('{"a":[{"__proto__":{"b":1},"constructor":2}]}');
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 5 }), async (steps) => {
        const said = await pathSteps(root, `$${steps.join('')}`);
        expect(JSON.stringify(said)).not.toMatch(/native code|\[object/);
      }),
      { numRuns: textCount },
    );
  });
});

function projectOf(items: readonly Item[]): Project {
  const read = { format: 'json', at: '$[*]', items } as const;
  return makeProject('yarns.json', read, atOnce(infer(items, 'yarns')));
}

function naming(project: Project, what: number, name: string): Edit {
  const [source] = project.sources;
  const [type] = source === undefined ? [] : typesOf(project, source.id);
  const place = { type: type?.id ?? '', path: [type?.fields[0]?.name ?? ''] };
  switch (what) {
    case 0:
      return edits.renameField(place, name);
    case 1:
      return edits.renameType(place.type, name);
    case 2:
      return edits.renameSource(source?.id ?? '', name);
    case 3:
      return edits.rename(name);
    case 4:
      return edits.addComputed(place.type, name, 'name');
    case 5:
      return edits.addFormat({ id: 'f', name, as: 'bytes' });
    default:
      return edits.addField(place.type, name, 'text');
  }
}
