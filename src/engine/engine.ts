import { atOnce, type Finding, inTurns, type Turns } from '../core/base';
import { followsTime, type Item, type ItemKeys, itemKeys, type Succession } from '../core/items';
import { partHeight } from '../core/layout';
import { chooser, columnsOf, type Entry, type List, type RowPlan, rowPlanOf } from '../core/lists';
import { isAddress, pictureFinder } from '../core/pictures';
import {
  type FindItem,
  itemsIdOf,
  localeOf,
  ownSet,
  type Project,
  type Source,
  withId,
} from '../core/project';
import type { CompiledTemplate } from '../core/templates';
import { plainText, type RowContext } from '../core/values';
import { holdsWords, SourceStore } from './items';
import { CompiledTemplates } from './project';
import type { ItemAtHand, Scene } from './scene';
import type { EntryRange, Survey, View } from './views';
import { ListSequence, missingPictures, Once, oddBindings, surveyTemplates } from './views';

export interface EnginePorts {
  /** Lets others have their turn. */
  pause(): Promise<void>;
  /** The time, as ISO 8601 with a zone. */
  now(): string;
  /** Told of a change to a source's items that undo can't go back to any more. */
  forgot?(source: string, revision: number): void;
}

const noKeys = itemKeys([], null, '');

/**
 * Project and items in, finished entries out. One engine serves one project; the worker, the
 * server and the command line each have their own.
 */
export class Engine implements Scene {
  project: Project | undefined;
  private readonly sources = new Map<string, SourceStore>();
  private readonly compiledTemplates = new CompiledTemplates((source, key) =>
    this.lookUp(source, key),
  );
  private templates: readonly CompiledTemplate[] = [];
  private planIds: readonly string[] = [];
  private plans: readonly RowPlan[] = [];
  private readonly sequence = new ListSequence();
  private choiceCounts: readonly number[] = [];
  private listId: string | undefined;
  /** Another one for each change of items or project. */
  version = 0;
  private locale: string | undefined;
  private readonly once = new Once();
  /** One time for all rows. */
  now = '';
  /** By source, made once for a version: lookups run over all items. */
  private readonly finders = new Map<string, Finder>();

  constructor(private readonly ports: EnginePorts) {}

  /** Replaces all items of a source; `revision`: the change that they are after. */
  hold(source: string, items: readonly Item[], unique?: string, revision = 0): void {
    const before = this.sources.get(source);
    const held = new SourceStore(items, unique, revision, (gone) =>
      this.ports.forgot?.(source, gone),
    );
    if (before !== undefined) held.show(before.shownSetId);
    this.sources.set(source, held);
  }

  /** Takes up all items of a project file, sets and all. */
  holdFile(project: Project, items: ReadonlyMap<string, readonly Item[]>): void {
    for (const source of project.sources) {
      this.hold(source.id, items.get(source.id) ?? [], undefined, source.revision);
      for (const set of source.sets ?? [])
        this.held(source.id).addKept(set.id, items.get(itemsIdOf(source.id, set.id)) ?? []);
    }
  }

  /** What is held of a source; an empty one for a source that has no items yet. */
  held(source: string): SourceStore {
    const known = this.sources.get(source);
    if (known !== undefined) return known;
    this.hold(source, []);
    return this.held(source);
  }

  clear(): void {
    this.sources.clear();
    this.once.clear();
    this.project = undefined;
    this.locale = undefined;
  }

  /** The items of a source's set that is shown, as the project's types want them. */
  heldIn(source: string): readonly Item[] {
    const own = this.project === undefined ? undefined : withId(this.project.sources, source);
    const held = this.sources.get(source)?.shown();
    if (held === undefined) return [];
    return own === undefined || this.project === undefined
      ? held.raw
      : held.items(this.project, own, this.now);
  }

  /** All items as they were read, by source and set, as a project has them that is or was shown. */
  itemsOf(project: Project): ReadonlyMap<string, readonly Item[]> {
    return new Map(
      project.sources.flatMap((source) => {
        const sets = this.held(source.id).setsAt(source.revision ?? 0);
        const ids = [ownSet, ...(source.sets ?? []).map(({ id }) => id)];
        return ids.map((set) => [itemsIdOf(source.id, set), sets.get(set) ?? []] as const);
      }),
    );
  }

  /** Live items take the place of a source's own. */
  replaceLive(source: string, next: Succession): void {
    this.held(source).replace(next);
    this.itemsChanged();
  }

  /** Takes up a project, shows one of its lists, and answers with the wanted entries. */
  update(project: Project, wanted: EntryRange, listId?: string): View {
    this.changed();
    this.project = project;
    for (const source of project.sources) this.held(source.id).goTo(source.revision ?? 0);
    const list =
      (listId === undefined ? undefined : withId(project.lists, listId)) ?? project.lists[0];
    this.listId = list?.id;
    this.compileTemplates(project, list);
    this.arrangeList(project, list);
    return this.view(wanted);
  }

