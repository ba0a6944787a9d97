import type { Finding, Turns } from '../../core/base';
import { type Item, type ItemKeys, itemKeys } from '../../core/items';
import { cellWidth, unitsOf } from '../../core/layout';
import {
  type Arranged,
  type Arrangement,
  allChosen,
  chosenIn,
  columnsOf,
  type Entry,
  type List,
  plainHeightPx,
  type RowPlace,
  type RowPlan,
  rowPlanOf,
  type Space,
} from '../../core/lists';
import { picturesHave } from '../../core/pictures';
import {
  type FindItem,
  localeOf,
  lookShown,
  type Project,
  type Source,
  withId,
} from '../../core/project';
import type { CompiledTemplate } from '../../core/templates';
import type { RowContext } from '../../core/values';
import type { ItemStore } from '../items';
import type { CompiledTemplates } from '../project';
import type { RowBox, RowMeasures, RowValues } from './boxes/measured-rows';
import { type PartFacts, type PartPlace, RowMeasuring } from './boxes/row-measuring';
import type { Choosing } from './choices/item-choices';
import { ListChoices } from './choices/list-choices';
import type { EntryRange, Frame, ListBox } from './frame';
import { ItemOrder } from './item-order';
import { ListSequence } from './list-sequence';
import { missingPictures } from './missing-pictures';
import { oddBindings } from './odd-bindings';
import { Once } from './once';
import { type Survey, surveyTemplates } from './survey';
import { unfitValues } from './unfit-values';

/** What views are of: one project with its items at one time. */
export interface World {
  readonly project: Project | undefined;
  /** The time of all rows, as ISO 8601 with a zone. */
  readonly now: string;
  /** Each change of items or project gives another one. */
  readonly version: number;
  /** Each change of what is shown gives another one, but for those of its items. */
  readonly edition: number;
  /** A source's items; without a set, those of the set that is shown. */
  store(source: string, set?: string): ItemStore;
  templatesIn(locale: string): CompiledTemplates;
  readonly lookUp: FindItem;
  /** Undefined: nobody measures; heights that hang on texts stay rough. */
  readonly measures: RowMeasures | undefined;
}

/** What one view may have of its own; undefined: as the project or the other views have it. */
export interface ViewSettings {
  readonly list?: string | undefined;
  readonly set?: string | undefined;
  readonly locale?: string | undefined;
  readonly look?: string | undefined;
}

const noKeys = itemKeys([], null, '');
const noArrangement: Arrangement = { kind: 'list', gap: 0, edge: 0, separators: true };

/** A list with its items, its templates and its locale: what one window shows. */
export class View {
  templates: readonly CompiledTemplate[] = [];
  private plans: readonly RowPlan[] = [];
  readonly choices = new ListChoices(() => this.choosing());
  private readonly order = new ItemOrder();
  private readonly sequence = new ListSequence();
  private readonly once = new Once();
  private box: ListBox | undefined;
  private readonly knownPlans = new WeakMap<CompiledTemplate, RowPlace & { plan: RowPlan }>();
  private readonly measured: RowMeasuring;
  private arrangeLines: () => void = () => {};

  constructor(
    private readonly world: World,
    private settings: ViewSettings = {},
  ) {
    this.measured = new RowMeasuring(world);
  }

  show(settings: ViewSettings): void {
    this.settings = { ...this.settings, ...settings };
    this.arrange();
  }

  /** What was shown first is shown anew. */
  forget(): void {
    this.once.clear();
  }

  /** Items or project are others now. */
  arrange(): void {
    this.takeTemplates();
    const list = this.list();
    const source = this.source();
    const { project } = this.world;
    if (list === undefined || source === undefined || project === undefined) {
      this.sequence.clear();
      this.arrangeLines = () => {};
      return;
    }
    const choices = this.choices.take();
    const order = this.order.take({
      ...{ project, list, items: this.items(), locale: this.locale(), now: this.world.now },
    });
    const look = this.look();
    const planIds = this.plans.map((plan) => plan.template);
    const planOfChoice = Int16Array.from(allChosen(list), (chosen) =>
      planIds.indexOf(chosenIn(chosen, look) ?? ''),
    );
    const planHeights = Int32Array.from(this.plans, (plan) => unitsOf(plan.heightPx));
    const { arrangement } = list;
    const heightsOf = (arranged: Arranged) =>
      this.measured.heightsOf(this.rowValues(arranged), this.rowBox(this.box));
    this.arrangeLines = () =>
      this.sequence.arrange({ choices, order, planOfChoice, planHeights, heightsOf, arrangement });
    this.arrangeLines();
  }

