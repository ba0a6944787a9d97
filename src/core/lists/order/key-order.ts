/** Keys of bytes, one behind the other. */
export interface Keys {
  readonly bytes: Uint8Array;
  /** Where each begins; one more at the end. Each ends with a 0, and has none elsewhere. */
  readonly starts: Int32Array;
}

export interface InKeyOrder {
  /** Positions of the keys in order; those that are alike in the order of their positions. */
  readonly order: Int32Array;
  /** For each place in that order, 1 where the key is another than that before it. */
  readonly begins: Uint8Array;
}

/** Sorted from the first bytes to the last, a range of those that are alike so far at a time. For up to 2^24 keys. */
export function inKeyOrder(keys: Keys): InKeyOrder {
  return new KeyOrder(keys).sorted();
}

/** So many bytes and a position are sorted at a time, as one whole number. */
const bytesAtOnce = 5;
const positionBits = 24;
const positionMask = 2 ** positionBits - 1;
/** Fewer than this are compared with each other. */
const few = 24;

interface Range {
  readonly from: number;
  readonly to: number;
  /** So many bytes are alike in all of it. */
  readonly alike: number;
}

class KeyOrder {
  readonly #bytes: Uint8Array;
  readonly #starts: Int32Array;
  readonly #order: Int32Array;
  readonly #begins: Uint8Array;
  readonly #words: BigUint64Array;
  /** The lower half of each word before the higher: all that a browser runs on has it so. */
  readonly #halves: Uint32Array;
  readonly #open: Range[] = [];

  constructor({ bytes, starts }: Keys) {
    const count = starts.length - 1;
    this.#bytes = bytes;
    this.#starts = starts;
    this.#order = Int32Array.from({ length: count }, (_, at) => at);
    this.#begins = new Uint8Array(count).fill(1, 0, 1);
    this.#words = new BigUint64Array(count);
    this.#halves = new Uint32Array(this.#words.buffer);
  }

  sorted(): InKeyOrder {
    this.#open.push({ from: 0, to: this.#order.length, alike: 0 });
    for (let range = this.#open.pop(); range !== undefined; range = this.#open.pop())
      if (range.to - range.from < few) this.#sortFew(range);
      else this.#sortMany(range);
    return { order: this.#order, begins: this.#begins };
  }

  #sortMany(range: Range): void {
    const { from, to } = range;
    const alike = this.#alikeIn(range);
    for (let at = from; at < to; at += 1) this.#packAt(at, alike);
    this.#words.subarray(from, to).sort();
    this.#splitAt(from, to, alike);
  }

  /** How many bytes all keys of a range begin with, the end with them if they are the same. */
  #alikeIn({ from, to, alike }: Range): number {
    const bytes = this.#bytes;
    const first = this.#startAt(from);
    let end = this.#starts[(this.#order[from] ?? 0) + 1] ?? 0;
    end -= first;
    for (let at = from + 1; at < to && end > alike; at += 1) {
      const own = this.#startAt(at);
      let same = alike;
      while (same < end && bytes[first + same] === bytes[own + same]) same += 1;
      end = same;
    }
    return end;
  }

  #startAt(at: number): number {
    return this.#starts[this.#order[at] ?? 0] ?? 0;
  }

  #packAt(at: number, alike: number): void {
    const position = this.#order[at] ?? 0;
    const end = this.#starts[position + 1] ?? 0;
    const from = (this.#starts[position] ?? 0) + alike;
    const last = from + bytesAtOnce - 1;
    let high = 0;
    for (let at = from; at < last; at += 1)
      high = (high << 8) | (at < end ? (this.#bytes[at] ?? 0) : 0);
    const low = last < end ? (this.#bytes[last] ?? 0) : 0;
    this.#halves[2 * at] = (low << positionBits) | position;
    this.#halves[2 * at + 1] = high;
  }

  /** Reads sorted words: what is alike and not at an end is a range to sort by the bytes that follow. */
  #splitAt(from: number, to: number, alike: number): void {
    const halves = this.#halves;
    let start = from;
    for (let at = from; at < to; at += 1) {
      const low = halves[2 * at] ?? 0;
      this.#order[at] = low & positionMask;
      const isNext =
        at + 1 < to &&
        (halves[2 * at + 3] !== halves[2 * at + 1] ||
          (halves[2 * at + 2] ?? 0) >>> positionBits !== low >>> positionBits);
      if (isNext) this.#begins[at + 1] = 1;
      else if (at + 1 < to) continue;
      const goesOn = low >>> positionBits !== 0;
      if (at > start && goesOn)
        this.#open.push({ from: start, to: at + 1, alike: alike + bytesAtOnce });
      start = at + 1;
    }
  }

  #sortFew({ from, to, alike }: Range): void {
    const order = this.#order;
    for (let at = from + 1; at < to; at += 1) {
      const own = order[at] ?? 0;
      let place = at;
      while (place > from && this.#compare(order[place - 1] ?? 0, own, alike) > 0) {
        order[place] = order[place - 1] ?? 0;
        place -= 1;
      }
      order[place] = own;
    }
    for (let at = from + 1; at < to; at += 1)
      if (this.#compare(order[at - 1] ?? 0, order[at] ?? 0, alike) !== 0) this.#begins[at] = 1;
  }

  #compare(one: number, other: number, alike: number): number {
    const bytes = this.#bytes;
    let a = (this.#starts[one] ?? 0) + alike;
    let b = (this.#starts[other] ?? 0) + alike;
    while (bytes[a] === bytes[b] && bytes[a] !== 0) {
      a += 1;
      b += 1;
    }
    return (bytes[a] ?? 0) - (bytes[b] ?? 0);
  }
}
