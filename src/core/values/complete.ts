import type { JsonRecord } from '../base';
import { isPlainName, pathText } from './check/names';
import type { Environment } from './environment';
import { shown } from './explain/shown';
import { makeExpression } from './expression';
import { type FunctionEntry, functionTable } from './functions';
import { isTextual, kindOf, typeOfResult } from './result-type';
import { readExpression } from './syntax/read';
import type { Field } from './type';
import { pathUses } from './uses';

/** One thing that can be written at the caret. */
export interface Completion {
  /** What is written. */
  readonly text: string;
  /** Where the caret stands in it afterwards. */
  readonly caret: number;
  readonly kind: 'field' | 'function' | 'around';
  /** The value of the item at hand, or an example. */
  readonly about: string;
  readonly detail: string;
}

export interface Completions {
  /** Where the text that is replaced begins. */
  readonly from: number;
  readonly offers: readonly Completion[];
}

interface Here {
  readonly fields: readonly Field[];
  readonly environment: Environment;
  readonly item: JsonRecord | undefined;
}

const none: Completions = { from: 0, offers: [] };

/** What can be written at a place of an expression: fields with the item's values, then functions. */
export function completionsAt(text: string, at: number, here: Here): Completions {
  const before = text.slice(0, at);
  const word = /[\p{ID_Continue}$]*$/u.exec(before)?.[0] ?? '';
  const from = at - word.length;
  const stem = before.slice(0, from);
  if (isInText(stem)) return none;
  const world = withParameters(stem, here);
  if (/(?:^|[^\p{ID_Continue}$.])Math\.$/u.test(stem)) return matching(from, word, ofMath());
  const dot = /\??\.\s*$/.exec(stem);
  const offers =
    dot === null
      ? standing(world)
      : inside(expressionBefore(stem.slice(0, dot.index), world), world);
  return matching(from, word, offers);
}

/** Those that hold what was typed, the ones that begin with it first. */
function matching(from: number, word: string, offers: readonly Completion[]): Completions {
  const wanted = word.toLowerCase();
  const rank = ({ text: own }: Completion) => (own.toLowerCase().startsWith(wanted) ? 0 : 1);
  return {
    from,
    offers: offers
      .filter((offer) => offer.text.toLowerCase().includes(wanted))
      .sort((a, b) => rank(a) - rank(b)),
  };
}

function ofMath(): Completion[] {
  const own = functionTable.filter((entry) => entry.name.startsWith('Math.'));
  return own.map((entry) => called({ ...entry, name: entry.name.slice('Math.'.length) }));
}

/** The path that is read at a place, for renaming it from there; undefined: none is. */
export function pathAt(text: string, at: number): readonly string[] | undefined {
  const read = readExpression(text);
  if (!read.ok) return undefined;
  for (const { node, path } of pathUses(read.value)) {
    let inner = node;
    let own = path;
    while (inner.from <= at && at <= inner.to && own.length > 0) {
      const end = inner.kind === 'member' ? inner.step : inner;
      if (end.from <= at) return own;
      if (inner.kind !== 'member' && inner.kind !== 'index') break;
      inner = inner.of;
      own = own.slice(0, -1);
    }
  }
  return undefined;
}

function standing(world: Here): Completion[] {
  const around = ['index', 'count', 'look', 'section', 'now'];
  return [
    ...fieldOffers(world.fields, undefined, world),
    ...nestedOffers(world.fields, [], world, 0),
    ...functionTable.filter((entry) => entry.on === undefined).map(called),
    ...[...world.environment.formats].map(([id, { words }]): Completion => {
      const text = `format(, ${JSON.stringify(id)})`;
      const about = `a value as the format writes it: ${words}`;
      return { text, caret: 'format('.length, kind: 'function', about, detail: '' };
    }),
    ...[...world.environment.sources.keys()].map((source): Completion => {
      const text = `lookup(${JSON.stringify(source)}, )`;
      const about = 'the item of another source that has a key';
      return { text, caret: text.length - 1, kind: 'function', about, detail: '' };
    }),
    ...around
      .filter((name) => !world.fields.some((field) => field.name === name))
      .map((name): Completion => {
        const about = 'where the item stands';
        return { text: name, caret: name.length, kind: 'around', about, detail: '' };
      }),
  ];
}

/** What a value has inside: fields of a record, methods of a text or a list. */
function inside(expr: string | undefined, world: Here): Completion[] {
  const { checked } = makeExpression(expr ?? '', world.fields, 'any', world.environment);
  if (expr === undefined || checked === undefined) return [];
  const { type } = checked;
  if (type.type === 'record') return fieldOffers(type.fields, expr, world);
  const kind = kindOf(type);
  const on = kind === 'list' ? 'list' : isTextual(kind) ? 'text' : undefined;
  return on === undefined ? [] : functionTable.filter((entry) => entry.on === on).map(called);
}

