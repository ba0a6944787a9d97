import type { JsonRecord } from '../base';
import type { RowContext } from '../values';
import type { Cover, Piece } from './cover';
import { type Folded, typedOf } from './fold';
import { type Hole, type Text, textOf } from './writings/writing';

/** An item of the type, to see what a cover makes of it. */
export interface Sample {
  /** Its position among all items. */
  readonly position: number;
  readonly item: JsonRecord;
  readonly context: RowContext;
}

/** Covers that give the same texts are one: the cheapest of them stands for all. */
export interface Behaviour {
  readonly cover: Cover;
  /** Environment that give the same for these items, the cheapest first. */
  readonly others: readonly Cover[];
  readonly texts: readonly Text[];
}

const maxCovers = 120;

export function behavioursOf(
  covers: readonly Cover[],
  words: Folded,
  samples: readonly Sample[],
): readonly Behaviour[] {
  const write = textsOf(words, samples);
  const found = new Map<string, { cover: Cover; others: Cover[]; texts: Text[] }>();
  for (const cover of covers.slice(0, maxCovers)) {
    const texts = write(cover.pieces);
    const id = texts.join('\u0001');
    const known = found.get(id);
    if (known === undefined) found.set(id, { cover, others: [], texts });
    else known.others.push(cover);
  }
  return [...found.values()];
}

/** Whether the words of each sample are in a form that no example has shown, be it guessed or left open. */
export function openAt({ pieces }: Cover, samples: readonly Sample[]): boolean[] {
  const holes = pieces.flatMap((piece) =>
    piece.kind === 'hole' && piece.hole.writing.open !== undefined ? [piece.hole] : [],
  );
  return samples.map(({ item, context }) =>
    holes.some(({ source, writing }) => writing.open?.isFor(source.evaluate(item, context))),
  );
}

/** Each hole is written once for each sample, however many covers have it. */
function textsOf(words: Folded, samples: readonly Sample[]) {
  const byHole = new Map<string, readonly Text[]>();
  const ofHole = (hole: Hole) => {
    const known = byHole.get(hole.id);
    if (known !== undefined) return known;
    const texts = samples.map(({ item, context }) => textOf(hole, item, context));
    byHole.set(hole.id, texts);
    return texts;
  };
  return (pieces: readonly Piece[]): Text[] => {
    const columns = pieces.map((piece) =>
      piece.kind === 'words' ? typedOf(words, piece) : ofHole(piece.hole),
    );
    return samples.map((_, at) => {
      let text = '';
      for (const column of columns) {
        const own = typeof column === 'string' ? column : column[at];
        // Where a value is missing, covers are not told apart: a stand-in will settle what shows there.
        if (own === undefined || own === null) return null;
        text += own;
      }
      return text;
    });
  };
}

const maxCompared = 60;
/** Past this gap in cost, or below this entropy in bits, the first is taken to be meant. */
const clearGap = 3;
const minEntropy = 0.1;

/** The sample on which the likeliest behaviours differ most; undefined: no question is needed. */
export function nextSample(
  behaviours: readonly Behaviour[],
  samples: readonly Sample[],
  asked: ReadonlySet<number>,
): number | undefined {
  const compared = behaviours.slice(0, maxCompared);
  const [first, second] = compared;
  if (first === undefined) return undefined;
  if (second === undefined || second.cover.cost - first.cover.cost > clearGap) {
    // A form that was never shown is asked for, however clear the rest is.
    const at = openAt(first.cover, samples).findIndex(
      (isOpen, index) => isOpen && !asked.has(samples[index]?.position ?? -1),
    );
    return at < 0 ? undefined : at;
  }
  const weights = compared.map(({ cover }) => Math.exp(first.cover.cost - cover.cost));
  let best = -1;
  let max = minEntropy;
  for (let at = 0; at < samples.length; at += 1) {
    if (asked.has(samples[at]?.position ?? -1)) continue;
    const entropy = entropyOf(
      compared.map(({ texts }) => texts[at] ?? ''),
      weights,
    );
    if (entropy > max + 1e-9) {
      max = entropy;
      best = at;
    }
  }
  return best < 0 ? undefined : best;
}

/** Bits that an answer would give. */
function entropyOf(texts: readonly string[], weights: readonly number[]): number {
  const sums = new Map<string, number>();
  let total = 0;
  for (const [at, text] of texts.entries()) {
    const weight = weights[at] ?? 0;
    sums.set(text, (sums.get(text) ?? 0) + weight);
    total += weight;
  }
  let entropy = 0;
  for (const sum of sums.values()) entropy -= (sum / total) * Math.log2(sum / total);
  return entropy;
}
