import { atOnce, type Finding, inTurns } from '../core/base';
import { type Item, type ItemKeys, itemKeys, type UniqueKey } from '../core/items';
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
import { HeldItems } from './held-items';
import type { ItemAtHand, Range, TemplateSurvey, Trace, View } from './protocol';
import { surveyTemplates } from './survey';

export interface EnginePorts {
  /** Lets others have their turn. */
  pause(): Promise<void>;
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
  private readonly sources = new Map<string, HeldItems>();
  private templates: readonly CompiledTemplate[] = [];
  private planIds: readonly string[] = [];
  private plans: readonly RowPlan[] = [];
  private arranged = nothing;
  private choiceCounts: readonly number[] = [];
  private listId: string | undefined;
  private version = 0;

  constructor(private readonly ports: EnginePorts) {}

  /** Replaces all items of a source. */
  hold(source: string, items: readonly Item[], unique?: UniqueKey): void {
    this.sources.set(source, new HeldItems(items, unique));
  }

  clear(): void {
    this.sources.clear();
    this.project = undefined;
  }

  heldIn(source: string): readonly Item[] {
    return this.sources.get(source)?.items ?? [];
  }

  allItems(): ReadonlyMap<string, readonly Item[]> {
    return new Map([...this.sources].map(([id, held]) => [id, held.items]));
  }

  /** Puts items into a source and arranges anew. */
  insertInto(source: string, at: number, added: readonly Item[]): void {
    const held = this.sources.get(source);
    if (held === undefined) this.hold(source, added);
    else held.insert(at, added);
    this.version += 1;
    if (this.project !== undefined) this.arrangeList(this.project, this.list());
  }

  /** Takes up a project, shows one of its lists, and answers with the wanted entries. */
  update(project: Project, wanted: Range, listId?: string): View {
    this.version += 1;
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
    return source === undefined || held === undefined
      ? noKeys
      : held.keys(source.key ?? undefined, source.name);
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
    const held = this.sources.get(source.id) ?? new HeldItems([], undefined);
    const choose = chooser(list);
    const { types, indexes, counts } = held.types(project, source);
    // The last stands for items of no known type.
    const planOfType = Int16Array.from([...types, undefined], (type) => {
      const template = choose(type);
      return template === null ? -1 : this.planIds.indexOf(template);
    });
    const heights = Float32Array.from(this.plans, (plan) => plan.heightPx);
    this.arranged = arrange(indexes, planOfType, heights, list.arrangement);
    const chosen = list.choices.map((choice) => counts[types.indexOf(choice.type)] ?? 0);
    const others = held.items.length - chosen.reduce((sum, count) => sum + count, 0);
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

  private shownItems(): readonly Item[] {
    const source = this.source();
    return source === undefined ? [] : this.heldIn(source.id);
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
