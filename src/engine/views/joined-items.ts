import type { Item, ItemKeys } from '../../core/items';
import type { Project, Source } from '../../core/project';
import type { ItemStore, ItemTypes } from '../items';

/** The items of one of a list's sources. */
export interface SourceItems {
  readonly source: Source;
  readonly store: ItemStore;
}

/** At which time, as of which project. */
interface AsOf {
  readonly project: Project;
  readonly now: string;
}

/** What is known of all items of a list. */
export interface ListItems {
  readonly items: readonly Item[];
  /** As they were read. */
  readonly raw: readonly Item[];
  readonly types: Pick<ItemTypes, 'types' | 'indexes' | 'counts'>;
  readonly keys: ItemKeys;
  /** -1: none has it. */
  positionOf(key: string): number;
  /** Position of the first item of each source, in their order. */
  readonly starts: readonly number[];
}

/**
 * The items of a list's sources, one source after the other. Those of the first have their own keys,
 * those of others the name of their source before it. Where nothing that this hangs on changed, the same.
 */
export class JoinedItems {
  private asked: readonly unknown[] = [];
  private of: readonly unknown[] = [];
  private known: ListItems | undefined;

  take(parts: readonly SourceItems[], asOf: AsOf): ListItems {
    // A view asks many times for one frame, and each store would compare what types say each time.
    const asked = [asOf.project, asOf.now, ...parts.map(({ store }) => store)];
    if (this.known !== undefined && isSame(asked, this.asked)) return this.known;
    this.asked = asked;
    const all = parts.map(({ source, store }) => ofSource(source, store, asOf));
    const of = all.flatMap(({ items, types, keys }) => [items, types.indexes, keys]);
    if (this.known === undefined || !isSame(of, this.of))
      this.known = all.length === 1 ? all[0] : joined(parts, all);
    this.of = of;
    return this.known ?? nothing;
  }
}

const isSame = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((each, at) => each === other[at]);

const nothing: ListItems = {
  ...{ items: [], raw: [], starts: [0], positionOf: () => -1 },
  types: { types: [], indexes: new Uint16Array(), counts: [0] },
  keys: { at: String, repeated: [], findings: [] },
};

const ofSource = (source: Source, store: ItemStore, { project, now }: AsOf): ListItems => ({
  items: store.items(project, source, now),
  raw: store.raw,
  types: store.types(project, source),
  keys: store.keys(project, source, now),
  positionOf: (key) => store.positionOf(key, project, source, now),
  starts: [0],
});

function joined(parts: readonly SourceItems[], all: readonly ListItems[]): ListItems {
  const starts: number[] = [];
  let count = 0;
  for (const { items } of all) {
    starts.push(count);
    count += items.length;
  }
  const before = parts.map(({ source }, at) => (at === 0 ? '' : `${source.id}/`));
  const partOf = (item: number) => starts.findLastIndex((start) => start <= item);
  return {
    items: all.flatMap(({ items }) => items),
    raw: all.flatMap(({ raw }) => raw),
    types: joinedTypes(all, starts, count),
    keys: {
      at: (item) => {
        const part = partOf(item);
        return `${before[part] ?? ''}${all[part]?.keys.at(item - (starts[part] ?? 0)) ?? ''}`;
      },
      repeated: all.flatMap(({ keys }) => keys.repeated),
      findings: all.flatMap(({ keys }) => keys.findings),
    },
    positionOf: (key) => {
      for (const [part, own] of all.entries()) {
        const prefix = before[part] ?? '';
        const at = key.startsWith(prefix) ? own.positionOf(key.slice(prefix.length)) : -1;
        if (at >= 0) return at + (starts[part] ?? 0);
      }
      return -1;
    },
    starts,
  };
}

function joinedTypes(
  all: readonly ListItems[],
  starts: readonly number[],
  count: number,
): ListItems['types'] {
  const types = all.flatMap((own) => own.types.types);
  const indexes = new Uint16Array(count);
  let typesBefore = 0;
  let typeless = 0;
  for (const [part, own] of all.entries()) {
    const { indexes: ofPart, types: typesOfPart, counts } = own.types;
    const start = starts[part] ?? 0;
    for (let at = 0; at < ofPart.length; at += 1) {
      const index = ofPart[at] ?? 0;
      indexes[start + at] = index < typesOfPart.length ? index + typesBefore : types.length;
    }
    typesBefore += typesOfPart.length;
    typeless += counts[typesOfPart.length] ?? 0;
  }
  const counts = all.flatMap((own) => own.types.counts.slice(0, own.types.types.length));
  return { types, indexes, counts: [...counts, typeless] };
}
