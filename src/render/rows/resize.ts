import type { PartPlan, RowPlan } from '../../core/lists';
import type { Drawn } from '../parts';
import type { RowView } from './row';

/** Properties whose drawing says all that it says anew, so that a row which is there can take them. */
const resizing = new Set([
  ...['width', 'height', 'minWidth', 'maxWidth', 'minHeight', 'maxHeight'],
  ...['gap', 'padding'],
]);

interface Resize {
  readonly part: string;
  readonly property: string;
  readonly value: Drawn;
}

/** Plans, and what tells each from others, in the same order. */
export interface Kinds {
  readonly plans: readonly RowPlan[];
  readonly kinds: readonly string[];
}

interface Resized {
  readonly resizes: readonly Resize[];
  /** The kind that rows are of once they have these sizes. */
  readonly kind: string;
}

/** Which kinds are gone where another one differs from them in sizes only. */
export function resizedKinds(before: Kinds, now: Kinds): ReadonlyMap<string, Resized> {
  const resized = new Map<string, Resized>();
  for (const [at, plan] of before.plans.entries()) {
    const was = before.kinds[at];
    if (was === undefined || now.kinds.includes(was)) continue;
    const nowAt = now.plans.findIndex(({ template }) => template === plan.template);
    const [next, kind] = [now.plans[nowAt], now.kinds[nowAt]];
    const resizes = next && resizesTo(next, plan);
    if (resizes !== undefined && kind !== undefined) resized.set(was, { resizes, kind });
  }
  return resized;
}

/**
 * The sizes in which one plan differs from another, as they do at each frame of a drag: rows that
 * are there take them, instead of being made anew. Undefined: more than sizes differs.
 */
export function resizesTo(now: RowPlan, before: RowPlan): readonly Resize[] | undefined {
  const found: Resize[] = [];
  const isSized =
    isSame([now.slots, now.tokens], [before.slots, before.tokens]) &&
    findResizes(now.row, before.row, found);
  return isSized ? found : undefined;
}

/** Whether parts and those within them differ in sizes only; which is put in `found`. */
function findResizes(now: PartPlan, before: PartPlan, found: Resize[]): boolean {
  const { values, children, ...shape } = now;
  const { values: valuesBefore, children: childrenBefore, ...shapeBefore } = before;
  const names = Object.keys(values);
  if (!isSame([shape, names], [shapeBefore, Object.keys(valuesBefore)])) return false;
  const known = new Map(Object.entries(valuesBefore));
  for (const [property, value] of Object.entries(values)) {
    const was = known.get(property);
    if (isSame(value, was)) continue;
    if (!resizing.has(property) || value === undefined || was === undefined) return false;
    found.push({ part: now.id, property, value });
  }
  return (
    children.length === childrenBefore.length &&
    children.every((child, at) => {
      const other = childrenBefore[at];
      return other !== undefined && findResizes(child, other, found);
    })
  );
}

const isSame = (one: unknown, other: unknown): boolean =>
  one === other || JSON.stringify(one) === JSON.stringify(other);

/** Gives a row other sizes; it is to be bound after. */
export function resizeRow({ parts, tokens }: RowView, resizes: readonly Resize[]): void {
  for (const { part, property, value } of resizes) {
    const drawn = parts.get(part);
    if (drawn === undefined) continue;
    const { element, direction } = drawn;
    drawn.draw(property, 'number')?.(element, value, { direction, tokens });
  }
}
