import type { Item, ItemKeys } from '../items';
import {
  type Arranged,
  type BlockPlace,
  type EntryKind,
  entryKinds,
  type Sections,
  type SectionTable,
} from '../lists';
import type { RowContext } from '../values';
import { type Around, EntryContext, SectionValues } from './entry-context';

/** What the entries of a list are of. */
export interface EntriesOf {
  readonly arranged: Arranged;
  readonly sections: Sections;
  /** Undefined: the list has no sections. */
  readonly table: SectionTable | undefined;
  readonly items: readonly Item[];
  readonly keys: ItemKeys;
  /** What inserts show in turn. */
  readonly inserted: readonly Item[];
  readonly around: () => Omit<Around, 'count'>;
}

const noItem: Item = {};

const inBlocks: ReadonlySet<EntryKind> = new Set(['row', 'insert', 'separator']);

/** For each entry what it shows: its item, its key, and what is around it. */
export class ListEntries {
  private readonly sections: SectionValues;

  constructor(private readonly of: EntriesOf) {
    this.sections = new SectionValues(of.sections, of.table, of.items);
  }

  get arranged(): Arranged {
    return this.of.arranged;
  }

  get table(): SectionTable | undefined {
    return this.of.table;
  }

  kindAt(entry: number): EntryKind {
    return entryKinds[this.of.arranged.kinds[entry] ?? 0] ?? 'row';
  }

  /** What its template reads: of what stands for a section, or for the list, the first item of it. */
  itemAt(entry: number): Item {
    const { arranged, items, inserted } = this.of;
    const own = this.kindAt(entry) === 'insert' ? inserted : items;
    return own[arranged.items[entry] ?? -1] ?? noItem;
  }

  /** Where that stands among the items of the list; -1: nowhere there. */
  positionAt(entry: number): number {
    return this.kindAt(entry) === 'insert' ? -1 : (this.of.arranged.items[entry] ?? -1);
  }

  /** The position of a row's item; undefined: it is no row. */
  rowItem(entry: number): number | undefined {
    return this.kindAt(entry) === 'row' ? this.of.arranged.items[entry] : undefined;
  }

  /** Tells an entry from all others of its kind, and stays with it. */
  keyAt(entry: number): string {
    const { arranged, keys } = this.of;
    const kind = this.kindAt(entry);
    if (kind === 'row' || kind === 'separator') return keys.at(arranged.items[entry] ?? 0);
    if (kind === 'heading' || kind === 'footing') return this.sectionKey(entry);
    if (kind === 'insert') return `${arranged.ordinals[entry]} ${this.sectionKey(entry)}`;
    return kind === 'state' ? String(arranged.ordinals[entry]) : '';
  }

  private sectionKey(entry: number): string {
    return this.of.table?.keys[this.of.arranged.sections[entry] ?? 0] ?? '';
  }

  contextAt(entry: number): RowContext {
    const section = this.of.arranged.sections[entry] ?? 0;
    const { arranged, around } = this.of;
    const own = { ...around(), count: arranged.rowCount };
    return new EntryContext(arranged.ordinals[entry] ?? 0, own, () => this.sections.at(section));
  }

  /** The first of all items that have a row. */
  get firstItem(): Item {
    return this.of.items[this.of.sections.members[0] ?? -1] ?? noItem;
  }

  /** What stands around the list as a whole. */
  contextOfAll(): RowContext {
    const { arranged, around } = this.of;
    const own = { ...around(), count: arranged.rowCount };
    return new EntryContext(0, own, () => this.sections.at(-1));
  }

  /** Where it stands among the rows of its section, and what is between them; undefined: it is none of these. */
  blockAt(entry: number): BlockPlace | undefined {
    if (!this.isInBlock(entry, entry)) return undefined;
    const [isFirst, isLast] = [entry - 1, entry + 1].map((next) => !this.isInBlock(next, entry));
    if (isFirst) return isLast ? 'only' : 'first';
    return isLast ? 'last' : 'middle';
  }

  private isInBlock(entry: number, like: number): boolean {
    const { kinds, sections } = this.of.arranged;
    const kind = entryKinds[kinds[entry] ?? -1];
    return kind !== undefined && inBlocks.has(kind) && sections[entry] === sections[like];
  }

  /** Whether a row follows it, with nothing in between. */
  isBeforeRow(entry: number): boolean {
    return this.of.arranged.kinds[entry + 1] === 0;
  }
}
