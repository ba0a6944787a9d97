import { breadths } from './breadths';
import { type EntryKind, entryKinds, kindNumber } from './entry-kinds';
import { type InsertPlaces, insertAfter, insertCount } from './inserts';
import type { Sections } from './sections';

/** The sequence of entries as columns: for each, its kind, its item, its plan and where it stands. */
export interface Arranged {
  /** By their numbers among the kinds of entry. */
  readonly kinds: Uint8Array;
  /**
   * Positions of items: of a row its own, of what stands for a section (or for the list) the
   * first of it, of an insert that among its own source's; -1: it has none.
   */
  readonly items: Int32Array;
  readonly plans: Uint16Array;
  /** -1: it stands for the whole list. */
  readonly sections: Int32Array;
  /** Of a row its position among all rows, of an insert that among all inserts of the list or section. */
  readonly ordinals: Int32Array;
  /** All rows, those of folded sections with them. */
  readonly rowCount: number;
}

/** What a sequence is arranged of. Plans are positions; undefined: there is no such entry. */
export interface Arranging {
  readonly planOfItem: Int16Array;
  readonly sections: Sections;
  /** What stands for a section: at its beginning, and at its end. */
  readonly heading?: number | undefined;
  readonly footing?: number | undefined;
  /** 1 for each section whose rows are folded away; undefined: none is. */
  readonly folded?: Uint8Array | undefined;
  /** Sections without rows have their heading and footing, too. */
  readonly showsEmpty?: boolean | undefined;
  readonly inserts?:
    | { readonly plan: number; readonly places: InsertPlaces; readonly itemCount: number }
    | undefined;
  /** Between rows, and nowhere else: nor beside one in a strip. */
  readonly separator?: number | undefined;
  /** How wide the rows of each plan stand; undefined: as cells. */
  readonly breadths?: Uint8Array | undefined;
  readonly header?: number | undefined;
  readonly footer?: number | undefined;
  /** There are no rows, whatever the items are. */
  readonly hidesRows?: boolean | undefined;
  /** What stands in place of rows, or after them: once or several times. */
  readonly state?: { readonly plan: number; readonly count: number } | undefined;
}

/**
 * The sequence as a pure function of all that it hangs on; made anew at each change. Typed arrays
 * and plain loops: this runs over all items after every edit of choices.
 */
export function arrange(arranging: Arranging): Arranged {
  const writer = new Writer(maxEntries(arranging));
  const { sections, header, footer, state, hidesRows } = arranging;
  const first = sections.members[0] ?? -1;
  if (header !== undefined) writer.put(kinds.header, first, header, 0);
  for (let section = 0; hidesRows !== true && section < sections.count; section += 1)
    putSection(writer, arranging, section);
  writer.section = -1;
  for (let at = 0; state !== undefined && at < state.count; at += 1)
    writer.put(kinds.state, first, state.plan, at);
  if (footer !== undefined) writer.put(kinds.footer, first, footer, 0);
  return writer.arranged(sections.members.length);
}

function putSection(writer: Writer, arranging: Arranging, section: number): void {
  const { sections, heading, footing, folded, showsEmpty } = arranging;
  const start = sections.starts[section] ?? 0;
  const end = sections.starts[section + 1] ?? 0;
  if (start === end && showsEmpty !== true) return;
  const first = start === end ? -1 : (sections.members[start] ?? -1);
  writer.section = section;
  if (heading !== undefined) writer.put(kinds.heading, first, heading, section);
  if (folded?.[section] === 1) return;
  putRows(writer, arranging, start, end);
  if (footing !== undefined) writer.put(kinds.footing, first, footing, section);
}