  entries(range: EntryRange): Entry[] {
    const { items, plans } = this.sequence.arranged;
    const source = this.source();
    const held = source === undefined ? [] : this.heldIn(source.id);
    const keys = this.keys();
    const entries: Entry[] = [];
    for (
      let entry = Math.max(0, range.from);
      entry < Math.min(range.to, items.length);
      entry += 1
    ) {
      const item = items[entry] ?? 0;
      const plan = plans[entry] ?? 0;
      const template = this.templates[plan];
      const texts = template?.texts(held[item] ?? {}, this.contextAt(entry)) ?? [];
      const key = keys.at(item);
      if (template?.hasOnce) this.once.keep(template, key, texts, this.localeNow());
      entries.push({ kind: 'row', key, item, plan, texts });
    }
    return entries;
  }

  /** Entries of items with one template; `plan` 0 stands for that template. */
  tryTemplate(template: string, items: readonly number[]): Entry[] {
    const compiled = this.compiled(template);
    const held = this.shownItems();
    if (compiled === undefined) return [];
    return items.map((item) => ({
      kind: 'row',
      key: this.keys().at(item),
      item,
      plan: 0,
      texts: compiled.texts(held[item] ?? {}, this.contextOf(item)),
    }));
  }

  /** Past the ends: the item at that end; undefined: there are none. */
  itemAtHand(position: number): ItemAtHand | undefined {
    const items = this.shownItems();
    const item = Math.max(0, Math.min(items.length - 1, position));
    const value = items[item];
    if (value === undefined) return undefined;
    const type = this.typesShown()(item);
    const titled = this.templates.find(({ template }) => template.type === type);
    const label = titled?.slots.findIndex((slot) => slot.property === 'text') ?? -1;
    const title =
      (label < 0 ? undefined : titled?.slots[label]?.text(value, this.contextOf(item))) ??
      this.keys().at(item);
    const entry = this.sequence.entryOf(item);
    return { item, entry, value, type, title };
  }

  find(words: string, after: number): number {
    const wanted = words.toLowerCase();
    const items = this.shownItems();
    for (let step = 1; step <= items.length; step += 1) {
      const at = (after + step) % items.length;
      if (holdsWords(items[at], wanted)) return at;
    }
    return -1;
  }

  firstOfType(type: string): number {
    const known = this.shownTypes();
    return known === undefined ? -1 : known.indexes.indexOf(known.types.indexOf(type));
  }

  /** Takes the time anew; false: no row follows it. */
  tick(): boolean {
    const areItemsLater = this.itemsFollowTime();
    if (!areItemsLater && !this.templates.some((template) => template.followsTime)) return false;
    this.now = '';
    if (areItemsLater) this.itemsChanged();
    else this.changed();
    return true;
  }

  private itemsFollowTime(): boolean {
    return this.project?.types.some(({ fields }) => followsTime(fields)) ?? false;
  }

  /** Shows all rows in a locale. */
  showLocale(locale: string): void {
    this.locale = locale;
    this.changed();
    if (this.project !== undefined) this.compileTemplates(this.project, this.list());
  }

  localeNow(): string {
    return this.locale ?? (this.project === undefined ? 'en' : localeOf(this.project));
  }

  /** The item as it was read, before its type named and decoded it. */
  rawAt(position: number): Item | undefined {
    const source = this.source();
    return source && this.sources.get(source.id)?.shown().raw[position];
  }

  /** Counts over all items, with turns for others; undefined if a newer version came meanwhile. */
  async survey(): Promise<(Survey & { readonly version: number }) | undefined> {
    const { version } = this;
    const isStale = () => this.version !== version;
    const pause = async () => {
      await this.ports.pause();
      if (isStale()) throw new Stale();
    };
    try {
      return { version, ...(await inTurns(this.surveying(), pause)) };
    } catch (error) {
      if (error instanceof Stale) return undefined;
      throw error;
    }
  }

  /** The same at once, where nobody waits. */
  surveyNow(): Survey {
    return atOnce(this.surveying());
  }

  private *surveying(): Turns<Survey> {
    const pictures = pictureFinder(this.project?.pictures ?? []);
    const isAtHand = (name: string) => isAddress(name) || pictures.has(name);
    const items = this.shownItems();
    const templates = yield* surveyTemplates(
      this.templates,
      this.sequence.arranged,
      items,
      (entry) => this.contextAt(entry),
      isAtHand,
    );
    const source = this.source();
    const misfits =
      source === undefined || this.project === undefined
        ? []
        : yield* this.held(source.id).shown().misfits(this.project, source, this.now);
    return {
      templates,
      findings: [
        ...oddBindings(templates, this.templates, items),
        ...missingPictures(templates),
        ...misfits,
      ],
    };
  }

  /** Shows another set of a source's items, without touching the project. */
  showSet(source: string, set: string): void {
    this.held(source).show(set);
    this.itemsChanged();
  }

