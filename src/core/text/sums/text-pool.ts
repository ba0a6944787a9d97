/** Texts as numbers of their words, one after the other: a count, then the words. */
export class TextPool {
  private ints = new Int32Array(1_024);
  private end = 0;

  /** How many numbers it holds. */
  get size(): number {
    return this.end;
  }

  /** Where the text stands that `words` are of; the first `count` of them count. */
  add(words: Int32Array, count: number): number {
    const at = this.end;
    this.end += count + 1;
    if (this.end > this.ints.length) this.grow();
    this.ints[at] = count;
    for (let i = 0; i < count; i += 1) this.ints[at + 1 + i] = words[i] ?? 0;
    return at;
  }

  /** Takes back what was added since the pool was so large. */
  cutTo(size: number): void {
    this.end = size;
  }

  countAt(at: number): number {
    return this.ints[at] ?? 0;
  }

  wordAt(at: number, word: number): number {
    return this.ints[at + 1 + word] ?? 0;
  }

  private grow(): void {
    const ints = new Int32Array(Math.max(this.end, this.ints.length * 2));
    ints.set(this.ints);
    this.ints = ints;
  }
}
