import { type Json, type JsonRecord, ownValue } from '../../base';
import {
  type Decoding,
  type Field,
  heldFields,
  type ScalarName,
  type ValueType,
} from '../../values';
import { itemValueOf } from '../item';

/** An item type as schemas and declarations need it. */
export interface TypeShape {
  readonly name: string;
  /** The value of the discriminator for items of this type. */
  readonly value: string | null;
  readonly fields: readonly Field[];
}

const dialect = 'https://json-schema.org/draft/2020-12/schema';

/** What stands for a type that JSON Schema has no word for. */
const scalars: Readonly<Record<ScalarName, JsonRecord>> = {
  text: { type: 'string' },
  number: { type: 'number' },
  integer: { type: 'integer' },
  boolean: { type: 'boolean' },
  date: { type: 'string', format: 'date' },
  time: { type: 'string', format: 'time' },
  datetime: { type: 'string', format: 'date-time' },
  duration: { type: 'string', format: 'duration' },
  colour: { type: 'string', contentMediaType: 'text/css' },
  image: { type: 'string', contentMediaType: 'image/*' },
  link: { type: 'string', format: 'uri' },
  unknown: {},
};

/**
 * JSON Schema 2020-12 for the items of a source, as they come: under their own names and before
 * decoding. What a field is called here and how it is decoded stands in `x-yarncard`, an
 * annotation for whoever knows it.
 */
export function itemsSchema(
  title: string,
  types: readonly TypeShape[],
  discriminator: string | null,
): JsonRecord {
  const [only] = types;
  if (types.length === 1 && only !== undefined) {
    return { $schema: dialect, title: only.name || title, ...recordSchema(only.fields) };
  }
  const names = distinctNames(types.map(({ name }) => name));
  const definitions = types.map(
    (type, at) => [names[at] ?? '', typeSchema(type, discriminator)] as const,
  );
  return {
    $schema: dialect,
    title,
    oneOf: names.map((name) => ({ $ref: `#/$defs/${pointerStep(name)}` })),
    $defs: Object.fromEntries(definitions),
  };
}

/** Two of one name are told apart by a number. */
function distinctNames(names: readonly string[]): readonly string[] {
  const taken = new Set<string>();
  return names.map((wish) => {
    let name = wish;
    for (let n = 2; taken.has(name); n += 1) name = `${wish} ${n}`;
    taken.add(name);
    return name;
  });
}

function typeSchema(type: TypeShape, discriminator: string | null): JsonRecord {
  const schema = recordSchema(type.fields);
  if (discriminator === null || type.value === null) return schema;
  const field = type.fields.find(({ name, from }) => (from ?? name) === discriminator);
  const value = itemValueOf(type.value, field?.type ?? 'text');
  if (value === undefined) return schema;
  const properties: JsonRecord = { ...(schema['properties'] as JsonRecord) };
  const own = { ...(ownValue(properties, discriminator) as JsonRecord), const: value };
  const required = [...new Set([...((schema['required'] as string[]) ?? []), discriminator])];
  return { ...schema, properties: withOwn(properties, discriminator, own), required };
}

/** The record with another value under a name, in the same place. */
const withOwn = (record: JsonRecord, name: string, value: Json): JsonRecord =>
  Object.fromEntries(
    Object.entries(record).map(([each, old]) => [each, each === name ? value : (old ?? null)]),
  );

function recordSchema(all: readonly Field[]): JsonRecord {
  const fields = heldFields(all);
  const required = fields.filter((field) => field.required && comesWhole(field));
  return {
    type: 'object',
    properties: Object.fromEntries(
      fields.map((field) => [field.from ?? field.name, fieldSchema(field)]),
    ),
    ...(required.length > 0 && { required: required.map((field) => field.from ?? field.name) }),
  };
}

/** A value that has to be decoded may be anything until it is. */
const comesWhole = (field: Field): boolean => field.decode === undefined;

function fieldSchema(field: Field): JsonRecord {
  const isMoved = field.from !== undefined && field.from !== field.name;
  const { decode } = field;
  const said = { ...field.said } as JsonRecord;
  if (decode === undefined && !isMoved)
    return mayBeNull({ ...schemaOf(field), ...said }, field.required);
  const annotation = {
    'x-yarncard': {
      ...(isMoved && { name: field.name }),
      ...(decode !== undefined && { type: field.type, required: field.required, decode }),
    },
  };
  const read = decode === undefined ? schemaOf(field) : beforeDecoding(decode);
  return {
    ...mayBeNull({ ...read, ...said }, decode === undefined && field.required),
    ...annotation,
  } as JsonRecord;
}

/** What stands there before decoding: text of the standard's own form, or any plain value. */
const beforeDecoding = (decoding: Decoding): JsonRecord =>
  'pattern' in decoding && decoding.pattern === 'yyyy-MM-dd'
    ? { type: 'string', format: 'date' }
    : { type: ['string', 'number', 'boolean'] };

/** A field that may be missing may be `null`, too: both are one here. */
function mayBeNull(schema: JsonRecord, isRequired: boolean): JsonRecord {
  const type = schema['type'];
  if (isRequired || type === undefined) return schema;
  return { ...schema, type: Array.isArray(type) ? [...type, 'null'] : [type as Json, 'null'] };
}

function schemaOf(type: ValueType): JsonRecord {
  if (type.type === 'record') return recordSchema(type.fields);
  if (type.type === 'list') return { type: 'array', items: schemaOf(type.of) };
  return scalars[type.type];
}

/** A key as a step of a JSON Pointer in a URI fragment (RFC 6901, section 6). */
const pointerStep = (key: string): string =>
  encodeURIComponent(key.replaceAll('~', '~0').replaceAll('/', '~1'));
