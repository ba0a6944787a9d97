import type { JsonRecord } from '../base';
import type { RowContext } from '../values';
import { type Folded, folded, standsIn } from './fold';
import type { Source } from './sources';
import { cutsIn, type Wanted, wantedFrom } from './wanted';
import { type Hole, holeOf } from './writings/writing';
import { writingsOf } from './writings/writings';

/** The words that are wanted for an item. */
export interface Example {
  readonly item: JsonRecord;
  readonly context: RowContext;
  readonly text: string;
  /** Stretches of the text that a person has settled: fixed words, or the value of a path. */
  readonly pins?: readonly Pin[];
}

export interface Pin {
  readonly from: number;
  readonly to: number;
  /** It is undefined for fixed words. */
  readonly expr: string | undefined;
}

/** Where a hole ends, by where it begins. */
export type Spans = ReadonlyMap<number, readonly number[]>;

/** What of the sources stands where in one example. */
export interface Read {
  readonly example: Example;
  readonly words: Folded;
  /** The pins as places of the folded text. */
  readonly pins: readonly Pin[];
  readonly holes: ReadonlyMap<string, { readonly hole: Hole; readonly spans: Spans }>;
  /** Where words begin that stand in texts of the item, and letters that those begin with. */
  readonly knownWords: ReadonlySet<number>;
  /** Sources that have no value for the item: their holes are empty. */
  readonly missing: ReadonlySet<Source>;
}

/** What of the sources stands where in each of the examples. */
export function readExamples(
  examples: readonly Example[],
  sources: readonly Source[],
  { locale, fields }: Pick<Wanted, 'locale' | 'fields'>,
): readonly Read[] {
  const cuts = new Map(
    examples
      .flatMap(({ text, item, context }) =>
        sources.flatMap((source) => {
          const value = source.isPath ? source.evaluate(item, context) : undefined;
          return typeof value === 'string' ? cutsIn(text, value) : [];
        }),
      )
      .map((cut) => [`${cut.length} ${cut.sign}`, cut]),
  );
  const reading = { locale, fields, cuts: [...cuts.values()] };
  return examples.map((example) => readExample(example, sources, reading));
}

function readExample(
  example: Example,
  sources: readonly Source[],
  reading: Pick<Wanted, 'locale' | 'fields' | 'cuts'>,
): Read {
  const { item, context } = example;
  const wanted = wantedFrom(example.text, item, context, reading);
  const { words, text } = wanted;
  const holes = new Map<string, { hole: Hole; spans: Spans }>();
  const missing = new Set<Source>();
  const known = new Set<string>();
  const initials = new Set<string>();
  for (const source of sources) {
    const value = source.evaluate(item, context);
    if (value === undefined) {
      missing.add(source);
      continue;
    }
    if (typeof value === 'string') {
      for (const word of wordsIn(folded(value))) known.add(word.word);
      if (source.isPath && /^\p{Lu}/u.test(value)) initials.add(value.slice(0, 1));
    }
    for (const writing of writingsOf(source, value, wanted)) {
      const rendered = folded(writing.write(value, item, context) ?? '');
      const spans = new Map<number, number[]>();
      for (const [from, to] of standsIn(text, rendered, writing.isNumber ?? false))
        spans.set(from, [...(spans.get(from) ?? []), to]);
      if (spans.size === 0) continue;
      const hole = holeOf(source, writing);
      holes.set(hole.id, { hole, spans });
    }
  }
  const placeOf = (typed: number) => words.at.findIndex((each) => each >= typed);
  const pins = (example.pins ?? []).map(({ from, to, expr }) => ({
    from: placeOf(from),
    to: placeOf(to),
    expr,
  }));
  const knownWords = new Set([
    ...wordsIn(text).flatMap(({ word, at }) => (known.has(word) ? [at] : [])),
    ...[...text.matchAll(/(?<![\p{L}\p{N}])\p{Lu}(?![\p{L}\p{N}])/gu)].flatMap(
      ({ 0: letter, index }) => (initials.has(letter) ? [index] : []),
    ),
  ]);
  return { example, words, pins, holes, knownWords, missing };
}

/** Words of five letters and more, in lower case, with where they begin. */
const wordsIn = (text: string) =>
  [...text.matchAll(/\p{L}[\p{L}\p{M}'-]{4,}/gu)].map(({ 0: word, index: at }) => ({
    word: word.toLowerCase(),
    at,
  }));
