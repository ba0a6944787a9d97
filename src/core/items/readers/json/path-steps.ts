import { count, isRecord, type Json } from '../../../base';
import { queryJson } from './json-path';
import { plainNodes } from './plain-path';

/** How far a path gets in a document, one entry for each segment that leads somewhere. */
export interface PathSteps {
  readonly steps: readonly { readonly path: string; readonly there: string }[];
  /** What of the path leads nowhere; empty: all of it leads somewhere. */
  readonly rest: string;
  /** Why the rest is no path at all. */
  readonly wrong: string | undefined;
}

/** The segments of a JSONPath on the real document: what each selects. Standard: RFC 9535, 2.5. */
export async function pathSteps(root: Json, at: string): Promise<PathSteps> {
  const start = at.indexOf('$') + 1;
  const steps = [{ path: at.slice(0, start), there: inWords(root) }];
  let end = start;
  for (const next of segmentEnds(at, start)) {
    const path = at.slice(0, next);
    const found = plainNodes(root, path) ?? (await queryJson(path, root));
    if (!found.ok) return { steps, rest: at.slice(end), wrong: found.error };
    if (found.value.length === 0) break;
    steps.push({ path, there: allInWords(found.value.map(({ value }) => value)) });
    end = next;
  }
  return { steps, rest: at.slice(end).trim(), wrong: undefined };
}

/** In words, how far a path that selects nothing gets. */
export async function howFar(root: Json, at: string): Promise<string> {
  const last = (await pathSteps(root, at)).steps.at(-1);
  return `It gets as far as ${last?.path}, where there is ${last?.there}.`;
}

/** Where the segments of a path end: those that are whole, whatever stands in their brackets. */
function* segmentEnds(at: string, start: number): Generator<number, void> {
  const opening = /\s*(?:\.\.?(?:\*|[\p{L}_][\p{L}\p{N}_]*)|(?:\.\.)?(?=\[))/uy;
  let end = start;
  while (end < at.length) {
    opening.lastIndex = end;
    if (opening.exec(at) === null) return;
    const after = at[opening.lastIndex] === '[' ? bracketEnd(at, opening.lastIndex) : undefined;
    const isBare = opening.lastIndex > end && !/\.\.$|^\s*$/.test(at.slice(end, opening.lastIndex));
    if (isBare) end = opening.lastIndex;
    else if (after !== undefined) end = after;
    else return;
    yield end;
  }
}

/** The offset after the bracket that closes the one at `from`; undefined: none does. */
function bracketEnd(at: string, from: number): number | undefined {
  let depth = 0;
  const token = /'(?:[^'\\]|\\.)*'|"(?:[^"\\]|\\.)*"|[[\]]/g;
  token.lastIndex = from;
  for (let found = token.exec(at); found !== null; found = token.exec(at)) {
    if (found[0] === '[') depth += 1;
    else if (found[0] === ']') depth -= 1;
    if (depth === 0) return token.lastIndex;
  }
  return undefined;
}

function allInWords(values: readonly Json[]): string {
  const [first = null] = values;
  return values.length === 1
    ? inWords(first)
    : `${count(values.length, 'value')}; the first is ${inWords(first)}`;
}

function inWords(value: Json): string {
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (!isRecord(value)) return `the value ${JSON.stringify(value).slice(0, 40)}`;
  const names = Object.keys(value);
  const listed = names.slice(0, 8).join(', ');
  return names.length === 0
    ? 'an empty record'
    : `a record with ${listed}${names.length > 8 ? ' …' : ''}`;
}
