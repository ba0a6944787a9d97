import type { Entry } from '../core/lists';

/** So many are kept in the page before those that are far are let go. */
const maxKept = 6_000;
const keptAround = 1_500;
const prefetchEntries = 160;
const againAfterMs = 100;

interface Ports {
  /** The finished entries at some places, as of a version; none if the version is no more. */
  entries(version: number, places: readonly number[]): Promise<readonly Entry[]>;
  /** Entries came. */
  came(): void;
}

/** What is wanted now. */
interface Wanted {
  readonly places: readonly number[];
  /** Where entries stand within so many of these. */
  around(entries: number): readonly number[];
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
  private isAsking = false;
  private wanted: Wanted = { places: [], around: () => [] };

  constructor(private readonly ports: Ports) {}

  get(index: number): Entry | undefined {
    return this.known.get(index);
  }

  /** Other items or another project: what was known counts no more. */
  begin(version: number): void {
    this.known.clear();
    this.version = version;
    this.generation += 1;
    this.isAsking = false;
  }

  put(places: readonly number[], entries: readonly Entry[]): void {
    for (const [at, entry] of entries.entries()) {
      const place = places[at];
      if (place !== undefined) this.known.set(place, entry);
    }
  }

  /** Sees to it that all of these are there, and some entries around them. */
  want(wanted: Wanted): void {
    this.wanted = wanted;
    if (this.isAsking || this.isEnough(wanted)) return;
    const all = [...wanted.places, ...wanted.around(prefetchEntries)];
    const missing = [...new Set(all)].filter((place) => !this.known.has(place));
    if (missing.length === 0) return;
    const { version, generation } = this;
    this.isAsking = true;
    void this.ports.entries(version, missing).then((entries) => {
      if (this.generation !== generation) return;
      // The version is no more: another is about to be shown, or else it is asked for again.
      if (entries.length === 0) {
        setTimeout(() => this.askAgain(generation), againAfterMs);
        return;
      }
      this.isAsking = false;
      this.put(missing, entries);
      this.trim();
      this.ports.came();
      this.want(this.wanted);
    });
  }

  private askAgain(generation: number): void {
    if (this.generation !== generation) return;
    this.isAsking = false;
    this.want(this.wanted);
  }

  private isEnough({ places, around }: Wanted): boolean {
    const isKnown = (place: number) => this.known.has(place);
    return places.every(isKnown) && around(prefetchEntries / 2).every(isKnown);
  }

  /** Lets go of what is far from the window. */
  private trim(): void {
    if (this.known.size < maxKept) return;
    const kept = new Set([...this.wanted.places, ...this.wanted.around(keptAround)]);
    for (const place of this.known.keys()) if (!kept.has(place)) this.known.delete(place);
  }
}
