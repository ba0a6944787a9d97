import {
  type Environment,
  type Expression,
  elementStep,
  emptyEnvironment,
  type Field,
  makeExpression,
  type Params,
  pathRead,
  type ValueType,
} from '../../values';
import type { StackPart } from '../parts';
import {
  type ElementAt,
  elementRecords,
  inputsRecord,
  type RecordOf,
  restName,
} from '../running/records';
import { partsOf } from '../template';
import { isRepeated, type Repeat, repeatOf, type Scope, scopeAt } from './expand';

/** What expressions see in the place of the item. */
export interface Seen {
  readonly fields: readonly Field[];
  readonly record: RecordOf;
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
    const elements = this.lists.get(repeat) ?? this.elementsOf(repeat, outer);
    this.lists.set(repeat, elements);
    const { over, record } = elements;
    return { fields: fieldsWithin(outer.fields, repeat, over, at), record: record(at) };
  }

  private elementsOf(repeat: Repeat, outer: Seen): Elements {
    const over = makeExpression(repeat.over.expr, outer.fields, 'any', this.environment);
    return { over, record: elementRecords(outer.record, over.evaluate, repeat) };
  }

  private inputs({ use }: Scope & { readonly kind: 'inputs' }, outer: Seen): Seen {
    const fed = Object.entries(use.inputs ?? {}).map(([name, { expr }]) => {
      const { evaluate } = makeExpression(expr, outer.fields, 'any', this.environment);
      return [name, evaluate] as const;
    });
    return { fields: use.opened?.inputs ?? [], record: inputsRecord(outer.record, fed) };
  }
}

/** The list that a stack stands for. */
interface Elements {
  readonly over: Expression;
  readonly record: (at: ElementAt) => RecordOf;
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
