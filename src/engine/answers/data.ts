import { atOnce, type Finding, failed, inTurns, type Json, ok, type Result } from '../../core/base';
import {
  type Evidence,
  fieldsWithin,
  type GeneratorTask,
  gatherEvidence,
  type Item,
  infer,
  isOfType,
  isThere,
  itemGenerator,
  keyFields,
  nastyItems,
  rawPathOf,
  type Seen,
  seenIn,
  successionOf,
  type TypeFound,
  valueAt,
} from '../../core/items';
import {
  ownSet,
  type Project,
  rawKey,
  rawName,
  type Source,
  typesOf,
  withId,
} from '../../core/project';
import type { Engine } from '../engine';
import { changeAt, changedItems, type ItemChange, type OneChange } from '../items';
import type { ItemPlace } from '../views';
import { EngineReadings, type FieldTask } from './readings';
import { type TableLook, tableOrder } from './table';

export interface TableRows {
  /** How many rows the look shows. */
  readonly count: number;
  readonly rows: readonly TableRow[];
}

export interface TableRow {
  readonly position: number;
  readonly item: Item;
  readonly unread: readonly Unread[];
}

/** A value that is there and could not be read as its field says. */
export interface Unread {
  readonly path: readonly string[];
  readonly raw: Json;
}

/** A field with values that are not of its type. */
export interface Misfit {
  readonly type: string;
  readonly path: readonly string[];
  readonly itemCount: number;
  /** The first of them. */
  readonly some: readonly { readonly item: number; readonly key: string; readonly value: Json }[];
}

const maxListed = 100;

/** What the Data station asks and does: everything about the items themselves. */
export class EngineData {
  private order: { items: readonly Item[]; look: string; positions: Int32Array } | undefined;

  readonly readings: EngineReadings;

  constructor(private readonly engine: Engine) {
    this.readings = new EngineReadings(engine);
  }

  rows(source: string, look: TableLook, range: { from: number; to: number }): TableRows {
    const items = this.engine.heldIn(source);
    const id = JSON.stringify(look);
    if (this.order?.items !== items || this.order.look !== id)
      this.order = { items, look: id, positions: tableOrder(items, look) };
    const { positions } = this.order;
    const unreadIn = this.unreadIn(source);
    const rows = Array.from(positions.subarray(range.from, range.to), (position) => {
      const item = items[position] ?? {};
      return { position, item, unread: unreadIn(position, item) };
    });
    return { count: positions.length, rows };
  }

  private unreadIn(id: string): (position: number, item: Item) => readonly Unread[] {
    const project = this.projectNow();
    const source = withId(project.sources, id);
    if (source === undefined) return () => [];
    const held = this.engine.held(id).shown();
    const { types, indexes } = held.types(project, source);
    const decoded = types.map((type) => {
      const fields = withId(project.types, type)?.fields ?? [];
      return fieldsWithin(fields).flatMap(({ path, field }) =>
        field.decode === undefined ? [] : [{ path, rawPath: rawPathOf(fields, path) }],
      );
    });
    return (position, item) =>
      (decoded[indexes[position] ?? types.length] ?? []).flatMap(({ path, rawPath }) => {
        if (valueAt(item, path) !== undefined) return [];
        const raw = valueAt(held.raw[position] ?? {}, rawPath);
        return isThere(raw) ? [{ path, raw }] : [];
      });
  }

  async evidence(asked: FieldTask, pause: () => Promise<void>): Promise<Evidence | undefined> {
    const found = this.readings.fieldOf(asked);
    if (found === undefined) return undefined;
    const { field, isOfType } = found;
    return inTurns(
      gatherEvidence(this.engine.heldIn(asked.source), asked.path, field, isOfType),
      pause,
    );
  }

  /** The types of a source if a field told them apart. */
  foundBy(source: string, discriminator: string | null): readonly TypeFound[] {
    const items = this.engine.held(source).set(ownSet).raw;
    return atOnce(infer(items, source, undefined, discriminator)).types;
  }

  /** For each type of a source what its items say of its fields. */
  seen(source: Source): readonly (readonly Seen[])[] {
    const project = this.projectNow();
    const held = this.engine.held(source.id).shown();
    const { types, indexes } = held.types(project, source);
    return types.map((type, at) =>
      seenIn(
        withId(project.types, type)?.fields ?? [],
        held.raw.filter((_, item) => indexes[item] === at),
      ),
    );
  }

