import fc from 'fast-check';
import type { Json } from '../../src/core/base';
import type { Item } from '../../src/core/items';

/** Names that documents really have, and those that trip programs up. */
export const fieldName = fc.oneof(
  fc.constantFrom(
    'id',
    'name',
    'title',
    'price',
    'maker',
    'first name',
    '__proto__',
    'constructor',
    'toString',
    'ключ',
    'item',
  ),
  fc.string({ minLength: 1, maxLength: 8 }),
);

const scalar: fc.Arbitrary<Json> = fc.oneof(
  fc.constantFrom<Json>(null, true, false, 0, -0, '', 'null', 'Merino', 'צמר', '🧶'),
  fc.string({ unit: 'grapheme', maxLength: 12 }),
  fc.integer(),
  fc.double({ noNaN: true, noDefaultInfinity: true }),
);

/** JSON as JSON.parse gives it: own keys only, `__proto__` among them. */
export const json: fc.Arbitrary<Json> = fc
  .letrec<{ value: Json }>((tie) => ({
    value: fc.oneof(
      { maxDepth: 3, withCrossShrink: true },
      scalar,
      fc.array(tie('value'), { maxLength: 4 }),
      fc.array(fc.tuple(fieldName, tie('value')), { maxLength: 4 }).map(recordOf),
    ),
  }))
  .value.map((value) => JSON.parse(JSON.stringify(value)) as Json);

function recordOf(entries: readonly (readonly [string, Json])[]): Item {
  const lines = entries.map(([name, value]) => `${JSON.stringify(name)}:${JSON.stringify(value)}`);
  return JSON.parse(`{${lines.join(',')}}`);
}

export const item: fc.Arbitrary<Item> = fc
  .array(fc.tuple(fieldName, json), { minLength: 1, maxLength: 6 })
  .map(recordOf);

export const items = fc.array(item, { minLength: 1, maxLength: 12 });
