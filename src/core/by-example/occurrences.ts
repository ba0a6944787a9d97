import type { JsonRecord } from '../base';
import type { Field, RowContext } from '../values';
import { type Folded, folded, standsIn } from './fold';
import type { Source } from './sources';
import { wantedFrom } from './wanted';
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
  /** Where words begin that stand in texts of the item. */
  readonly knownWords: ReadonlySet<number>;
  /** Sources that have no value for the item: their holes are empty. */
  readonly missing: ReadonlySet<Source>;
}

export function readExample(
  example: Example,
  sources: readonly Source[],
  fields: readonly Field[],
  locale: string,
): Read {
  const { item, context } = example;
  const wanted = wantedFrom(example.text, item, context, { locale, fields });
  const { words, text } = wanted;
  const holes = new Map<string, { hole: Hole; spans: Spans }>();
  const missing = new Set<Source>();
  const known = new Set<string>();
  for (const source of sources) {
    const value = source.evaluate(item, context);
    if (value === undefined) {
      missing.add(source);
      continue;
    }
    if (typeof value === 'string') for (const word of wordsIn(folded(value))) known.add(word.word);
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
  const knownWords = new Set(
    wordsIn(text).flatMap(({ word, at }) => (known.has(word) ? [at] : [])),
  );
  return { example, words, pins, holes, knownWords, missing };
}

/** Words of five letters and more, in lower case, with where they begin. */
const wordsIn = (text: string) =>
  [...text.matchAll(/\p{L}[\p{L}\p{M}'-]{4,}/gu)].map(({ 0: word, index: at }) => ({
    word: word.toLowerCase(),
    at,
  }));