  view(wanted: EntryRange): View {
    const arrangement = this.list()?.arrangement ?? {
      kind: 'list',
      gap: 0,
      edge: 0,
      separators: true,
    };
    const columns = columnsOf(arrangement);
    const from = Math.max(0, Math.min(wanted.from, this.sequence.count - columns));
    return {
      version: this.version,
      list: this.listId,
      sequence: this.sequence.toDraw(arrangement, wanted.sequence),
      plans: this.plans,
      entries: this.entries({ from, to: from + wanted.to - wanted.from }),
      entriesFrom: from,
      itemCount: this.shownItems().length,
      choiceCounts: this.choiceCounts,
      findings: this.findings(),
    };
  }

  /** What is wrong with the project as it stands; keys are checked over all items. */
  private findings(): readonly Finding[] {
    return [...this.compiledTemplates.findings(), ...this.keys().findings];
  }

  private keys(): ItemKeys {
    const source = this.source();
    return source === undefined || this.project === undefined
      ? noKeys
      : this.held(source.id).shown().keys(this.project, source, this.now);
  }

  /** For `lookup`: the item of a source's set that is shown, by its key. */
  readonly lookUp: FindItem = (id, key) => {
    let find = this.finders.get(id);
    if (find === undefined) {
      find = this.finderOf(id);
      this.finders.set(id, find);
    }
    return find(plainText(key) ?? '');
  };

  private finderOf(id: string): Finder {
    const { project } = this;
    const source = project === undefined ? undefined : withId(project.sources, id);
    return project === undefined || source === undefined
      ? () => undefined
      : this.held(id).shown().finder(project, source, this.now);
  }

  /** What stands around the item of an entry. */
  private contextAt(index: number): RowContext {
    return { index, count: this.sequence.count, now: this.now };
  }

  contextOf(item: number): RowContext {
    const entry = this.sequence.entryOf(item);
    return entry < 0 ? { now: this.now } : this.contextAt(entry);
  }

  /** The same for an item of any source: only those of the list that is shown stand somewhere. */
  contextsOf(source: string): (item: number) => RowContext {
    const around: RowContext = { now: this.now };
    return source === this.source()?.id ? (item) => this.contextOf(item) : () => around;
  }

  /** Items or project are others now. */
  private changed(): void {
    this.version += 1;
    this.takeTime();
    this.finders.clear();
  }

  /** Where items follow the time, all of them would be made anew at each edit: a minute is as fine as they say it. */
  private takeTime(): void {
    const now = this.ports.now();
    const isRecent = Date.parse(now) - Date.parse(this.now) < 60_000;
    if (!isRecent || !this.itemsFollowTime()) this.now = now;
  }

  private itemsChanged(): void {
    this.changed();
    if (this.project !== undefined) this.arrangeList(this.project, this.list());
  }

  private compileTemplates(project: Project, list: List | undefined): void {
    this.compiledTemplates.take(project, this.localeNow());
    const ids =
      list === undefined ? [] : [...list.choices.map((choice) => choice.template), list.otherwise];
    this.templates = [...new Set(ids)].flatMap((id) => (id && this.compiled(id)) || []);
    this.planIds = this.templates.map((each) => each.template.id);
    this.plans = this.templates.map(({ template }) => ({
      ...rowPlanOf(template),
      heightPx: partHeight(template.row),
    }));
  }

  private arrangeList(project: Project, list: List | undefined): void {
    const source = list === undefined ? undefined : withId(project.sources, list.source);
    if (list === undefined || source === undefined) {
      this.sequence.clear();
      this.choiceCounts = [];
      return;
    }
    const held = this.held(source.id).shown();
    const choose = chooser(list);
    const { types, indexes, counts } = held.types(project, source);
    // The last stands for items of no known type.
    const planOfType = Int16Array.from([...types, undefined], (type) => {
      const template = choose(type);
      return template === null ? -1 : this.planIds.indexOf(template);
    });
    const heights = Float32Array.from(this.plans, (plan) => plan.heightPx);
    this.sequence.arrange(indexes, planOfType, heights, list.arrangement);
    const chosen = list.choices.map((choice) => counts[types.indexOf(choice.type)] ?? 0);
    const others = held.raw.length - chosen.reduce((sum, count) => sum + count, 0);
    this.choiceCounts = [...chosen, others];
  }

  private list(): List | undefined {
    return this.listId === undefined || this.project === undefined
      ? undefined
      : withId(this.project.lists, this.listId);
  }

  private source(): Source | undefined {
    const list = this.list();
    return list === undefined || this.project === undefined
      ? undefined
      : withId(this.project.sources, list.source);
  }

  shownItems(): readonly Item[] {
    const source = this.source();
    return source === undefined ? [] : this.heldIn(source.id);
  }

  typesShown(): (item: number) => string | undefined {
    const known = this.shownTypes();
    return (item) => known?.types[known.indexes[item] ?? known.types.length];
  }

  private shownTypes() {
    const source = this.source();
    return source === undefined || this.project === undefined
      ? undefined
      : this.held(source.id).shown().types(this.project, source);
  }

  compiled(id: string): CompiledTemplate | undefined {
    return this.compiledTemplates.compiled(id);
  }
}

type Finder = (key: string) => Item | undefined;

class Stale extends Error {}
