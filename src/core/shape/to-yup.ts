import * as yup from 'yup';
import { ownValue } from '../base';
import { fits } from './fits';
import { type JsonKind, kindOf, type Node, type Shape } from './shape';

/**
 * Hands back what has the shape, as it is. Throws a `ValidationError` of Yup that names all that is
 * wrong, `first`: no more than that.
 */
export function holdTo<T>(shape: Shape<T>): (value: unknown, first?: 'first') => T {
  const schema = toYup(shape.node);
  const has = (value: unknown, first?: 'first'): value is T => {
    if (!fits(shape.node, value))
      schema.validateSync(value, { strict: true, abortEarly: first === 'first' });
    return true;
  };
  return (value, first) => {
    if (!has(value, first)) throw new Error('A value without the shape was let through.');
    return value;
  };
}

/** A Yup schema that lets through what has the shape, and nothing else. For `{ strict: true }`. */
function toYup(node: Node, depth: Depth = new Map()): yup.Schema | yup.Lazy<unknown> {
  switch (node.is) {
    case 'text':
      return text(node);
    case 'number':
      return number(node);
    case 'boolean':
      return yup.boolean().required();
    case 'one of':
      return oneOf(node);
    case 'list':
      return list(node, depth);
    case 'record':
      return yup.object(shapeOf(node, depth)).required();
    case 'map':
      return yup.lazy((value: unknown) => mapOf(node, value, depth));
    case 'by kind':
      return yup.lazy((value: unknown) => byKind(node, value, depth));
    case 'by key':
      return yup.lazy((value: unknown) => toYup(caseByKey(node, value), depth));
    case 'by member':
      return yup.lazy((value: unknown) => byMember(node, value, depth));
    case 'named':
      return yup.lazy(() => namedOf(node, depth));
  }
}

/** How often each named shape is around the place that is looked at. */
type Depth = ReadonlyMap<string, number>;
type Of<K extends Node['is']> = Extract<Node, { readonly is: K }>;

function text({ minChars, maxChars, pattern, test }: Of<'text'>): yup.Schema {
  let schema: yup.StringSchema = yup.string().defined().nonNullable().max(maxChars);
  if (minChars > 0) schema = schema.min(minChars);
  if (pattern !== undefined)
    schema = schema.matches(new RegExp(pattern.source), `\${path} must ${pattern.words}`);
  return test === undefined
    ? schema
    : schema.test(test.name, `\${path} must ${test.words}`, (value) =>
        typeof value === 'string' ? test.passes(value) : true,
      );
}

function number({ min, moreThan, max, isInteger }: Of<'number'>): yup.Schema {
  let schema: yup.NumberSchema = yup.number().required();
  if (isInteger) schema = schema.integer();
  if (min !== undefined) schema = schema.min(min);
  if (moreThan !== undefined) schema = schema.moreThan(moreThan);
  return max === undefined ? schema : schema.max(max);
}

const oneOf = ({ values }: Of<'one of'>): yup.Schema =>
  yup
    .mixed()
    .nullable()
    .defined()
    .test(
      'one-of',
      `\${path} must be ${values
        .map(String)
        .join(', ')
        .replace(/, (?=[^,]*$)/, ' or ')}`,
      (value) => values.some((each) => each === value),
    );

function list({ of, min, max, tellsApart }: Of<'list'>, depth: Depth): yup.Schema {
  const schema = yup.array().of(toYup(of, depth)).required().min(min).max(max);
  if (tellsApart === undefined) return schema;
  return schema.test('told-apart', '${path} names two things alike', (things) => {
    const names = (things ?? []).map((thing) => memberOf(thing, tellsApart));
    return new Set(names).size === names.length;
  });
}

const shapeOf = (node: Of<'record'>, depth: Depth) =>
  Object.fromEntries(
    Object.entries(node.members).map(([name, { node: member, isOptional }]) => [
      name,
      isOptional ? unlessMissing(member, depth) : toYup(member, depth),
    ]),
  );

const mapOf = ({ of }: Of<'map'>, value: unknown, depth: Depth) =>
  yup
    .object(
      Object.fromEntries(
        Object.keys(kindOf(value) === 'record' ? Object(value) : {}).map((name) => [
          name,
          toYup(of, depth),
        ]),
      ),
    )
    .required();

const unlessMissing = (node: Node, depth: Depth) =>
  yup.lazy((value: unknown) => (value === undefined ? yup.mixed().optional() : toYup(node, depth)));

const kindWords: Readonly<Record<JsonKind, string>> = {
  text: 'a text',
  number: 'a number',
  boolean: 'true or false',
  null: 'null',
  list: 'a list',
  record: 'a record',
};

function byKind({ cases }: Of<'by kind'>, value: unknown, depth: Depth) {
  const kind = kindOf(value);
  const node = kind && cases[kind];
  if (node !== undefined) return toYup(node, depth);
  if (value === undefined) return refusal('missing', 'is missing');
  const words = Object.keys(cases).flatMap(
    (each) => Object.entries(kindWords).find(([own]) => own === each)?.[1] ?? [],
  );
  return refusal('kind', `must be ${words.join(' or ')}`);
}

function caseByKey({ cases, otherwise }: Of<'by key'>, value: unknown): Node {
  return cases.find(([key]) => memberOf(value, key) !== undefined)?.[1] ?? otherwise;
}

function byMember({ member, cases }: Of<'by member'>, value: unknown, depth: Depth) {
  const own = memberOf(value, member);
  const node = typeof own === 'string' ? ownValue(cases, own) : undefined;
  return node === undefined
    ? yup.object({ [member]: oneOf({ is: 'one of', values: Object.keys(cases) }) }).required()
    : toYup(node, depth);
}

function namedOf({ name, node, maxDepth }: Of<'named'>, depth: Depth) {
  const now = (depth.get(name) ?? 0) + 1;
  return now > maxDepth
    ? refusal('depth', 'nests too deep')
    : toYup(node(), new Map(depth).set(name, now));
}

const refusal = (name: string, words: string): yup.Schema =>
  yup
    .mixed()
    .nullable()
    .test(name, `\${path} ${words}`, () => false);

const memberOf = (value: unknown, name: string): unknown =>
  kindOf(value) === 'record' && typeof value === 'object' && value !== null
    ? Object.getOwnPropertyDescriptor(value, name)?.value
    : undefined;
