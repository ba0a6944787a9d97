import {
  type Finding,
  failed,
  isRecord,
  type Json,
  type JsonRecord,
  ok,
  ownValue,
  type Result,
} from '../../base';
import {
  type Decoding,
  durationForms,
  type Field,
  type ScalarName,
  type ValueType,
} from '../../values';
import { typeDecoded } from '../decoding';
import { itemFindings } from '../findings';
import { typeValueOf } from '../item';
import { saidBy } from './said';
import type { TypeShape } from './write';

export interface SchemaRead {
  readonly types: readonly TypeShape[];
  readonly discriminator: string | null;
}

/** JSON Schema's own addresses, of all drafts, and OpenAPI's (JSON Schema 2020-12, 8.1.1; OpenAPI 3.1, 4.8.24). */
const metaSchema = /^https?:\/\/(?:json-schema\.org\/|spec\.openapis\.org\/oas\/)/;
const deepest = 20;
const maxFields = 5_000;

/** Item types of a JSON Schema (2020-12 and what earlier drafts share with it) or of the components of an OpenAPI 3.1 document. */
export function readSchema(document: Json, file: string): Result<SchemaRead, Finding> {
  if (!isRecord(document)) return failed(itemFindings.noSchema(file));
  const reader = new SchemaReader(document);
  const found = reader.types(titleOf(document) ?? nameOf(file));
  return found.types.length === 0 ? failed(itemFindings.noSchema(file)) : ok(found);
}

/** Whether a document says of itself that it is a schema; items may name the schema that they follow. */
export function looksLikeSchema(document: Json): boolean {
  if (!isRecord(document)) return false;
  return (
    metaSchema.test(String(ownValue(document, '$schema') ?? '')) ||
    typeof ownValue(document, 'openapi') === 'string' ||
    (isRecord(ownValue(document, 'properties')) && ownValue(document, 'type') === 'object')
  );
}

class SchemaReader {
  private fieldCount = 0;

  constructor(private readonly root: JsonRecord) {}

  types(title: string): SchemaRead {
    const choice = ownValue(this.root, 'oneOf') ?? ownValue(this.root, 'anyOf');
    if (Array.isArray(choice)) return this.several(choice);
    const whole = this.resolved(this.root);
    if (isObjectSchema(whole)) return { types: [this.shape(title, whole)], discriminator: null };
    const items = ownValue(whole, 'items');
    if (isRecord(items) && isObjectSchema(this.resolved(items))) {
      return { types: [this.shape(title, this.resolved(items))], discriminator: null };
    }
    return { types: this.definitions(), discriminator: null };
  }

  private several(choice: readonly Json[]): SchemaRead {
    const named = choice.flatMap((each, index) => {
      if (!isRecord(each)) return [];
      const schema = this.resolved(each);
      if (!isObjectSchema(schema)) return [];
      return [{ name: refName(each) ?? titleOf(schema) ?? `type ${index + 1}`, schema }];
    });
    const discriminator = constantOf(named.map((each) => propertiesOf(each.schema)));
    const types = named.map(({ name, schema }) => ({
      ...this.shape(name, schema),
      value: discriminator === null ? null : constText(propertiesOf(schema), discriminator),
    }));
    return { types, discriminator };
  }

  /** Every object among the definitions: `$defs`, `definitions`, or an OpenAPI document's components. */
  private definitions(): TypeShape[] {
    const components = ownValue(this.root, 'components');
    const all = isRecord(components)
      ? ownValue(components, 'schemas')
      : (ownValue(this.root, '$defs') ?? ownValue(this.root, 'definitions'));
    if (!isRecord(all)) return [];
    return Object.keys(all).flatMap((name) => {
      const schema = ownValue(all, name);
      const resolved = isRecord(schema) ? this.resolved(schema) : undefined;
      return resolved !== undefined && isObjectSchema(resolved) ? [this.shape(name, resolved)] : [];
    });
  }

  private shape(name: string, schema: JsonRecord): TypeShape {
    return { name, value: null, fields: this.fields(schema, 0) };
  }

  private fields(schema: JsonRecord, depth: number): Field[] {
    const properties = propertiesOf(schema);
    const required = ownValue(schema, 'required');
    const isRequired = (name: string) => Array.isArray(required) && required.includes(name);
    return Object.keys(properties).flatMap((name) => {
      this.fieldCount += 1;
      const property = ownValue(properties, name);
      if (this.fieldCount > maxFields || property === undefined) return [];
      return [this.field(name, isRecord(property) ? property : {}, isRequired(name), depth)];
    });
  }

