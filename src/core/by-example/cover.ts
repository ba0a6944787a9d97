import type { Field } from '../values';
import { type FormPiece, formSources, formsAt } from './forms';
import type { Read } from './occurrences';
import type { Source } from './sources';
import { thresholdSources, thresholdsAt } from './thresholds';
import type { Hole } from './writings/writing';

/** Fixed words, or a value written in some way. Places are of the first example's folded text. */
export type Piece =
  | { readonly kind: 'words'; readonly from: number; readonly to: number }
  | { readonly kind: 'hole'; readonly from: number; readonly to: number; readonly hole: Hole };

/** Pieces that give the typed text of every example. */
export interface Cover {
  readonly pieces: readonly Piece[];
  readonly cost: number;
}

const maxPartial = 80;
const maxWhole = 250;

/** What fixed words cost, and what seldom is meant. */
const costs = {
  words: 0.4,
  word: 0.7,
  letter: 0.22,
  space: 0.05,
  sign: 0.1,
  digits: 5,
  digit: 0.4,
  /** The sign of a currency without an amount in it. */
  currency: 2,
  /** A word that stands in a value of the item. */
  known: 1.8,
  adjacent: 1.2,
  again: 2.2,
  hint: -1.5,
} as const;

interface Partial {
  readonly places: readonly number[];
  readonly cost: number;
  readonly piece: Piece | undefined;
  readonly before: Partial | undefined;
}

/** The cheapest ways to make all typed texts of fixed words and values. */
export function coversOf(
  reads: readonly Read[],
  sources: readonly Source[],
  locale: string,
  fields: readonly Field[],
): readonly Cover[] {
  const board = new Board(reads);
  const forms = formSources(reads, sources, locale);
  const thresholds = thresholdSources(reads, sources);
  const holes = holesAt(reads);
  board.add({ places: reads.map(() => 0), cost: 0, piece: undefined, before: undefined });
  for (const { places, partials } of board.states()) {
    const steps = [
      ...holeSteps(places, holes, reads),
      ...formSteps(places, reads, (form) => formsAt(form, places, locale, fields), forms),
      ...formSteps(places, reads, (line) => thresholdsAt(line, places, reads), thresholds),
    ];
    const char = sameChar(places, reads);
    for (const partial of partials) {
      if (char !== undefined) board.add(withChar(partial, char, reads[0]));
      for (const step of steps) board.add(withStep(partial, step));
    }
  }
  const text = reads[0]?.words.text ?? '';
  return board
    .whole()
    .map((partial) => coverOf(partial, text))
    .sort((a, b) => a.cost - b.cost)
    .slice(0, maxWhole);
}

/** The best partial covers by how far they have come in each example. */
class Board {
  private readonly levels: Map<string, Partial[]>[] = [];
  private readonly ends: readonly number[];

  constructor(reads: readonly Read[]) {
    this.ends = reads.map(({ words }) => words.text.length);
  }

  add(partial: Partial): void {
    const level = partial.places.reduce((sum, place) => sum + place, 0);
    const key = partial.places.join(' ');
    let states = this.levels[level];
    if (states === undefined) {
      states = new Map();
      this.levels[level] = states;
    }
    const known = states.get(key);
    if (known === undefined) states.set(key, [partial]);
    else known.push(partial);
  }

  /** Gives the best state of each place, those that have come least far first. */
  *states(): Generator<
    { readonly places: readonly number[]; readonly partials: readonly Partial[] },
    void
  > {
    const total = this.ends.reduce((sum, end) => sum + end, 0);
    for (let level = 0; level < total; level += 1)
      for (const partials of this.levels[level]?.values() ?? []) {
        const best = partials.sort((a, b) => a.cost - b.cost).slice(0, maxPartial);
        const [first] = best;
        if (first !== undefined) yield { places: first.places, partials: best };
        partials.length = 0;
      }
  }

  whole(): readonly Partial[] {
    const total = this.ends.reduce((sum, end) => sum + end, 0);
    const all = this.levels[total]?.get(this.ends.join(' ')) ?? [];
    return all.sort((a, b) => a.cost - b.cost).slice(0, maxWhole * 2);
  }
}

/** The fixed character that all examples have at these places. */
function sameChar(places: readonly number[], reads: readonly Read[]): string | undefined {
  const char = reads[0]?.words.text[places[0] ?? 0];
  for (const [at, { words, pins }] of reads.entries()) {
    const place = places[at] ?? 0;
    if (words.text[place] !== char) return undefined;
    if (pins.some((pin) => pin.expr !== undefined && pin.from <= place && place < pin.to))
      return undefined;
  }
  return char;
}

function withChar(partial: Partial, char: string, read: Read | undefined): Partial {
  const [first = 0] = partial.places;
  const { piece } = partial;
  const isGoingOn = piece?.kind === 'words';
  const before = isGoingOn ? read?.words.text[first - 1] : undefined;
  const own = charCost(char, before) + knownCost(read, first);
  return {
    places: partial.places.map((place) => place + 1),
    cost: partial.cost + own + (isGoingOn ? 0 : costs.words),
    piece: { kind: 'words', from: isGoingOn ? piece.from : first, to: first + 1 },
    before: isGoingOn ? partial.before : partial,
  };
}

function charCost(char: string, before: string | undefined): number {
  const isDigit = (each: string | undefined) => each !== undefined && /\p{N}/u.test(each);
  const isLetter = (each: string | undefined) => each !== undefined && /\p{L}/u.test(each);
  if (isDigit(char)) return isDigit(before) ? costs.digit : costs.digits;
  if (isLetter(char)) return costs.letter + (isLetter(before) ? 0 : costs.word);
  if (/\p{Sc}/u.test(char)) return costs.currency;
  return char === ' ' ? costs.space : costs.sign;
}

