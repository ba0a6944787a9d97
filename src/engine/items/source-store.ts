import { type Item, type Succession, successionOf } from '../../core/items';
import { ownSet } from '../../core/project';
import { ItemStore } from './item-store';

/** The items of every set, as they were after one change. Items that did not change are shared. */
type Sets = ReadonlyMap<string, readonly Item[]>;

/** How many items may stand in earlier changes, all together: undo can go back to these. */
const maxRemembered = 20_000_000;

/** A source's items: its sets, and how they were before each change, for undo. */
export class SourceStore {
  private readonly revisions = new Map<number, Sets>();
  private readonly held = new Map<string, ItemStore>();
  private revision: number;
  /** The number of the last change, undone or not. */
  private newest: number;
  private shownSet = ownSet;
  /** The page that waits to be asked for, none where all are there; undefined: nobody knows. */
  nextPage: { readonly address: string | undefined } | undefined;

  /** `forgot`: told of changes that cannot be gone back to any more. */
  constructor(
    items: readonly Item[],
    unique?: string,
    revision = 0,
    private readonly forgot: (revision: number) => void = () => {},
  ) {
    this.revision = revision;
    this.newest = revision;
    this.revisions.set(revision, new Map([[ownSet, items]]));
    this.held.set(ownSet, new ItemStore(items, unique));
  }

  /** The set that is shown. */
  shown(): ItemStore {
    return this.set(this.shownSet);
  }

  set(set: string): ItemStore {
    const items = this.sets().get(set) ?? this.sets().get(ownSet) ?? [];
    const known = this.held.get(set);
    if (known?.raw === items) return known;
    const held =
      known === undefined ? new ItemStore(items) : known.after(successionOf(known.raw, items));
    this.held.set(set, held);
    return held;
  }

  sets(): Sets {
    return this.setsAt(this.revision);
  }

  /** All sets as they were after a change. */
  setsAt(revision: number): Sets {
    const sets = this.revisions.get(revision);
    if (sets === undefined) throw new Error(`The items as of change ${revision} are not held.`);
    return sets;
  }

  get shownSetId(): string {
    return this.shownSet;
  }

  show(set: string): void {
    this.shownSet = set;
  }

  /** Adds the items of a set that were kept beside the source's own; no change of its own. */
  addKept(set: string, items: readonly Item[]): void {
    this.revisions.set(this.revision, new Map([...this.sets(), [set, items]]));
  }

  /** Other items for a set. Gives the number of the change, by which it is found again. */
  change(set: string, next: Succession): number {
    this.newest += 1;
    this.advance(set, next, this.newest);
    this.revision = this.newest;
    this.forgetOldest();
    return this.revision;
  }

  /** Goes to a change, one that was undone or one that is made again. */
  goTo(revision: number): void {
    this.setsAt(revision);
    this.revision = revision;
  }

  /** Live items take the place of the source's own; no change of its own, and undo does not take them back. */
  replace(next: Succession): void {
    this.advance(ownSet, next, this.revision);
  }

  private advance(set: string, next: Succession, revision: number): void {
    const known = this.set(set);
    this.revisions.set(revision, new Map([...this.sets(), [set, next.items]]));
    this.held.set(set, known.after(next));
  }

  private forgetOldest(): void {
    for (const revision of this.revisions.keys()) {
      if (this.heldCount() <= maxRemembered || this.revisions.size <= 2) return;
      if (revision === this.revision) continue;
      this.revisions.delete(revision);
      this.forgot(revision);
    }
  }

  /** Items in all lists; a set that did not change from one to the next counts once. */
  private heldCount(): number {
    const lists = new Set([...this.revisions.values()].flatMap((sets) => [...sets.values()]));
    let count = 0;
    for (const list of lists) count += list.length;
    return count;
  }
}
