import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { atOnce, type Json, type JsonRecord } from '../../base';
import { type Field, scalarNames, type ValueType } from '../../values';
import { infer } from '../infer';
import {
  dataClasses,
  declarations,
  itemsSchema,
  looksLikeSchema,
  readSchema,
  seenIn,
  type TypeShape,
} from '.';

const ajv = addFormats(
  new Ajv({ strict: true, allowUnionTypes: true, ownProperties: true, keywords: ['x-yarncard'] }),
);

const scalar = fc.constantFrom(...scalarNames).map((type) => ({ type }) as ValueType);
const name = fc.oneof(
  fc.string({ minLength: 1, maxLength: 8 }),
  fc.constantFrom('constructor', 'toString', 'a/b', 'a~b', '$ref', 'type'),
);
const fieldList = (type: fc.Arbitrary<ValueType>): fc.Arbitrary<Field[]> =>
  fc.uniqueArray(
    fc
      .tuple(name, fc.boolean(), type)
      .map(([name, required, type]) => ({ ...type, name, required }) as Field),
    { selector: (field) => field.name, minLength: 1, maxLength: 5 },
  );
const valueType: fc.Arbitrary<ValueType> = fc.letrec<{ type: ValueType }>((tie) => ({
  type: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    scalar,
    fieldList(tie('type')).map((fields) => ({ type: 'record', fields }) as ValueType),
    tie('type').map((of) => ({ type: 'list', of }) as ValueType),
  ),
})).type;
const shape: fc.Arbitrary<TypeShape> = fc.record({
  name: fc.string({ minLength: 1, maxLength: 10 }).map((text) => text.trim() || 'item'),
  value: fc.constant(null),
  fields: fieldList(valueType),
});
/** As plain JSON, fields by name: JavaScript moves keys like "0" to the front. */
const sameFields = (fields: readonly Field[]): unknown =>
  JSON.parse(JSON.stringify(fields), (key, value) =>
    Array.isArray(value) && (key === 'fields' || key === '')
      ? value.toSorted((a, b) => (a.name < b.name ? -1 : 1))
      : value,
  );

