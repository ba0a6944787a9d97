import { kindOf } from '../values';
import { isBoundary, typedOf } from './fold';
import { type FormPiece, wordEnds } from './forms';
import type { Read } from './occurrences';
import type { Source } from './sources';
import { holeOf, type Writing } from './writings/writing';

/** A number of each example, where words may follow from how large it is. */
export interface ThresholdSource {
  readonly source: Source;
  readonly values: readonly number[];
}

interface Form {
  readonly to: number;
  readonly form: string;
  readonly typed: string;
}

const costs = { threshold: 2.6, rougher: 0.3 } as const;
const maxThresholds = 3;
/** From what people draw a line at, the likeliest first. */
const round = [1_000, 500, 100, 50, 20, 10, 5, 2, 1, 0.5, 0.1] as const;

/** Numbers that stand in items as they are; one example alone says nothing of where a line is. */
export function thresholdSources(
  reads: readonly Read[],
  sources: readonly Source[],
): readonly ThresholdSource[] {
  if (reads.length < 2) return [];
  return sources.flatMap((source): ThresholdSource[] => {
    if (!source.isPath || kindOf(source.type) !== 'number') return [];
    const values = reads.flatMap(({ example }) => {
      const value = source.evaluate(example.item, example.context);
      return typeof value === 'number' ? [value] : [];
    });
    return values.length === reads.length ? [{ source, values }] : [];
  });
}

/** Two forms of words that begin at these places, one for small values and one for large ones. */
export function* thresholdsAt(
  { source, values }: ThresholdSource,
  places: readonly number[],
  reads: readonly Read[],
): Generator<FormPiece, void> {
  let combined: (readonly Form[])[] = [[]];
  for (const [at, read] of reads.entries()) {
    const shown = formsOf(read, places[at] ?? 0);
    combined = combined.flatMap((before) => shown.map((each) => [...before, each]));
    if (combined.length === 0) return;
  }
  for (const shown of combined) {
    const split = splitBy(shown, values);
    if (split === undefined) continue;
    for (const [rank, threshold] of linesBetween(split.below, split.from).entries())
      yield {
        hole: holeOf(source, writing(threshold, split, costs.threshold + rank * costs.rougher)),
        ends: shown.map(({ to }) => to),
        words: split.large.length > split.small.length ? split.large : split.small,
      };
  }
}

function formsOf({ words }: Read, from: number): readonly Form[] {
  const { text } = words;
  if (!isBoundary(text, from)) return [];
  return wordEnds(text, from).map((to) => ({
    to,
    form: text.slice(from, to),
    typed: typedOf(words, { from, to }),
  }));
}

interface Split {
  readonly small: string;
  readonly large: string;
  /** The largest value with the words of small ones, the smallest with those of large ones. */
  readonly below: number;
  readonly from: number;
}

/** Undefined where the words do not follow from the order of the values. */
function splitBy(shown: readonly Form[], values: readonly number[]): Split | undefined {
  const ordered = shown
    .map(({ form, typed }, at) => ({ form, typed, value: values[at] ?? 0 }))
    .sort((a, b) => a.value - b.value);
  const [first] = ordered;
  const turn = ordered.findIndex(({ form }) => form !== first?.form);
  const [before, after] = [ordered[turn - 1], ordered[turn]];
  if (before === undefined || after === undefined || before.value === after.value) return undefined;
  if (ordered.slice(turn).some(({ form }) => form !== after.form)) return undefined;
  return { small: before.typed, large: after.typed, below: before.value, from: after.value };
}

function linesBetween(below: number, from: number): readonly number[] {
  const lines = new Set<number>();
  for (const step of round) {
    const line = Number((Math.floor(below / step + 1) * step).toFixed(1));
    if (line > below && line <= from) lines.add(line);
    if (lines.size === maxThresholds) break;
  }
  return lines.size === 0 ? [from] : [...lines];
}

const writing = (threshold: number, { small, large }: Split, cost: number): Writing => ({
  id: `from ${threshold} ${large} ${small}`,
  cost,
  wrap: (expr) => `${expr} >= ${threshold} ? ${JSON.stringify(large)} : ${JSON.stringify(small)}`,
  write: (value) => (typeof value === 'number' && value >= threshold ? large : small),
});