  frame(wanted: EntryRange): Frame {
    const arrangement = this.list()?.arrangement ?? noArrangement;
    const kept = this.keptIn(wanted);
    const moved = kept === undefined ? 0 : kept - (wanted.keep?.at ?? 0);
    const from = Math.max(0, Math.min(wanted.from + moved, this.sequence.count - 1));
    this.takeBox(wanted.box);
    if (this.measured.measure(from, from + wanted.to - wanted.from)) this.arrangeLines();
    return {
      version: this.world.version,
      edition: this.world.edition,
      list: this.list()?.id,
      source: this.source()?.id,
      sequence: this.sequence.toDraw(arrangement, wanted.sequence),
      plans: this.plans,
      entries: this.entries({ from, to: from + wanted.to - wanted.from }),
      entriesFrom: from,
      kept,
      itemCount: this.items().length,
      typeCounts: this.typeCounts(),
      findings: this.findings(),
    };
  }

  private keptIn({ keep, sequence }: EntryRange): number | undefined {
    if (keep === undefined || this.sequence.isKnown(sequence)) return undefined;
    const entry = this.entryOfKey(keep.key);
    return entry < 0 ? undefined : entry;
  }

  entries(range: EntryRange): Entry[] {
    const { items, plans } = this.sequence.arranged;
    const shown = this.items();
    const keys = this.keys();
    const rowValues = this.rowValues(this.sequence.arranged);
    const rowBox = this.rowBox(this.box);
    // Who scrolls on sees them next.
    this.measured.measure(range.from, range.to);
    const entries: Entry[] = [];
    const end = Math.min(range.to, items.length);
    for (let entry = Math.max(0, range.from); entry < end; entry += 1) {
      const item = items[entry] ?? 0;
      const plan = plans[entry] ?? 0;
      const template = this.templates[plan];
      const values = template?.values(shown[item] ?? {}, this.contextAt(entry)) ?? [];
      const key = keys.at(item);
      if (template?.hasOnce) this.once.keep(template, key, values, this.locale());
      const shrunk = this.measured.shrunkIn(rowValues, entry, rowBox);
      entries.push({ kind: 'row', key, item, plan, values, ...(shrunk && { shrunk }) });
    }
    return entries;
  }

  /** Finds out how high all rows are; done at once where nothing hangs on texts. */
  *measuring(): Turns<void> {
    yield* this.measured.measuring();
    this.arrangeLines();
  }

  /** How a part fares in all rows; undefined: nothing can be measured, or not yet. */
  *facts(part: PartPlace, list: ListBox): Turns<PartFacts | undefined> {
    const values = this.rowValues(this.sequence.arranged);
    return yield* this.measured.facts(values, part, this.rowBox(list));
  }

  /** Who takes the room of a stack in an item's row; undefined: it has no such row, or not yet. */
  spaceIn(item: number, { template, part }: PartPlace, list: ListBox): Space | undefined {
    const compiled = this.compiled(template);
    const own = this.items()[item];
    if (compiled === undefined || own === undefined) return undefined;
    const values = compiled.values(own, this.contextOf(item));
    return this.measured.spaceIn(planOf(compiled), values, part, this.rowBox(list));
  }

  /** Whether rows are left whose height is rough, though it could be known. */
  get isRough(): boolean {
    return this.measured.isRough;
  }

  /** Items drawn with one template, whatever the list chooses for them. */
  tryTemplate(id: string, items: readonly number[]): Tried | undefined {
    const compiled = this.compiled(id);
    return compiled && this.tryCompiled(compiled, items);
  }

