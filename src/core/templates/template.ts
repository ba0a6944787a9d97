import { ownValue } from '../base';
import { type Bound, isBound } from './bound';
import { kindOf, type LabelPart, type Part, type StackPart } from './parts';
import { type Constant, isContent, type Property } from './property';

/** What a row or cell of one item type looks like. Its outermost part is always a stack. */
export interface Template {
  readonly id: string;
  readonly name: string;
  /** Id of the item type whose fields it reads. */
  readonly type: string;
  readonly row: StackPart;
}

/** All parts, each before those inside it. */
export function* partsOf(part: Part): Generator<Part, void> {
  yield part;
  for (const child of childrenOf(part)) yield* partsOf(child);
}

/** The parts in a part: those of a stack, runs of a label. */
export function childrenOf(part: Part): readonly Part[] {
  if (part.part === 'stack') return part.children;
  return part.part === 'label' ? (part.runs ?? []) : [];
}

export function partWithId(row: Part, id: string): Part | undefined {
  for (const part of partsOf(row)) if (part.id === id) return part;
  return undefined;
}

/** The label that a run goes on in. */
export function labelAround(row: StackPart, run: string): LabelPart | undefined {
  for (const part of partsOf(row))
    if (part.part === 'label' && part.runs?.some(({ id }) => id === run) === true) return part;
  return undefined;
}

/** The stack that directly holds a part. */
export function stackAround(row: StackPart, id: string): StackPart | undefined {
  for (const part of partsOf(row)) {
    if (part.part === 'stack' && part.children.some((child) => child.id === id)) return part;
  }
  return undefined;
}

/** What a part says of a property; undefined: nothing, so that the default holds. */
export function propertyOf(part: Part, property: string): Constant | Bound | undefined {
  const said: Readonly<Record<string, Constant | Bound | readonly Part[] | undefined>> = part;
  const own = Object.hasOwn(kindOf(part).properties, property)
    ? ownValue(said, property)
    : undefined;
  return isParts(own) ? undefined : own;
}

const isParts = (value: unknown): value is readonly Part[] => Array.isArray(value);

/** The part with a property set, in the order of its kind; undefined: put back to its default. */
export function withProperty<P extends Part>(
  part: P,
  property: string,
  value: Constant | Bound | undefined,
): P {
  const made = { ...part, [property]: value };
  if (value === undefined) Reflect.deleteProperty(made, property);
  return property in part || value === undefined ? made : inOrder(made);
}

/** What is said for the first time stands where the kind has it, so that files are told apart by lines. */
function inOrder<P extends Part>(part: P): P {
  const order = ['part', 'id', ...Object.keys(kindOf(part).properties)];
  const place = (name: string) => (order.indexOf(name) + order.length + 1) % (order.length + 1);
  const entries = Object.entries(part).sort(([one], [other]) => place(one) - place(other));
  return { ...Object.fromEntries(entries), ...part };
}

/** A property that something feeds, and what feeds it. */
export interface Slot {
  readonly part: string;
  readonly property: string;
  readonly declared: Property;
  readonly binding: string | Bound;
}

/** The part, and all parts inside it, with whatever feeds a property changed. */
export const mapBindings = <P extends Part>(
  part: P,
  change: (binding: string | Bound, property: Property, part: string) => string | Bound,
): P =>
  mapParts(part, (each) =>
    slotsOfPart(each).reduce(
      (made, { property, declared, binding }) =>
        withProperty(made, property, change(binding, declared, each.id)),
      each,
    ),
  );

/** The part, and all parts inside it, each changed to another of its kind. */
export function mapParts<P extends Part>(part: P, change: <Q extends Part>(part: Q) => Q): P {
  const changed = change(part);
  if (changed.part === 'stack')
    return { ...changed, children: changed.children.map((child) => mapParts(child, change)) };
  return changed.part === 'label' && changed.runs !== undefined
    ? { ...changed, runs: changed.runs.map((run) => change(run)) }
    : changed;
}

/** Everything that is fed in a template, in a fixed order: the order of an entry's values. */
export const slotsOf = (row: Part): readonly Slot[] =>
  [...partsOf(row)].flatMap((part) => slotsOfPart(part));

function slotsOfPart(part: Part): readonly Slot[] {
  return Object.entries(kindOf(part).properties).flatMap(([property, declared]): Slot[] => {
    const binding = propertyOf(part, property);
    const isFed = isBound(binding) || (isContent(declared) && typeof binding === 'string');
    return isFed ? [{ part: part.id, property, declared, binding }] : [];
  });
}

/** The constants of a part, defaults where it says nothing or is fed by value. */
export const constantsOf = (part: Part): Readonly<Record<string, Constant | undefined>> =>
  Object.fromEntries(
    Object.entries(kindOf(part).properties).map(([property, declared]) => {
      const own = propertyOf(part, property);
      return [property, own === undefined || isBound(own) ? declared.default : own];
    }),
  );
