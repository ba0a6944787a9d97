import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { projectFileSchema } from '../project';
import * as shape from '.';
import { holdTo, type Shape, toJsonSchema } from '.';

/** Shapes of each kind, one inside the other, with values that nearly have them. */
const words = shape.text(4, { minChars: 1, pattern: ['^[a-z]+$', 'be lower case'] });
interface Nest {
  readonly name: string;
  readonly inside?: readonly Nest[];
}
const nest: Shape<Nest> = shape.named('nest', () =>
  shape.record<Nest>({ name: words, inside: shape.optional(shape.list(nest, { max: 3 })) }),
);
const shapes: readonly Shape<unknown>[] = [
  words,
  shape.number({ isInteger: true, min: 0, max: 9 }),
  shape.number({ moreThan: 0 }),
  shape.boolean(),
  shape.oneOf(['woad', 'weld', 3, null]),
  shape.list(words, { min: 1, max: 2 }),
  shape.record<{ readonly a: string; readonly b?: number }>({
    a: words,
    b: shape.optional(shape.number()),
  }),
  shape.nullable(words),
  shape.byKind<string | number>({ text: words, number: shape.number({ min: 2 }) }),
  shape.byKey<unknown>(
    [['expr', shape.record<{ readonly expr: string }>({ expr: words })]],
    shape.oneOf(['fit']),
  ),
  shape.byMember<unknown>('as', {
    a: shape.record<{ readonly as: 'a'; readonly n: number }>({
      as: shape.oneOf(['a']),
      n: shape.number(),
    }),
    b: shape.record<{ readonly as: 'b' }>({ as: shape.oneOf(['b']) }),
  }),
  shape.mapOf(words),
  nest,
];

const leaf = fc.oneof(
  fc.constantFrom('woad', 'weld', 'a', 'b', 'fit', '', 'Ab', 'longer', 3, 0, -1, 2.5, 12, null),
  fc.boolean(),
);
const near = fc.letrec((tie) => ({
  value: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    leaf,
    fc.array(tie('value'), { maxLength: 4 }),
    fc.dictionary(fc.constantFrom('a', 'b', 'as', 'n', 'expr', 'name', 'inside'), tie('value'), {
      maxKeys: 4,
    }),
  ),
})).value;

const ajv = () => new Ajv({ strict: false, allErrors: true });

describe('a shape', () => {
  test('lets through what its JSON Schema lets through, and nothing else', () => {
    const seen = { yes: 0, no: 0 };
    const pairs = shapes.map((each) => ({
      hold: holdTo(each),
      valid: ajv().compile(toJsonSchema(each)),
    }));
    fc.assert(
      fc.property(fc.constantFrom(...pairs), near, ({ hold, valid }, value) => {
        const isValid = valid(value);
        seen[isValid ? 'yes' : 'no'] += 1;
        if (isValid) expect(hold(value)).toBe(value);
        else expect(() => hold(value)).toThrow();
      }),
      { numRuns: 3_000 },
    );
    expect(Math.min(seen.yes, seen.no)).toBeGreaterThan(50);
  });

  test('says where something is missing, and what else it may be', () => {
    const hold = holdTo(
      shape.record<{ readonly a: string | number }>({
        a: shape.byKind<string | number>({ text: words, number: shape.number() }),
      }),
    );
    expect(() => hold({})).toThrow('a is missing');
    expect(() => hold({ a: [] })).toThrow('a must be a text or a number');
  });

  test('that contains itself ends where it is told to', () => {
    const shallow: Shape<Nest> = shape.named(
      'shallow',
      () => shape.record<Nest>({ name: words, inside: shape.optional(shape.list(shallow)) }),
      2,
    );
    const hold = holdTo(shallow);
    expect(hold({ name: 'a', inside: [{ name: 'b' }] })).toBeTruthy();
    expect(() => hold({ name: 'a', inside: [{ name: 'b', inside: [{ name: 'c' }] }] })).toThrow(
      'nests too deep',
    );
  });

  test('with elements that are told apart refuses two of a name', () => {
    const hold = holdTo(
      shape.list(shape.record<{ readonly name: string }>({ name: words }), { tellsApart: 'name' }),
    );
    expect(hold([{ name: 'a' }, { name: 'b' }])).toHaveLength(2);
    expect(() => hold([{ name: 'a' }, { name: 'a' }])).toThrow('two things alike');
  });
});

test('the schema of project files lets the demo through, and refuses what is bent', () => {
  const demo = JSON.parse(readFileSync('public/demo/thrumwick.yarncard.json', 'utf8'));
  const valid = ajv().compile(projectFileSchema());
  expect(valid(demo)).toBe(true);
  expect(valid({ ...demo, lists: [{ ...demo.lists[0], otherwise: 7 }] })).toBe(false);
});
