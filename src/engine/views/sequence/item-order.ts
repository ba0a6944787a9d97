import type { Item } from '../../../core/items';
import { type List, listSources, type SortColumn, sortColumn, sortedBy } from '../../../core/lists';
import { type Project, sortExpression } from '../../../core/project';
import { type Expression, readsContext } from '../../../core/values';

/** What the order of items hangs on. */
export interface Ordering {
  readonly project: Project;
  readonly list: List;
  readonly items: readonly Item[];
  readonly locale: string;
  readonly now: string;
}

/** The items of a list as its keys sort them; where nothing that this hangs on changed, the same. */
export class ItemOrder {
  private ofKeys = '';
  private keys: readonly Expression[] = [];
  private of: readonly unknown[] = [];
  private order: Int32Array = new Int32Array();

  /** Undefined: as they came. */
  take(ordering: Ordering): Int32Array | undefined {
    const { project, list, items, locale, now } = ordering;
    if (list.order === undefined || list.order.length === 0) return undefined;
    // A project that crossed from the page is another object each time: what counts is what it says.
    const ofKeys = JSON.stringify([listSources(list), list.order, project.types]);
    if (ofKeys !== this.ofKeys)
      this.keys = list.order.map(({ by }) => sortExpression(project, list, by));
    this.ofKeys = ofKeys;
    const followsTime = this.keys.some(
      ({ checked }) => checked !== undefined && readsContext(checked, 'now'),
    );
    const of = [items, ofKeys, locale, followsTime && now];
    if (this.of.length === 0 || !of.every((each, at) => each === this.of[at]))
      this.order = sortedBy(items.length, columnsOf(ordering, this.keys));
    this.of = of;
    return this.order;
  }
}

function columnsOf(
  { list, items, locale, now }: Ordering,
  keys: readonly Expression[],
): readonly SortColumn[] {
  const { compare } = new Intl.Collator(locale, { numeric: true });
  return (list.order ?? []).map((key, at) => {
    const { evaluate, checked } = keys[at] ?? {};
    const values = items.map((item) => evaluate?.(item, { now }));
    return sortColumn(values, checked?.type.type, key, compare);
  });
}