function putRows(
  writer: Writer,
  { sections, planOfItem, inserts, separator, breadths: ofPlans }: Arranging,
  start: number,
  end: number,
): void {
  const { members } = sections;
  const isInStrip = (plan: number) => ofPlans?.[plan] === breadths.strip;
  const isEach = inserts?.places.inEachSection === true;
  const offset = isEach ? start : 0;
  const of = isEach ? end - start : members.length;
  for (let at = start; at < end; at += 1) {
    const item = members[at] ?? 0;
    const plan = planOfItem[item] ?? 0;
    const before = writer.planOfRowBefore;
    if (separator !== undefined && before >= 0 && !isInStrip(plan) && !isInStrip(before))
      writer.put(kinds.separator, item, separator, at);
    writer.put(0, item, plan, at);
    if (inserts === undefined || inserts.itemCount === 0) continue;
    const insert = insertAfter(inserts.places, { number: at + 1 - offset, of });
    if (insert < 0) continue;
    writer.put(kinds.insert, insert % inserts.itemCount, inserts.plan, insert);
  }
}

const kinds = {
  header: kindNumber('header'),
  heading: kindNumber('heading'),
  insert: kindNumber('insert'),
  separator: kindNumber('separator'),
  footing: kindNumber('footing'),
  state: kindNumber('state'),
  footer: kindNumber('footer'),
} as const;

/** Room for no fewer entries than there can be. */
function maxEntries(arranging: Arranging): number {
  const { sections, heading, footing, inserts, separator, state } = arranging;
  const rows = sections.members.length;
  const ofSections =
    ((heading === undefined ? 0 : 1) + (footing === undefined ? 0 : 1)) * sections.count;
  const inserted =
    inserts === undefined
      ? 0
      : inserts.places.inEachSection === true
        ? rows
        : insertCount(inserts.places, rows);
  return rows * (separator === undefined ? 1 : 2) + ofSections + inserted + 2 + (state?.count ?? 0);
}

class Writer {
  private readonly kinds: Uint8Array;
  private readonly items: Int32Array;
  private readonly plans: Uint16Array;
  private readonly sections: Int32Array;
  private readonly ordinals: Int32Array;
  private count = 0;
  /** The one that is written. */
  section = -1;

  constructor(room: number) {
    this.kinds = new Uint8Array(room);
    this.items = new Int32Array(room);
    this.plans = new Uint16Array(room);
    this.sections = new Int32Array(room);
    this.ordinals = new Int32Array(room);
  }

  /** -1: what comes next follows no row. */
  get planOfRowBefore(): number {
    const before = this.count - 1;
    return before >= 0 && this.kinds[before] === 0 ? (this.plans[before] ?? 0) : -1;
  }

  // Numbers rather than a record: it is asked for each entry of all.
  put(kind: number, item: number, plan: number, ordinal: number): void {
    const at = this.count;
    this.kinds[at] = kind;
    this.items[at] = item;
    this.plans[at] = plan;
    this.sections[at] = this.section;
    this.ordinals[at] = ordinal;
    this.count = at + 1;
  }

  arranged(rowCount: number): Arranged {
    const { count } = this;
    return {
      kinds: this.kinds.subarray(0, count),
      items: this.items.subarray(0, count),
      plans: this.plans.subarray(0, count),
      sections: this.sections.subarray(0, count),
      ordinals: this.ordinals.subarray(0, count),
      rowCount,
    };
  }
}

/** How many entries of each kind there are. */
export function kindCounts({ kinds: all }: Arranged): Readonly<Record<EntryKind, number>> {
  const counts = new Int32Array(entryKinds.length);
  for (let entry = 0; entry < all.length; entry += 1) {
    const kind = all[entry] ?? 0;
    counts[kind] = (counts[kind] ?? 0) + 1;
  }
  const of = (kind: EntryKind) => counts[kindNumber(kind)] ?? 0;
  return {
    ...{ row: of('row'), header: of('header'), heading: of('heading'), insert: of('insert') },
    ...{ separator: of('separator'), footing: of('footing'), state: of('state') },
    ...{ footer: of('footer'), bar: of('bar') },
  };
}

/** The plan of each item by the choice that takes it: `planOfChoice` has it for each, -1 where it is left out. */
export function plansByChoice(choices: Int16Array, planOfChoice: Int16Array): Int16Array {
  const plans = new Int16Array(choices.length);
  for (let item = 0; item < choices.length; item += 1)
    plans[item] = planOfChoice[choices[item] ?? 0] ?? -1;
  return plans;
}