describe('JSON Schema', () => {
  test('written and read it is the same type, and it is a schema', () => {
    fc.assert(
      fc.property(shape, (type) => {
        const schema = JSON.parse(JSON.stringify(itemsSchema('items', [type], null)));
        expect(ajv.validateSchema(schema)).toBe(true);
        const read = readSchema(schema, 'x.json');
        expect(read.ok && sameFields(read.value.types[0]?.fields ?? [])).toEqual(
          sameFields(type.fields),
        );
      }),
      { numRuns: 60 },
    );
  });

  test('several types, told apart by a field', () => {
    const text = (name: string): Field => ({ name, type: 'text', required: true });
    const types: TypeShape[] = [
      { name: 'skein', value: 'skein', fields: [text('kind'), text('fibre')] },
      { name: 'tool/small', value: 'tool', fields: [text('kind'), text('wood')] },
    ];
    const schema = JSON.parse(JSON.stringify(itemsSchema('stock', types, 'kind')));
    expect(readSchema(schema, 's.json')).toEqual({
      ok: true,
      value: { types, discriminator: 'kind' },
    });
    const isValid = ajv.compile(schema);
    expect(isValid({ kind: 'skein', fibre: 'wool' })).toBe(true);
    expect(isValid({ kind: 'tool', fibre: 'wool' })).toBe(false);
  });

  test('two types of one name are two, and values that tell them apart may be numbers', () => {
    const kind = { name: 'kind', type: 'integer', required: true } as const;
    const types: TypeShape[] = [
      { name: 'yarn', value: '1', fields: [kind, { name: 'fibre', type: 'text', required: true }] },
      { name: 'yarn', value: '2', fields: [kind, { name: 'wood', type: 'text', required: true }] },
    ];
    const schema = JSON.parse(JSON.stringify(itemsSchema('stock', types, 'kind')));
    const read = readSchema(schema, 's.json');
    expect(read.ok && read.value.types.map(({ name, value }) => [name, value])).toEqual([
      ['yarn', '1'],
      ['yarn 2', '2'],
    ]);
    const isValid = ajv.compile(schema);
    expect([isValid({ kind: 2, wood: 'ash' }), isValid({ kind: 2, fibre: 'wool' })]).toEqual([
      true,
      false,
    ]);
    expect(declarations('stock', types, 'kind')).toContain('export type Stock = Yarn | Yarn2;');
  });

  test('what a schema says of values beside their type survives a round trip', () => {
    const properties: JsonRecord = {
      size: { type: 'string', enum: ['s', 'm'], description: 'As worn.' },
      grams: { type: 'integer', minimum: 0, exclusiveMaximum: 1_000, multipleOf: 5 },
      mail: { type: 'string', format: 'email', minLength: 3, pattern: '@' },
      dyed: { type: 'string', format: 'date' },
      lots: { type: 'array', items: { type: 'integer' }, minItems: 1, maxItems: 9 },
    };
    const required = ['size', 'grams', 'mail', 'dyed', 'lots'];
    const schema: JsonRecord = { title: 'yarn', type: 'object', properties, required };
    const read = readSchema(schema, 'yarn.json');
    if (!read.ok) throw new Error(read.error.message);
    const { fields } = read.value.types[0] ?? { fields: [] };
    expect(fields.find(({ name }) => name === 'dyed')).not.toHaveProperty('said');
    const again = itemsSchema('yarn', read.value.types, null);
    expect(again).toMatchObject({ properties, required });
    expect(declarations('yarn', read.value.types, null)).toContain('size: "s" | "m";');
    const huge = { type: 'string', enum: ['x'.repeat(3_000)] };
    const odd = readSchema({ type: 'object', properties: { huge } }, 'x.json');
    expect(odd.ok && odd.value.types[0]?.fields).toEqual([
      { name: 'huge', type: 'text', required: false },
    ]);
  });

  test('names and decodings of our own come back, and the schema is of the items as they come', () => {
    const fields: Field[] = [
      {
        name: 'dyed',
        from: 'dyed_on',
        type: 'date',
        required: true,
        decode: { pattern: 'd.M.yyyy' },
      },
      { name: 'left', from: 'stock', type: 'integer', required: false },
    ];
    const schema = JSON.parse(
      JSON.stringify(itemsSchema('s', [{ name: 's', value: null, fields }], null)),
    );
    expect(ajv.compile(schema)({ dyed_on: '2.3.2026', stock: null })).toBe(true);
    const read = readSchema(schema, 's.json');
    expect(read.ok && sameFields(read.value.types[0]?.fields ?? [])).toEqual(sameFields(fields));
  });

  test('what others write: references, allOf, null choices, enums, circles', () => {
    const schema: Json = {
      openapi: '3.1.0',
      components: {
        schemas: {
          Maker: {
            type: 'object',
            required: ['name'],
            properties: { name: { type: 'string' }, of: { $ref: '#/components/schemas/Maker' } },
          },
          Skein: {
            allOf: [
              {
                type: 'object',
                required: ['id'],
                properties: { id: { type: 'string', format: 'uri' } },
              },
              {
                properties: {
                  maker: { $ref: '#/components/schemas/Maker' },
                  dyed: { anyOf: [{ type: 'string', format: 'date' }, { type: 'null' }] },
                  weight: { enum: [1, 2] },
                  tags: { type: 'array', items: { type: 'string' } },
                },
              },
            ],
          },
          Colour: { type: 'string' },
        },
      },
    };
    const read = readSchema(schema, 'api.json');
    if (!read.ok) throw new Error(read.error.message);
    expect(read.value.types.map((type) => type.name)).toEqual(['Maker', 'Skein']);
    expect(read.value.types[1]?.fields).toMatchObject([
      { name: 'id', type: 'link', required: true },
      { name: 'maker', type: 'record', required: false },
      { name: 'dyed', type: 'date', required: false },
      { name: 'weight', type: 'integer' },
      { name: 'tags', type: 'list', of: { type: 'text' } },
    ]);
  });

  test('a document without a type in it is said to be that', () => {
    expect(readSchema({ a: 1 }, 'x.json')).toMatchObject({
      ok: false,
      error: { code: 'no-schema' },
    });
  });

  test('no JSON makes reading throw', () => {
    const keyword = fc.constantFrom(
      'properties',
      '$ref',
      'type',
      'allOf',
      'anyOf',
      'oneOf',
      'items',
      '$defs',
      'required',
      'const',
    );
    const odd = fc.letrec<{ node: Json }>((tie) => ({
      node: fc.oneof(
        { maxDepth: 4 },
        fc.constantFrom('#', '#/$defs/a', '#/properties/a', 'object', 'array', null, 3),
        fc.array(tie('node'), { maxLength: 3 }),
        fc
          .dictionary(fc.oneof(keyword, fc.constant('a')), tie('node'), { maxKeys: 4 })
          .map((each) => each as JsonRecord),
      ),
    })).node;
    fc.assert(fc.property(odd, (document) => void readSchema(document, 'x.json')));
  });
});

/** Counts down through the optional fields of an item, at any depth, to the one that it goes without. */
interface Without {
  left: number;
}

/** Values that leave no doubt of their type: fractions for numbers, something in every list. */
function exampleOf(type: ValueType, without: Without): Json {
  switch (type.type) {
    case 'record':
      return itemOf(type.fields, without);
    case 'list':
      return [exampleOf(type.of, without), exampleOf(type.of, { left: -1 })];
    case 'integer':
      return 7;
    case 'number':
      return 7.5;
    case 'boolean':
      return true;
    default:
      return 'words';
  }
}

