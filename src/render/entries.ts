import type { Entry } from '../core/lists';

interface EntryRange {
  readonly from: number;
  readonly to: number;
}

/** A range, and an entry outside of it that is wanted with it; its answer comes last. */
export interface AskedRange extends EntryRange {
  readonly also?: readonly number[];
}

const keptAround = 1_500;
const prefetchEntries = 160;

interface Ports {
  /** The finished entries of a range, as of a version; fewer if the version is no more. */
  entries(version: number, range: AskedRange): Promise<readonly Entry[]>;
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
  /** Another one for each sequence that is drawn: an answer for a former one counts no more. */
  private generation = 0;
  private entryCount = 0;
  private isAsking = false;
  private wanted: EntryRange = { from: 0, to: 0 };
  private wantedAlso = -1;

  constructor(private readonly ports: Ports) {}

  get(index: number): Entry | undefined {
    return this.known.get(index);
  }

  /** Other items or another project: what was known counts no more. */
  begin(version: number, entryCount: number): void {
    this.known.clear();
    this.version = version;
    this.generation += 1;
    this.entryCount = entryCount;
    this.isAsking = false;
  }

  put(from: number, entries: readonly Entry[]): void {
    for (const [offset, entry] of entries.entries()) this.known.set(from + offset, entry);
  }

  /**
   * Sees to it that a range is there, and some entries on both sides of it; `also`: one more entry,
   * wherever it stands; -1: none.
   */
  want(range: EntryRange, also: number): void {
    this.wanted = range;
    this.wantedAlso = also;
    const isAlsoThere = also < 0 || this.known.has(also);
    if (this.isAsking || (isAlsoThere && this.isEnough())) return;
    const { from, to } = this.missing();
    if (from >= to && isAlsoThere) return;
    const { version, generation } = this;
    const asked = { from, to: Math.max(from, to), ...(!isAlsoThere && { also: [also] }) };
    this.isAsking = true;
    void this.ports.entries(version, asked).then((entries) => {
      if (this.generation !== generation) return;
      this.isAsking = false;
      const rest = isAlsoThere ? [] : entries.slice(-1);
      this.put(from, isAlsoThere ? entries : entries.slice(0, -1));
      this.put(also, rest);
      this.trim();
      this.ports.came();
      if (entries.length > 0) this.want(this.wanted, this.wantedAlso);
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
      if (index !== this.wantedAlso && (index < from - keptAround || index > to + keptAround))
        this.known.delete(index);
  }
}
