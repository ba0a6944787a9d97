import type { Item } from '../items';
import type { Sections, SectionTable } from '../lists';
import type { RowContext, SectionValue } from '../values';

/** What stands around all entries of a list. */
export interface Around {
  readonly look?: string | undefined;
  readonly now: string;
  /** All rows of the list. */
  readonly count: number;
}

/** Sections as expressions see them, each made when it is first asked for. */
export class SectionValues {
  private readonly known = new Map<number, SectionValue>();

  /** `table`: undefined where the list has no sections: then all of it is one. */
  constructor(
    private readonly sections: Sections,
    private readonly table: SectionTable | undefined,
    private readonly items: readonly Item[],
  ) {}

  /** `section`: its position; -1: the whole list. */
  at(section: number): SectionValue {
    const known = this.known.get(section);
    if (known !== undefined) return known;
    const { starts, members } = this.sections;
    const isAll = section < 0;
    const own = isAll ? members : members.subarray(starts[section] ?? 0, starts[section + 1] ?? 0);
    const name = isAll ? undefined : this.table?.names[section];
    const made = {
      ...(name !== undefined && { name }),
      index: Math.max(0, section),
      count: own.length,
      items: Array.from(own, (item) => this.items[item] ?? {}),
    };
    this.known.set(section, made);
    return made;
  }
}

/** What stands around one entry. Its section is made only where an expression reads it. */
export class EntryContext implements RowContext {
  readonly count: number;
  readonly look?: string;
  readonly now: string;

  constructor(
    /** Position of a row among all rows. */
    readonly index: number,
    { look, now, count }: Around,
    private readonly makeSection: () => SectionValue,
  ) {
    this.count = count;
    this.now = now;
    if (look !== undefined) this.look = look;
  }

  get section(): SectionValue {
    return this.makeSection();
  }
}
