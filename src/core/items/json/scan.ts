import type { Turns } from '../../base';
import {
  CLOSE_LIST,
  CLOSE_RECORD,
  COMMA,
  nextIsColon,
  OPEN_LIST,
  OPEN_RECORD,
  QUOTE,
  stringEnd,
  unquoted,
} from './marks';

/**
 * Finds the lists of a JSON document without parsing it: one pass over brackets, strings and
 * commas. It trusts nothing but is lenient; what it lets through, JSON.parse refuses later.
 */

export type PathStep = string | number;

/** A list that may hold the items: where it is, how many elements, and where it may be cut. */
export interface ListFound {
  readonly path: readonly PathStep[];
  /** Offset of `[`. */
  readonly start: number;
  /** Offset of `]`, or undefined while the text ends inside the list. */
  end: number | undefined;
  elementCount: number;
  readonly holds: 'records' | 'values';
  /** Offset after the last element that is known to be whole. */
  wholeUntil: number;
}

export interface ScanResult {
  readonly lists: readonly ListFound[];
  readonly root: 'record' | 'list' | 'value' | 'nothing';
  /** Offset after the first value at the root; undefined if the text ended inside it. */
  readonly rootEnd: number | undefined;
  /** What no JSON document can have; the strict reader then says it better. */
  readonly trouble: 'brackets' | 'depth' | 'elements' | undefined;
  /** It was left: there are many lists, and none of them is most of the document. */
  readonly isScattered: boolean;
}

/** Offered the text of whole elements from `from` to `to`; how many they are, or -1 if it is not that. */
export type TakeElements = (list: ListFound, from: number, to: number) => number;

interface Open {
  readonly isList: boolean;
  key: PathStep;
  elementCount: number;
}

export const maxDepth = 200;
const maxListDepth = 12;
/** So many short lists: they stand in items. */
const maxScattered = 40;
const sliceChars = 1_000_000;

/**
 * Finds the lists. `take` is offered whole elements of lists of records, slice by slice. Takes a
 * turn about every million characters.
 */
export function* scanJson(text: string, take?: TakeElements): Turns<ScanResult> {
  const lists: ListFound[] = [];
  const stack: Open[] = [];
  let root: ScanResult['root'] = 'nothing';
  const done = (trouble: ScanResult['trouble'], rootEnd?: number): ScanResult => ({
    ...{ lists, root, rootEnd, trouble },
    isScattered: false,
  });
  let longest = 0;

  for (let i = 0; i < text.length; i += 1) {
    const char = text.charCodeAt(i);
    if (char <= 32) continue;
    const top = stack.at(-1);
    if (root === 'nothing') {
      root = char === OPEN_RECORD ? 'record' : char === OPEN_LIST ? 'list' : 'value';
      if (root === 'value') return done(undefined);
    }
    if (
      top?.isList &&
      top.elementCount === 0 &&
      char !== CLOSE_LIST &&
      stack.length <= maxListDepth
    ) {
      const list = listAt(text, i, stack, char === OPEN_RECORD ? 'records' : 'values');
      lists.push(list);
      const trouble = yield* passList(text, list, { from: i, depthBefore: stack.length, take });
      if (trouble !== undefined || list.end === undefined) return done(trouble);
      i = list.end;
      longest = Math.max(longest, list.end - list.start);
      if (lists.length > maxScattered && longest < i / 2)
        return { ...done(undefined), isScattered: true };
      stack.pop();
      if (stack.length === 0) return done(undefined, i + 1);
    } else if (char === QUOTE) {
      const end = stringEnd(text, i);
      if (end < 0) return done(undefined);
      if (top !== undefined && !top.isList && nextIsColon(text, end + 1))
        top.key = unquoted(text, i, end);
      i = end;
    } else if (char === COMMA) {
      if (top?.isList) {
        top.elementCount += 1;
        top.key = top.elementCount;
      }
    } else if (char === OPEN_RECORD || char === OPEN_LIST) {
      if (stack.length >= maxDepth) return done('depth');
      stack.push({ isList: char === OPEN_LIST, key: 0, elementCount: 0 });
    } else if (char === CLOSE_RECORD || char === CLOSE_LIST) {
      const closed = stack.pop();
      if (closed === undefined || closed.isList !== (char === CLOSE_LIST)) return done('brackets');
      if (
        closed.isList &&
        closed.elementCount === 0 &&
        text.charCodeAt(lastMark(text, i)) === OPEN_LIST
      )
        lists.push(emptyListAt(text, i, stack));
      if (stack.length === 0) return done(undefined, i + 1);
    }
  }
  return done(undefined);
}

/** The list that begins before its first element. */
function listAt(
  text: string,
  firstElement: number,
  stack: readonly Open[],
  holds: ListFound['holds'],
): ListFound {
  const start = lastMark(text, firstElement);
  const path = stack.slice(0, -1).map((each) => each.key);
  return { path, start, end: undefined, elementCount: 0, holds, wholeUntil: start + 1 };
}

