import { Lines, type LineTable } from '../layout';
import {
  type Arranged,
  type Arrangement,
  arrange,
  type Headings,
  hidesRows,
  inSections,
  type KnownSequence,
  kindCounts,
  kindNumber,
  type ListState,
  linesOf,
  oneSection,
  plansByChoice,
  type Sections,
  type SectionTable,
  type Sequence,
  skeletonCount,
  stateOf,
  stripColumns,
} from '../lists';
import type { StandingPlans } from './standing';

const noItems = new Int16Array();
const noSections = oneSection(noItems, undefined);
const nothing = arrange({ planOfItem: noItems, sections: noSections });
const noLines: LineTable = {
  firsts: new Int32Array(),
  columns: new Uint8Array(),
  heights: new Int32Array(),
};

/** Heights of entries that are being measured. */
export interface RowHeights {
  readonly units: Int32Array;
  /** Each change of some of them gives another one. */
  readonly changeCount: number;
}

/** What a sequence is made of. */
interface SequenceOf {
  /** The choice that takes each item; the same array where they are the same. */
  readonly choices: Int16Array;
  /** Positions of items as they are sorted; undefined: as they came. */
  readonly order: Int32Array | undefined;
  /** -1 where its items are left out. */
  readonly planOfChoice: Int16Array;
  /** Undefined: the list has no sections. The same where they are the same. */
  readonly table: SectionTable | undefined;
  readonly standing: StandingPlans;
  /** What is to be seen whatever items there are. */
  readonly wished: ListState | undefined;
  /** 1 for each item that is let through; undefined: all are. The same where they are the same. */
  readonly kept: Uint8Array | undefined;
  /** Keys of the sections whose rows are folded away. */
  readonly isFolded: ((key: string) => boolean) | undefined;
  /** The height of each plan's rows, in whole 1/64 px. */
  readonly planHeights: Int32Array;
  /** The heights of entries that hang on their texts, for the sequence that is arranged by now. */
  readonly heightsOf: (arranged: Arranged) => RowHeights | undefined;
  readonly columnCount: number;
  /** How wide the rows of each plan stand; undefined: as cells. */
  readonly breadths: Uint8Array | undefined;
  /** What a strip has above and below its cells, in whole 1/64 px. */
  readonly aroundStrips: number;
  readonly hasIndex: boolean;
  /** Items are left that nobody asked for yet. */
  readonly hasMore: boolean;
}

/** The entries of a list in their lines. Most edits change words alone: then they stay as they are. */
export class ListSequence {
  arranged: Arranged = nothing;
  sections: Sections = noSections;
  private planOfItem: Int16Array = noItems;
  state: ListState = 'empty';
  counts = kindCounts(nothing);
  /** Of its sections, where there is an index of them. */
  private names: SectionTable['names'] | undefined;
  private sectionKeys: SectionTable['keys'] | undefined;
  private lines = noLines;
  private placedLines: Lines | undefined;
  private strips: ReadonlyMap<number, string> | undefined;
  private id = 0;
  private heightsId = 0;
  private entries: Int32Array | undefined;
  /** What sections, entries, lines and heights were made of. */
  private ofSections: readonly unknown[] = [];
  private ofEntries: readonly unknown[] = [];
  private ofLines: readonly unknown[] = [];
  private ofHeights: readonly unknown[] = [];

  get count(): number {
    return this.arranged.items.length;
  }

  clear(): void {
    this.arranged = nothing;
    this.counts = kindCounts(nothing);
    this.sections = noSections;
    this.ofSections = [];
    this.ofEntries = [];
    this.entries = undefined;
    this.takeLines(noLines, []);
  }

  arrange(of: SequenceOf): void {
    this.takeEntries(of);
    const { planHeights, heightsOf, columnCount, breadths: ofPlans, aroundStrips } = of;
    this.names = of.hasIndex ? of.table?.names : undefined;
    this.sectionKeys = of.table?.keys;
    const ofLines = [this.arranged, columnCount, ofPlans?.join(''), this.names];
    const own = heightsOf(this.arranged);
    const ofHeights = [...ofLines, aroundStrips, planHeights.join(), own, own?.changeCount];
    if (isSame(ofHeights, this.ofHeights)) return;
    const heights = { ofPlans: planHeights, ofEntries: own?.units };
    const lines = linesOf(this.arranged, heights, { columnCount, ofPlans, aroundStrips });
    if (isSame(ofLines, this.ofLines)) this.takeHeights(lines, ofHeights);
    else {
      this.takeLines(lines, ofLines);
      this.ofHeights = ofHeights;
    }
  }

  private takeEntries(of: SequenceOf): void {
    this.takeSections(of);
    const { sections, planOfItem } = this;
    const { table, standing, isFolded, wished, kept, hasMore, breadths } = of;
    const folded = isFolded && Uint8Array.from(table?.keys ?? [], (key) => Number(isFolded(key)));
    // Where nothing stands between rows, strips change none of them.
    const among = standing.separator === undefined ? undefined : breadths;
    const ofEntries = [
      ...[sections, JSON.stringify(standing), folded?.join(''), wished, hasMore, among?.join('')],
    ];
    if (isSame(ofEntries, this.ofEntries)) return;
    const rowCount = sections.members.length;
    this.state = stateOf(wished, { rowCount, isFiltered: kept !== undefined, hasMore });
    const { states: _, hasSkeleton: __, ...places } = standing;
    const state = stateEntries(this.state, standing, planOfItem);
    const hides = hidesRows(this.state);
    this.arranged = arrange({
      ...{ planOfItem, sections, folded, ...places, hidesRows: hides, state },
      breadths: among,
    });
    this.counts = kindCounts(this.arranged);
    this.entries = undefined;
    this.ofEntries = ofEntries;
  }

