import { ownValue } from '../../core/base';
import type { Entry, PartPlan, RowPlan } from '../../core/lists';

/** Where a control is pressed: as a share of its width, from where lines begin; or by which arrow key. */
export type PressedAt =
  | { readonly share: number }
  /** 1: towards more. */
  | { readonly by: 1 | -1 };

/** What a control becomes. */
export type ControlValue = boolean | number;

/** Parts that a reader changes, by what they are; undefined: it takes no change there. */
const changes: Readonly<Record<string, (said: Said, at: PressedAt) => ControlValue | undefined>> = {
  switch: (said, at) => toggled(said, at),
  checkbox: (said, at) => toggled(said, at),
  slider(said, at) {
    const [min, max] = [numberOf(said('min')) ?? 0, numberOf(said('max')) ?? 1];
    const step = numberOf(said('step')) ?? (max - min) / 100;
    const now = numberOf(said('value')) ?? min;
    return stepped('by' in at ? now + at.by * step : min + at.share * (max - min), {
      min,
      max,
      step,
    });
  },
  stepper(said, at) {
    const step = numberOf(said('step')) ?? 1;
    const by = 'by' in at ? at.by : at.share > 2 / 3 ? 1 : at.share < 1 / 3 ? -1 : 0;
    const next = (numberOf(said('value')) ?? 0) + by * step;
    const min = numberOf(said('min')) ?? Number.NEGATIVE_INFINITY;
    const max = numberOf(said('max')) ?? Number.POSITIVE_INFINITY;
    return by === 0 ? undefined : exact(Math.max(min, Math.min(max, next)));
  },
  rating(said, at) {
    const of = numberOf(said('of')) ?? 5;
    const step = said('steps') === 'half' ? 0.5 : 1;
    const now = numberOf(said('value')) ?? 0;
    const next = 'by' in at ? now + at.by * step : Math.ceil((at.share * of) / step) * step;
    return Math.max(0, Math.min(of, next));
  },
};

type Said = (property: string) => unknown;

/** Whether a reader may change a part, as far as its kind goes. */
export const isControl = ({ part }: PartPlan): boolean => Object.hasOwn(changes, part);

/** What a press makes of a control; undefined: nothing, or it can't be used now. */
export function changedBy(
  part: PartPlan,
  { plan, entry }: { readonly plan: RowPlan; readonly entry: Entry },
  at: PressedAt,
): ControlValue | undefined {
  const said: Said = (property) => {
    const slot = plan.slots.findIndex((own) => own.part === part.id && own.property === property);
    return slot >= 0 ? entry.values[slot] : ownValue(part.values, property);
  };
  if (said('enabled') === false) return undefined;
  return ownValue(changes, part.part)?.(said, at);
}

const toggled = (said: Said, at: PressedAt): boolean =>
  'by' in at ? at.by > 0 : said('on') !== true;

const numberOf = (value: unknown): number | undefined =>
  typeof value === 'number' ? value : undefined;

function stepped(
  value: number,
  { min, max, step }: { readonly min: number; readonly max: number; readonly step: number },
): number {
  const onStep = step > 0 ? min + Math.round((value - min) / step) * step : value;
  return exact(Math.max(min, Math.min(max, onStep)));
}

/** Without what adding up fractions leaves behind. */
const exact = (value: number): number => Number(value.toPrecision(12));
