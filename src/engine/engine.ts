import { atOnce, failed, inTurns, type Result, type Turns } from '../core/base';
import { followsTime, type Item, type Succession } from '../core/items';
import type { Entry, Space } from '../core/lists';
import { type FindItem, itemsIdOf, ownSet, type Project, withId } from '../core/project';
import type { CompiledTemplate } from '../core/templates';
import { plainText, type RowContext } from '../core/values';
import { holdsWords, type ItemStore, SourceStore, Titles } from './items';
import { CompiledTemplates } from './project';
import type { ItemAtHand, PartTask, Scene } from './scene';
import {
  answerTo,
  type ChoiceAsked,
  type ChoiceTable,
  type EntryRange,
  type Frame,
  type GestureAnswer,
  type GestureTask,
  type MoveTask,
  movedTo,
  type PartFacts,
  type PartShown,
  type RowMeasures,
  type RowMoved,
  type Survey,
  type Tried,
  View,
  type ViewSettings,
  type World,
} from './views';

export interface EnginePorts {
  /** Lets others have their turn. */
  pause(): Promise<void>;
  /** The time, as ISO 8601 with a zone. */
  now(): string;
  /** Who measures texts; undefined: heights that hang on them stay rough. */
  readonly measures?: RowMeasures;
  /** Told of a change to a source's items that undo can't go back to any more. */
  forgot?(source: string, revision: number): void;
}

/**
 * Project and items in, frames out: of the view that screens and command line ask about, and of any
 * beside it. One engine serves one project; the worker and the command line each have their own.
 */
export class Engine implements Scene, World {
  project: Project | undefined;
  now = '';
  version = 0;
  /** Each change of what is shown gives another one, but for those of its items: they may change many times a second. */
  edition = 0;
  private ofEdition = '';
  private readonly sources = new Map<string, SourceStore>();
  private readonly titles = new Titles();
  private readonly templates = new Map<string, CompiledTemplates>();
  private readonly main = new View(this);
  private readonly beside = new Map<string, View>();
  /** The finder of each source, made once for a version: lookups run over all items. */
  private readonly finders = new Map<string, Finder>();

  constructor(private readonly ports: EnginePorts) {}

  get measures(): RowMeasures | undefined {
    return this.ports.measures;
  }

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
    this.templates.clear();
    this.project = undefined;
    this.main.forget();
    this.main.show({
      ...{ list: undefined, set: undefined, locale: undefined },
      ...{ state: undefined, filter: undefined, toggled: undefined },
    });
    // Who has a second window open keeps it: the next project is shown there, too.
    for (const view of this.beside.values()) view.forget();
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

  /** The page of a source that waits to be asked for; undefined: all are there. */
  pageWaits(source: string, address: string | undefined): void {
    const had = this.hasMore(source);
    this.held(source).nextPage = { address };
    // What was answered already stays true where nothing is seen of it.
    if (this.hasMore(source) !== had) this.itemsChanged();
  }

  /**
   * Whether a page of a source waits until a list comes near its end. Nobody knows of one in a project
   * that was only opened: nothing is asked of an address that nobody asked for.
   */
  hasMore(source: string): boolean {
    const { pages } = withId(this.project?.sources ?? [], source)?.from ?? {};
    return pages?.waits === true && this.held(source).nextPage?.address !== undefined;
  }

  /** Takes up a project, shows one of its lists, and answers with the wanted entries. */
  update(project: Project, wanted: EntryRange, list?: string): Frame {
    this.changed();
    this.project = project;
    for (const source of project.sources) this.held(source.id).goTo(source.revision ?? 0);
    this.main.show({ list });
    this.arrangeBeside();
    this.takeEdition();
    return this.view(wanted);
  }

  view(wanted: EntryRange): Frame {
    return this.main.frame(wanted);
  }

  /** A view beside the first, with settings of its own. */
  openBeside(id: string, settings: ViewSettings, wanted: EntryRange): Frame {
    const view = this.beside.get(id) ?? new View(this);
    this.beside.set(id, view);
    view.show(settings);
    return view.frame(wanted);
  }

  closeBeside(id: string): void {
    this.beside.delete(id);
  }

  /** Views beside the first, as they are now. */
  framesBeside(wanted: (id: string) => EntryRange): readonly { id: string; frame: Frame }[] {
    return [...this.beside].map(([id, view]) => ({ id, frame: view.frame(wanted(id)) }));
  }