  /** Folding, bars and states leave the rows in their sections. */
  private takeSections({ choices, order, planOfChoice, table, kept }: SequenceOf): void {
    const ofSections = [choices, order, planOfChoice.join(), table, kept];
    if (isSame(ofSections, this.ofSections)) return;
    this.planOfItem = plansByChoice(choices, planOfChoice);
    for (let item = 0; kept !== undefined && item < kept.length; item += 1)
      if (kept[item] !== 1) this.planOfItem[item] = -1;
    this.sections =
      table === undefined
        ? oneSection(this.planOfItem, order)
        : inSections(this.planOfItem, order, { ...table, count: table.keys.length });
    this.ofSections = ofSections;
  }

  /** Whether an asker has the entries as they stand. */
  isKnown(known: KnownSequence | undefined): boolean {
    return known?.id === this.id;
  }

  /** The sequence as it is drawn; `known` is what was sent before. */
  toDraw(
    arrangement: Arrangement,
    known: KnownSequence | undefined,
  ): Omit<Sequence, 'sticks' | 'animates' | 'holdsNew' | 'coversSafeAreas'> {
    const { id, heightsId } = this;
    const areLinesKnown = this.isKnown(known);
    const { firsts, columns, heights } = this.lines;
    return {
      id,
      heightsId,
      arrangement,
      entryCount: this.count,
      lines: areLinesKnown
        ? undefined
        : {
            firsts: firsts.slice(),
            columns: columns.slice(),
            ...this.headings(),
            strips: [...this.stripKeys().values()],
          },
      heights: known?.heightsId === heightsId ? undefined : heights.slice(),
    };
  }

  /** How its lines follow each other, without edges and gaps. */
  get placed(): Lines {
    this.placedLines ??= new Lines(this.lines, 0, 0);
    return this.placedLines;
  }

  /** What tells the strip that a line is from all others, whatever comes and goes; undefined: it is none. */
  stripKey(line: number): string | undefined {
    return this.stripKeys().get(line);
  }

  get hasStrips(): boolean {
    return this.stripKeys().size > 0;
  }

  private stripKeys(): ReadonlyMap<number, string> {
    if (this.strips !== undefined) return this.strips;
    const { columns, firsts } = this.lines;
    const strips = new Map<number, string>();
    let before = -2;
    let number = 0;
    for (let line = columns.indexOf(stripColumns); line >= 0; ) {
      const section = this.arranged.sections[firsts[line] ?? 0] ?? 0;
      number = section === before ? number + 1 : 0;
      before = section;
      strips.set(line, `${number} ${this.sectionKeys?.[section] ?? ''}`);
      line = columns.indexOf(stripColumns, line + 1);
    }
    this.strips = strips;
    return strips;
  }

  private headings(): Headings {
    const places = headingsIn(this.arranged);
    const { names } = this;
    if (names === undefined) return places;
    const own = Array.from(places.headings, (entry) => names[this.arranged.sections[entry] ?? -1]);
    return { ...places, names: own };
  }

  /** Where an item stands; -1: it is left out. Where all stand is found once for a sequence. */
  entryOf(item: number): number {
    this.entries ??= placesOfRows(this.arranged);
    return this.entries[item] ?? -1;
  }

  private takeLines(lines: LineTable, of: readonly unknown[]): void {
    this.id += 1;
    this.strips = undefined;
    this.ofLines = of;
    this.takeHeights(lines, []);
  }

  private takeHeights(lines: LineTable, of: readonly unknown[]): void {
    this.lines = lines;
    this.placedLines = undefined;
    this.heightsId += 1;
    this.ofHeights = of;
  }
}

/** What stands for a state; of one that loads without a template, rows without words. */
function stateEntries(
  state: ListState,
  { states, hasSkeleton }: StandingPlans,
  planOfItem: Int16Array,
): { readonly plan: number; readonly count: number } | undefined {
  const own = states[state];
  if (own !== undefined) return { plan: own, count: 1 };
  if (state !== 'loading' || !hasSkeleton) return undefined;
  const first = planOfItem.find((plan) => plan >= 0) ?? 0;
  return { plan: first, count: skeletonCount };
}

// A project that crossed from the page is another object each time: what counts is what it says.
const isSame = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((each, at) => each === other[at]);

/** Where the row of each item stands; -1: nowhere. */
function placesOfRows({ kinds, items }: Arranged): Int32Array {
  const highest = items.reduce((most, item) => Math.max(most, item), -1);
  const places = new Int32Array(highest + 1).fill(-1);
  for (let entry = 0; entry < items.length; entry += 1)
    if (kinds[entry] === 0) places[items[entry] ?? 0] = entry;
  return places;
}

const heading = kindNumber('heading');

/** Where headings stand, and where what they head ends. */
function headingsIn({ kinds, sections }: Arranged) {
  const headings: number[] = [];
  const ends: number[] = [];
  for (let entry = 0; entry < kinds.length; entry += 1) {
    if (kinds[entry] !== heading) continue;
    let end = entry + 1;
    while (end < kinds.length && kinds[end] !== heading && sections[end] === sections[entry])
      end += 1;
    headings.push(entry);
    ends.push(end);
    entry = end - 1;
  }
  return { headings: Int32Array.from(headings), ends: Int32Array.from(ends) };
}
