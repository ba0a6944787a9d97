import type { JsonRecord } from '../base';
import type { Item, ItemKeys } from '../items';
import { unitsOf } from '../layout';
import {
  type Arrangement,
  allChosen,
  type Bar,
  breadthAt,
  breadths,
  breadthsOf,
  chosenIn,
  columnsIn,
  type Entry,
  type EntryKind,
  foldedIn,
  kindNumber,
  type List,
  type ListState,
  type RowPlan,
  roomOfStrips,
  type SectionTable,
  type Separators,
  type Sequence,
  widthsIn,
} from '../lists';
import type { EntryValue } from '../templates';
import type { RowContext } from '../values';
import type { Around } from './entry-context';
import { ItemFilter } from './item-filter';
import { ListEntries } from './list-entries';
import { ListSequence } from './list-sequence';
import type { EntryRange, Kept, ListBox } from './range';
import type { MeasuresRows, RowBox, RowValues } from './rows';
import { standingOf } from './standing';
import { wantedPlaces } from './wanted-places';

/** Who makes the rows of a template. */
export interface RowMaker {
  /** What is drawn in all slots, in their order. */
  values(item: JsonRecord, context?: RowContext): EntryValue[];
}

/** What a list is arranged of. */
export interface ArrangingList {
  readonly list: List;
  readonly items: readonly Item[];
  readonly keys: ItemKeys;
  /** What inserts show in turn; undefined: they are of no source. */
  readonly inserted: readonly Item[] | undefined;
  /** The choice that takes each item; the same array where they are the same. */
  readonly choices: Int16Array;
  /** Positions of items as they are sorted; undefined: as they came. */
  readonly order: Int32Array | undefined;
  /** Undefined: the list has no sections. The same where they are the same. */
  readonly table: SectionTable | undefined;
  readonly look: string | undefined;
  readonly hasMore: boolean;
}

/** What of the list a reader sees of all that there is. */
export interface PartOfList {
  /** What is to be seen whatever items there are; undefined: as it is. */
  readonly state?: ListState | undefined;
  /** What is typed in the filter box. */
  readonly filter?: string | undefined;
  /** Sections whose rows are folded otherwise than at first; by `toggledWith`. */
  readonly toggled?: readonly string[] | undefined;
  /** All rows are there, whatever is folded, filtered or wished: to be counted. */
  readonly isWhole?: boolean | undefined;
}

/** What a list asks of who has it. */
export interface ListPorts<Maker extends RowMaker> {
  readonly measured: MeasuresRows;
  /** Its templates, and the plan of each as it is drawn. */
  templates(): readonly Maker[];
  plans(): readonly RowPlan[];
  /** BCP 47. */
  locale(): string;
  part(): PartOfList;
  around(): Omit<Around, 'count'>;
  /** An item's row as it is finished. */
  finish(maker: Maker, key: string, values: EntryValue[]): EntryValue[];
  /** Where the item with a key stands among all; -1: nowhere. */
  itemOfKey(key: string): number;
  /** It is drawn in another box: plans are of other heights. */
  boxChanged(): void;
}

/** A list as who draws it needs it. */
export interface ListFrame {
  readonly sequence: Sequence;
  readonly entries: readonly Entry[];
  /** Where each of them stands. */
  readonly places: readonly number[];
  readonly above: Bar | undefined;
  readonly below: Bar | undefined;
  /** The heading over the first of them, where headings stick and it is none of them. */
  readonly over: { readonly at: number; readonly entry: Entry } | undefined;
  /** Where the row stands now that was to be kept; undefined: nowhere, or where it did. */
  readonly kept: Kept | undefined;
  readonly state: ListState;
  /** How many entries of each kind there are. */
  readonly kindCounts: Readonly<Record<EntryKind, number>>;
}

const nothing = new ListSequence();
const noKeys: ItemKeys = { at: String, repeated: [], findings: [] };
const noEntries = new ListEntries({
  ...{ arranged: nothing.arranged, sections: nothing.sections },
  ...{ table: undefined, items: [], keys: noKeys, inserted: [] },
  around: () => ({ now: '' }),
});
const noArrangement: Arrangement = { kind: 'list', gap: 0, edge: 0, separators: true };

/** A list with its items and templates as it stands: what one window shows, in the app as in the studio. */
export class ArrangedList<Maker extends RowMaker> {
  readonly sequence = new ListSequence();
  shown = noEntries;
  box: ListBox | undefined;
  private readonly filter = new ItemFilter();
  private list: List | undefined;
  private arrangeLines: () => void = () => {};

  constructor(private readonly ports: ListPorts<Maker>) {}

