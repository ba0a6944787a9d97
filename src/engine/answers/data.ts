import { atOnce, type Finding, failed, inTurns, type Json, ok, type Result } from '../../core/base';
import {
  type BetterReading,
  betterReading,
  decoder,
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
  type Proposal,
  pathsReadAsFound,
  proposeDecodings,
  type Slip,
  slipsIn,
  successionOf,
  type TypeFound,
  typeDecoded,
  valueAt,
} from '../../core/items';
import { ownSet, type Project, type Source, typesOf, withId } from '../../core/project';
import { type Decoding, fieldAtPath, type ValueType } from '../../core/values';
import type { Engine } from '../engine';
import {
  changeAt,
  changedItems,
  type ItemChange,
  type OneChange,
  rawKey,
  rawName,
  rawPathOf,
} from '../items';
import type { ItemPlace } from '../views';
import { type TableLook, tableOrder } from './table';

/** A field of a source, of one type or of all that have it. */
export interface FieldTask {
  readonly source: string;
  readonly type: string | undefined;
  readonly path: readonly string[];
}

export interface TableRows {
  /** How many rows the look shows. */
  readonly count: number;
  readonly rows: readonly { readonly position: number; readonly item: Item }[];
}

/** A decoding tried on the values that are there. */
export interface DecodingTrial {
  /** Why the decoding itself can't be used. */
  readonly wrong: string | undefined;
  readonly gives: string | undefined;
  readonly slips: readonly Slip[];
  readonly samples: readonly { readonly raw: Json; readonly value?: Json; readonly why?: string }[];
  readonly triedCount: number;
  readonly failCount: number;
  /** The first that fail, each with its item. */
  readonly fails: readonly { readonly item: number; readonly raw: Json; readonly why: string }[];
}

/** A field with values that are not of its type. */
export interface Misfit {
  readonly type: string;
  readonly path: readonly string[];
  readonly itemCount: number;
  /** The first of them. */
  readonly some: readonly { readonly item: number; readonly key: string; readonly value: Json }[];
}

const startsWith = (path: readonly string[], start: readonly string[]): boolean =>
  start.every((name, at) => path[at] === name);

const sampleCount = 5;
const maxListed = 100;

/** What the Data station asks and does: everything about the items themselves. */
export class EngineData {
  private order: { items: readonly Item[]; look: string; positions: Int32Array } | undefined;

  private readonly better = new WeakMap<readonly Item[], Map<string, BetterReading | undefined>>();

  constructor(private readonly engine: Engine) {}

  rows(source: string, look: TableLook, range: { from: number; to: number }): TableRows {
    const items = this.engine.heldIn(source);
    const id = JSON.stringify(look);
    if (this.order?.items !== items || this.order.look !== id)
      this.order = { items, look: id, positions: tableOrder(items, look) };
    const { positions } = this.order;
    const rows = Array.from(positions.subarray(range.from, range.to), (position) => ({
      position,
      item: items[position] ?? {},
    }));
    return { count: positions.length, rows };
  }

  async evidence(asked: FieldTask, pause: () => Promise<void>): Promise<Evidence | undefined> {
    const found = this.fieldOf(asked);
    if (found === undefined) return undefined;
    const { field, isOfType } = found;
    return inTurns(
      gatherEvidence(this.engine.heldIn(asked.source), asked.path, field, isOfType),
      pause,
    );
  }

  proposals(asked: FieldTask): readonly Proposal[] {
    const name = asked.path.at(-1) ?? '';
    return proposeDecodings(
      name,
      [...this.rawValues(asked)].slice(0, 2_000).map(({ raw }) => raw),
    );
  }

  /** What reading fields otherwise would give; of those about which nobody has said anything. `readBy`: only what an expression of these paths reads. */
  async betterReadings(
    source: string,
    readBy: readonly (readonly string[])[] | undefined,
    pause: () => Promise<void>,
  ): Promise<BetterReading[]> {
    const found: BetterReading[] = [];
    for (const path of pathsReadAsFound(typesOf(this.projectNow(), source))) {
      if (readBy !== undefined && !readBy.some((each) => startsWith(each, path))) continue;
      await pause();
      const better = this.betterReading({ source, type: undefined, path });
      if (better !== undefined) found.push(better);
    }
    return found;
  }

  /** Asked with every edit, found once for the items and the way they are told apart. */
  private betterReading(asked: FieldTask): BetterReading | undefined {
    const { raw } = this.engine.held(asked.source).shown();
    const own = withId(this.projectNow().sources, asked.source);
    const of = JSON.stringify([this.fieldOf(asked)?.rawPath, own?.discriminator]);
    const known = this.better.get(raw) ?? new Map<string, BetterReading | undefined>();
    this.better.set(raw, known);
    if (known.has(of)) return known.get(of);
    const rawValues = () => this.rawValues(asked);
    const found = betterReading(asked.path, function* () {
      for (const { raw: value } of rawValues()) yield value;
    });
    known.set(of, found);
    return found;
  }

  tryDecoding(asked: FieldTask, decoding: Decoding): DecodingTrial {
    const slips = 'pattern' in decoding ? slipsIn(decoding.pattern) : [];
    const made = decoder(decoding);
    const empty = { samples: [], triedCount: 0, failCount: 0, fails: [], slips };
    if (!made.ok) return { ...empty, wrong: made.error, gives: undefined };
    const samples: { raw: Json; value?: Json; why?: string }[] = [];
    const fails: { item: number; raw: Json; why: string }[] = [];
    let triedCount = 0;
    let failCount = 0;
    const seen = new Set<Json>();
    for (const { raw, item } of this.rawValues(asked)) {
      triedCount += 1;
      const value = made.value(raw);
      if (!value.ok) {
        failCount += 1;
        if (fails.length < maxListed) fails.push({ item, raw, why: value.error });
      } else if (samples.length < sampleCount && !seen.has(raw)) {
        seen.add(raw);
        samples.push({ raw, value: value.value });
      }
    }
    return {
      wrong: undefined,
      gives: typeDecoded(decoding),
      samples,
      triedCount,
      failCount,
      fails,
      slips,
    };
  }

  /** The types of a source if a field told them apart. */
  foundBy(source: string, discriminator: string | null): readonly TypeFound[] {
    const items = this.engine.held(source).set(ownSet).raw;
    return atOnce(infer(items, source, undefined, discriminator)).types;
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
  private *rawValues(asked: FieldTask): Generator<{ raw: Json; item: number }, void> {
    const found = this.fieldOf(asked);
    if (found === undefined) return;
    const { raw } = this.engine.held(asked.source).shown();
    const path = found.rawPath;
    for (let item = 0; item < raw.length; item += 1) {
      const value = found.isOfType(item) ? valueAt(raw[item] ?? {}, path) : undefined;
      if (isThere(value)) yield { raw: value, item };
    }
  }

  private fieldOf({ source, type, path }: FieldTask) {
    const project = this.projectNow();
    const own = withId(project.sources, source);
    if (own === undefined) return undefined;
    const types = typesOf(project, source);
    const owners = types.filter(
      (each) =>
        (type === undefined || each.id === type) && fieldAtPath(each.fields, path) !== undefined,
    );
    const field: ValueType | undefined = owners[0] && fieldAtPath(owners[0].fields, path);
    if (field === undefined) return undefined;
    const indexes = this.engine.held(source).shown().types(project, own).indexes;
    const wanted = new Set(owners.map((each) => types.indexOf(each)));
    return {
      field,
      rawPath: rawPathOf(owners[0]?.fields ?? [], path),
      isOfType: (position: number) => wanted.has(indexes[position] ?? -1),
    };
  }

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