/** Names that need quotes are offered only where they can stand alone: `item["first name"]`. */
function fieldOffers(
  fields: readonly Field[],
  expr: string | undefined,
  world: Here,
): Completion[] {
  return fields.flatMap((field): Completion[] => {
    const text = expr === undefined ? pathText([field.name]) : field.name;
    if (expr !== undefined && !isPlainName(field.name)) return [];
    const whole = expr === undefined ? text : `${expr}.${text}`;
    const { evaluate } = makeExpression(whole, world.fields, 'any', world.environment);
    const about = world.item === undefined ? '' : shown(evaluate?.(world.item));
    return [{ text, caret: text.length, kind: 'field', about, detail: typeOfResult(field) }];
  });
}

const deepestOffer = 4;

/** What stands in records, by its whole path: found by the letters of its own name. */
function nestedOffers(
  fields: readonly Field[],
  before: readonly string[],
  world: Here,
  depth: number,
): Completion[] {
  if (depth >= deepestOffer) return [];
  return fields.flatMap((field): Completion[] => {
    if (field.type !== 'record') return [];
    const path = [...before, field.name];
    const inner = field.fields.map((each): Completion => {
      const text = pathText([...path, each.name]);
      const { evaluate } = makeExpression(text, world.fields, 'any', world.environment);
      const about = world.item === undefined ? '' : shown(evaluate?.(world.item));
      return { text, caret: text.length, kind: 'field', about, detail: typeOfResult(each) };
    });
    return [...inner, ...nestedOffers(field.fields, path, world, depth + 1)];
  });
}

/** A function with its brackets; the caret stands between them where something belongs there. */
function called({ name, params, example, summary }: FunctionEntry): Completion {
  const isStep = name === 'length';
  const text = isStep ? name : `${name}()`;
  const caret = isStep || params.length === 0 ? text.length : text.length - 1;
  return { text, caret, kind: 'function', about: example[0], detail: summary };
}

/** Whether a place stands inside quotes, where nothing is offered; holes of templates are outside. */
function isInText(before: string): boolean {
  const open: string[] = [];
  for (let at = 0; at < before.length; at += 1) {
    const char = before[at] ?? '';
    const inner = open.at(-1);
    const isText = inner === '"' || inner === "'" || inner === '`';
    if (isText && char === '\\') at += 1;
    else if (isText && char === inner) open.pop();
    else if (inner === '`' && char === '$' && before[at + 1] === '{') {
      open.push('{');
      at += 1;
    } else if (!isText && char === '}' && inner === '{') open.pop();
    else if (!isText && (char === '"' || char === "'" || char === '`')) open.push(char);
  }
  return ['"', "'", '`'].includes(open.at(-1) ?? '');
}

const maxBack = 400;

/** The shortest expression that ends here and begins where one can. */
function expressionBefore(text: string, { fields, environment }: Here): string | undefined {
  const end = text.trimEnd();
  for (let from = end.length - 1; from >= Math.max(0, end.length - maxBack); from -= 1) {
    const isBoundary = from === 0 || !/[\p{ID_Continue}$.?)\]"'`]/u.test(end[from - 1] ?? '');
    if (!isBoundary || /\s/.test(end[from] ?? '')) continue;
    const candidate = end.slice(from);
    if (makeExpression(candidate, fields, 'any', environment).checked !== undefined)
      return candidate;
  }
  return undefined;
}

/** Inside a function of elements, its parameters are names like fields. */
function withParameters(stem: string, here: Here): Here {
  const arrow = /(?:\(([\w$\s,]*)\)|([\p{ID_Start}$_][\p{ID_Continue}$]*))\s*=>(?!.*=>)/u.exec(
    stem,
  );
  if (arrow === null) return here;
  const names = (arrow[1] ?? arrow[2] ?? '').split(',').map((name) => name.trim());
  const list = listBefore(stem.slice(0, arrow.index), here);
  const { checked, evaluate } = makeExpression(list ?? '', here.fields, 'any', here.environment);
  const element = checked?.type.type === 'list' ? checked.type.of : undefined;
  const [first] = names;
  if (element === undefined || first === undefined || first === '') return here;
  const elements = here.item === undefined ? undefined : evaluate?.(here.item);
  const sample = Array.isArray(elements) ? elements[0] : undefined;
  const param: Field = { ...element, name: first, required: true };
  return {
    ...here,
    fields: [param, ...here.fields.filter((field) => field.name !== first)],
    ...(here.item !== undefined &&
      sample !== undefined && { item: { ...here.item, [first]: sample } }),
  };
}

/** The list that a call goes over: before the dot of a method, or a function's first argument. */
function listBefore(text: string, here: Here): string | undefined {
  let depth = 0;
  for (let at = text.length - 1; at >= 0; at -= 1) {
    const char = text[at] ?? '';
    if (char === ')' || char === ']') depth += 1;
    if (char === '[') depth -= 1;
    if (char !== '(') continue;
    if (depth > 0) {
      depth -= 1;
      continue;
    }
    const callee = text.slice(0, at);
    const method = /\??\.\s*[\w$]+\s*$/.exec(callee);
    return method === null
      ? text.slice(at + 1).replace(/,\s*$/, '')
      : expressionBefore(callee.slice(0, method.index), here);
  }
  return undefined;
}