  /** Values that are there and not of their field's type, by field. */
  misfits(source: Source): readonly Misfit[] {
    const project = this.projectNow();
    const held = this.engine.held(source.id).shown();
    const items = held.items(project, source, this.engine.now);
    const { types, indexes } = held.types(project, source);
    const keys = held.keys(project, source, this.engine.now);
    return types.flatMap((type, at) =>
      fieldsWithin(withId(project.types, type)?.fields ?? []).flatMap(
        ({ path, field }): Misfit[] => {
          const some: Misfit['some'][number][] = [];
          let itemCount = 0;
          for (let item = 0; item < items.length; item += 1) {
            const value = indexes[item] === at ? valueAt(items[item] ?? {}, path) : undefined;
            if (value === undefined || value === null || isOfType(value, field)) continue;
            itemCount += 1;
            if (some.length < maxListed) some.push({ item, key: keys.at(item), value });
          }
          return itemCount === 0 ? [] : [{ type, path, itemCount, some }];
        },
      ),
    );
  }

  change(source: string, set: string, change: ItemChange): number {
    const held = this.engine.held(source);
    return held.change(set, changedItems(held.set(set).raw, change));
  }

  /** The same of the item with a key, wherever it is now; undefined: it is gone. */
  changeOf(
    { source, set, key }: Pick<ItemPlace, 'source' | 'set' | 'key'>,
    change: OneChange,
  ): number | undefined {
    const project = this.projectNow();
    const own = withId(project.sources, source);
    if (own === undefined) return undefined;
    const items = this.engine.held(source).set(set);
    const positionOf = (each: string) => items.positionOf(each, project, own, this.engine.now);
    const position = positionOf(key);
    const changed = position < 0 ? undefined : changeAt(position, change, positionOf);
    return changed && this.change(source, set, changed);
  }

  /** Makes items like those that are there and puts them into a set. */
  async make(
    source: Source,
    {
      set,
      count,
      ...task
    }: Pick<GeneratorTask, 'seed' | 'rules'> & {
      readonly set: string;
      readonly count: number;
    },
    pause: (share: number) => Promise<void>,
  ): Promise<Result<number, Finding>> {
    const held = this.engine.held(source.id);
    const like = held.set(ownSet).raw;
    if (like.length === 0) return failed(nothingToMakeLike(source.id));
    const project = this.projectNow();
    const next = itemGenerator(like, {
      ...task,
      key: keyFields(rawKey(project, source)),
      discriminator:
        source.discriminator === null ? null : rawName(project, source, source.discriminator),
    });
    const items: Item[] = [];
    while (items.length < count) {
      items.push(next());
      if (items.length % 2_000 === 0) await pause(items.length / count);
    }
    return ok(held.change(set, successionOf([], items)));
  }

  /** The nasty set: for each type a few items that are hard to show. */
  nasty(source: Source, set: string): number {
    const project = this.projectNow();
    const held = this.engine.held(source.id);
    const own = held.set(ownSet);
    const { types, indexes } = own.types(project, source);
    const items = nastyItems(
      typesOf(project, source.id),
      (type) => {
        const at = types.findIndex((id) => withId(project.types, id)?.value === type.value);
        return fullest(own.raw, own.items(project, source, this.engine.now), indexes, at);
      },
      { key: keyFields(source.key), discriminator: source.discriminator },
    );
    return held.change(set, successionOf([], items));
  }

  /** Values of a field as they were read, with the item that each is of; nothing for missing and empty ones. */
  private projectNow(): Project {
    const { project } = this.engine;
    if (project === undefined) throw new Error('The engine has no project.');
    return project;
  }
}

const nothingToMakeLike = (source: string): Finding => ({
  code: 'nothing-made',
  severity: 'note',
  place: { in: 'items', source },
  message: 'There are no items yet to make others like.',
  hint: 'Bring or type one first.',
});

const maxLookedAt = 2_000;

/** The item of a type that has the most values after decoding: the most ordinary one there is. */
function fullest(
  raw: readonly Item[],
  shaped: readonly Item[],
  indexes: Uint16Array,
  type: number,
): Item {
  const valueCount = (at: number) =>
    Object.values(shaped[at] ?? {}).filter((value) => value !== null && value !== '').length;
  let best = -1;
  for (let at = 0; at < Math.min(raw.length, maxLookedAt); at += 1) {
    if (indexes[at] === type && (best < 0 || valueCount(at) > valueCount(best))) best = at;
  }
  return raw[best] ?? {};
}