  private field(name: string, property: JsonRecord, isListed: boolean, depth: number): Field {
    const schema = this.resolved(property);
    const read = this.valueType(schema, depth + 1);
    const required = isListed && !allowsNull(schema);
    const said = saidBy(schema, typeFormats);
    const beside = said === undefined ? {} : { said };
    const own = ownValue(property, 'x-yarncard');
    if (!isRecord(own)) return { name, required, ...read, ...beside };
    const newName = ownValue(own, 'name');
    const moved = typeof newName === 'string' ? { name: newName, from: name } : { name };
    const decode = decodingOf(ownValue(own, 'decode'));
    const type = decode === undefined ? undefined : typeDecoded(decode);
    if (decode === undefined || type === undefined)
      return { required, ...read, ...moved, ...beside };
    return { type, decode, required: ownValue(own, 'required') === true, ...moved, ...beside };
  }

  private valueType(schema: JsonRecord, depth: number): ValueType {
    if (depth > deepest) return { type: 'unknown' };
    const types = typesOf(schema);
    const [only] = types;
    if (types.length > 1) {
      return types.every((each) => each === 'number' || each === 'integer')
        ? { type: 'number' }
        : types.some((each) => each === 'object' || each === 'array')
          ? { type: 'unknown' }
          : { type: 'text' };
    }
    switch (only) {
      case 'object':
        return { type: 'record', fields: this.fields(schema, depth) };
      case 'array': {
        const items = ownValue(schema, 'items');
        const of = isRecord(items)
          ? this.valueType(this.resolved(items), depth + 1)
          : { type: 'unknown' as const };
        return { type: 'list', of };
      }
      case 'string':
        return { type: textType(schema) };
      case 'number':
      case 'integer':
      case 'boolean':
        return { type: only };
      default:
        return { type: 'unknown' };
    }
  }

  /** References followed and `allOf` put together; what leads in a circle ends where it began. */
  private resolved(schema: JsonRecord, seen: readonly string[] = []): JsonRecord {
    const ref = ownValue(schema, '$ref');
    if (typeof ref === 'string' && !seen.includes(ref)) {
      const target = this.target(ref);
      if (target !== undefined)
        return { ...this.resolved(target, [...seen, ref]), ...without(schema, '$ref') };
    }
    const all = ownValue(schema, 'allOf');
    if (!Array.isArray(all)) return withoutNullChoice(schema, (each) => this.resolved(each, seen));
    return all
      .filter(isRecord)
      .map((each) => this.resolved(each, seen))
      .reduce(together, without(schema, 'allOf'));
  }

  private target(ref: string): JsonRecord | undefined {
    if (ref !== '#' && !ref.startsWith('#/')) return undefined;
    let at: Json | undefined = this.root;
    for (const step of ref.split('/').slice(1)) {
      if (!isRecord(at)) return undefined;
      at = ownValue(at, keyOf(step));
    }
    return isRecord(at) ? at : undefined;
  }
}

/** The key that a step of a JSON Pointer in a URI fragment means (RFC 6901, section 6). */
function keyOf(step: string): string {
  const unescaped = (text: string) => text.replaceAll('~1', '/').replaceAll('~0', '~');
  try {
    return unescaped(decodeURIComponent(step));
  } catch {
    return unescaped(step);
  }
}

/** `anyOf: [X, null]`, the other way to say that a value may be missing, as X with null. */
function withoutNullChoice(
  schema: JsonRecord,
  resolve: (schema: JsonRecord) => JsonRecord,
): JsonRecord {
  const choice = ownValue(schema, 'anyOf') ?? ownValue(schema, 'oneOf');
  if (!Array.isArray(choice)) return schema;
  const [value, ...others] = choice.filter(
    (each) => isRecord(each) && ownValue(each, 'type') !== 'null',
  );
  if (others.length > 0 || !isRecord(value) || choice.length === 1) return schema;
  const resolved = resolve(value);
  return { ...resolved, type: [...typesOf(resolved), 'null'] };
}

function together(a: JsonRecord, b: JsonRecord): JsonRecord {
  const required = [a, b].flatMap((each) => {
    const own = ownValue(each, 'required');
    return Array.isArray(own) ? own : [];
  });
  const properties = Object.fromEntries([
    ...Object.entries(propertiesOf(a)),
    ...Object.entries(propertiesOf(b)),
  ]) as JsonRecord;
  return { ...a, ...b, properties, required };
}

const without = (record: JsonRecord, name: string): JsonRecord =>
  Object.fromEntries(Object.entries(record).filter(([each]) => each !== name)) as JsonRecord;

function propertiesOf(schema: JsonRecord): JsonRecord {
  const properties = ownValue(schema, 'properties');
  return isRecord(properties) ? properties : {};
}

const isObjectSchema = (schema: JsonRecord): boolean =>
  Object.keys(propertiesOf(schema)).length > 0;

