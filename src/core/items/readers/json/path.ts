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
import { howFar } from './path-steps';
import { everyOne, type Found, plainNodes } from './plain-path';
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
      : failed(itemFindings.pathFindsNothing(file, at, await howFar(root, at)));
  const isNamed = everyOne.test(at);
  return ok(nodes.map((node) => itemOf(node, isNamed)));
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