const knownCost = (read: Read | undefined, at: number): number =>
  read?.knownWords.has(at) ? costs.known : 0;

/** A hole that can come next at some places, and where it ends. */
interface Step {
  readonly piece: Piece & { readonly kind: 'hole' };
  readonly ends: readonly number[];
  readonly cost: number;
}

/** Holes by where they begin in the first example; those whose value is missing there, anywhere. */
interface HolesAt {
  readonly byStart: ReadonlyMap<number, readonly Hole[]>;
  readonly anywhere: readonly Hole[];
}

function holesAt(reads: readonly Read[]): HolesAt {
  const all = new Map<string, Hole>();
  for (const { holes } of reads) for (const [id, { hole }] of holes) all.set(id, hole);
  const byStart = new Map<number, Hole[]>();
  const anywhere: Hole[] = [];
  for (const hole of all.values()) {
    if (!reads.every(({ holes, missing }) => holes.has(hole.id) || missing.has(hole.source)))
      continue;
    const spans = reads[0]?.holes.get(hole.id)?.spans;
    if (spans === undefined) anywhere.push(hole);
    for (const from of spans?.keys() ?? []) byStart.set(from, [...(byStart.get(from) ?? []), hole]);
  }
  return { byStart, anywhere };
}

function* holeSteps(
  places: readonly number[],
  { byStart, anywhere }: HolesAt,
  reads: readonly Read[],
): Generator<Step, void> {
  for (const hole of [...(byStart.get(places[0] ?? 0) ?? []), ...anywhere]) {
    let ends: number[][] = [[]];
    for (const [at, { holes }] of reads.entries()) {
      const from = places[at] ?? 0;
      const own = holes.get(hole.id)?.spans;
      const to = own === undefined ? [from] : (own.get(from) ?? []);
      ends = ends.flatMap((before) => to.map((end) => [...before, end]));
      if (ends.length === 0) break;
    }
    for (const each of ends)
      if (!isPinnedOtherwise(places, hole, each, reads))
        yield stepOf(places, hole, each, hole.cost);
  }
}

function* formSteps<Of>(
  places: readonly number[],
  reads: readonly Read[],
  at: (form: Of) => Iterable<FormPiece>,
  forms: readonly Of[],
): Generator<Step, void> {
  for (const form of forms)
    for (const { hole, ends, words } of at(form)) {
      if (isPinnedOtherwise(places, hole, ends, reads)) continue;
      let cost = hole.cost;
      for (let at = places[0] ?? 0; at < (ends[0] ?? 0); at += 1) cost += knownCost(reads[0], at);
      for (let at = 0; at < words.length; at += 1) cost += charCost(words[at] ?? '', words[at - 1]);
      yield stepOf(places, hole, ends, cost);
    }
}

function stepOf(
  places: readonly number[],
  hole: Hole,
  ends: readonly number[],
  cost: number,
): Step {
  const [from = 0] = places;
  return { piece: { kind: 'hole', from, to: ends[0] ?? from, hole }, ends, cost };
}

function withStep(partial: Partial, { piece, ends, cost: own }: Step): Partial {
  const isAdjacent = partial.piece?.kind === 'hole';
  let isAgain = false;
  for (let each: Partial | undefined = partial; each !== undefined; each = each.before)
    if (each.piece?.kind === 'hole' && each.piece.hole.source === piece.hole.source) isAgain = true;
  const cost = partial.cost + own + (isAdjacent ? costs.adjacent : 0) + (isAgain ? costs.again : 0);
  return { places: ends, cost, piece, before: partial };
}

/** A stretch that a person settled is words only, or that one value only. */
function isPinnedOtherwise(
  places: readonly number[],
  hole: Hole,
  ends: readonly number[],
  reads: readonly Read[],
): boolean {
  return reads.some(({ pins }, at) =>
    pins.some((pin) => {
      const [from = 0, to = 0] = [places[at], ends[at]];
      return from < pin.to && pin.from < to && pin.expr !== hole.source.expr;
    }),
  );
}

function coverOf(last: Partial, text: string): Cover {
  const pieces: Piece[] = [];
  for (let each: Partial | undefined = last; each !== undefined; each = each.before)
    if (each.piece !== undefined) pieces.unshift(each.piece);
  const words = pieces
    .flatMap((piece) => (piece.kind === 'words' ? [text.slice(piece.from, piece.to)] : []))
    .flatMap(wordsOf);
  const hinted = pieces.filter((piece) => {
    if (piece.kind === 'words') return false;
    const near = [...words, ...formWords(piece.hole)];
    return piece.hole.source.names.some((name) => near.some((word) => isKin(name, word)));
  }).length;
  return { pieces, cost: last.cost + hinted * costs.hint };
}

function formWords({ writing: { format } }: Hole): string[] {
  if (format?.as === 'yesNo') return wordsOf(`${format.yes} ${format.no}`);
  return format?.as === 'message' ? wordsOf(format.message) : [];
}

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word.length > 2);

/** Words of one stem: review and reviews. */
function isKin(a: string, b: string): boolean {
  const shorter = a.length < b.length ? a : b;
  const longer = a.length < b.length ? b : a;
  return shorter.length > 2 && longer.startsWith(shorter.slice(0, Math.max(3, shorter.length - 1)));
}
