import type { List } from '../../../core/lists';

/** Which sections a reader has folded away, or shown again: kept by list and key, whatever comes and goes. */
export class Folding {
  /** Keys of sections that are otherwise than at first. */
  private readonly toggled = new Map<string, Set<string>>();

  toggle({ id }: List, key: string): void {
    const toggled = this.toggled.get(id) ?? new Set();
    if (!toggled.delete(key)) toggled.add(key);
    this.toggled.set(id, toggled);
  }

  /** All sections are as at first. */
  clear(): void {
    this.toggled.clear();
  }

  /** Tells whether the rows of a section are folded away; undefined: they can't be. */
  of({ id, sections }: List): ((key: string) => boolean) | undefined {
    const { folds } = sections ?? {};
    if (folds === undefined) return undefined;
    return (key) => (folds === 'folded') !== (this.toggled.get(id)?.has(key) === true);
  }
}