const allowsNull = (schema: JsonRecord): boolean => {
  const type = ownValue(schema, 'type');
  return (Array.isArray(type) && type.includes('null')) || ownValue(schema, 'nullable') === true;
};

/** The types that a schema names, or that its `const`, `enum` or keywords imply; without `null`. */
function typesOf(schema: JsonRecord): string[] {
  const type = ownValue(schema, 'type');
  if (typeof type === 'string') return [type];
  if (Array.isArray(type))
    return type.filter((each) => typeof each === 'string' && each !== 'null') as string[];
  const constant = ownValue(schema, 'const');
  const listed = ownValue(schema, 'enum');
  const values = constant !== undefined ? [constant] : Array.isArray(listed) ? listed : [];
  const implied = new Set(values.filter((value) => value !== null).map(jsonTypeOf));
  if (implied.size > 0) return [...implied];
  if (isRecord(ownValue(schema, 'properties'))) return ['object'];
  return ownValue(schema, 'items') === undefined ? [] : ['array'];
}

function jsonTypeOf(value: Json): string {
  if (Array.isArray(value)) return 'array';
  if (typeof value === 'number') return Number.isInteger(value) ? 'integer' : 'number';
  return typeof value;
}

const byFormat: Readonly<Record<string, ScalarName>> = {
  date: 'date',
  time: 'time',
  'date-time': 'datetime',
  duration: 'duration',
  uri: 'link',
  iri: 'link',
};

const typeFormats: ReadonlySet<string> = new Set(Object.keys(byFormat));

function textType(schema: JsonRecord): ScalarName {
  const media = ownValue(schema, 'contentMediaType');
  if (media === 'text/css') return 'colour';
  if (typeof media === 'string' && media.startsWith('image/')) return 'image';
  const format = ownValue(schema, 'format');
  return (typeof format === 'string' && ownValue(byFormat, format)) || 'text';
}

function decodingOf(value: Json | undefined): Decoding | undefined {
  if (!isRecord(value)) return undefined;
  const plain = plainDecodingOf(value);
  const none = textsIn(ownValue(value, 'none'));
  return plain && { ...plain, ...(none !== undefined && none.length > 0 && { none }) };
}

const textsIn = (value: Json | undefined) =>
  Array.isArray(value) ? value.filter((word) => typeof word === 'string') : undefined;

function plainDecodingOf(value: JsonRecord): Decoding | undefined {
  const pattern = ownValue(value, 'pattern');
  const locale = ownValue(value, 'locale');
  if (typeof pattern === 'string')
    return { pattern, ...(typeof locale === 'string' && { locale }) };
  const epoch = ownValue(value, 'epoch');
  if (epoch === 'seconds' || epoch === 'milliseconds') return { epoch };
  const duration = durationForms.find((each) => each === ownValue(value, 'duration'));
  if (duration !== undefined) return { duration };
  const decimal = ownValue(value, 'decimal');
  if (decimal === ',' || decimal === '.') {
    const unit = ownValue(value, 'unit');
    return {
      decimal,
      ...(ownValue(value, 'whole') === true && { whole: true as const }),
      ...(typeof unit === 'string' && { unit }),
    };
  }
  const yes = textsIn(ownValue(value, 'yes'));
  const no = textsIn(ownValue(value, 'no'));
  return yes === undefined || no === undefined ? undefined : { yes, no };
}

/** The property that has a constant text of its own in every one. */
function constantOf(all: readonly JsonRecord[]): string | null {
  const [first] = all;
  const names = first === undefined ? [] : Object.keys(first);
  const found = names.find((name) => {
    const values = all.map((properties) => constText(properties, name));
    return !values.includes(null) && new Set(values).size === all.length;
  });
  return found ?? null;
}

function constText(properties: JsonRecord, name: string): string | null {
  const property = ownValue(properties, name);
  if (!isRecord(property)) return null;
  const constant = ownValue(property, 'const');
  const listed = ownValue(property, 'enum');
  const value = constant ?? (Array.isArray(listed) && listed.length === 1 ? listed[0] : undefined);
  return value === undefined || value === null ? null : (typeValueOf(value) ?? null);
}

function titleOf(schema: JsonRecord): string | undefined {
  const title = ownValue(schema, 'title');
  return typeof title === 'string' && title.trim() !== '' ? title.trim() : undefined;
}

const refName = (schema: JsonRecord): string | undefined => {
  const ref = ownValue(schema, '$ref');
  return typeof ref === 'string' ? keyOf(ref.slice(ref.lastIndexOf('/') + 1)) : undefined;
};

const nameOf = (file: string): string =>
  file.replace(/^.*[\\/]/, '').replace(/(?:\.schema)?\.json$/i, '') || 'item';
