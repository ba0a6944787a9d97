import type { Json, JsonRecord } from '../../base';
import {
  type Environment,
  type Expression,
  elementStep,
  emptyEnvironment,
  type Field,
  makeExpression,
  type Params,
  pathRead,
  type RowContext,
  type Value,
  type ValueType,
} from '../../values';
import type { StackPart } from '../parts';
import { partsOf } from '../template';
import { type ElementAt, isRepeated, type Repeat, repeatOf, type Scope, scopeAt } from './expand';

/** How many elements are more than there is room for, as expressions for the rest read it. */
const restName = 'rest';

/** What expressions see in the place of the item. */
export interface Seen {
  readonly fields: readonly Field[];
  /** Undefined: it stands for an element that is not there. */
  record(item: JsonRecord, context?: RowContext): JsonRecord | undefined;
}

/** What the expressions of a template see, made once for each place in it. */
export class SeenIn {
  private readonly known = new Map<Scope, Seen>();
  private readonly lists = new Map<Repeat, Elements>();
  private readonly whole: Seen;

  constructor(
    fields: readonly Field[],
    private readonly environment: Environment,
  ) {
    this.whole = { fields, record: (item) => item };
  }

  at(scope: Scope | undefined): Seen {
    if (scope === undefined) return this.whole;
    const before = this.known.get(scope);
    if (before !== undefined) return before;
    const outer = this.at(scope.outer);
    const made = scope.kind === 'element' ? this.element(scope, outer) : this.inputs(scope, outer);
    this.known.set(scope, made);
    return made;
  }

  private element({ repeat, at }: Scope & { readonly kind: 'element' }, outer: Seen): Seen {
    const elements = this.lists.get(repeat) ?? new Elements(repeat, outer, this.environment);
    this.lists.set(repeat, elements);
    return {
      fields: elements.fields(at),
      record: (item, context) => elements.record(item, context, at),
    };
  }

  private inputs({ use }: Scope & { readonly kind: 'inputs' }, outer: Seen): Seen {
    const fields = use.opened?.inputs ?? [];
    const fed = Object.entries(use.inputs ?? {}).map(([name, { expr }]) => {
      const { evaluate } = makeExpression(expr, outer.fields, 'any', this.environment);
      return [name, evaluate] as const;
    });
    return {
      fields,
      record: onceForEach((item, context) => {
        const around = outer.record(item, context);
        if (around === undefined) return undefined;
        return inputsOf(fed.map(([name, evaluate]) => [name, evaluate?.(around, context)]));
      }),
    };
  }
}

function inputsOf(values: readonly (readonly [name: string, Value])[]): JsonRecord {
  const given: [string, Json][] = [];
  for (const [name, value] of values) if (value !== undefined) given.push([name, value]);
  return Object.fromEntries(given);
}

/** All slots of an item are asked for one after the other: what is the same for them is made once. */
function onceForEach<T>(
  make: (item: JsonRecord, context: RowContext | undefined) => T,
): (item: JsonRecord, context?: RowContext) => T {
  let known: { item: JsonRecord; context: RowContext | undefined; made: T } | undefined;
  return (item, context) => {
    if (known?.item !== item || known.context !== context)
      known = { item, context, made: make(item, context) };
    return known.made;
  };
}

/** The list that a stack stands for, of one item after the other. */
class Elements {
  private readonly over: Expression;
  private readonly list: (item: JsonRecord, context?: RowContext) => ElementList | undefined;

  constructor(
    private readonly repeat: Repeat,
    private readonly outer: Seen,
    environment: Environment,
  ) {
    this.over = makeExpression(repeat.over.expr, outer.fields, 'any', environment);
    this.list = onceForEach((item, context) => {
      const around = outer.record(item, context);
      if (around === undefined) return undefined;
      const given = this.over.evaluate?.(around, context);
      return { around, list: Array.isArray(given) ? given : [], records: new Map() };
    });
  }

  fields(at: ElementAt): readonly Field[] {
    return fieldsWithin(this.outer.fields, this.repeat, this.over, at);
  }

  /** What is around with an element beside its fields, under its name. */
  record(item: JsonRecord, context: RowContext | undefined, at: ElementAt): JsonRecord | undefined {
    const elements = this.list(item, context);
    if (elements === undefined) return undefined;
    const { records } = elements;
    if (!records.has(at)) records.set(at, this.made(elements, at));
    return records.get(at);
  }

  private made({ around, list }: ElementList, at: ElementAt): JsonRecord | undefined {
    const { as, max } = this.repeat;
    const element = at === 'rest' ? undefined : list[at];
    if (at !== 'rest') return element === undefined ? undefined : { ...around, [as]: element };
    const rest = list.length - max;
    return rest > 0 ? { ...around, [restName]: rest } : undefined;
  }
}

interface ElementList {
  readonly around: JsonRecord;
  readonly list: readonly Json[];
  readonly records: Map<ElementAt, JsonRecord | undefined>;
}

/** The fields that expressions of a part see that stands for elements, or for the rest of them. */
function fieldsWithin(
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
    isRepeated(scopeAt(row, { part: part.id, property: 'over' }))
      ? [part.id]
      : [],
  );

/** The fields that the expressions of a part see; nothing is found or written there. */
export function fieldsAt(
  row: StackPart,
  place: { readonly part: string; readonly property: string },
  fields: readonly Field[],
): readonly Field[] {
  const scope = scopeAt(row, place);
  return scope === undefined ? fields : new SeenIn(fields, emptyEnvironment).at(scope).fields;
}
