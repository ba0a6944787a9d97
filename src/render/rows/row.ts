import { ownValue } from '../../core/base';
import {
  type Entry,
  type PartPlan,
  type PlanSlot,
  type RowPlan,
  shrinkingParts,
} from '../../core/lists';
import type { Tokens } from '../../core/templates';
import {
  type Around,
  type Direction,
  type Draw,
  type Pictures,
  partViews,
  viewOfWords,
} from '../parts';

/** Where a value of an entry is drawn. */
interface Target {
  readonly element: HTMLElement;
  readonly draw: Draw;
  /** What the drawing hangs on: kept, since rows are bound at every frame of scrolling. */
  readonly around: Around & { pictures: Pictures | undefined };
}

/** What leaves where one of some values is missing. */
interface Leaver {
  readonly element: HTMLElement;
  /** The slots of the values. */
  readonly slots: readonly number[];
}

/** The elements of one row, and where each value of an entry goes, in the order of the plan's slots. */
export interface RowView {
  readonly element: HTMLElement;
  readonly targets: readonly Target[];
  readonly leavers: readonly Leaver[];
  /** Labels that may be smaller, in the order of an entry's steps. */
  readonly shrinking: readonly HTMLElement[];
  /** Controls that say whether the row is selected. */
  readonly selecting: readonly HTMLElement[];
  readonly parts: ReadonlyMap<string, DrawnPart>;
  readonly tokens: Tokens;
}

/** How a part is drawn, by its id. */
export interface DrawnPart {
  readonly element: HTMLElement;
  readonly direction: Direction;
  readonly draw: (property: string, kind: PlanSlot['kind']) => Draw | undefined;
}

/** A row's elements for a plan, still without words. `data-part` names each part. */
export function createRow(plan: RowPlan): RowView {
  const byPart: ByPart = new Map();
  const element = partElement(plan.row, plan, { byPart, direction: 'across', into: undefined });
  element.classList.add('yc-row');
  return {
    element,
    targets: plan.slots.map((slot) => targetOf(slot, byPart, plan)),
    leavers: leaversOf(plan, byPart),
    shrinking: [...shrinkingParts(plan.row)].flatMap(({ id }) => byPart.get(id)?.element ?? []),
    selecting: selectingParts(plan.row, plan).flatMap((id) => byPart.get(id)?.element ?? []),
    parts: byPart,
    tokens: plan.tokens,
  };
}

/** What can be on, and is bound to nothing though it does something: that is what it is on for. */
function selectingParts(part: PartPlan, plan: RowPlan): readonly string[] {
  const isToggle = part.part === 'checkbox' || part.part === 'switch';
  const isFed = plan.slots.some((slot) => slot.part === part.id && slot.property === 'on');
  const isSelecting = isToggle && !isFed && typeof part.values['change'] === 'string';
  const inner = part.children.flatMap((child) => selectingParts(child, plan));
  return isSelecting ? [part.id, ...inner] : inner;
}

type ByPart = Map<string, DrawnPart>;

function leaversOf({ slots }: RowPlan, byPart: ByPart): readonly Leaver[] {
  const all = slots.flatMap(({ part, leaves }, slot) => (leaves ? [{ part, slot }] : []));
  return [...new Set(all.map(({ part }) => part))].flatMap((part): Leaver[] => {
    const element = byPart.get(part)?.element;
    const own = all.filter((each) => each.part === part).map(({ slot }) => slot);
    return element === undefined ? [] : [{ element, slots: own }];
  });
}

function targetOf({ part, property, kind }: PlanSlot, byPart: ByPart, plan: RowPlan): Target {
  const drawn = byPart.get(part);
  const draw = drawn?.draw(property, kind);
  if (drawn === undefined || draw === undefined)
    throw new Error(`The plan of ${plan.template} has no ${property} of a part ${part}.`);
  const { element, direction } = drawn;
  const around = { direction, tokens: plan.tokens, pictures: undefined };
  return { element, draw, around };
}

/**
 * Gives a row every value of an entry, also those that the entry does not have. Pictures `later`:
 * their places stay empty until the row is bound again.
 */
export function bindRow(row: RowView, entry: Entry, pictures: Pictures | 'later'): void {
  const shown = pictures === 'later' ? undefined : pictures;
  for (let i = 0; i < row.targets.length; i += 1) {
    const target = row.targets[i];
    const value = entry.values[i];
    if (target === undefined) continue;
    const { element, draw, around } = target;
    around.pictures = shown;
    draw(element, value, around);
  }
  for (const { element, slots } of row.leavers) {
    const display = slots.some((slot) => entry.values[slot] === undefined) ? 'none' : '';
    if (element.style.display !== display) element.style.display = display;
  }
  for (let i = 0; i < row.shrinking.length; i += 1) {
    const shrunk = entry.shrunk?.[i];
    const label = row.shrinking[i];
    const isShrunk = shrunk !== undefined && shrunk.byPx > 0;
    label?.classList.toggle('yc-shrunk', isShrunk);
    label?.style.setProperty('--yc-less', isShrunk ? `${shrunk.byPx}px` : '');
    label?.style.setProperty('--yc-wants', isShrunk ? `${shrunk.wantsPx}px` : '');
  }
}

/** How a value is drawn that a view says nothing of. */
const drawsOfKinds: Readonly<Record<string, Draw | undefined>> = {
  text: viewOfWords.draws['text'],
  // It is drawn by the parts that read it.
  input: () => undefined,
};

const directionOf = (value: PartPlan['values'][string]): Direction =>
  value === 'down' || value === 'over' ? value : 'across';

/** Where a part's element is put, and what is known of it. */
interface Making {
  readonly byPart: ByPart;
  /** Of the stack around it. */
  readonly direction: Direction;
  readonly into: HTMLElement | undefined;
}

function partElement(
  part: PartPlan,
  plan: RowPlan,
  { byPart, direction, into }: Making,
): HTMLElement {
  const { slots, tokens } = plan;
  const fed = new Set(slots.flatMap((slot) => (slot.part === part.id ? [slot.property] : [])));
  const view = ownValue(partViews, part.part) ?? viewOfWords;
  const element = view.element(part, fed);
  element.dataset['part'] = part.id;
  into?.append(element);
  for (const [property, value] of Object.entries(part.values))
    if (!fed.has(property)) ownValue(view.draws, property)?.(element, value, { direction, tokens });
  const draw = (property: string, kind: PlanSlot['kind']) =>
    ownValue(view.draws, property) ?? ownValue(drawsOfKinds, kind);
  byPart.set(part.id, { element, direction, draw });
  const inner = directionOf(part.values['direction']);
  for (const child of part.children)
    partElement(child, plan, { byPart, direction: inner, into: element });
  return element;
}
