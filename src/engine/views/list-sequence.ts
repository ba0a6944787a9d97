import { type Arranged, type Arrangement, arrange, type Sequence } from '../../core/lists';

const nothing: Arranged = {
  items: new Int32Array(),
  plans: new Uint16Array(),
  lineHeights: new Float32Array(),
};

/** The entries of the list that is shown. Most edits change words alone: then they stay as they are. */
export class ListSequence {
  arranged = nothing;
  private id = 0;
  private entries: Int32Array | undefined;
  /** What they were made of. */
  private of: readonly unknown[] = [];

  get count(): number {
    return this.arranged.items.length;
  }

  clear(): void {
    this.take(nothing, []);
  }

  arrange(
    types: Uint16Array,
    planOfType: Int16Array,
    planHeights: Float32Array,
    arrangement: Arrangement,
  ): void {
    // A project that crossed from the page is another object each time.
    const of = [types, JSON.stringify(arrangement), planOfType.join(), planHeights.join()];
    if (of.every((each, at) => each === this.of[at])) return;
    this.take(arrange(types, planOfType, planHeights, arrangement), of);
  }

  /** As it is drawn; `known`: the sequence whose heights were sent before. */
  toDraw(arrangement: Arrangement, known: number | undefined): Sequence {
    const lineHeights = known === this.id ? undefined : this.arranged.lineHeights.slice();
    return { id: this.id, arrangement, entryCount: this.count, lineHeights };
  }

  /** Where an item stands; -1: it is left out. Where all stand is found once for a sequence. */
  entryOf(item: number): number {
    this.entries ??= inverse(this.arranged.items);
    return this.entries[item] ?? -1;
  }

  private take(arranged: Arranged, of: readonly unknown[]): void {
    this.arranged = arranged;
    this.entries = undefined;
    this.of = of;
    this.id += 1;
  }
}

/** Where each number stands; -1: nowhere. The numbers ascend. */
function inverse(numbers: Int32Array): Int32Array {
  const places = new Int32Array((numbers.at(-1) ?? -1) + 1).fill(-1);
  for (let at = 0; at < numbers.length; at += 1) places[numbers[at] ?? 0] = at;
  return places;
}