  /** The same with a template that the project does not have. */
  tryCompiled(compiled: CompiledTemplate, items: readonly number[]): Tried {
    const shown = this.items();
    const keys = this.keys();
    const plan = planOf(compiled);
    const box = this.rowBox(this.box);
    const entries = items.map((item): Entry => {
      const values = compiled.values(shown[item] ?? {}, this.contextOf(item));
      const shrunk = this.measured.shrunkOf(plan, values, box);
      return {
        kind: 'row',
        key: keys.at(item),
        item,
        plan: 0,
        values,
        ...(shrunk && { shrunk }),
      };
    });
    return { plan, entries };
  }

  /** Counts over all items. */
  *surveying(): Turns<Survey> {
    const { project, now } = this.world;
    const source = this.source();
    if (project === undefined || source === undefined) return { templates: [], findings: [] };
    const items = this.items();
    const { templates } = this;
    const surveys = yield* surveyTemplates({
      templates,
      arranged: this.sequence.arranged,
      items,
      contextAt: (entry) => this.contextAt(entry),
      hasPicture: picturesHave(project.pictures),
    });
    const misfits = yield* this.store(source).misfits(project, source, now);
    const boxes = yield* this.boxFindings(project);
    return {
      templates: surveys,
      findings: [
        ...oddBindings(surveys, templates, items),
        ...unfitValues(surveys),
        ...missingPictures(surveys),
        ...surveys.flatMap(({ contrast }) => contrast),
        ...misfits,
        ...boxes,
        ...this.choices.findings(),
      ],
    };
  }

  /** What is wrong with boxes at the widths and text sizes that the project names. */
  private *boxFindings({ widths = [], textSizes = [100] }: Project): Turns<readonly Finding[]> {
    const arrangement = this.list()?.arrangement;
    if (arrangement === undefined) return [];
    const at = { widths, textSizes, arrangement, language: this.locale() };
    return yield* this.measured.findings(this.rowValues(this.sequence.arranged), at);
  }

  list(): List | undefined {
    const lists = this.world.project?.lists ?? [];
    const { list } = this.settings;
    return (list === undefined ? undefined : withId(lists, list)) ?? lists[0];
  }

  source(): Source | undefined {
    const list = this.list();
    return list && withId(this.world.project?.sources ?? [], list.source);
  }

  locale(): string {
    const { project } = this.world;
    return this.settings.locale ?? (project === undefined ? 'en' : localeOf(project));
  }

  /** Id of the look that is shown; undefined: the project has none. */
  look(): string | undefined {
    const { project } = this.world;
    return project && lookShown(project, this.settings.look)?.id;
  }

  items(): readonly Item[] {
    const source = this.source();
    const { project, now } = this.world;
    return source === undefined || project === undefined
      ? []
      : this.store(source).items(project, source, now);
  }

  /** The items as they were read. */
  rawItems(): readonly Item[] {
    const source = this.source();
    return source === undefined ? [] : this.store(source).raw;
  }

  keys(): ItemKeys {
    const source = this.source();
    const { project, now } = this.world;
    return source === undefined || project === undefined
      ? noKeys
      : this.store(source).keys(project, source, now);
  }

  private typeCounts(): Frame['typeCounts'] {
    const known = this.knownTypes();
    return (known?.types ?? []).map((type, at) => [type, known?.counts[at] ?? 0]);
  }

  /** Finds the type of an item by its position. */
  types(): (item: number) => string | undefined {
    const known = this.knownTypes();
    return (item) => known?.types[known.indexes[item] ?? known.types.length];
  }

  itemsOfType(type: string, max: number): readonly number[] {
    const known = this.knownTypes();
    if (known === undefined) return [];
    const own = known.types.indexOf(type);
    const found: number[] = [];
    for (
      let at = known.indexes.indexOf(own);
      at >= 0 && found.length < max;
      at = known.indexes.indexOf(own, at + 1)
    )
      found.push(at);
    return found;
  }

  /** Where the item with a key stands among all; -1: nowhere. */
  itemOfKey(key: string): number {
    const source = this.source();
    const { project, now } = this.world;
    return source === undefined || project === undefined
      ? -1
      : this.store(source).positionOf(key, project, source, now);
  }