function itemOf(fields: readonly Field[], without: Without): JsonRecord {
  const entries: [string, Json][] = [];
  for (const field of fields) {
    if (!field.required && without.left-- === 0) continue;
    entries.push([field.name, exampleOf(field, without)]);
  }
  return Object.fromEntries(entries);
}

/** One item with everything, and one without each optional field. */
function itemsOfType(fields: readonly Field[]): JsonRecord[] {
  const items = [itemOf(fields, { left: -1 })];
  for (let n = 0; ; n += 1) {
    const without = { left: n };
    const item = itemOf(fields, without);
    if (without.left >= 0) return items;
    items.push(item);
  }
}

test('items made from a known type give that type back, and are valid against its schema', () => {
  const known = fc
    .constantFrom('text', 'integer', 'number', 'boolean')
    .map((type) => ({ type }) as ValueType);
  const nested = fc.letrec<{ type: ValueType }>((tie) => ({
    type: fc.oneof(
      { depthSize: 'small' },
      known,
      fieldList(tie('type')).map((fields) => ({ type: 'record', fields }) as ValueType),
      tie('type').map((of) => ({ type: 'list', of }) as ValueType),
    ),
  })).type;
  fc.assert(
    fc.property(fieldList(nested), (fields) => {
      const items = itemsOfType(fields);
      const { types } = atOnce(infer(items, 'x'));
      const found = types[0]?.fields.map(({ missingCount: _, ...field }) => field);
      expect(sameFields(found ?? [])).toEqual(sameFields(fields));
      const isValid = ajv.compile(
        JSON.parse(JSON.stringify(itemsSchema('x', [{ name: 'x', value: null, fields }], null))),
      );
      for (const item of items)
        expect(isValid(JSON.parse(JSON.stringify(item))), JSON.stringify(isValid.errors)).toBe(
          true,
        );
    }),
    { numRuns: 60 },
  );
});

test('declarations in TypeScript', () => {
  const fields: Field[] = [
    { name: 'kind', type: 'text', required: true },
    { name: 'first name', type: 'text', required: false },
    { name: 'on', type: 'date', required: true, decode: { pattern: 'd.M.yyyy' } },
    {
      name: 'lots',
      type: 'list',
      required: true,
      of: { type: 'record', fields: [{ name: 'n', type: 'integer', required: true }] },
    },
  ];
  const types = [
    { name: 'skein', value: 'skein', fields },
    { name: 'tool', value: 'tool', fields: fields.slice(0, 1) },
  ];
  expect(declarations('stock', types, 'kind')).toBe(`export interface Skein {
  kind: "skein";
  "first name"?: string | null;
  /** A date as d.M.yyyy. */
  on?: string | number | boolean | null;
  lots: readonly ({
    n: number;
  })[];
}

export interface Tool {
  kind: "tool";
}

export type Stock = Skein | Tool;
`);
});

test('declarations are as narrow as the items: what is null, what is absent, what is one of a few words', () => {
  const items = Array.from({ length: 20 }, (_, at) => ({
    id: `i${at}`,
    size: at % 2 === 0 ? 's' : 'm',
    note: at === 3 ? null : `n${at}`,
    at: { town: at % 5 === 0 ? null : 'Ousby', ...(at > 1 && { floor: at }) },
  }));
  const { types } = atOnce(infer(items, 'x'));
  const fields = types[0]?.fields ?? [];
  const type = { name: 'yarn', value: null, fields };
  expect(declarations('yarn', [type], null, [seenIn(fields, items)])).toBe(`export interface Yarn {
  id: string;
  size: "m" | "s";
  note: string | null;
  at: {
    town: "Ousby" | null;
    floor?: number;
  };
}
`);
});

test.each(['kotlin', 'swift', 'python'] as const)('data classes in %s', async (language) => {
  const fields: Field[] = [{ name: 'grams', type: 'integer', required: true }];
  const text = await dataClasses(language, 'Skein', [{ name: 'Skein', value: null, fields }], null);
  expect(text).toMatch(/grams/);
});

test('a document that names the schema it follows is items, not a schema', () => {
  const items = [{ id: 1 }, { id: 2 }];
  expect(looksLikeSchema({ $schema: 'https://example.org/shop.schema.json', items })).toBe(false);
  for (const $schema of [
    'https://json-schema.org/draft/2020-12/schema',
    'http://json-schema.org/draft-07/schema#',
  ])
    expect(looksLikeSchema({ $schema, type: 'array' })).toBe(true);
  expect(looksLikeSchema({ openapi: '3.1.0' })).toBe(true);
});
