/** How many values lie from `from` up to `to`; the last bin has its end, too. */
export interface Bin {
  readonly from: number;
  readonly to: number;
  readonly count: number;
}

/** Values so far from the others that bins would show nothing else: how many lie before the first bin and past the last. */
export interface Beyond {
  readonly below: number;
  readonly above: number;
}

interface Spread {
  readonly bins: readonly Bin[];
  readonly beyond: Beyond;
}

const binCount = 16;
const nothingBeyond: Beyond = { below: 0, above: 0 };

/** Equal bins between the ends of what stands together; whole numbers get bins of whole widths. */
export function binsOf(measures: Float64Array, isOfWholeNumbers: boolean): Spread {
  if (measures.length === 0) return { bins: [], beyond: nothingBeyond };
  const { smallest, largest, beyond } = together(measures);
  const count = measures.length - beyond.below - beyond.above;
  if (smallest === largest) return { bins: [{ from: smallest, to: largest, count }], beyond };
  const isWhole = largest - smallest < 1e9 && isOfWholeNumbers;
  const span = isWhole ? largest - smallest + 1 : largest - smallest;
  const width = isWhole ? Math.max(1, Math.ceil(span / binCount)) : span / binCount;
  if (!Number.isFinite(width) || width <= 0) return { bins: [], beyond };
  const counts = new Uint32Array(Math.min(binCount, Math.ceil(span / width)));
  for (const at of measures) {
    if (at < smallest || at > largest) continue;
    const bin = Math.min(counts.length - 1, Math.floor((at - smallest) / width));
    counts[bin] = (counts[bin] ?? 0) + 1;
  }
  const bins = [...counts].map((each, index) => ({
    from: smallest + index * width,
    to: smallest + (index + 1) * width - (isWhole ? 1 : 0),
    count: each,
  }));
  return { bins, beyond };
}

const sampleSize = 4_000;
const minSample = 10;
/** A value so many times as far away as the middle eight tenths reach is beyond; more than a tenth is no exception. */
const reach = 2;
const maxBeyond = 0.1;

/** The ends of the values without those that are far from nearly all others (by the 10 % and 90 % quantiles). */
function together(measures: Float64Array) {
  let smallest = Number.POSITIVE_INFINITY;
  let largest = Number.NEGATIVE_INFINITY;
  for (const at of measures) {
    if (at < smallest) smallest = at;
    if (at > largest) largest = at;
  }
  const all = { smallest, largest, beyond: nothingBeyond };
  if (measures.length < minSample) return all;
  const sample = everySo(measures, Math.max(1, Math.floor(measures.length / sampleSize))).sort();
  const low = sample[Math.floor(sample.length * 0.1)] ?? smallest;
  const high = sample[Math.ceil(sample.length * 0.9) - 1] ?? largest;
  const [min, max] = [low - reach * (high - low), high + reach * (high - low)];
  if (high === low || (smallest >= min && largest <= max)) return all;
  return within(measures, min, max) ?? all;
}

function everySo(measures: Float64Array, step: number): Float64Array {
  const sample = new Float64Array(Math.ceil(measures.length / step));
  for (let at = 0; at < sample.length; at += 1) sample[at] = measures[at * step] ?? 0;
  return sample;
}

function within(measures: Float64Array, min: number, max: number) {
  let [smallest, largest] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  let [below, above] = [0, 0];
  for (const at of measures) {
    if (at < min) below += 1;
    else if (at > max) above += 1;
    else {
      if (at < smallest) smallest = at;
      if (at > largest) largest = at;
    }
  }
  if (below + above > maxBeyond * measures.length) return undefined;
  return { smallest, largest, beyond: { below, above } };
}
