import {
  ArrangedList,
  type EntryRange,
  type ListFrame,
  type MeasuresRows,
  type PartOfList,
  type RowMaker,
} from '../arranged';
import type { Item } from '../items';
import {
  candidates,
  choicesOfItems,
  type Entry,
  listSources,
  type RowPlan,
  type SectionTable,
  sectionsBySource,
  sectionTable,
  sortColumn,
  sortedBy,
} from '../lists';
import type { EntryValue } from '../templates';
import { type ActedPart, type PackedRaised, raisedBy, writtenBy } from './acting';
import { type JoinedItems, joinedItems, nothing, type PackedItems, takenItems } from './items';
import type { PackedExpression, PackedList, PackedProject, PackedSource } from './packed';
import { evaluator, rowMaker } from './templates';

/** How a list is shown. */
export interface PackedSettings extends PartOfList {
  /** BCP 47. */
  readonly locale: string;
  /** Undefined: the project has no looks. */
  readonly look: string | undefined;
  /** As ISO 8601 with a zone. */
  readonly now: string;
}

/** What the list has beside its design. */
export interface PackedPorts {
  readonly measured: MeasuresRows;
  /** Items by their source, as they come. */
  readonly items: ReadonlyMap<string, readonly Item[]>;
  readonly hasPicture: (name: string) => boolean;
}

/** What a frame of it has for who draws. */
export interface PackedFrame extends ListFrame {
  readonly plans: readonly RowPlan[];
}

const maxFirst = 200_000;

/** A list of a pack with its items: which entries stand where, and what they show. */
export class PackedView {
  private readonly list: ArrangedList<RowMaker>;
  private makers: readonly RowMaker[] = [];
  private readonly plans: readonly RowPlan[];
  private taken: ReadonlyMap<string, PackedItems> = new Map();
  private joined: JoinedItems = joinedItems([]);
  private settings: PackedSettings;
  private readonly first = new Map<string, EntryValue>();

  constructor(
    private readonly project: PackedProject,
    private readonly packed: PackedList,
    private readonly ports: PackedPorts,
    settings: PackedSettings,
  ) {
    this.settings = settings;
    const { tokens } = project;
    this.plans = project.templates.map(({ plan }) => ({ ...plan, tokens }));
    this.list = new ArrangedList({
      measured: ports.measured,
      templates: () => this.makers,
      plans: () => this.plans,
      locale: () => this.settings.locale,
      part: () => this.settings,
      around: () => this.around(),
      itemOfKey: (key) => this.joined.positionOf(key),
      finish: (maker, key, values) => this.asFirst(maker, key, values),
      boxChanged: () => this.arrange(),
    });
    this.takeMakers();
    this.itemsChanged();
  }

  /** Other items, or other settings of the same. */
  show(settings: PackedSettings): void {
    const before = this.settings;
    this.settings = settings;
    if (before.locale !== settings.locale) this.takeMakers();
    this.arrange();
  }

  itemsChanged(): void {
    const { project, ports } = this;
    const plain = evaluator({ formatOptions: [] }, this.reach);
    const { now } = this.settings;
    this.taken = new Map(
      project.sources.map((source) => [
        source.id,
        takenItems(source, ports.items.get(source.id) ?? [], plain, now),
      ]),
    );
    this.joined = joinedItems(
      this.sources.map((source) => ({ source, own: this.takenOf(source.id) })),
    );
    this.arrange();
  }

  frame(wanted: EntryRange): PackedFrame {
    return { ...this.list.frame(wanted), plans: this.plans };
  }

  entries(places: readonly number[]): Entry[] {
    return this.list.entries(places);
  }

  /** Heights are known now that were not. */
  measured(): void {
    this.list.arrangeAgain();
  }

  entryOfKey(key: string): number {
    return this.list.entryOfKey(key);
  }

  /** What a gesture on a part of an entry raises. */
  raised({ key, plan, item }: Entry, part: ActedPart): readonly PackedRaised[] {
    const own = item === undefined ? undefined : this.joined.items[item];
    const entry = item === undefined ? -1 : this.list.sequence.entryOf(item);
    const context = entry < 0 ? this.around() : this.list.shown.contextAt(entry);
    const evaluateOf = evaluator({ formatOptions: [] }, this.reach);
    return raisedBy(this.project, { key, plan, context, item: own }, part, evaluateOf);
  }

