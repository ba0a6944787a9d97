import { type Bound, isBound } from '../bound';
import type { LabelPart, StackPart, StandingPart } from '../parts';
import { mapParts, partsOf, type Slot, slotsOf } from '../template';

/** A stack whose parts stand once for each element of a list. */
export interface Repeat {
  readonly stack: string;
  /** What gives the list. */
  readonly over: Bound;
  /** What an element is called in expressions. */
  readonly as: string;
  readonly max: number;
}

/** Where among the elements something stands: at one of them, or in place of those that are too many. */
export type ElementAt = number | 'rest';

/** A slot as it is drawn: of a part that stands several times, once for each. */
export interface ShownSlot extends Slot {
  /** Where it is drawn; `part` and `property` are where people said it. */
  readonly drawnAt: { readonly part: string; readonly property: string };
  readonly within: { readonly repeat: Repeat; readonly at: ElementAt } | undefined;
}

interface Origin {
  readonly repeat: Repeat;
  readonly at: ElementAt;
}

interface Expanded {
  readonly row: StackPart;
  /** By the ids of parts that stand for elements. */
  readonly origins: ReadonlyMap<string, Origin>;
}

/** No id that people give has it. */
const sign = '·';

/** The id that people know of a part as it is drawn. */
export const knownId = (drawn: string): string => drawn.split(sign, 1)[0] ?? drawn;

const noOrigins: ReadonlyMap<string, Origin> = new Map();
const known = new WeakMap<StackPart, Expanded>();

/** The row with every part as often as it may stand. */
export const expandedRow = (row: StackPart): StackPart => expanded(row).row;

/** Everything that is fed in a row as it is drawn, in a fixed order: the order of an entry's values. */
export function shownSlots(row: StackPart): readonly ShownSlot[] {
  const { row: drawn, origins } = expanded(row);
  return slotsOf(drawn).map((slot) => {
    const { part, property } = slot;
    const within = origins.get(part);
    const isRest = within?.at === 'rest' && property === 'text';
    return {
      ...slot,
      part: knownId(part),
      property: isRest ? 'more' : property,
      drawnAt: { part, property },
      within,
    };
  });
}

/** What a repeated stack repeats; undefined: it stands as it is. */
export const repeatOf = ({ id, over, as, max }: StackPart): Repeat | undefined =>
  isBound(over) ? { stack: id, over, as: as ?? 'each', max: max ?? 5 } : undefined;

function expanded(row: StackPart): Expanded {
  const before = known.get(row);
  if (before !== undefined) return before;
  const made = [...partsOf(row)].some(
    (part) => part.part === 'stack' && repeatOf(part) !== undefined,
  )
    ? expand(row)
    : { row, origins: noOrigins };
  known.set(row, made);
  return made;
}

function expand(row: StackPart): Expanded {
  const origins = new Map<string, Origin>();
  const within = (stack: StackPart): StackPart => {
    const repeat = repeatOf(stack);
    if (repeat === undefined)
      return {
        ...stack,
        children: stack.children.map((child) => (child.part === 'stack' ? within(child) : child)),
      };
    const { more, ...own } = stack;
    const children = Array.from({ length: repeat.max }, (_, at) =>
      stack.children.map((child) => standing(child, { repeat, at }, origins)),
    ).flat();
    const rest = more === undefined ? [] : [restOf(stack, more, repeat, origins)];
    return { ...own, children: [...children, ...rest] };
  };
  return { row: within(row), origins };
}

/** A part as it stands for an element: it leaves where there is none. */
function standing(
  child: StandingPart,
  origin: Origin & { readonly at: number },
  origins: Map<string, Origin>,
): StandingPart {
  const made = mapParts(child, (part) => {
    const id = origin.at === 0 ? part.id : `${part.id}${sign}${origin.at + 1}`;
    origins.set(id, origin);
    return { ...part, id };
  });
  return leaving(made);
}

function restOf(
  { id }: StackPart,
  text: LabelPart['text'],
  repeat: Repeat,
  origins: Map<string, Origin>,
): StandingPart {
  const rest: LabelPart = { part: 'label', id: `${id}${sign}more`, text, style: 'small' };
  origins.set(rest.id, { repeat, at: 'rest' });
  return leaving(rest);
}

const leaving = (part: StandingPart): StandingPart =>
  isBound(part.leaves) || part.leaves === true ? part : { ...part, leaves: { expr: 'false' } };
