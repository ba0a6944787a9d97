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
import { withName } from '../named-items';
import type { ReadTask } from '../reader';
import { type JsonNode, queryJson } from './json-path';

/**
 * The items that a JSONPath (RFC 9535) selects. A path to a list itself means its elements; values
 * of a record bring their names with them.
 */
export async function itemsAtPath(
  root: Json,
  at: string,
  { file, mayBeEmpty = false }: Pick<ReadTask, 'file' | 'mayBeEmpty'>,
): Promise<Result<readonly Item[], Finding>> {
  const found = await queryJson(at, root);
  if (!found.ok) return failed(itemFindings.pathInvalid(file, at, found.error));
  const nodes = found.value;
  const only = nodes.length === 1 ? nodes[0]?.value : undefined;
  if (Array.isArray(only) && only.length > 0) return ok(only.map(asItem));
  if (nodes.length === 0 || Array.isArray(only))
    return mayBeEmpty && (await isEmptyList(root, at))
      ? ok([])
      : failed(itemFindings.pathFindsNothing(file, at, howFar(root, at)));
  const isNamed = everyOne.test(at);
  return ok(nodes.map((node) => itemOf(node, isNamed)));
}

const everyOne = /(?:\.\*|\[\s*\*\s*\])\s*$/;

/** A list that is there and has nothing in it: the last page, a shop that sold out. */
async function isEmptyList(root: Json, at: string): Promise<boolean> {
  const found = await queryJson(at.replace(everyOne, ''), root);
  return found.ok && found.value.length > 0 && found.value.every(isEmpty);
}

const isEmpty = ({ value }: JsonNode): boolean => Array.isArray(value) && value.length === 0;

function itemOf({ value, location }: JsonNode, isNamed: boolean): Item {
  const name = location.at(-1);
  return isNamed && typeof name === 'string' && isRecord(value)
    ? withName(value, name)
    : asItem(value);
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