  clear(): void {
    this.list = undefined;
    this.sequence.clear();
    this.arrangeLines = () => {};
    this.shown = noEntries;
  }

  arrange(of: ArrangingList): void {
    const { list, choices, order, table, look, hasMore } = of;
    this.list = list;
    const plans = this.ports.plans();
    const planIds = plans.map((plan) => plan.template);
    const planOfChoice = Int16Array.from(allChosen(list), (chosen) =>
      planIds.indexOf(chosenIn(chosen, look) ?? ''),
    );
    const planHeights = Int32Array.from(plans, (plan) => unitsOf(plan.heightPx));
    const { arrangement } = list;
    const standing = standingOf(list, planIds, of.inserted?.length);
    const { isWhole = false, state: wished, filter = '', toggled } = this.ports.part();
    const isFolded = isWhole ? undefined : foldedIn(list, toggled);
    const kept = isWhole ? undefined : this.filter.take(list, of.items, filter);
    const room = roomOfStrips(arrangement);
    const takeShown = () => {
      this.takeShown(of);
      return this.ports.measured.heightsOf(this.rowValues(), this.rowBox(this.box));
    };
    this.arrangeLines = () =>
      this.sequence.arrange({
        ...{ choices, order, planOfChoice, planHeights, table, standing, isFolded },
        ...{ wished: isWhole ? undefined : wished, kept, hasMore },
        heightsOf: takeShown,
        breadths: breadthsOf(arrangement, planIds),
        aroundStrips: unitsOf(room.above + room.below),
        hasIndex: list.sections?.hasIndex === true,
        columnCount: columnsIn(arrangement, this.widthPx),
      });
    this.arrangeLines();
  }

  /** Some heights are known now that were not. */
  arrangeAgain(): void {
    this.arrangeLines();
  }

  private takeShown({ table, items, keys, inserted = [] }: ArrangingList): void {
    const { arranged, sections } = this.sequence;
    const around = () => this.ports.around();
    this.shown = new ListEntries({ arranged, sections, table, items, keys, inserted, around });
  }

  private get widthPx(): number {
    return this.box?.widthPx ?? usualWidthPx;
  }

  frame(wanted: EntryRange): ListFrame {
    const { list } = this;
    const arrangement = list?.arrangement ?? noArrangement;
    const kept = this.keptIn(wanted);
    const before = wanted.keep?.find(({ key }) => key === kept?.key);
    const moved = kept === undefined ? 0 : kept.at - (before?.at ?? 0);
    const from = Math.max(0, Math.min(wanted.from + moved, this.sequence.count - 1));
    this.takeBox(wanted.box);
    const range = { ...wanted, from, to: from + wanted.to - wanted.from };
    const places = wantedPlaces(this.sequence, range, { arrangement, widthPx: this.widthPx });
    if (this.ports.measured.measure(places)) this.arrangeLines();
    return {
      sequence: {
        ...this.sequence.toDraw(arrangement, wanted.sequence),
        sticks: list?.sections?.sticks === true,
        animates: list?.animates === true,
        holdsNew: list?.holdsNew === true,
        coversSafeAreas: list?.coversSafeAreas === true,
      },
      entries: this.entries(places),
      places,
      over: this.headingOver(from),
      above: this.bar('above'),
      below: this.bar('below'),
      kept,
      state: this.sequence.state,
      kindCounts: this.sequence.counts,
    };
  }

  /** What stays in sight at an end of the list: it is of all rows, as header and footer are. */
  private bar(end: 'above' | 'below'): Bar | undefined {
    const id = this.list?.[end];
    const plans = this.ports.plans();
    const plan = plans.findIndex(({ template }) => template === id);
    const [own, template] = [plans[plan], this.ports.templates()[plan]];
    if (own === undefined || template === undefined) return undefined;
    const { measured } = this.ports;
    const values = template.values(this.shown.firstItem, this.shown.contextOfAll());
    const box = this.rowBox(this.box);
    const shrunk = measured.shrunkOf(own, values, box);
    const entry: Entry = { kind: 'bar', key: end, plan, values, ...(shrunk && { shrunk }) };
    return { entry, heightPx: measured.heightOf(own, values, box) ?? own.heightPx };
  }

  private headingOver(from: number): ListFrame['over'] {
    const { sections, kinds } = this.sequence.arranged;
    if (this.list?.sections?.sticks !== true) return undefined;
    let at = from;
    while (at >= 0 && sections[at] === sections[from] && kinds[at] !== heading) at -= 1;
    const [own] = at < from && kinds[at] === heading ? this.entries([at]) : [];
    return own && { at, entry: own };
  }

