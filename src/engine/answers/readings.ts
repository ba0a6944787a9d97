import type { Finding, Json } from '../../core/base';
import {
  type BetterReading,
  betterReading,
  decoder,
  type Item,
  isOfType,
  isThere,
  itemFindings,
  type Proposal,
  pathsReadAsFound,
  proposeDecodings,
  rawPathOf,
  type Slip,
  slipsIn,
  typeDecoded,
  valueAt,
} from '../../core/items';
import { type Project, typesOf, withId } from '../../core/project';
import { type Decoding, fieldAtPath, type ScalarName, type ValueType } from '../../core/values';
import type { Engine } from '../engine';

/** A field of a source, of one type or of all that have it. */
export interface FieldTask {
  readonly source: string;
  readonly type: string | undefined;
  readonly path: readonly string[];
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

/** A field made another type, tried on the values as they were read. */
export interface TypeTrial {
  readonly valueCount: number;
  /** Values that are none of the type, which no row would show. */
  readonly lost: Finding | undefined;
  /** How they would be read as the type, and how many of them. */
  readonly ways: readonly { readonly decoding: Decoding; readonly readCount: number }[];
}

const startsWith = (path: readonly string[], start: readonly string[]): boolean =>
  start.every((name, at) => path[at] === name);

const sampleCount = 5;

const maxListed = 100;

/** How the fields of a source are read, and how they could be: tried on all values before it is kept. */
export class EngineReadings {
  private readonly better = new WeakMap<readonly Item[], Map<string, BetterReading | undefined>>();

  constructor(private readonly engine: Engine) {}

  proposals(asked: FieldTask): readonly Proposal[] {
    const name = asked.path.at(-1) ?? '';
    return proposeDecodings(
      name,
      [...this.rawValues(asked)].map(({ raw }) => raw),
      this.typeOf(asked),
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
    const of = JSON.stringify([
      this.fieldOf(asked)?.rawPath,
      this.fieldOf(asked)?.owners,
      own?.discriminator,
    ]);
    const known = this.better.get(raw) ?? new Map<string, BetterReading | undefined>();
    this.better.set(raw, known);
    if (known.has(of)) return known.get(of);
    const rawValues = (every: number) => this.rawValues(asked, every);
    const found = betterReading(asked.path, this.typeOf(asked), {
      itemCount: raw.length,
      *of(every) {
        for (const { raw: value } of rawValues(every)) yield value;
      },
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

  tryType(asked: FieldTask, type: ScalarName): TypeTrial {
    let [valueCount, itemCount] = [0, 0];
    let first: { readonly item: number; readonly raw: Json } | undefined;
    for (const { raw, item } of this.rawValues(asked)) {
      valueCount += 1;
      if (isOfType(raw, { type })) continue;
      itemCount += 1;
      first ??= { item, raw };
    }
    if (first === undefined) return { valueCount, lost: undefined, ways: [] };
    const name = asked.path.join('.');
    const some = { itemCount, first: first.item, value: JSON.stringify(first.raw) };
    const { source } = asked;
    const lost = itemFindings.fieldOfOtherType(
      source,
      source,
      { name, type, required: false },
      some,
    );
    const ways = this.proposals(asked).flatMap(({ decoding }) => {
      const { gives, triedCount, failCount } = this.tryDecoding(asked, decoding);
      return gives === type ? [{ decoding, readCount: triedCount - failCount }] : [];
    });
    return { valueCount, lost, ways };
  }

  private typeOf(asked: FieldTask): ScalarName | undefined {
    const type = this.fieldOf(asked)?.field.type;
    return type === 'record' || type === 'list' ? undefined : type;
  }

  private *rawValues(asked: FieldTask, every = 1): Generator<{ raw: Json; item: number }, void> {
    const found = this.fieldOf(asked);
    if (found === undefined) return;
    const { raw } = this.engine.held(asked.source).shown();
    const path = found.rawPath;
    for (let item = 0; item < raw.length; item += every) {
      const value = found.isOfType(item) ? valueAt(raw[item] ?? {}, path) : undefined;
      if (isThere(value)) yield { raw: value, item };
    }
  }

  fieldOf({ source, type, path }: FieldTask) {
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
      owners: owners.map(({ id }) => id),
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
