import type { Finding, Turns } from '../../core/base';
import { itemKeys } from '../../core/items';
import { unitsOf } from '../../core/layout';
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
  foldedIn,
  kindNumber,
  plainHeightPx,
  type RowPlace,
  type RowPlan,
  roomOfStrips,
  rowPlanOf,
  type SectionTable,
  type Separators,
  type Space,
  standingTemplates,
  widthsIn,
} from '../../core/lists';
import { picturesHave } from '../../core/pictures';
import type { Project } from '../../core/project';
import type { CompiledTemplate } from '../../core/templates';
import type { RowContext } from '../../core/values';
import { blankParts } from './blank-parts';
import type { RowBox, RowValues } from './boxes/measured-rows';
import { type PartFacts, type PartPlace, RowMeasuring } from './boxes/row-measuring';
import { ListChoices } from './choices/list-choices';
import type { EntryRange, Frame, ListBox } from './frame';
import { missingPayloads } from './missing-payloads';
import { missingPictures } from './missing-pictures';
import { oddIn } from './odd/odd-bindings';
import { Once } from './once';
import type { Acting } from './raising';
import { ItemFilter } from './sequence/item-filter';
import { ItemOrder } from './sequence/item-order';
import { ItemSections } from './sequence/item-sections';
import { ListEntries } from './sequence/list-entries';
import { ListSequence } from './sequence/list-sequence';
import { standingOf } from './sequence/standing';
import { wantedPlaces } from './sequence/wanted-places';
import { ShownList, type ViewSettings, type World } from './shown-list';
import { type Survey, surveyTemplates } from './survey';
import { unfitValues } from './unfit-values';

const nothing = new ListSequence();
const noEntries = new ListEntries({
  ...{ arranged: nothing.arranged, sections: nothing.sections },
  ...{ table: undefined, items: [], keys: itemKeys([], null, ''), inserted: [] },
  around: () => ({ now: '' }),
});
const noArrangement: Arrangement = { kind: 'list', gap: 0, edge: 0, separators: true };

/** A list with its items, its templates and its locale: what one window shows. */
export class View {
  readonly of: ShownList;
  templates: readonly CompiledTemplate[] = [];
  private plans: readonly RowPlan[] = [];
  readonly choices = new ListChoices(() => this.of.choosing());
  private readonly order = new ItemOrder();
  private readonly sections = new ItemSections();
  private readonly sequence = new ListSequence();
  private readonly filter = new ItemFilter();
  private readonly once = new Once();
  private box: ListBox | undefined;
  private readonly knownPlans = new WeakMap<CompiledTemplate, RowPlace & { plan: RowPlan }>();
  private readonly measured: RowMeasuring;
  private arrangeLines: () => void = () => {};
  private shown = noEntries;

  constructor(
    private readonly world: World,
    settings: ViewSettings = {},
  ) {
    this.of = new ShownList(world, settings);
    this.measured = new RowMeasuring(world);
  }

  show(settings: ViewSettings): void {
    this.of.set(settings);
    this.arrange();
  }

  /** What was shown first is shown anew, what was folded is as at first. */
  forget(): void {
    this.once.clear();
    this.of.set({ toggled: undefined });
  }

