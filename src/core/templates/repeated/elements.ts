import type { Json, JsonRecord } from '../../base';
import {
  type Expression,
  elementStep,
  type Field,
  makeExpression,
  type Params,
  pathRead,
  type RowContext,
  type ValueType,
} from '../../values';
import type { StackPart } from '../parts';
import { partsOf } from '../template';
import { type ElementAt, type Repeat, repeatOf } from './expand';

/** How many elements are more than there is room for, as expressions for the rest read it. */
const restName = 'rest';

/** The list that a stack stands for, of one item after the other. */
export class Elements {
  private item: JsonRecord | undefined;
  private context: RowContext | undefined;
  private list: readonly Json[] = [];
  private readonly records = new Map<ElementAt, JsonRecord | undefined>();

  constructor(
    private readonly repeat: Repeat,
    private readonly over: Expression,
  ) {}

  /** The item with an element beside its fields, under its name; undefined: there is no such element. */
  record(item: JsonRecord, context: RowContext | undefined, at: ElementAt): JsonRecord | undefined {
    if (item !== this.item || context !== this.context) {
      const given = this.over.evaluate?.(item, context);
      this.list = Array.isArray(given) ? given : [];
      this.item = item;
      this.context = context;
      this.records.clear();
    }
    if (!this.records.has(at)) this.records.set(at, this.made(item, at));
    return this.records.get(at);
  }

  private made(item: JsonRecord, at: ElementAt): JsonRecord | undefined {
    const { as, max } = this.repeat;
    if (at !== 'rest') return at < this.list.length ? { ...item, [as]: this.list[at] } : undefined;
    const rest = this.list.length - max;
    return rest > 0 ? { ...item, [restName]: rest } : undefined;
  }
}

/** The fields that expressions of a part see that stands for elements, or for the rest of them. */
export function fieldsWithin(
  fields: readonly Field[],
  { as }: Repeat,
  over: Pick<Expression, 'checked'>,
  at: ElementAt,
): readonly Field[] {
  const name = at === 'rest' ? restName : as;
  const own: Field =
    at === 'rest'
      ? { name, required: true, type: 'integer' }
      : { name, required: false, ...elementType(over) };
  return [...fields.filter((field) => field.name !== name), own];
}

const elementType = ({ checked }: Pick<Expression, 'checked'>): ValueType =>
  checked?.type.type === 'list' ? checked.type.of : { type: 'unknown' };

/** For each part that stands for elements: what their name leads to, as far as a path leads to the list. */
export function elementPaths(row: StackPart): ReadonlyMap<string, Params> {
  const paths = new Map<string, Params>();
  for (const stack of partsOf(row)) {
    const repeat = stack.part === 'stack' ? repeatOf(stack) : undefined;
    if (repeat === undefined || stack.part !== 'stack') continue;
    const path = pathRead(repeat.over.expr);
    const params: Params = new Map([[repeat.as, path && [...path, elementStep]]]);
    // One within another one stands once: its name stands for nothing.
    for (const child of stack.children)
      for (const part of partsOf(child)) if (!paths.has(part.id)) paths.set(part.id, params);
  }
  return paths;
}

/** Stacks that are repeated within one that is: they stand once. */
export const nestedRepeats = (row: StackPart): readonly string[] =>
  [...partsOf(row)].flatMap((part) =>
    part.part === 'stack' &&
    repeatOf(part) !== undefined &&
    repeatAround(row, part.id) !== undefined
      ? [part.id]
      : [],
  );

/** The stack that repeats a part; undefined: it stands once. */
export function repeatAround(row: StackPart, part: string): Repeat | undefined {
  for (const stack of partsOf(row)) {
    if (stack.part !== 'stack' || repeatOf(stack) === undefined) continue;
    if (stack.children.some((child) => [...partsOf(child)].some(({ id }) => id === part)))
      return repeatOf(stack);
  }
  return undefined;
}

/** The same fields as `fieldsWithin`, for a part of a row. */
export function fieldsAt(
  row: StackPart,
  place: { readonly part: string; readonly property: string },
  fields: readonly Field[],
): readonly Field[] {
  const stack = [...partsOf(row)].find(({ id }) => id === place.part);
  const own = stack?.part === 'stack' && place.property === 'more' ? repeatOf(stack) : undefined;
  const repeat = own ?? repeatAround(row, place.part);
  if (repeat === undefined) return fields;
  const over = makeExpression(repeat.over.expr, fields);
  return fieldsWithin(fields, repeat, over, own === undefined ? 0 : 'rest');
}
