import type { JsonRecord } from '../base';
import type { RowContext } from './context';
import type { Missing } from './functions';
import type { ResultType } from './result-type';
import type { Field } from './type';
import type { Value } from './value';

/** Another source, as `lookup("source", key)` reaches it. */
export interface OtherSource {
  /** The fields of its items. */
  readonly fields: readonly Field[];
  /** Whether something tells its items apart: without that, none can be found. */
  readonly hasKey: boolean;
  find(key: Value): JsonRecord | undefined;
}

/** A format, as `format(value, "price")` reaches it. */
export interface KnownFormat {
  /** What it writes, in words. */
  readonly words: string;
  takes(type: ResultType): boolean;
  /** Undefined where expressions are only checked. */
  readonly write:
    | ((value: Value, item: JsonRecord, context: RowContext) => string | Missing)
    | undefined;
}

/** What an expression can reach beside the item: the project's sources and formats, by their ids. */
export interface Environment {
  readonly sources: ReadonlyMap<string, OtherSource>;
  readonly formats: ReadonlyMap<string, KnownFormat>;
}

export const emptyEnvironment: Environment = { sources: new Map(), formats: new Map() };

/** The first step of a path that begins in another source: `lookup("makers")`. */
export const lookupStep = (source: string): string => `lookup(${JSON.stringify(source)})`;
