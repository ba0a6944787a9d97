import { atOnce, type Finding, inTurns } from '../core/base';
import { type Item, type ItemKeys, itemKeys, uniqueKeys } from '../core/items';
import { partHeight } from '../core/layout';
import {
  type Arranged,
  arrange,
  chooser,
  columnsOf,
  type Entry,
  type List,
  type RowPlan,
} from '../core/lists';
import {
  brokenReferences,
  compileFor,
  type Project,
  type Source,
  typeFinder,
  withId,
} from '../core/project';
import type { CompiledTemplate } from '../core/templates';
import { explain } from '../core/values';
import type { ItemAtHand, Range, TemplateSurvey, Trace, View } from './protocol';
import { surveyTemplates } from './survey';

export interface EnginePorts {
  /** Lets others have their turn. */
  pause(): Promise<void>;
}

interface HeldSource {
  readonly items: readonly Item[];
  keys: ItemKeys | undefined;
}

const noKeys = itemKeys([], undefined, '');

const nothing: Arranged = {
  items: new Int32Array(),
  plans: new Uint16Array(),
  lineHeights: new Float32Array(),
};

/**
 * Project and items in, finished entries out. One engine serves one project; the worker, the
 * server and the command line each have their own.
 */
export class Engine {
  private project: Project | undefined;
  private readonly sources = new Map<string, HeldSource>();
  private templates: readonly CompiledTemplate[] = [];
  private planIds: readonly string[] = [];
  private plans: readonly RowPlan[] = [];
  private arranged = nothing;
  private choiceCounts: readonly number[] = [];
  private listId: string | undefined;
  private version = 0;

  constructor(private readonly ports: EnginePorts) {}

  /** Replaces all items of a source. `uniqueKey`: a field that was seen to tell them apart. */
  setItems(source: string, items: readonly Item[], uniqueKey?: string): void {
    const keys = uniqueKey === undefined ? undefined : uniqueKeys(items, uniqueKey);
    this.sources.set(source, { items, keys });
  }

  clear(): void {
    this.sources.clear();
    this.project = undefined;
  }

  itemsOf(source: string): readonly Item[] {
    return this.sources.get(source)?.items ?? [];
  }

  allItems(): ReadonlyMap<string, readonly Item[]> {
    return new Map([...this.sources].map(([id, held]) => [id, held.items]));
  }

  /** Puts items into a source and arranges anew. */
  insertItems(source: string, at: number, added: readonly Item[]): void {
    const held = this.itemsOf(source);
    this.setItems(source, [...held.slice(0, at), ...added, ...held.slice(at)]);
    this.version += 1;
    if (this.project !== undefined) this.arrangeList(this.project, this.list());
  }

  /** Takes up a project, shows one of its lists, and answers with the wanted entries. */
  update(project: Project, wanted: Range, listId?: string): View {
    this.version += 1;
    this.forgetKeys(project);
    this.project = project;
    const list =
      (listId === undefined ? undefined : withId(project.lists, listId)) ?? project.lists[0];
    this.listId = list?.id;
    this.compileTemplates(project, list);
    this.arrangeList(project, list);
    return this.view(wanted);
  }

