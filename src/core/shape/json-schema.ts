import type { JsonRecord } from '../base';
import type { JsonKind, Node, Shape } from './shape';

/**
 * The JSON Schema of a shape (draft 2020-12), its named shapes under `$defs`. What it can't say is
 * held by the shape alone: elements told apart by a member, the depth of nesting, tests in code.
 */
export function toJsonSchema(shape: Shape<unknown>): JsonRecord {
  const named = new Map<string, JsonRecord>();
  const root = schemaOf(shape.node, named);
  return named.size === 0 ? root : { ...root, $defs: Object.fromEntries(named) };
}

type Named = Map<string, JsonRecord>;

function schemaOf(node: Node, named: Named): JsonRecord {
  switch (node.is) {
    case 'text':
      return {
        type: 'string',
        ...(node.minChars > 0 && { minLength: node.minChars }),
        maxLength: node.maxChars,
        ...(node.pattern && { pattern: node.pattern.source }),
      };
    case 'number':
      return {
        type: node.isInteger ? 'integer' : 'number',
        ...(node.min !== undefined && { minimum: node.min }),
        ...(node.moreThan !== undefined && { exclusiveMinimum: node.moreThan }),
        ...(node.max !== undefined && { maximum: node.max }),
      };
    case 'boolean':
      return { type: 'boolean' };
    case 'one of':
      return { enum: [...node.values] };
    case 'list':
      return {
        type: 'array',
        items: schemaOf(node.of, named),
        ...(node.min > 0 && { minItems: node.min }),
        maxItems: node.max,
      };
    case 'record':
      return record(node, named);
    case 'map':
      return { type: 'object', additionalProperties: schemaOf(node.of, named) };
    case 'by kind':
      return {
        anyOf: Object.entries(node.cases).map(([kind, own]) => ofKind(kind, schemaOf(own, named))),
      };
    case 'by key':
      return node.cases.reduceRight<JsonRecord>(
        (otherwise, [key, own]) => ({
          if: { type: 'object', required: [key] },
          // biome-ignore lint/suspicious/noThenProperty: a keyword of JSON Schema
          then: schemaOf(own, named),
          else: otherwise,
        }),
        schemaOf(node.otherwise, named),
      );
    case 'by member':
      return byMember(node, named);
    case 'named':
      return reference(node, named);
  }
}

type Of<K extends Node['is']> = Extract<Node, { readonly is: K }>;

const record = ({ members }: Of<'record'>, named: Named): JsonRecord => ({
  type: 'object',
  properties: Object.fromEntries(
    Object.entries(members).map(([name, { node }]) => [name, schemaOf(node, named)]),
  ),
  required: Object.entries(members).flatMap(([name, { isOptional }]) => (isOptional ? [] : [name])),
});

const types: Readonly<Record<JsonKind, string>> = {
  text: 'string',
  number: 'number',
  boolean: 'boolean',
  null: 'null',
  list: 'array',
  record: 'object',
};

const ofKind = (kind: string, schema: JsonRecord): JsonRecord => {
  const type = Object.entries(types).find(([own]) => own === kind)?.[1];
  return type === undefined || 'type' in schema ? schema : { type, ...schema };
};

const byMember = ({ member, cases }: Of<'by member'>, named: Named): JsonRecord => ({
  type: 'object',
  properties: { [member]: { enum: Object.keys(cases) } },
  required: [member],
  allOf: Object.entries(cases).map(([value, own]) => ({
    if: { properties: { [member]: { const: value } } },
    // biome-ignore lint/suspicious/noThenProperty: a keyword of JSON Schema
    then: schemaOf(own, named),
  })),
});

function reference({ name, node }: Of<'named'>, named: Named): JsonRecord {
  if (!named.has(name)) {
    named.set(name, {});
    named.set(name, schemaOf(node(), named));
  }
  return { $ref: `#/$defs/${name}` };
}
