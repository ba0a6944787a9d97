import type { Item } from '../item';
import { type Run, runsOf, type Succession } from './succession';

/** Items side by side; `old` is where they stood before, undefined where they are new. */
interface Piece {
  readonly old: number | undefined;
  readonly count: number;
}

/** With more removals at once the list is gone through instead. */
const fewRemovals = 100;

/** The next list while it is made: each step says what becomes of which item, so that none is looked for. */
export class Successor {
  private list: Item[];
  /** Undefined: all stand where they stood, but for those that were replaced or joined the end. */
  private pieces: Piece[] | undefined;
  private readonly replaced = new Set<number>();

  constructor(private readonly before: readonly Item[]) {
    this.list = before.slice();
  }

  get items(): readonly Item[] {
    return this.list;
  }

  /** Puts an item in the place of another; past the end it joins the list. */
  replace(at: number, item: Item): void {
    const isNew = at >= this.list.length;
    this.list[at] = item;
    if (this.pieces === undefined) this.replaced.add(at);
    else this.splice(at, isNew ? 0 : 1, [{ old: undefined, count: 1 }]);
  }

  insert(at: number, items: readonly Item[]): void {
    const place = Math.min(at, this.list.length);
    this.splice(place, 0, [{ old: undefined, count: items.length }]);
    this.list = this.list.slice(0, place).concat(items, this.list.slice(place));
  }

  remove(positions: ReadonlySet<number>): void {
    const gone = [...positions].filter((at) => at >= 0 && at < this.list.length);
    if (gone.length > fewRemovals) {
      const from = fromOf(this.allPieces(), this.list.length).filter((_, at) => !positions.has(at));
      this.list = this.list.filter((_, at) => !positions.has(at));
      this.pieces = piecesOf(runsOf(from), from.length);
      return;
    }
    for (const at of gone.sort((a, b) => b - a)) {
      this.splice(at, 1, []);
      this.list.splice(at, 1);
    }
  }

  move(at: number, to: number): void {
    const [piece] = this.splice(at, 1, []);
    const item = this.list.splice(at, 1);
    const place = Math.min(to, this.list.length);
    this.splice(place, 0, piece === undefined ? [] : [piece]);
    this.list.splice(place, 0, ...item);
  }

  clear(): void {
    this.list = [];
    this.pieces = [];
  }

  finish(): Succession {
    return { before: this.before, items: this.list, runs: runsIn(this.allPieces()) };
  }

  private allPieces(): Piece[] {
    this.pieces ??= this.piecesInPlace();
    return this.pieces;
  }

  private piecesInPlace(): Piece[] {
    const pieces: Piece[] = [];
    let next = 0;
    for (const at of [...this.replaced].sort((a, b) => a - b)) {
      if (at > next) pieces.push({ old: next, count: at - next });
      pieces.push({ old: undefined, count: 1 });
      next = at + 1;
    }
    if (next < this.before.length) pieces.push({ old: next, count: this.before.length - next });
    return pieces;
  }

  /** Takes so many items out of the pieces and puts others in; what was taken. */
  private splice(at: number, count: number, added: readonly Piece[]): Piece[] {
    const pieces = this.allPieces();
    const from = cutAt(pieces, at);
    const to = cutAt(pieces, at + count);
    return pieces.splice(from, to - from, ...added.filter((piece) => piece.count > 0));
  }
}

/** Makes a piece begin at a position; its index. */
function cutAt(pieces: Piece[], at: number): number {
  let index = 0;
  let start = 0;
  for (; index < pieces.length; index += 1) {
    const piece = pieces[index];
    if (piece === undefined || start >= at) break;
    if (start + piece.count > at) {
      const count = at - start;
      const rest = piece.old === undefined ? undefined : piece.old + count;
      pieces.splice(index, 1, { ...piece, count }, { old: rest, count: piece.count - count });
      return index + 1;
    }
    start += piece.count;
  }
  return index;
}

function runsIn(pieces: readonly Piece[]): Run[] {
  const runs: Run[] = [];
  let at = 0;
  for (const { old, count } of pieces) {
    if (old !== undefined) runs.push({ at, old, count });
    at += count;
  }
  return runs;
}

function fromOf(pieces: readonly Piece[], length: number): Int32Array {
  const from = new Int32Array(length).fill(-1);
  for (const { at, old, count } of runsIn(pieces))
    for (let each = 0; each < count; each += 1) from[at + each] = old + each;
  return from;
}

function piecesOf(runs: readonly Run[], length: number): Piece[] {
  const pieces: Piece[] = [];
  let next = 0;
  for (const { at, old, count } of runs) {
    if (at > next) pieces.push({ old: undefined, count: at - next });
    pieces.push({ old, count });
    next = at + count;
  }
  if (next < length) pieces.push({ old: undefined, count: length - next });
  return pieces;
}