  entries(places: readonly number[], view?: string): Entry[] {
    return (view === undefined ? this.main : this.beside.get(view))?.entries(places) ?? [];
  }

  /** What a gesture raises, allowed or not. */
  answerTo(task: GestureTask, view?: string): GestureAnswer {
    const own = view === undefined ? this.main : this.beside.get(view);
    return own === undefined ? { at: undefined, raised: [] } : answerTo(own.acting, task);
  }

  /** What becomes of an item whose row is let go somewhere else; why nothing does, if so. */
  moveTo(task: MoveTask, view?: string): Result<RowMoved, string> {
    const own = view === undefined ? this.main : this.beside.get(view);
    return own === undefined ? failed('the window is closed') : movedTo(own.acting, task);
  }

  /** Where the item with a key stands; -1: nowhere. */
  entryOfKey(key: string, view?: string): number {
    return (view === undefined ? this.main : this.beside.get(view))?.entryOfKey(key) ?? -1;
  }

  /** Where the item with a key stands in the source of the first view; -1: nowhere in the set that is shown. */
  itemOfKey(key: string): number {
    return this.main.of.itemOfKey(key);
  }

  tryTemplate(template: string, items: readonly number[]): Tried | undefined {
    return this.main.tryTemplate(template, items);
  }

  tryCompiled(template: CompiledTemplate, items: readonly number[]): Tried {
    return this.main.tryCompiled(template, items);
  }

