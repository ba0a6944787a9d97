import { ownValue } from '../base';
import { type Bound, isBound, leaves } from './bound';
import {
  type Declared,
  declaredInput,
  type Inputs,
  inputNamed,
  inputProperty,
  inputsWith,
  kindOf,
  type LabelPart,
  type Opened,
  type Part,
  type StackPart,
} from './parts';
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

/** The parts in a part: those of a stack, runs of a label, what a shared part is once it is looked up. */
export function childrenOf(part: Part): readonly Part[] {
  if (part.part === 'stack') return part.children;
  if (part.part === 'shared') return part.opened?.children ?? [];
  return part.part === 'label' ? (part.runs ?? []) : [];
}

/** Ids of a part and of all in it. */
export const partIds = (part: Part): string[] => [...partsOf(part)].map(({ id }) => id);

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

/** What a part may say: what its kind declares, and inputs of a shared part that are fed. */
export function declaredOf(part: Part): Declared {
  const { properties } = kindOf(part);
  if (part.part !== 'shared') return properties;
  const fields = part.opened?.inputs ?? [];
  const inputs = Object.keys(part.inputs ?? {}).map((name) => [
    inputProperty(name),
    declaredInput(
      name,
      fields.find((field) => field.name === name),
    ),
  ]);
  return { ...properties, ...Object.fromEntries(inputs) };
}

/** What a part says of a property; undefined: nothing, so that the default holds. */
export function propertyOf(part: Part, property: string): Constant | Bound | undefined {
  const input = part.part === 'shared' ? inputNamed(property) : undefined;
  if (part.part === 'shared' && input !== undefined) return ownValue(part.inputs ?? {}, input);
  const said: Readonly<Record<string, Constant | Bound | Held | undefined>> = part;
  const own = Object.hasOwn(kindOf(part).properties, property)
    ? ownValue(said, property)
    : undefined;
  return isHeld(own) ? undefined : own;
}

/** What a part has in it. No kind declares it as a property. */
type Held = readonly Part[] | Inputs | Opened;
const isHeld = (value: unknown): value is Held => Array.isArray(value);

/** The part with a property set, in the order of its kind; undefined: put back to its default. */
export function withProperty<P extends Part>(
  part: P,
  property: string,
  value: Constant | Bound | undefined,
): P {
  const input = part.part === 'shared' ? inputNamed(property) : undefined;
  const isInput = part.part === 'shared' && input !== undefined;
  const key = isInput ? 'inputs' : property;
  const next = isInput ? inputsWith(part.inputs, input, value) : value;
  const made = { ...part, [key]: next };
  if (next === undefined) Reflect.deleteProperty(made, key);
  return key in part || next === undefined ? made : inOrder(made);
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
  if (changed.part === 'shared' && changed.opened !== undefined) {
    const children = changed.opened.children.map((child) => mapParts(child, change));
    return { ...changed, opened: { ...changed.opened, children } };
  }
  return changed.part === 'label' && changed.runs !== undefined
    ? { ...changed, runs: changed.runs.map((run) => change(run)) }
    : changed;
}

/** Everything that is fed in a template, in a fixed order: the order of an entry's values. */
export const slotsOf = (row: Part): readonly Slot[] =>
  [...partsOf(row)].flatMap((part) => slotsOfPart(part));

function slotsOfPart(part: Part): readonly Slot[] {
  return Object.entries(declaredOf(part)).flatMap(([property, declared]): Slot[] => {
    const binding = propertyOf(part, property);
    const isFed = isBound(binding) || (isContent(declared) && typeof binding === 'string');
    return isFed ? [{ part: part.id, property, declared, binding }] : [];
  });
}

/** Whether it is what a part shows: without a value, that may leave. */
export function isShownBy(part: Part, property: string): boolean {
  const { shows, box } = kindOf(part);
  return property === shows || (box === 'pill' && (property === 'icon' || property === 'text'));
}

/**
 * Whether a part takes no room without a value: of what it shows, not of what leads somewhere, is
 * only heard, or stands in.
 */
export function mayLeave(part: Part, property: string, binding: Slot['binding']): boolean {
  if (isShownBy(part, property) && leaves(binding)) return true;
  const { shows, mayLeave: may } = kindOf(part);
  return property === shows && may?.(constantsOf(part)) === true;
}

/** The constants of a part, defaults where it says nothing or is fed by value. */
export const constantsOf = (part: Part): Readonly<Record<string, Constant | undefined>> =>
  Object.fromEntries(
    Object.entries(kindOf(part).properties).map(([property, declared]) => {
      const own = propertyOf(part, property);
      return [property, own === undefined || isBound(own) ? declared.default : own];
    }),
  );
