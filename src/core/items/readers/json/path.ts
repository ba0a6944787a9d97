import {
  type Finding,
  failed,
  isRecord,
  type Json,
  ok,
  ownValue,
  type Result,
} from '../../../base';
import { itemFindings } from '../../findings';
import { asItem, type Item } from '../../item';
import type { ReadTask } from '../reader';
import { type JsonNode, queryJson } from './json-path';
import { tableItems } from './table';

/**
 * The items that a JSONPath (RFC 9535) selects. A path to a list itself means its elements; values
 * of a record bring their names with them.
 */
export async function itemsAtPath(
  root: Json,
  at: string,
  { file, mayBeEmpty = false }: Pick<ReadTask, 'file' | 'mayBeEmpty'>,
): Promise<Result<readonly Item[], Finding>> {
  const found = plainNodes(root, at) ?? (await queryJson(at, root));
  if (!found.ok) return failed(itemFindings.pathInvalid(file, at, found.error));
  const nodes: readonly Found[] = found.value;
  const only = nodes.length === 1 ? nodes[0]?.value : undefined;
  const rows = Array.isArray(only) ? only : nodes.map(({ value }) => value);
  const named = tableItems(rows, around(root, nodes[0], Array.isArray(only)));
  if (named !== undefined) return ok(named);
  if (Array.isArray(only) && only.length > 0) return ok(only.map(asItem));
  if (nodes.length === 0 || Array.isArray(only))
    return mayBeEmpty && (await isEmptyList(root, at))
      ? ok([])
      : failed(itemFindings.pathFindsNothing(file, at, howFar(root, at)));
  const isNamed = everyOne.test(at);
  return ok(nodes.map((node) => itemOf(node, isNamed)));
}

type Found = Pick<JsonNode, 'value' | 'location'>;

/**
 * What a path of names and positions selects, with `[*]` at its end or without: most paths are such
 * ones, and there may be more elements than a query takes. Undefined: it is no such path, or leads nowhere.
 */
function plainNodes(root: Json, at: string): Result<readonly Found[], never> | undefined {
  const isEveryOne = everyOne.test(at);
  const plain = at.replace(everyOne, '');
  if (!/^\s*\$/.test(plain) || /\\[^'\\]/.test(plain)) return undefined;
  const location: (string | number)[] = [];
  let value: Json = root;
  step.lastIndex = plain.indexOf('$') + 1;
  while (step.lastIndex < plain.length) {
    const [, dotted, single, double, index] = step.exec(plain) ?? [];
    const name = dotted ?? (single ?? double)?.replace(/\\(.)/g, '$1');
    const next =
      name !== undefined && isRecord(value)
        ? ownValue(value, name)
        : index !== undefined && Array.isArray(value)
          ? value.at(Number(index))
          : undefined;
    if (next === undefined) return undefined;
    const position = Number(index);
    const from = position < 0 && Array.isArray(value) ? value.length : 0;
    location.push(name ?? from + position);
    value = next;
  }
  if (!isEveryOne) return ok([{ value, location }]);
  if (Array.isArray(value))
    return ok(value.map((each, at) => ({ value: each, location: [...location, at] })));
  if (!isRecord(value)) return undefined;
  const record = value;
  return ok(
    Object.keys(record).map((name) => ({
      value: ownValue(record, name) ?? null,
      location: [...location, name],
    })),
  );
}

/** What stands around the list that a node is, or is in. */
function around(root: Json, node: Found | undefined, isList: boolean): Json | undefined {
  let value: Json | undefined = root;
  for (const step of node?.location.slice(0, isList ? -1 : -2) ?? [])
    value = isRecord(value)
      ? ownValue(value, String(step))
      : Array.isArray(value)
        ? value[Number(step)]
        : undefined;
  return value;
}

const everyOne = /(?:\.\*|\[\s*\*\s*\])\s*$/;

/** A list that is there and has nothing in it: the last page, a shop that sold out. */
async function isEmptyList(root: Json, at: string): Promise<boolean> {
  const found = await queryJson(at.replace(everyOne, ''), root);
  return found.ok && found.value.length > 0 && found.value.every(isEmpty);
}

const isEmpty = ({ value }: JsonNode): boolean => Array.isArray(value) && value.length === 0;

function itemOf({ value, location }: Found, isNamed: boolean): Item {
  const name = location.at(-1);
  return isNamed && typeof name === 'string' ? withName(asItem(value), name) : asItem(value);
}

/** The item with the name that it had among the others, as a field in front. */
function withName(item: Item, name: string): Item {
  const field = ['key', 'name', 'id', 'its key'].find((each) => !Object.hasOwn(item, each));
  return field === undefined ? item : Object.fromEntries([[field, name], ...Object.entries(item)]);
}

const step =
  /\.\*|\[\s*\*\s*\]|\.([\p{L}_][\p{L}\p{N}_]*)|\[\s*(?:'((?:[^'\\]|\\.)*)'|"((?:[^"\\]|\\.)*)"|(-?\d+))\s*\]/uy;

/** How far a path gets in a document, one entry a step that leads somewhere. */
export interface PathSteps {
  readonly steps: readonly { readonly path: string; readonly there: string }[];
  /** What of the path leads nowhere, or is no plain step. */
  readonly rest: string;
}

/** The plain steps of a path (names, positions, `*`) on the real document; `*` goes on with the first. */
export function pathSteps(root: Json, at: string): PathSteps {
  let value: Json = root;
  step.lastIndex = at.indexOf('$') + 1;
  let end = step.lastIndex;
  const steps = [{ path: at.slice(0, end), there: inWords(value) }];
  for (let found = step.exec(at); found !== null; found = step.exec(at)) {
    const [, dotted, single, double, index] = found;
    const name = dotted ?? single ?? double;
    const next: Json | undefined =
      name !== undefined
        ? isRecord(value)
          ? ownValue(value, name)
          : undefined
        : elementsOf(value)[index === undefined ? 0 : Number(index)];
    if (next === undefined) break;
    value = next;
    end = step.lastIndex;
    steps.push({ path: at.slice(0, end), there: inWords(value) });
  }
  return { steps, rest: at.slice(end) };
}

function howFar(root: Json, at: string): string {
  const last = pathSteps(root, at).steps.at(-1);
  return `It gets as far as ${last?.path}, where there is ${last?.there}.`;
}

const elementsOf = (value: Json): readonly Json[] =>
  Array.isArray(value) ? value : isRecord(value) ? Object.values(value).map((v) => v ?? null) : [];

function inWords(value: Json): string {
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (!isRecord(value)) return `the value ${JSON.stringify(value).slice(0, 40)}`;
  const names = Object.keys(value);
  const listed = names.slice(0, 8).join(', ');
  return names.length === 0
    ? 'an empty record'
    : `a record with ${listed}${names.length > 8 ? ' …' : ''}`;
}
