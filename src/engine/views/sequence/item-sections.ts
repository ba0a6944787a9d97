import type { Item } from '../../../core/items';
import {
  type List,
  listSources,
  type SectionTable,
  type SourceStart,
  sectionsBySource,
  sectionTable,
} from '../../../core/lists';
import { type Project, sortExpression } from '../../../core/project';
import { type Expression, readsContext } from '../../../core/values';

/** What the sections of items hang on. */
export interface Sectioning {
  readonly project: Project;
  readonly list: List;
  readonly items: readonly Item[];
  /** Positions of items as they are sorted; undefined: as they came. */
  readonly order: Int32Array | undefined;
  /** Where the items of each source begin. */
  readonly starts: readonly SourceStart[];
  readonly locale: string;
  readonly now: string;
}

/** The sections that items of a list are in; where nothing that this hangs on changed, the same. */
export class ItemSections {
  private ofBy = '';
  private by: Expression | undefined;
  private of: readonly unknown[] = [];
  private table: SectionTable | undefined;

  /** Undefined: the list has none. */
  take(sectioning: Sectioning): SectionTable | undefined {
    const { project, list, items, order, locale, now } = sectioning;
    if (list.sections === undefined) return undefined;
    const { by, part, order: way } = list.sections;
    if (by === undefined) return this.bySource(sectioning);
    // A project that crossed from the page is another object each time: what counts is what it says.
    const ofBy = JSON.stringify([listSources(list), by, project.types]);
    if (ofBy !== this.ofBy) this.by = sortExpression(project, list, by);
    this.ofBy = ofBy;
    const followsTime =
      this.by?.checked !== undefined && readsContext(this.by.checked, 'now') && now;
    const of = [items, ofBy, part, way, way === 'as they come' && order, locale, followsTime];
    if (this.table === undefined || !of.every((each, at) => each === this.of[at])) {
      const evaluate = this.by?.evaluate;
      const values = items.map((item) => evaluate?.(item, { now }));
      this.table = sectionTable({ values, part, order: way, items: order, locale });
    }
    this.of = of;
    return this.table;
  }

  /** One for each source, as they come; those without items, too. */
  private bySource({ items, starts }: Sectioning): SectionTable {
    const of = [items, JSON.stringify(starts)];
    if (this.table === undefined || !of.every((each, at) => each === this.of[at]))
      this.table = sectionsBySource(items.length, starts);
    this.of = of;
    return this.table;
  }
}
