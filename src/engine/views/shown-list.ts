import type { PartOfList } from '../../core/arranged';
import type { Finding, Turns } from '../../core/base';
import { type Item, type ItemKeys, itemKeys } from '../../core/items';
import { type List, listSources, type SourceStart } from '../../core/lists';
import {
  type FindItem,
  localeOf,
  lookShown,
  type Project,
  type Source,
  withId,
} from '../../core/project';
import type { RowContext } from '../../core/values';
import type { ItemStore } from '../items';
import type { CompiledTemplates } from '../project';
import type { RowMeasures } from './boxes/measured-rows';
import type { Choosing } from './choices/item-choices';
import type { Frame } from './frame';
import { JoinedItems, type ListItems, type SourceItems } from './joined-items';

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
  /** Whether pages of a source wait until a list comes near its end. */
  hasMore(source: string): boolean;
  /** Id of the set of a source that is shown. */
  setShown(source: string): string;
  templatesIn(locale: string): CompiledTemplates;
  readonly lookUp: FindItem;
  /** Undefined: nobody measures; heights that hang on texts stay rough. */
  readonly measures: RowMeasures | undefined;
}

/** What one view may have of its own; undefined: as the project or the other views have it. */
export interface ViewSettings extends PartOfList {
  readonly list?: string | undefined;
  readonly set?: string | undefined;
  readonly locale?: string | undefined;
  readonly look?: string | undefined;
}

/** What of the list a reader sees of all that there is. */
export type PartShown = Pick<ViewSettings, 'state' | 'filter' | 'toggled'>;

/** Where an item of a list is. */
export interface ItemPlace {
  readonly source: string;
  readonly set: string;
  /** Of the item in its source. */
  readonly key: string;
  readonly type: string | undefined;
}

const noKeys = itemKeys([], null, '');

/** Which list a view shows, of which items, in which locale and look. */
export class ShownList {
  private readonly joined = new JoinedItems();

  constructor(
    private readonly world: World,
    private settings: ViewSettings,
  ) {}

  get part(): PartShown & Pick<ViewSettings, 'isWhole'> {
    return this.settings;
  }

  /** The settings of a view that has all of it. */
  get whole(): ViewSettings {
    return { ...this.settings, isWhole: true };
  }

  set(settings: ViewSettings): void {
    this.settings = { ...this.settings, ...settings };
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

  /** Whether items are left that nobody asked for yet. */
  hasMore(): boolean {
    return this.parts().some(({ source }) => this.world.hasMore(source.id));
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
    return this.all()?.items ?? [];
  }

  /** The items as they were read. */
  rawItems(): readonly Item[] {
    return this.all()?.raw ?? [];
  }

  keys(): ItemKeys {
    return this.all()?.keys ?? noKeys;
  }

  typeCounts(): Frame['typeCounts'] {
    const known = this.all()?.types;
    return (known?.types ?? []).map((type, at) => [type, known?.counts[at] ?? 0]);
  }

  /** Finds the type of an item by its position. */
  types(): (item: number) => string | undefined {
    const known = this.all()?.types;
    return (item) => known?.types[known.indexes[item] ?? known.types.length];
  }

  itemsOfType(type: string, max: number): readonly number[] {
    const known = this.all()?.types;
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
    return this.all()?.positionOf(key) ?? -1;
  }

  /** Where an item is, by its place among all. */
  placeOf(item: number): ItemPlace | undefined {
    const starts = this.all()?.starts ?? [];
    const part = starts.findLastIndex((start) => start <= item);
    const own = this.parts()[part];
    if (own === undefined) return undefined;
    const { id, sets = [] } = own.source;
    const { set } = this.settings;
    const isWished = set !== undefined && withId(sets, set) !== undefined;
    const { project, now } = this.world;
    const position = item - (starts[part] ?? 0);
    return {
      source: id,
      set: isWished ? set : this.world.setShown(id),
      key: project === undefined ? '' : own.store.keys(project, own.source, now).at(position),
      type: this.types()(item),
    };
  }

  /** Where the items of each source begin among all. */
  sourceStarts(): readonly SourceStart[] {
    const starts = this.all()?.starts ?? [];
    return this.parts().map(({ source: { id, name } }, at) => ({
      id,
      name,
      start: starts[at] ?? 0,
    }));
  }

  /** Where items are not what their types say, by their places among all. */
  *misfits(): Turns<readonly Finding[]> {
    const { project, now } = this.world;
    const starts = this.all()?.starts ?? [];
    const found: Finding[] = [];
    if (project === undefined) return found;
    for (const [at, { source, store }] of this.parts().entries()) {
      const start = starts[at] ?? 0;
      for (const finding of yield* store.misfits(project, source, now))
        found.push(start === 0 ? finding : movedBy(finding, start));
    }
    return found;
  }

  /** The items that inserts show; undefined: they are of none. */
  inserted(): readonly Item[] | undefined {
    const { project, now } = this.world;
    const source = withId(project?.sources ?? [], this.list()?.inserts?.source ?? '');
    if (source === undefined || project === undefined) return undefined;
    return this.world.store(source.id).items(project, source, now);
  }

  /** What stands around all items. */
  around(): Omit<RowContext, 'now'> & { readonly now: string } {
    const look = this.look();
    return { now: this.world.now, ...(look !== undefined && { look }) };
  }

  /** What the choices of its items hang on; undefined: no list is shown. */
  choosing(): Choosing | undefined {
    const list = this.list();
    const source = this.source();
    const { project, now, lookUp } = this.world;
    if (list === undefined || source === undefined || project === undefined) return undefined;
    const types = this.all()?.types ?? noTypes;
    return { project, list, items: this.items(), types, look: this.look(), now, find: lookUp };
  }

  private all(): ListItems | undefined {
    const { project, now } = this.world;
    const parts = this.parts();
    return project === undefined || parts.length === 0
      ? undefined
      : this.joined.take(parts, { project, now });
  }

  /** The list's sources that are there. */
  private parts(): readonly SourceItems[] {
    const list = this.list();
    if (list === undefined) return [];
    const sources = this.world.project?.sources ?? [];
    return listSources(list).flatMap((id) => {
      const source = withId(sources, id);
      return source === undefined ? [] : [{ source, store: this.store(source) }];
    });
  }

  /** The set that is wished for, where the source has it. */
  private store({ id, sets = [] }: Source): ItemStore {
    const { set } = this.settings;
    const has =
      id === this.list()?.source || (set !== undefined && withId(sets, set) !== undefined);
    return this.world.store(id, has ? set : undefined);
  }
}

const noTypes: ListItems['types'] = { types: [], indexes: new Uint16Array(), counts: [0] };

const movedBy = (finding: Finding, start: number): Finding =>
  finding.place.in === 'items' && finding.place.item !== undefined
    ? { ...finding, place: { ...finding.place, item: finding.place.item + start } }
    : finding;
