import type { JsonRecord } from '../../base';
import type { Checked } from '../check/checked';
import { compile, type Evaluate } from '../compile/compile';
import { nowhere, type RowContext } from '../context';
import { type Environment, emptyEnvironment } from '../environment';

/** Texts as positions in a table of those that differ; -1: there is none. */
export interface TextColumn {
  readonly table: readonly string[];
  readonly codes: Int32Array;
}

/** How many items are taken at a time: what a step makes of them stays in the nearest cache. */
export const blockLength = 1_024;

/** Where more than every eighth of them differs, a table of them would save nothing. */
const minRepeats = 8;
/** How many may differ in any case. */
const alwaysTold = 1_024;

interface TakenOut {
  readonly numbers: Map<string, Float64Array>;
  readonly flags: Map<string, Uint8Array>;
  readonly texts: Map<string, TextColumn | undefined>;
}

/**
 * Fields of items as arrays of their own, taken out when they are first asked for: passes over all
 * items then need not touch the items. Made for one array of items of one type; other items, other columns.
 */
export class Columns {
  constructor(
    readonly items: readonly JsonRecord[],
    readonly contextAt: (at: number) => RowContext = () => nowhere,
    readonly environment: Environment = emptyEnvironment,
    private readonly taken: TakenOut = { numbers: new Map(), flags: new Map(), texts: new Map() },
  ) {}

  /** The same columns where the items stand elsewhere. */
  within(contextAt: (at: number) => RowContext, environment: Environment): Columns {
    return new Columns(this.items, contextAt, environment, this.taken);
  }

  /** NaN stands for a missing number. */
  numbers(field: Checked): Float64Array | undefined {
    return known(this.taken.numbers, field, (read) => {
      const numbers = new Float64Array(this.room()).fill(Number.NaN);
      for (let at = 0; at < this.items.length; at += 1)
        numbers[at] = asNumber(read(this.items[at] ?? {}));
      return numbers;
    });
  }

  /** See `asFlag`. */
  flags(field: Checked): Uint8Array | undefined {
    return known(this.taken.flags, field, (read) => {
      const flags = new Uint8Array(this.room()).fill(isMissing);
      for (let at = 0; at < this.items.length; at += 1)
        flags[at] = asFlag(read(this.items[at] ?? {}));
      return flags;
    });
  }

  /** Undefined, too, for texts that hardly repeat. */
  texts(field: Checked): TextColumn | undefined {
    return known(this.taken.texts, field, (read) => this.told(read));
  }

  /** Whole blocks, so that the last is like the others; past the items everything is missing. */
  private room(): number {
    return Math.ceil(this.items.length / blockLength) * blockLength;
  }

  private told(read: Evaluate): TextColumn | undefined {
    const codes = new Int32Array(this.room()).fill(-1);
    const codeOf = new Map<string, number>();
    const max = Math.max(alwaysTold, this.items.length / minRepeats);
    for (let at = 0; at < this.items.length; at += 1) {
      const text = read(this.items[at] ?? {});
      const isText = typeof text === 'string';
      let code = isText ? codeOf.get(text) : -1;
      if (isText && code === undefined) {
        code = codeOf.size;
        if (code >= max) return undefined;
        codeOf.set(text, code);
      }
      codes[at] = code ?? -1;
    }
    return { table: [...codeOf.keys()], codes };
  }
}

/** A condition in a byte: 0 false, 1 true, 2 missing. */
export const isTrue = 1;
export const isMissing = 2;

export const asNumber = (value: unknown): number =>
  typeof value === 'number' ? value : Number.NaN;
export const asFlag = (value: unknown): number =>
  typeof value === 'boolean' ? Number(value) : isMissing;

/** What is known by the path and type of a field; undefined for what is no field. */
function known<T>(
  all: Map<string, T>,
  field: Checked,
  extract: (read: Evaluate) => T,
): T | undefined {
  const path = pathOf(field);
  if (path === undefined) return undefined;
  const id = JSON.stringify([field.type.type, ...path]);
  const column = all.get(id);
  if (column !== undefined || all.has(id)) return column;
  const made = extract(compile(field));
  all.set(id, made);
  return made;
}

function pathOf(checked: Checked): readonly string[] | undefined {
  if (checked.kind === 'field') return [checked.name];
  const of = checked.kind === 'member' ? pathOf(checked.of) : undefined;
  return of === undefined || checked.kind !== 'member' ? undefined : [...of, checked.name];
}
