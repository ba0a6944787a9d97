import { isRecord, type Json, type JsonRecord, ownValue } from '../../base';
import type { Item } from '../item';
import { listPath } from '../json/scan';

const deepest = 6;
const minItems = 2;

export interface NamedItems {
  /** JSONPath of the values. */
  readonly at: string;
  readonly items: readonly Item[];
}

/** The record nearest to the root whose values all are records with a field in common: items by their names. */
export function namedItems(root: Json, path: readonly string[] = []): NamedItems | undefined {
  if (!isRecord(root) || path.length > deepest) return undefined;
  const names = Object.keys(root);
  const values = names.map((name) => ownValue(root, name)).filter(isRecord);
  if (values.length === names.length && values.length >= minItems && haveFieldInCommon(values)) {
    const items = values.map((value, at) => withName(value, names[at] ?? ''));
    return { at: listPath(path), items };
  }
  for (const name of names) {
    const inside = ownValue(root, name);
    const found = inside === undefined ? undefined : namedItems(inside, [...path, name]);
    if (found !== undefined) return found;
  }
  return undefined;
}

function haveFieldInCommon([first, ...others]: readonly JsonRecord[]): boolean {
  return Object.keys(first ?? {}).some((name) => others.every((each) => Object.hasOwn(each, name)));
}

/** The item with the name that it had among the others, as a field in front. */
export function withName(item: Item, name: string): Item {
  const field = ['key', 'name', 'id', 'its key'].find((each) => !Object.hasOwn(item, each));
  return field === undefined ? item : Object.fromEntries([[field, name], ...Object.entries(item)]);
}
