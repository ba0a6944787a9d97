/** How good a value of a meter is. */
export type MeterRegion = 'good' | 'middling' | 'bad';

interface Gauge {
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly low: number | undefined;
  readonly high: number | undefined;
  readonly optimum: number | undefined;
}

/** How much of a meter is filled, from 0 to 1, and how good that is (HTML, section 4.10.14). */
export function meterRegion(gauge: Gauge): {
  readonly share: number;
  readonly region: MeterRegion;
} {
  const { min } = gauge;
  const max = Math.max(min, gauge.max);
  const within = (value: number, from: number) => Math.max(from, Math.min(value, max));
  const value = within(gauge.value, min);
  const low = within(gauge.low ?? min, min);
  const high = within(gauge.high ?? max, low);
  const optimum = within(gauge.optimum ?? (min + max) / 2, min);
  const share = max === min ? 0 : (value - min) / (max - min);
  const at = value < low ? 0 : value > high ? 2 : 1;
  const best = optimum < low ? 0 : optimum > high ? 2 : 1;
  const regions = ['good', 'middling', 'bad'] as const;
  return { share, region: regions[Math.abs(at - best)] ?? 'bad' };
}