  entries(range: Range): Entry[] {
    const { items, plans } = this.arranged;
    const source = this.source();
    const held = source === undefined ? [] : this.itemsOf(source.id);
    const keys = this.keys();
    const entries: Entry[] = [];
    for (
      let entry = Math.max(0, range.from);
      entry < Math.min(range.to, items.length);
      entry += 1
    ) {
      const item = items[entry] ?? 0;
      const plan = plans[entry] ?? 0;
      const texts = this.templates[plan]?.texts(held[item] ?? {}) ?? [];
      entries.push({ kind: 'row', key: keys.at(item), item, plan, texts });
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
      texts: compiled.texts(held[item] ?? {}),
    }));
  }

  itemAtHand(item: number): ItemAtHand | undefined {
    const value = this.shownItems()[item];
    if (value === undefined) return undefined;
    const type = this.typeOf(value);
    const titled = this.templates.find(({ template }) => template.type === type);
    const label = titled?.slots.findIndex((slot) => slot.property === 'text') ?? -1;
    const title =
      (label < 0 ? undefined : titled?.slots[label]?.text(value)) ?? this.keys().at(item);
    return { item, entry: this.arranged.items.indexOf(item), value, type, title };
  }

  find(words: string, after: number): number {
    const wanted = words.toLowerCase();
    const items = this.shownItems();
    for (let step = 1; step <= items.length; step += 1) {
      const at = (after + step) % items.length;
      if (JSON.stringify(items[at]).toLowerCase().includes(wanted)) return at;
    }
    return -1;
  }

  firstOfType(type: string): number {
    return this.shownItems().findIndex((item) => this.typeOf(item) === type);
  }

  trace(template: string, part: string, property: string, item: number): Trace | undefined {
    const slot = this.compiled(template)?.slots.find(
      (each) => each.part === part && each.property === property,
    );
    const value = this.shownItems()[item];
    if (slot === undefined || value === undefined) return undefined;
    const text = slot.text(value);
    const checked = slot.expression?.checked;
    if (checked === undefined) {
      const missing = slot.expression?.findings[0]?.message;
      return { steps: [], text, standIn: false, missing };
    }
    const { steps, missing } = explain(checked, value);
    return { steps, text, standIn: missing !== undefined && text !== undefined, missing };
  }

  /** Counts over all items, with turns for others; undefined if a newer version came meanwhile. */
  async survey(): Promise<
    { readonly version: number; readonly templates: readonly TemplateSurvey[] } | undefined
  > {
    const { version, arranged } = this;
    const isStale = () => this.version !== version;
    const work = surveyTemplates(this.templates, arranged, this.shownItems());
    const pause = async () => {
      await this.ports.pause();
      if (isStale()) throw new Stale();
    };
    try {
      const templates = await inTurns(work, pause);
      return { version, templates };
    } catch (error) {
      if (error instanceof Stale) return undefined;
      throw error;
    }
  }

  /** The same at once, where nobody waits. */
  surveyNow(): readonly TemplateSurvey[] {
    return atOnce(surveyTemplates(this.templates, this.arranged, this.shownItems()));
  }

  isCurrent(version: number): boolean {
    return version === this.version;
  }

  view(wanted: Range): View {
    const arrangement = this.list()?.arrangement ?? {
      kind: 'list',
      gap: 0,
      edge: 0,
      separators: true,
    };
    const columns = columnsOf(arrangement);
    const from = Math.max(0, Math.min(wanted.from, this.arranged.items.length - columns));
    return {
      version: this.version,
      sequence: {
        arrangement,
        entryCount: this.arranged.items.length,
        lineHeights: this.arranged.lineHeights.slice(),
      },
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
    const project = this.project;
    if (project === undefined) return [];
    return [
      ...brokenReferences(project),
      ...project.templates.flatMap((template) => this.compiled(template.id)?.findings ?? []),
      ...this.keys().findings,
    ];
  }

  private keys(): ItemKeys {
    const source = this.source();
    const held = source === undefined ? undefined : this.sources.get(source.id);
    if (source === undefined || held === undefined) return noKeys;
    held.keys ??= itemKeys(held.items, source.key ?? undefined, source.name);
    return held.keys;
  }

  /** A source with another key field than before has other keys. */
  private forgetKeys(next: Project): void {
    for (const source of next.sources) {
      const before =
        this.project === undefined ? undefined : withId(this.project.sources, source.id);
      const held = this.sources.get(source.id);
      if (held !== undefined && before !== undefined && before.key !== source.key)
        held.keys = undefined;
    }
  }

  private compileTemplates(project: Project, list: List | undefined): void {
    const ids =
      list === undefined ? [] : [...list.choices.map((choice) => choice.template), list.otherwise];
    this.planIds = [...new Set(ids)].filter((id): id is string => id !== null);
    const compiled = this.planIds.flatMap((id) => {
      const template = withId(project.templates, id);
      return template === undefined ? [] : [compileFor(project, template)];
    });
    this.templates = compiled;
    this.planIds = compiled.map((each) => each.template.id);
    this.plans = compiled.map(({ template, slots }) => ({
      template: template.id,
      row: template.row,
      slots: slots.map(({ part, property }) => ({ part, property })),
      heightPx: partHeight(template.row),
    }));
  }

  private arrangeList(project: Project, list: List | undefined): void {
    const source = list === undefined ? undefined : withId(project.sources, list.source);
    if (list === undefined || source === undefined) {
      this.arranged = nothing;
      this.choiceCounts = [];
      return;
    }
    const items = this.itemsOf(source.id);
    const choose = chooser(list);
    const typeOf = typeFinder(project, source);
    const counts = new Array<number>(list.choices.length + 1).fill(0);
    const choiceOf = new Map(list.choices.map((choice, index) => [choice.type, index]));
    const chosen = new Map<
      string | undefined,
      { readonly plan: number; readonly choice: number }
    >();
    const { discriminator } = source;
    const planOf = (index: number): number => {
      const type = typeOf(discriminator === null ? undefined : items[index]?.[discriminator]);
      let own = chosen.get(type);
      if (own === undefined) {
        const template = choose(type);
        const choice = (type === undefined ? undefined : choiceOf.get(type)) ?? list.choices.length;
        own = { plan: template === null ? -1 : this.planIds.indexOf(template), choice };
        chosen.set(type, own);
      }
      counts[own.choice] = (counts[own.choice] ?? 0) + 1;
      return own.plan;
    };
    const heights = this.plans.map((plan) => plan.heightPx);
    this.arranged = arrange(items.length, planOf, heights, list.arrangement);
    this.choiceCounts = counts;
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

  private shownItems(): readonly Item[] {
    const source = this.source();
    return source === undefined ? [] : this.itemsOf(source.id);
  }

  private typeOf(item: Item): string | undefined {
    const source = this.source();
    if (source === undefined || this.project === undefined) return undefined;
    const { discriminator } = source;
    return typeFinder(
      this.project,
      source,
    )(discriminator === null ? undefined : item[discriminator]);
  }

  /** A template that the list may not show: compiled on demand. */
  private compiled(id: string): CompiledTemplate | undefined {
    const shown = this.templates.find((each) => each.template.id === id);
    if (shown !== undefined || this.project === undefined) return shown;
    const template = withId(this.project.templates, id);
    return template === undefined ? undefined : compileFor(this.project, template);
  }
}

class Stale extends Error {}