const emptyListAt = (text: string, end: number, stack: readonly Open[]): ListFound => ({
  path: stack.map((each) => each.key),
  start: lastMark(text, end),
  end,
  elementCount: 0,
  holds: 'values',
  wholeUntil: end,
});

interface Pass {
  /** Offset of the first element. */
  readonly from: number;
  readonly depthBefore: number;
  readonly take: TakeElements | undefined;
}

/**
 * Goes to the end of a list. A slice's end is guessed by the text that stood between the first
 * two elements; that the slice then parses as elements proves the guess. Only where it does not
 * are brackets counted.
 */
function* passList(text: string, list: ListFound, pass: Pass): Turns<ScanResult['trouble']> {
  const { take } = pass;
  if (take === undefined || list.holds === 'values')
    return countBrackets(text, list, pass, Number.POSITIVE_INFINITY);
  const between = textBetweenElements(text, pass.from);
  let from = pass.from;
  while (list.end === undefined) {
    const guessed =
      between === undefined ? undefined : guessSlice(text, list, { from, between, take });
    if (guessed === undefined) {
      const trouble = countBrackets(text, list, { ...pass, from }, sliceChars);
      if (trouble !== undefined) return trouble;
      if (list.wholeUntil <= from) return 'elements';
      const taken = take(list, from, list.wholeUntil);
      if (taken < 0) return 'elements';
    }
    from = list.wholeUntil + 1;
    yield from / text.length;
  }
  return undefined;
}

/** `},{"id"` or the like: from the end of the first element to the first name in the second. */
function textBetweenElements(text: string, from: number): string | undefined {
  const probe: ListFound = {
    path: [],
    start: from,
    end: undefined,
    elementCount: 0,
    holds: 'records',
    wholeUntil: from,
  };
  countBrackets(text, probe, { from, depthBefore: 0, take: undefined }, 0);
  if (probe.end !== undefined || probe.wholeUntil === from) return undefined;
  const begin = lastMark(text, probe.wholeUntil);
  const name = /^,\s*\{\s*"(?:[^"\\]|\\.)*"\s*:/.exec(
    text.slice(probe.wholeUntil, probe.wholeUntil + 400),
  );
  return name === null ? undefined : text.slice(begin, probe.wholeUntil + name[0].length);
}

interface Guess {
  readonly from: number;
  readonly between: string;
  readonly take: TakeElements;
}

/** Takes a slice that ends where the guess says; undefined if no guess near there holds. */
function guessSlice(
  text: string,
  list: ListFound,
  { from, between, take }: Guess,
): number | undefined {
  let at = from + sliceChars;
  for (let tries = 0; tries < 3; tries += 1) {
    at = text.indexOf(between, at);
    if (at < 0) return undefined;
    const comma = text.indexOf(',', at);
    const taken = take(list, from, comma);
    if (taken >= 0) {
      list.elementCount += taken;
      list.wholeUntil = comma;
      return comma;
    }
    at += 1;
  }
  return undefined;
}

/** Counts brackets up to the list's end, or to the first comma between elements past `stopAfter`. */
function countBrackets(
  text: string,
  list: ListFound,
  pass: Pass,
  stopAfter: number,
): 'depth' | undefined {
  const deepest = maxDepth - pass.depthBefore;
  let depth = 0;
  for (let i = pass.from; i < text.length; i += 1) {
    const char = text.charCodeAt(i);
    if (char === QUOTE) {
      i = stringEnd(text, i);
      if (i < 0) return undefined;
    } else if (char === COMMA) {
      if (depth > 0) continue;
      list.elementCount += 1;
      list.wholeUntil = i;
      if (i - pass.from >= stopAfter) return undefined;
    } else if (char === OPEN_RECORD || char === OPEN_LIST) {
      depth += 1;
      if (depth > deepest) return 'depth';
    } else if (char === CLOSE_RECORD || char === CLOSE_LIST) {
      depth -= 1;
      if (depth >= 0) continue;
      list.end = i;
      list.elementCount += 1;
      list.wholeUntil = i;
      return undefined;
    }
  }
  return undefined;
}

/** Offset of the last character before `from` that is no white space. */
function lastMark(text: string, from: number): number {
  let i = from - 1;
  while (i >= 0 && text.charCodeAt(i) <= 32) i -= 1;
  return i;
}

/** The list that is most of a text; undefined: none is, or it is a list of one. */
export function coveringList(lists: readonly ListFound[], text: string): ListFound | undefined {
  const spanOf = ({ start, end = text.length }: ListFound) => end - start;
  return lists.find(
    (list) => spanOf(list) > text.length / 2 && (list.elementCount > 1 || list.end === undefined),
  );
}

const plainName = /^[A-Za-z_][A-Za-z0-9_]*$/;

/** The elements of the list at `path`, as a JSONPath (RFC 9535, shorthand where names allow it). */
export function listPath(path: readonly PathStep[]): string {
  const steps = path.map((step) => {
    if (typeof step === 'number') return `[${step}]`;
    return plainName.test(step) ? `.${step}` : `['${step.replace(/[\\']/g, '\\$&')}']`;
  });
  return `$${steps.join('')}[*]`;
}