  entryOfKey(key: string): number {
    const item = this.itemOfKey(key);
    return item < 0 ? -1 : this.sequence.entryOf(item);
  }

  entryOf(item: number): number {
    return this.sequence.entryOf(item);
  }

  /** What stands around an item. */
  contextOf(item: number): RowContext {
    const entry = this.sequence.entryOf(item);
    return entry < 0 ? this.around() : this.contextAt(entry);
  }

  /** What stands around all items. */
  private around(): RowContext {
    const look = this.look();
    return { now: this.world.now, ...(look !== undefined && { look }) };
  }

  private choosing(): Choosing | undefined {
    const list = this.list();
    const source = this.source();
    const { project, now, lookUp } = this.world;
    if (list === undefined || source === undefined || project === undefined) return undefined;
    const types = this.store(source).types(project, source);
    return { project, list, items: this.items(), types, look: this.look(), now, find: lookUp };
  }

  compiled(id: string): CompiledTemplate | undefined {
    return this.world.templatesIn(this.locale()).compiled(id);
  }

  private takeBox(box: ListBox | undefined): void {
    if (box === undefined) return;
    const { widthPx, ratio, textSize } = box;
    const before = this.box;
    this.box = box;
    if (ratio !== before?.ratio || textSize !== before.textSize) this.arrange();
    else if (widthPx !== before.widthPx) this.arrangeLines();
  }

  private rowValues(arranged: Arranged): RowValues {
    return { arranged, plans: this.plans, valuesAt: (entry) => this.valuesAt(entry) };
  }

  /** What boxes hang on besides their rows; undefined: nobody has said how wide the list is. */
  private rowBox(list: ListBox | undefined): RowBox | undefined {
    const arrangement = this.list()?.arrangement;
    if (list === undefined || arrangement === undefined) return undefined;
    const { edge, gap } = arrangement;
    const widthPx = cellWidth(list.widthPx, { columns: columnsOf(arrangement), edge, gap });
    return { ...list, widthPx, language: this.locale() };
  }

  private valuesAt(entry: number) {
    const { items, plans } = this.sequence.arranged;
    const item = this.items()[items[entry] ?? 0] ?? {};
    return this.templates[plans[entry] ?? 0]?.values(item, this.contextAt(entry)) ?? [];
  }

  private contextAt(index: number): RowContext {
    return { index, count: this.sequence.count, ...this.around() };
  }

  /** What is wrong with the project as it stands; keys are checked over all items. */
  private findings(): readonly Finding[] {
    return [...this.world.templatesIn(this.locale()).findings(), ...this.keys().findings];
  }

  private takeTemplates(): void {
    const list = this.list();
    const look = this.look();
    const ids = list === undefined ? [] : allChosen(list).map((chosen) => chosenIn(chosen, look));
    this.templates = [...new Set(ids)].flatMap((id) => (id && this.compiled(id)) || []);
    this.plans = this.templates.map((template) => this.planOf(template));
  }

  /** The same plan for the same template, drawn as before: each edit asks for all of them. */
  private planOf(template: CompiledTemplate): RowPlan {
    const { ratio = 1, textSize = 1 } = this.box ?? {};
    const known = this.knownPlans.get(template);
    if (known?.ratio === ratio && known.textSize === textSize) return known.plan;
    const plan = planOf(template, { ratio, textSize });
    this.knownPlans.set(template, { ratio, textSize, plan });
    return plan;
  }

  private knownTypes() {
    const source = this.source();
    const { project } = this.world;
    return source === undefined || project === undefined
      ? undefined
      : this.store(source).types(project, source);
  }

  private store(source: Source): ItemStore {
    return this.world.store(source.id, this.settings.set);
  }
}

/** A template's plan with entries that are of it. */
export interface Tried {
  readonly plan: RowPlan;
  readonly entries: readonly Entry[];
}

function planOf({ template, tokens }: CompiledTemplate, place?: RowPlace): RowPlan {
  const plan = rowPlanOf(template, tokens);
  return { ...plan, heightPx: plainHeightPx(plan, place) };
}
