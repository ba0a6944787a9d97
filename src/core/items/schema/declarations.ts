import type { Json } from '../../base';
import { type Field, heldFields, type ScalarName, type ValueType } from '../../values';
import { itemValueOf } from '../item';
import type { Seen } from './seen';
import type { TypeShape } from './write';

const scalars: Readonly<Record<ScalarName, string>> = {
  text: 'string',
  number: 'number',
  integer: 'number',
  boolean: 'boolean',
  date: 'string',
  time: 'string',
  datetime: 'string',
  duration: 'string',
  colour: 'string',
  image: 'string',
  link: 'string',
  unknown: 'unknown',
};

/**
 * TypeScript declarations of item types, as the items come: before renaming and decoding. `seen`:
 * for each type what its items say of the fields; without it a field may be missing or null.
 */
export function declarations(
  title: string,
  types: readonly TypeShape[],
  discriminator: string | null,
  seen: readonly (readonly Seen[])[] = [],
): string {
  const names = typeNames(types);
  const interfaces = types.map((type, index) => {
    const byPath = new Map((seen[index] ?? []).map((each) => [JSON.stringify(each.path), each]));
    const known: Known = {
      constant: constantFor(type, discriminator),
      seenAt: (path) => byPath.get(JSON.stringify(path)),
    };
    return `export interface ${names[index]} ${recordText(type.fields, '', known)}\n`;
  });
  const union =
    types.length > 1 ? [`export type ${typeName(title, names)} = ${names.join(' | ')};\n`] : [];
  return [...interfaces, ...union].join('\n');
}

interface Constant {
  readonly name: string;
  readonly value: Json;
}

function constantFor(type: TypeShape, discriminator: string | null): Constant | undefined {
  if (discriminator === null || type.value === null) return undefined;
  const field = type.fields.find(({ name, from }) => (from ?? name) === discriminator);
  const value = itemValueOf(type.value, field?.type ?? 'text');
  return value === undefined ? undefined : { name: discriminator, value };
}

interface Known {
  readonly constant?: Constant | undefined;
  readonly seenAt: (path: readonly string[]) => Seen | undefined;
}

/** Inside of lists nothing is known of single fields. */
const nothingKnown: Known = { seenAt: () => undefined };

function recordText(all: readonly Field[], indent: string, { constant, seenAt }: Known): string {
  const fields = heldFields(all);
  if (fields.length === 0) return 'Record<string, unknown>';
  const inner = `${indent}  `;
  const lines = fields.map((field) => {
    const name = field.from ?? field.name;
    if (constant?.name === name) return `${inner}${key(name)}: ${JSON.stringify(constant.value)};`;
    const within: Known = { seenAt: (path) => seenAt([field.name, ...path]) };
    const type = unionOf(field, seenAt([field.name])) ?? typeText(field, inner, within);
    const comment = commentOn(field);
    const { mark, end } = gaps(field, seenAt([field.name]));
    return `${comment === '' ? '' : `${inner}/** ${comment} */\n`}${inner}${key(name)}${mark}: ${type}${end};`;
  });
  return `{\n${lines.join('\n')}\n${indent}}`;
}

/** Texts of which there are a few only, as the schema or the items say; what is decoded may be anything before. */
function unionOf({ said, decode, type }: Field, seen: Seen | undefined): string | undefined {
  const listed = said?.enum?.filter((value) => value !== null);
  const words = listed ?? (type === 'text' ? seen?.words : undefined);
  if (words !== undefined && words.length > 0)
    return words.map((word) => JSON.stringify(word)).join(' | ');
  return decode === undefined ? undefined : 'string | number | boolean';
}

/** Whether it may be absent, and whether it may be null. */
function gaps({ required, decode }: Field, seen: Seen | undefined) {
  const mayLack = !required || decode !== undefined;
  const isNull = seen === undefined ? mayLack : seen.isNullSomewhere;
  // What may be missing, as somebody says, though no item lacks it yet.
  const isAbsent = seen?.isAbsentSomewhere ?? mayLack;
  const isSaidOnly = seen !== undefined && !required && !isNull;
  return { mark: isAbsent || isSaidOnly ? '?' : '', end: isNull ? ' | null' : '' };
}

function commentOn(field: Field): string {
  const pattern =
    field.decode !== undefined && 'pattern' in field.decode ? field.decode.pattern : '';
  if (pattern !== '') return `A ${field.type} as ${pattern}.`.replaceAll('*/', '*\u200b/');
  if (field.decode !== undefined || /date|time|duration/.test(field.type)) {
    return `A ${field.type}${field.decode === undefined ? ', ISO 8601' : ''}.`;
  }
  return '';
}

function typeText(type: ValueType, indent: string, known: Known): string {
  if (type.type === 'record') return recordText(type.fields, indent, known);
  if (type.type !== 'list') return scalars[type.type];
  const of = typeText(type.of, indent, nothingKnown);
  return type.of.type === 'record' ? `readonly (${of})[]` : `readonly ${of}[]`;
}

const key = (name: string): string =>
  /^[A-Za-z_$][\w$]*$/.test(name) ? name : JSON.stringify(name);

function typeNames(types: readonly TypeShape[]): string[] {
  const taken: string[] = [];
  for (const type of types) taken.push(typeName(type.name, taken));
  return taken;
}

/** `skein lot` becomes `SkeinLot`; never a name that is taken. */
function typeName(words: string, taken: readonly string[]): string {
  const joined = (words.match(/[\p{L}\p{N}]+/gu) ?? [])
    .map((word) => word.charAt(0).toUpperCase() + word.slice(1))
    .join('');
  const wish = /^\p{L}/u.test(joined) ? joined : `Item${joined}`;
  let name = wish;
  for (let n = 2; taken.includes(name); n += 1) name = `${wish}${n}`;
  return name;
}