  /** The item at a position, or at the end that it is past; undefined where there are none. */
  itemAtHand(position: number): ItemAtHand | undefined {
    const items = this.shownItems();
    const item = Math.max(0, Math.min(items.length - 1, position));
    const value = items[item];
    const source = this.main.of.source()?.id;
    if (value === undefined || source === undefined) return undefined;
    const key = this.main.of.keys().at(item);
    const typeOf = this.typesShown();
    const type = typeOf(item);
    const own = withId(this.project?.types ?? [], type ?? '');
    const title = (own && this.titles.of(value, own, { items, typeOf })) ?? key;
    return { item, key, source, entry: this.main.entryOf(item), value, type, title };
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

  itemsOfType(type: string, max: number): readonly number[] {
    return this.main.of.itemsOfType(type, max);
  }

  /** Takes the time anew; false: no row follows it. */
  tick(): boolean {
    const areItemsLater = this.itemsFollowTime();
    const areRowsLater =
      this.main.choices.followTime || this.main.templates.some((template) => template.followsTime);
    if (!areItemsLater && !areRowsLater) return false;
    this.now = '';
    if (areItemsLater || this.main.choices.followTime) this.itemsChanged();
    else this.changed();
    return true;
  }

  /** Shows all rows in a locale. */
  showLocale(locale: string): void {
    this.changed();
    this.main.show({ locale });
    this.takeEdition();
  }

  /** Texts are measured in other faces than before. */
  facesChanged(): void {
    this.changed();
  }

  choiceTable(): ChoiceTable | undefined {
    return this.main.choices.table();
  }

  whyChosen(item: number): readonly ChoiceAsked[] {
    return this.main.choices.whyFor(item);
  }

  lookNow(): string | undefined {
    return this.main.of.look();
  }

  /** Shows all rows in a look of the project. */
  showLook(look: string): void {
    this.changed();
    this.main.show({ look });
    this.takeEdition();
  }

  /** Shows another part of the list: a state, what a filter lets through, what is not folded away. */
  showPart(part: PartShown, wanted: EntryRange): Frame {
    this.main.show(part);
    return this.main.frame(wanted);
  }

  localeNow(): string {
    return this.main.of.locale();
  }

  /** Shows another set of a source's items, without touching the project. */
  showSet(source: string, set: string): void {
    this.held(source).show(set);
    this.itemsChanged();
    this.takeEdition();
  }

  /**
   * Counts over all items, with turns for others; undefined if another edition came meanwhile. Items
   * that change meanwhile are counted as they were when it began.
   */
  async survey(): Promise<(Survey & { readonly edition: number }) | undefined> {
    const { edition } = this;
    const pause = async () => {
      await this.ports.pause();
      if (this.edition !== edition) throw new Stale();
    };
    try {
      return { edition, ...(await inTurns(this.main.surveying(), pause)) };
    } catch (error) {
      if (error instanceof Stale) return undefined;
      throw error;
    }
  }

  /** Whether what is found hangs on how wide texts are. */
  get checksBoxes(): boolean {
    return (this.project?.widths?.length ?? 0) > 0;
  }

  /** Whether a row's height is rough that could be known. */
  get isRough(): boolean {
    return [this.main, ...this.beside.values()].some((view) => view.isRough);
  }

  /** Measures all rows, with turns for others; false: another version came meanwhile. */
  async measureRows(): Promise<boolean> {
    const { version } = this;
    const pause = async () => {
      await this.ports.pause();
      if (this.version !== version) throw new Stale();
    };
    try {
      for (const view of [this.main, ...this.beside.values()])
        await inTurns(view.measuring(), pause);
      return true;
    } catch (error) {
      if (error instanceof Stale) return false;
      throw error;
    }
  }

  /** How a part fares in all rows of the first view. */
  *partFacts({ template, part, box }: PartTask): Turns<PartFacts | undefined> {
    return yield* this.main.facts({ template, part }, box);
  }

  /** Who takes the room of a stack in an item's row of the first view. */
  spaceIn(item: number, { template, part, box }: PartTask): Space | undefined {
    return this.main.spaceIn(item, { template, part }, box);
  }

  /** The same at once, where nobody waits. */
  surveyNow(): Survey {
    return atOnce(this.main.surveying());
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

  store(source: string, set?: string): ItemStore {
    const held = this.held(source);
    return set === undefined ? held.shown() : held.set(set);
  }

  setShown(source: string): string {
    return this.held(source).shownSetId;
  }

  templatesIn(locale: string): CompiledTemplates {
    let templates = this.templates.get(locale);
    if (templates === undefined) {
      templates = new CompiledTemplates((source, key) => this.lookUp(source, key));
      this.templates.set(locale, templates);
    }
    if (this.project !== undefined) templates.take(this.project, locale);
    return templates;
  }

  shownItems(): readonly Item[] {
    return this.main.of.items();
  }

  /** The item as it was read, before its type named and decoded it. */
  rawAt(position: number): Item | undefined {
    return this.main.of.rawItems()[position];
  }

  typesShown(): (item: number) => string | undefined {
    return this.main.of.types();
  }

  contextOf(item: number): RowContext {
    return this.main.contextOf(item);
  }

  /** The same for an item of any source: only those of the list that is shown stand somewhere. */
  contextsOf(source: string): (item: number) => RowContext {
    const around: RowContext = { now: this.now };
    return source === this.main.of.source()?.id ? (item) => this.contextOf(item) : () => around;
  }

  compiled(id: string): CompiledTemplate | undefined {
    return this.main.compiled(id);
  }

  /** Items or project are others now. */
  private changed(): void {
    this.version += 1;
    this.takeTime();
    this.finders.clear();
  }

  private takeEdition(): void {
    const { project } = this;
    if (project === undefined) return;
    const { types, templates, lists, looks, formats, pictures } = project;
    const { sharedParts, fonts, textStyles, colours } = project;
    const sources = project.sources.map((source) => {
      const { id, name, key, discriminator } = source;
      return [id, name, key, discriminator, this.held(id).shownSetId];
    });
    const names = pictures.map(({ name }) => name);
    const shown = [this.main.of.list()?.id, this.localeNow(), looks, this.main.of.look()];
    const of = JSON.stringify([
      ...[types, templates, lists, formats, names, sources, shown],
      ...[sharedParts, fonts, textStyles, colours],
    ]);
    if (of === this.ofEdition) return;
    this.ofEdition = of;
    this.edition += 1;
  }

  /** Where items follow the time, all of them would be made anew at each edit: a minute is as fine as they say it. */
  private takeTime(): void {
    const now = this.ports.now();
    const isRecent = Date.parse(now) - Date.parse(this.now) < 60_000;
    if (!isRecent || !this.itemsFollowTime()) this.now = now;
  }

  private itemsFollowTime(): boolean {
    return this.project?.types.some(({ fields }) => followsTime(fields)) ?? false;
  }

  private itemsChanged(): void {
    this.changed();
    if (this.project === undefined) return;
    this.main.arrange();
    this.arrangeBeside();
  }

  private arrangeBeside(): void {
    for (const view of this.beside.values()) view.arrange();
  }
}

type Finder = (key: string) => Item | undefined;

class Stale extends Error {}