  /** Items or project are others now. */
  arrange(): void {
    this.takeTemplates();
    const list = this.of.list();
    const source = this.of.source();
    const { project } = this.world;
    if (list === undefined || source === undefined || project === undefined) {
      this.sequence.clear();
      this.arrangeLines = () => {};
      this.shown = noEntries;
      return;
    }
    const choices = this.choices.take();
    const of = {
      project,
      list,
      items: this.of.items(),
      locale: this.of.locale(),
      now: this.world.now,
    };
    const order = this.order.take(of);
    const starts = this.of.sourceStarts();
    const table = this.sections.take({ ...of, order, starts });
    const look = this.of.look();
    const planIds = this.plans.map((plan) => plan.template);
    const planOfChoice = Int16Array.from(allChosen(list), (chosen) =>
      planIds.indexOf(chosenIn(chosen, look) ?? ''),
    );
    const planHeights = Int32Array.from(this.plans, (plan) => unitsOf(plan.heightPx));
    const { arrangement } = list;
    const standing = standingOf(list, planIds, this.of.inserted()?.length);
    const { isWhole = false, state: wished, filter = '', toggled } = this.of.part;
    const isFolded = isWhole ? undefined : foldedIn(list, toggled);
    const kept = isWhole ? undefined : this.filter.take(list, of.items, filter);
    const room = roomOfStrips(arrangement);
    const takeShown = () => {
      this.takeShown(table);
      return this.measured.heightsOf(this.rowValues(), this.rowBox(this.box));
    };
    this.arrangeLines = () =>
      this.sequence.arrange({
        ...{ choices, order, planOfChoice, planHeights, table, standing, isFolded },
        ...{ wished: isWhole ? undefined : wished, kept, hasMore: this.of.hasMore() },
        heightsOf: takeShown,
        breadths: breadthsOf(arrangement, planIds),
        aroundStrips: unitsOf(room.above + room.below),
        hasIndex: list.sections?.hasIndex === true,
        columnCount: columnsIn(arrangement, this.box?.widthPx ?? usualWidthPx),
      });
    this.arrangeLines();
  }

  private takeShown(table: SectionTable | undefined): void {
    const { arranged, sections } = this.sequence;
    const [items, keys, inserted] = [this.of.items(), this.of.keys(), this.of.inserted() ?? []];
    const around = () => this.of.around();
    this.shown = new ListEntries({ arranged, sections, table, items, keys, inserted, around });
  }

  frame(wanted: EntryRange): Frame {
    const arrangement = this.of.list()?.arrangement ?? noArrangement;
    const kept = this.keptIn(wanted);
    const before = wanted.keep?.find(({ key }) => key === kept?.key);
    const moved = kept === undefined ? 0 : kept.at - (before?.at ?? 0);
    const from = Math.max(0, Math.min(wanted.from + moved, this.sequence.count - 1));
    this.takeBox(wanted.box);
    const range = { ...wanted, from, to: from + wanted.to - wanted.from };
    const places = wantedPlaces(this.sequence, range, this.boxOf(arrangement));
    if (this.measured.measure(places)) this.arrangeLines();
    return {
      version: this.world.version,
      edition: this.world.edition,
      list: this.of.list()?.id,
      source: this.of.source()?.id,
      sequence: {
        ...this.sequence.toDraw(arrangement, wanted.sequence),
        sticks: this.of.list()?.sections?.sticks === true,
        animates: this.of.list()?.animates === true,
        holdsNew: this.of.list()?.holdsNew === true,
        coversSafeAreas: this.of.list()?.coversSafeAreas === true,
      },
      plans: this.plans,
      entries: this.entries(places),
      places,
      over: this.headingOver(from),
      above: this.bar('above'),
      below: this.bar('below'),
      kept,
      itemCount: this.of.items().length,
      state: this.sequence.state,
      kindCounts: this.sequence.counts,
      typeCounts: this.of.typeCounts(),
      findings: this.findings(),
    };
  }

  /** What stays in sight at an end of the list: it is of all rows, as header and footer are. */
  private bar(end: 'above' | 'below'): Bar | undefined {
    const id = this.of.list()?.[end];
    const plan = this.plans.findIndex(({ template }) => template === id);
    const [own, template] = [this.plans[plan], this.templates[plan]];
    if (own === undefined || template === undefined) return undefined;
    const values = template.values(this.shown.firstItem, this.shown.contextOfAll());
    const box = this.rowBox(this.box);
    const shrunk = this.measured.shrunkOf(own, values, box);
    const entry: Entry = { kind: 'bar', key: end, plan, values, ...(shrunk && { shrunk }) };
    return { entry, heightPx: this.measured.heightOf(own, values, box) ?? own.heightPx };
  }

  private headingOver(from: number): Frame['over'] {
    const { sections, kinds } = this.sequence.arranged;
    if (this.of.list()?.sections?.sticks !== true) return undefined;
    let at = from;
    while (at >= 0 && sections[at] === sections[from] && kinds[at] !== heading) at -= 1;
    const [own] = at < from && kinds[at] === heading ? this.entries([at]) : [];
    return own && { at, entry: own };
  }

