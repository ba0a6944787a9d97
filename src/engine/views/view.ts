import { ArrangedList, type EntryRange, type ListBox } from '../../core/arranged';
import type { Finding, Turns } from '../../core/base';
import {
  allChosen,
  chosenIn,
  type Entry,
  plainHeightPx,
  type RowPlace,
  type RowPlan,
  rowPlanOf,
  type Space,
  standingTemplates,
} from '../../core/lists';
import { picturesHave } from '../../core/pictures';
import type { Project } from '../../core/project';
import type { CompiledTemplate } from '../../core/templates';
import type { RowContext } from '../../core/values';
import { blankParts } from './blank-parts';
import { type PartFacts, type PartPlace, RowMeasuring } from './boxes/row-measuring';
import { ListChoices } from './choices/list-choices';
import type { Frame } from './frame';
import { missingPayloads } from './missing-payloads';
import { missingPictures } from './missing-pictures';
import { oddIn } from './odd/odd-bindings';
import { Once } from './once';
import type { Acting } from './raising';
import { ItemOrder } from './sequence/item-order';
import { ItemSections } from './sequence/item-sections';
import { ShownList, type ViewSettings, type World } from './shown-list';
import { type Survey, surveyTemplates } from './survey';
import { unfitValues } from './unfit-values';

/** A list with its items, its templates and its locale: what one window shows. */
export class View {
  readonly of: ShownList;
  templates: readonly CompiledTemplate[] = [];
  private plans: readonly RowPlan[] = [];
  readonly choices = new ListChoices(() => this.of.choosing());
  private readonly order = new ItemOrder();
  private readonly sections = new ItemSections();
  private readonly once = new Once();
  private readonly knownPlans = new WeakMap<CompiledTemplate, RowPlace & { plan: RowPlan }>();
  private readonly measured: RowMeasuring;
  private readonly list: ArrangedList<CompiledTemplate>;

  constructor(
    private readonly world: World,
    settings: ViewSettings = {},
  ) {
    this.of = new ShownList(world, settings);
    this.measured = new RowMeasuring(world);
    this.list = new ArrangedList({
      measured: this.measured,
      templates: () => this.templates,
      plans: () => this.plans,
      locale: () => this.of.locale(),
      part: () => this.of.part,
      around: () => this.of.around(),
      itemOfKey: (key) => this.of.itemOfKey(key),
      finish: (template, key, values) =>
        template.hasOnce ? this.once.keep(template, key, values, this.of.locale()) : values,
      boxChanged: () => this.arrange(),
    });
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
    const { project } = this.world;
    if (list === undefined || this.of.source() === undefined || project === undefined) {
      this.list.clear();
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
    this.list.arrange({
      ...{ list, items: of.items, keys: this.of.keys(), inserted: this.of.inserted() },
      ...{ choices, order, look: this.of.look(), hasMore: this.of.hasMore() },
      table: this.sections.take({ ...of, order, starts: this.of.sourceStarts() }),
    });
  }

  frame(wanted: EntryRange): Frame {
    const { kept, ...frame } = this.list.frame(wanted);
    return {
      version: this.world.version,
      edition: this.world.edition,
      list: this.of.list()?.id,
      source: this.of.source()?.id,
      ...frame,
      kept,
      plans: this.plans,
      itemCount: this.of.items().length,
      typeCounts: this.of.typeCounts(),
      findings: this.findings(),
    };
  }

  /** The finished entries that stand at some places, in their order. */
  entries(places: readonly number[]): Entry[] {
    return this.list.entries(places);
  }

  /** Finds out how high all rows are; done at once where nothing hangs on texts. */
  *measuring(): Turns<void> {
    yield* this.measured.measuring();
    this.list.arrangeAgain();
  }

  /** How a part fares in all rows; undefined: nothing can be measured, or not yet. */
  *facts(part: PartPlace, list: ListBox): Turns<PartFacts | undefined> {
    const values = this.list.rowValues();
    return yield* this.measured.facts(values, part, this.list.rowBox(list));
  }

  /** Who takes the room of a stack in an item's row; undefined: it has no such row, or not yet. */
  spaceIn(item: number, { template, part }: PartPlace, list: ListBox): Space | undefined {
    const compiled = this.compiled(template);
    const own = this.of.items()[item];
    if (compiled === undefined || own === undefined) return undefined;
    const values = compiled.values(own, this.contextOf(item));
    return this.measured.spaceIn(planOf(compiled), values, part, this.list.rowBox(list));
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
    const box = this.list.rowBox(this.list.box);
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
    const { shown } = this.list;
    const surveys = yield* surveyTemplates({
      templates,
      arranged: shown.arranged,
      itemAt: (entry) => shown.itemAt(entry),
      positionAt: (entry) => shown.positionAt(entry),
      contextAt: (entry) => shown.contextAt(entry),
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
    return yield* this.measured.findings(this.list.rowValues(), at);
  }

  /** What of it gestures act on. */
  get acting(): Acting {
    const { world, of } = this;
    return { world, of, table: this.list.shown.table, contextOf: (item) => this.contextOf(item) };
  }

  entryOfKey(key: string): number {
    return this.list.entryOfKey(key);
  }

  entryOf(item: number): number {
    return this.list.sequence.entryOf(item);
  }

  /** What stands around an item. */
  contextOf(item: number): RowContext {
    const entry = this.entryOf(item);
    return entry < 0 ? this.of.around() : this.list.shown.contextAt(entry);
  }

  compiled(id: string): CompiledTemplate | undefined {
    return this.world.templatesIn(this.of.locale()).compiled(id);
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
    const { ratio = 1, textSize = 1, density = 1 } = this.list.box ?? {};
    const known = this.knownPlans.get(template);
    if (known?.ratio === ratio && known.textSize === textSize && known.density === density)
      return known.plan;
    const plan = planOf(template, { ratio, textSize, density });
    this.knownPlans.set(template, { ratio, textSize, density, plan });
    return plan;
  }
}

/** A template's plan with entries that are of it. */
export interface Tried {
  readonly plan: RowPlan;
  readonly entries: readonly Entry[];
}

function planOf({ template, tokens }: CompiledTemplate, place?: RowPlace): RowPlan {
  const plan = rowPlanOf(template, tokens, place?.density);
  return { ...plan, heightPx: plainHeightPx(plan, place) };
}
