import type { Json } from '../../base';
import { type Field, heldFields, type ScalarName, type ValueType } from '../../values';
import { itemValueOf } from '../item';
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

/** TypeScript declarations of item types, as the items come: before renaming and decoding. */
export function declarations(
  title: string,
  types: readonly TypeShape[],
  discriminator: string | null,
): string {
  const names = typeNames(types);
  const interfaces = types.map(
    (type, index) =>
      `export interface ${names[index]} ${recordText(type.fields, '', constantFor(type, discriminator))}\n`,
  );
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

function recordText(all: readonly Field[], indent: string, constant?: Constant): string {
  const fields = heldFields(all);
  if (fields.length === 0) return 'Record<string, unknown>';
  const inner = `${indent}  `;
  const lines = fields.map((field) => {
    const name = field.from ?? field.name;
    if (constant?.name === name) return `${inner}${key(name)}: ${JSON.stringify(constant.value)};`;
    const isDecoded = field.decode !== undefined;
    const type = isDecoded ? 'string | number | boolean' : typeText(field, inner);
    const comment = commentOn(field);
    const mark = field.required && !isDecoded ? '' : '?';
    const end = mark === '' ? '' : ' | null';
    return `${comment === '' ? '' : `${inner}/** ${comment} */\n`}${inner}${key(name)}${mark}: ${type}${end};`;
  });
  return `{\n${lines.join('\n')}\n${indent}}`;
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

function typeText(type: ValueType, indent: string): string {
  if (type.type === 'record') return recordText(type.fields, indent);
  if (type.type !== 'list') return scalars[type.type];
  const of = typeText(type.of, indent);
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