  private keptIn({ keep = [], sequence }: EntryRange): Frame['kept'] {
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
    this.measured.measure(places);
    const list = this.of.list();
    const { arrangement = noArrangement } = list ?? {};
    const isDivided = arrangement.kind === 'list' && hasLines(arrangement.separators);
    const hasBlocks = arrangement.kind === 'list' && arrangement.blocks === true;
    const isFolded = list && foldedIn(list, this.of.part.toggled);
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
    const values = this.valuesAt(entry);
    const key = shown.keyAt(entry);
    const item = shown.rowItem(entry);
    const template = this.templates[plan];
    if (template?.hasOnce && item !== undefined)
      this.once.keep(template, key, values, this.of.locale());
    const shrunk = this.measured.shrunkIn(rows, entry, box);
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

  /** Finds out how high all rows are; done at once where nothing hangs on texts. */
  *measuring(): Turns<void> {
    yield* this.measured.measuring();
    this.arrangeLines();
  }

  /** How a part fares in all rows; undefined: nothing can be measured, or not yet. */
  *facts(part: PartPlace, list: ListBox): Turns<PartFacts | undefined> {
    const values = this.rowValues();
    return yield* this.measured.facts(values, part, this.rowBox(list));
  }

  /** Who takes the room of a stack in an item's row; undefined: it has no such row, or not yet. */
  spaceIn(item: number, { template, part }: PartPlace, list: ListBox): Space | undefined {
    const compiled = this.compiled(template);
    const own = this.of.items()[item];
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
    const shown = this.of.items();
    const keys = this.of.keys();
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

  /** Counts over all items, those too that are folded away or filtered out now. */
  *surveying(): Turns<Survey> {
    const { state, filter, isWhole } = this.of.part;
    const isFolding = this.of.list()?.sections?.folds !== undefined;
    const isReveal = this.of.list()?.filter?.reveals === true;
    const isPart = isFolding || isReveal || state !== undefined || (filter ?? '') !== '';
    if (isWhole === true || !isPart) return yield* this.surveyingShown();
    const whole = new View(this.world, this.of.whole);
    whole.arrange();
    return yield* whole.surveyingShown();
  }

  private *surveyingShown(): Turns<Survey> {
    const { project } = this.world;
    if (project === undefined) return { templates: [], findings: [] };
    const items = this.of.items();
    const { templates } = this;
    const list = this.of.list();
    const standing = new Set(list === undefined ? [] : standingTemplates(list));
    const surveys = yield* surveyTemplates({
      templates,
      arranged: this.sequence.arranged,
      itemAt: (entry) => this.shown.itemAt(entry),
      positionAt: (entry) => this.shown.positionAt(entry),
      contextAt: (entry) => this.shown.contextAt(entry),
      hasPicture: picturesHave(project.pictures),
    });
    const misfits = yield* this.of.misfits();
    const boxes = yield* this.boxFindings(project);
    const payloads = yield* missingPayloads(this.acting, templates);
    // Two sections may well say the same: what stands beside rows is few.
    const ofRows = surveys.filter(({ template }) => !standing.has(template));
    const odd = oddIn({ surveys: ofRows, templates, formats: project.formats ?? [], items });
    return {
      templates: surveys,
      findings: [
        ...odd,
        ...unfitValues(surveys),
        ...missingPictures(surveys),
        ...surveys.flatMap(({ contrast }) => contrast),
        ...misfits,
        ...boxes,
        ...payloads,
        ...this.choices.findings(),
        ...blankParts(surveys, project, [...this.findings(), ...odd]),
      ],
    };
  }

  /** What is wrong with boxes at the widths and text sizes that the project names. */
  private *boxFindings({ widths = [], textSizes = [100] }: Project): Turns<readonly Finding[]> {
    const arrangement = this.of.list()?.arrangement;
    if (arrangement === undefined) return [];
    const at = { widths, textSizes, arrangement, language: this.of.locale() };
    return yield* this.measured.findings(this.rowValues(), at);
  }

  /** What of it gestures act on. */
  get acting(): Acting {
    const { world, of, shown } = this;
    return { world, of, table: shown.table, contextOf: (item) => this.contextOf(item) };
  }

  entryOfKey(key: string): number {
    const item = this.of.itemOfKey(key);
    return item < 0 ? -1 : this.sequence.entryOf(item);
  }

  entryOf(item: number): number {
    return this.sequence.entryOf(item);
  }

  /** What stands around an item. */
  contextOf(item: number): RowContext {
    const entry = this.sequence.entryOf(item);
    return entry < 0 ? this.of.around() : this.shown.contextAt(entry);
  }

  compiled(id: string): CompiledTemplate | undefined {
    return this.world.templatesIn(this.of.locale()).compiled(id);
  }

  private boxOf(arrangement: Arrangement) {
    return { arrangement, widthPx: this.box?.widthPx ?? usualWidthPx };
  }

  private takeBox(box: ListBox | undefined): void {
    if (box === undefined) return;
    const { widthPx, ratio, textSize, density } = box;
    const before = this.box;
    this.box = box;
    const isOther = ratio !== before?.ratio || textSize !== before.textSize;
    if (isOther || density !== before.density) this.arrange();
    else if (widthPx !== before.widthPx) this.arrangeLines();
  }

  private rowValues(): RowValues {
    const { arranged } = this.shown;
    const { plans } = this;
    const { arrangement = noArrangement } = this.of.list() ?? {};
    const templates = plans.map(({ template }) => template);
    return {
      ...{ arranged, plans, breadths: breadthsOf(arrangement, templates) },
      valuesAt: (entry) => this.valuesAt(entry),
    };
  }

  /** What boxes hang on besides their rows; undefined: nobody has said how wide the list is. */
  private rowBox(list: ListBox | undefined): RowBox | undefined {
    const arrangement = this.of.list()?.arrangement;
    if (list === undefined || arrangement === undefined) return undefined;
    const widths = widthsIn(arrangement, list.widthPx);
    return { ...list, widths, language: this.of.locale() };
  }

  private valuesAt(entry: number) {
    const { shown } = this;
    const template = this.templates[shown.arranged.plans[entry] ?? 0];
    return template?.values(shown.itemAt(entry), shown.contextAt(entry)) ?? [];
  }

  /** What is wrong with the project as it stands; keys are checked over all items. */
  private findings(): readonly Finding[] {
    return [...this.world.templatesIn(this.of.locale()).findings(), ...this.of.keys().findings];
  }

  private takeTemplates(): void {
    const list = this.of.list();
    const look = this.of.look();
    const chosen = list === undefined ? [] : allChosen(list).map((each) => chosenIn(each, look));
    const ids = [...chosen, ...(list === undefined ? [] : standingTemplates(list))];
    this.templates = [...new Set(ids)].flatMap((id) => (id && this.compiled(id)) || []);
    this.plans = this.templates.map((template) => this.planOf(template));
  }

  /** The same plan for the same template, drawn as before: each edit asks for all of them. */
  private planOf(template: CompiledTemplate): RowPlan {
    const { ratio = 1, textSize = 1, density = 1 } = this.box ?? {};
    const known = this.knownPlans.get(template);
    if (known?.ratio === ratio && known.textSize === textSize && known.density === density)
      return known.plan;
    const plan = planOf(template, { ratio, textSize, density });
    this.knownPlans.set(template, { ratio, textSize, density, plan });
    return plan;
  }
}

/** Until somebody has said how wide the list is. */
const usualWidthPx = 360;
const heading = kindNumber('heading');

const hasLines = (separators: Separators | boolean): boolean =>
  typeof separators === 'object' ? separators.template === undefined : separators;

/** A template's plan with entries that are of it. */
export interface Tried {
  readonly plan: RowPlan;
  readonly entries: readonly Entry[];
}

function planOf({ template, tokens }: CompiledTemplate, place?: RowPlace): RowPlan {
  const plan = rowPlanOf(template, tokens, place?.density);
  return { ...plan, heightPx: plainHeightPx(plan, place) };
}