  private keptIn({ keep = [], sequence }: EntryRange): Kept | undefined {
    if (this.sequence.isKnown(sequence)) return undefined;
    for (const { key } of keep) {
      const at = this.entryOfKey(key);
      if (at >= 0) return { key, at };
    }
    return undefined;
  }

  /** The finished entries that stand at some places, in their order. */
  entries(asked: readonly number[]): Entry[] {
    const places = asked.filter((place) => place >= 0 && place < this.sequence.count);
    // Who scrolls on sees them next.
    this.ports.measured.measure(places);
    const { list } = this;
    const { arrangement = noArrangement } = list ?? {};
    const isDivided = arrangement.kind === 'list' && hasLines(arrangement.separators);
    const hasBlocks = arrangement.kind === 'list' && arrangement.blocks === true;
    const isFolded = list && foldedIn(list, this.ports.part().toggled);
    const isSkeleton = this.sequence.state === 'loading' && list?.states?.loading === undefined;
    const rows = this.rowValues();
    const box = this.rowBox(this.box);
    return places.map((entry) => {
      const own = this.entry(entry, rows, box);
      if (own.kind === 'state' && isSkeleton)
        return { ...own, values: own.values.map(() => undefined), isSkeleton };
      if (own.kind === 'heading' && isFolded !== undefined)
        return { ...own, isFolded: isFolded(own.key) };
      const block = hasBlocks ? this.shown.blockAt(entry) : undefined;
      const divides = isDivided && this.isDivided(entry, rows);
      if (block === undefined && !divides) return own;
      return { ...own, ...(block && { block }), ...(divides && { isDivided: true }) };
    });
  }

  /** A line stands between two rows, none of them in a strip. */
  private isDivided(entry: number, { breadths: ofPlans }: RowValues): boolean {
    const { arranged } = this.shown;
    return [entry, entry + 1].every(
      (each) => arranged.kinds[each] === 0 && breadthAt(arranged, ofPlans, each) !== breadths.strip,
    );
  }

  private entry(entry: number, rows: RowValues, box: RowBox | undefined): Entry {
    const { shown } = this;
    const plan = shown.arranged.plans[entry] ?? 0;
    const key = shown.keyAt(entry);
    const item = shown.rowItem(entry);
    const template = this.ports.templates()[plan];
    const made = this.valuesAt(entry);
    const values =
      template === undefined || item === undefined ? made : this.ports.finish(template, key, made);
    const shrunk = this.ports.measured.shrunkIn(rows, entry, box);
    const kind = shown.kindAt(entry);
    const isInStrip = breadthAt(shown.arranged, rows.breadths, entry) === breadths.strip;
    return {
      kind,
      key,
      ...(item !== undefined && { item }),
      plan,
      values,
      ...(shrunk && { shrunk }),
      ...(isInStrip && { isInStrip }),
    };
  }

  /** Where the row of the item with a key stands; -1: nowhere. */
  entryOfKey(key: string): number {
    const item = this.ports.itemOfKey(key);
    return item < 0 ? -1 : this.sequence.entryOf(item);
  }

  private takeBox(box: ListBox | undefined): void {
    if (box === undefined) return;
    const { widthPx, ratio, textSize, density } = box;
    const before = this.box;
    this.box = box;
    const isOther = ratio !== before?.ratio || textSize !== before.textSize;
    if (isOther || density !== before.density) this.ports.boxChanged();
    else if (widthPx !== before.widthPx) this.arrangeLines();
  }

  rowValues(): RowValues {
    const { arranged } = this.shown;
    const plans = this.ports.plans();
    const { arrangement = noArrangement } = this.list ?? {};
    const templates = plans.map(({ template }) => template);
    return {
      ...{ arranged, plans, breadths: breadthsOf(arrangement, templates) },
      valuesAt: (entry) => this.valuesAt(entry),
    };
  }

  /** What boxes hang on besides their rows; undefined: nobody has said how wide the list is. */
  rowBox(box: ListBox | undefined): RowBox | undefined {
    const arrangement = this.list?.arrangement;
    if (box === undefined || arrangement === undefined) return undefined;
    return { ...box, widths: widthsIn(arrangement, box.widthPx), language: this.ports.locale() };
  }

  private valuesAt(entry: number): EntryValue[] {
    const { shown } = this;
    const template = this.ports.templates()[shown.arranged.plans[entry] ?? 0];
    return template?.values(shown.itemAt(entry), shown.contextAt(entry)) ?? [];
  }
}

/** Until somebody has said how wide the list is. */
const usualWidthPx = 360;
const heading = kindNumber('heading');

const hasLines = (separators: Separators | boolean): boolean =>
  typeof separators === 'object' ? separators.template === undefined : separators;
