import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { PartPlan, RowPlan } from '../../core/lists';
import { changedBy, type PressedAt } from './changes';

const partOf = (part: string, values: PartPlan['values']): PartPlan => ({
  ...{ part, id: 'it', box: 'block', values, children: [] },
});
const planOf = (row: PartPlan, slots: RowPlan['slots'] = []): RowPlan => ({
  ...{ template: 't', tokens: { styles: [], colours: [], spacing: [] }, row, slots, heightPx: 40 },
});
const entry = { kind: 'row', key: 'a', plan: 0, values: [] } as const;
const pressed = (part: PartPlan, at: PressedAt) =>
  changedBy(part, { plan: planOf(part), entry }, at);

describe('a press on a control', () => {
  test('turns a switch over, an arrow key to its own side', () => {
    expect(pressed(partOf('switch', { on: true }), { share: 0.9 })).toBe(false);
    expect(pressed(partOf('checkbox', {}), { share: 0.1 })).toBe(true);
    expect(pressed(partOf('switch', { on: true }), { by: 1 })).toBe(true);
  });

  test('adds or takes a step at the ends of a stepper, within its bounds, and nothing between', () => {
    const stepper = partOf('stepper', { value: 0.2, step: 0.1, max: 0.3 });
    expect(pressed(stepper, { share: 0.9 })).toBe(0.3);
    expect(pressed(stepper, { share: 0.1 })).toBe(0.1);
    expect(pressed(stepper, { share: 0.5 })).toBe(undefined);
    expect(pressed(partOf('stepper', { value: 0.3, step: 0.1, max: 0.3 }), { by: 1 })).toBe(0.3);
  });

  test('sets a rating to the symbol that it is on', () => {
    expect(pressed(partOf('rating', { of: 5 }), { share: 0.5 })).toBe(3);
    expect(pressed(partOf('rating', { of: 5, steps: 'half' }), { share: 0.45 })).toBe(2.5);
  });

  test('does nothing where it can’t be used, also if the data say so', () => {
    expect(pressed(partOf('switch', { enabled: false }), { share: 0.5 })).toBe(undefined);
    const part = partOf('switch', { enabled: true });
    const slots = [{ part: 'it', property: 'enabled', kind: 'condition', leaves: false }] as const;
    const off = { ...entry, values: [false] };
    expect(changedBy(part, { plan: planOf(part, slots), entry: off }, { share: 0 })).toBe(
      undefined,
    );
    expect(pressed(partOf('label', {}), { share: 0.5 })).toBe(undefined);
  });

  test('keeps a slider within its bounds and on its steps, wherever it is', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(
        share,
        fc.integer({ min: -9, max: 9 }),
        fc.constantFrom(1, 2, 5),
        (at, min, step) => {
          const max = min + 10 * step;
          const value = pressed(partOf('slider', { min, max, step }), { share: at });
          expect(value).toBeGreaterThanOrEqual(min);
          expect(value).toBeLessThanOrEqual(max);
          expect(Number.isInteger((Number(value) - min) / step)).toBe(true);
        },
      ),
    );
  });
});
