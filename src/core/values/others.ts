import type { JsonRecord } from '../base';
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

/** The sources of the project by their ids. */
export type Others = ReadonlyMap<string, OtherSource>;

export const noOthers: Others = new Map();

/** The first step of a path that begins in another source: `lookup("makers")`. */
export const lookupStep = (source: string): string => `lookup(${JSON.stringify(source)})`;