  /** The field that a control of an entry writes, in the names that items have as they come. */
  written({ plan }: Entry, part: string): readonly string[] | undefined {
    return writtenBy(this.project, plan, part);
  }

  /** Where an item of the list is among those of its source; undefined: it is gone. */
  placeOf(key: string): { readonly source: string; readonly at: number } | undefined {
    const item = this.joined.positionOf(key);
    const start = this.joined.starts.findLast((each) => each.start <= item);
    return item < 0 || start === undefined
      ? undefined
      : { source: start.id, at: item - start.start };
  }

  /** What is shown once, as it was first. */
  private asFirst(maker: RowMaker, key: string, values: EntryValue[]): EntryValue[] {
    const plan = this.makers.indexOf(maker);
    const { slots = [] } = this.project.templates[plan] ?? {};
    for (const [at, { once }] of slots.entries()) {
      if (once !== true) continue;
      const id = JSON.stringify([this.settings.locale, plan, at, key]);
      if (!this.first.has(id) && this.first.size < maxFirst) this.first.set(id, values[at]);
      if (this.first.has(id)) values[at] = this.first.get(id);
    }
    return values;
  }

  private around() {
    const { now, look } = this.settings;
    return { now, ...(look !== undefined && { look }) };
  }

  private get reach() {
    return {
      project: this.project,
      locale: this.settings.locale,
      hasPicture: this.ports.hasPicture,
      find: (source: string, key: unknown) => {
        const own = this.taken.get(source);
        return own?.items[own.positionOf(String(key))];
      },
    };
  }

  private takeMakers(): void {
    this.makers = this.project.templates.map((template) => rowMaker(template, this.reach));
  }

  private arrange(): void {
    const { packed, joined, settings } = this;
    const { list } = packed;
    const { look, now } = settings;
    const context = this.around();
    const evaluateOf = evaluator({ formatOptions: [] }, this.reach);
    const conditions = packed.conditions.map((each) => each && evaluateOf(each));
    const types = this.sources.flatMap((source) => source.types.map(({ id }) => id));
    const choices = choicesOfItems(
      joined.types,
      candidates(list, types),
      (choice, item) => conditions[choice]?.(joined.items[item] ?? {}, context) === true,
    );
    const valuesBy = (expression: PackedExpression) => {
      const evaluate = evaluateOf(expression);
      return joined.items.map((item) => evaluate?.(item, { now }));
    };
    const order = this.orderBy(valuesBy);
    const { source: inserted } = list.inserts ?? {};
    this.list.arrange({
      ...{ list, items: joined.items, choices, order, look, hasMore: false },
      keys: { at: (item) => joined.keys[item] ?? '', repeated: [], findings: [] },
      inserted: inserted === undefined ? undefined : this.takenOf(inserted).items,
      table: this.sectionsBy(valuesBy, order),
    });
  }

  private orderBy(valuesBy: ValuesBy): Int32Array | undefined {
    const { list, order } = this.packed;
    if (list.order === undefined || list.order.length === 0) return undefined;
    const { compare } = new Intl.Collator(this.settings.locale, { numeric: true });
    const columns = list.order.map((key, at) => {
      const by = order[at] ?? null;
      return sortColumn(valuesBy(by), by?.type.type, key, compare);
    });
    return sortedBy(this.joined.items.length, columns);
  }

  private sectionsBy(valuesBy: ValuesBy, order: Int32Array | undefined): SectionTable | undefined {
    const { list, by } = this.packed;
    if (list.sections === undefined) return undefined;
    const { part, order: way } = list.sections;
    if (list.sections.by === undefined)
      return sectionsBySource(this.joined.items.length, this.joined.starts);
    const { locale } = this.settings;
    return sectionTable({ values: valuesBy(by), part, order: way, items: order, locale });
  }

  /** The list's sources that are there. */
  private get sources(): readonly PackedSource[] {
    const { sources } = this.project;
    return listSources(this.packed.list).flatMap(
      (id) => sources.find((each) => each.id === id) ?? [],
    );
  }

  private takenOf(source: string): PackedItems {
    return this.taken.get(source) ?? nothing;
  }
}

type ValuesBy = (expression: PackedExpression) => readonly unknown[];
