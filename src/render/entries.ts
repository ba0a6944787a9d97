import type { Entry } from '../core/lists';

interface EntryRange {
  readonly from: number;
  readonly to: number;
}

const keptAround = 1_500;
const prefetchEntries = 160;

interface Ports {
  /** The finished entries of a range, as of a version; fewer if the version is no more. */
  entries(version: number, range: EntryRange): Promise<readonly Entry[]>;
  /** Entries came. */
  came(): void;
}

/**
 * Finished entries near the window: what scrolling needs at once, and more asked for ahead. One
 * question at a time: on its answer it is asked for what is wanted then, not for what was passed.
 */
export class Entries {
  private readonly known = new Map<number, Entry>();
  private version = -1;
  private entryCount = 0;
  private isAsking = false;
  private wanted: EntryRange = { from: 0, to: 0 };

  constructor(private readonly ports: Ports) {}

  get(index: number): Entry | undefined {
    return this.known.get(index);
  }

  /** Other items or another project: what was known counts no more. */
  begin(version: number, entryCount: number): void {
    this.known.clear();
    this.version = version;
    this.entryCount = entryCount;
    this.isAsking = false;
  }

  put(from: number, entries: readonly Entry[]): void {
    for (const [offset, entry] of entries.entries()) this.known.set(from + offset, entry);
  }

  /** Sees to it that a range is there, and some entries on both sides of it. */
  want(range: EntryRange): void {
    this.wanted = range;
    if (this.isAsking || this.isEnough()) return;
    const { from, to } = this.missing();
    if (from >= to) return;
    const { version } = this;
    this.isAsking = true;
    void this.ports.entries(version, { from, to }).then((entries) => {
      if (this.version !== version) return;
      this.isAsking = false;
      this.put(from, entries);
      this.trim();
      this.ports.came();
      if (entries.length > 0) this.want(this.wanted);
    });
  }

  private isEnough(): boolean {
    const half = prefetchEntries / 2;
    const { from, to } = this.wanted;
    return (
      this.known.has(Math.max(0, from - half)) &&
      this.known.has(Math.min(this.entryCount - 1, to + half)) &&
      this.known.has(from)
    );
  }

  private missing(): EntryRange {
    let from = Math.max(0, this.wanted.from - prefetchEntries);
    let to = Math.min(this.entryCount, this.wanted.to + prefetchEntries);
    while (from < to && this.known.has(from)) from += 1;
    while (to > from && this.known.has(to - 1)) to -= 1;
    return { from, to };
  }

  /** Lets go of what is far from the window. */
  private trim(): void {
    if (this.known.size < 4 * keptAround) return;
    const { from, to } = this.wanted;
    for (const index of this.known.keys())
      if (index < from - keptAround || index > to + keptAround) this.known.delete(index);
  }
}
