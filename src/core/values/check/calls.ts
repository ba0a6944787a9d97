import { secondsOfDuration } from '../../base';
import { valueFindings } from '../findings';
import { type FunctionEntry, methodOf, type Param, standingFunction } from '../functions';
import { isWrittenDate } from '../functions/instant';
import { isTextual, kindOf, type ResultType, withArticle } from '../result-type';
import type { Argument, Arrow, Expr } from '../syntax/tree';
import { type Checked, type CheckedArgument, type CheckedArrow, inWords } from './checked';
import { type Checking, wordsOf } from './scope';

type Call = Expr & { kind: 'call' };

export function call(node: Call, here: Checking): Checked | undefined {
  if (node.of === undefined) {
    const entry = standingFunction(node.name);
    return entry === undefined ? undefined : called(node, entry, undefined, here);
  }
  const of = here.visit(node.of);
  if (of === undefined) return undefined;
  const kind = kindOf(of.type);
  const on = kind === 'list' ? 'list' : isTextual(kind) ? 'text' : undefined;
  const entry = on === undefined ? undefined : methodOf(on, node.name);
  if (entry !== undefined) return called(node, entry, of, here);
  const stands = ['text', 'list'].filter(
    (each) => (each === 'text' || each === 'list') && methodOf(each, node.name) !== undefined,
  );
  return here.note(
    valueFindings.methodElsewhere(
      node.nameSpan,
      node.name,
      { what: inWords(of), type: withArticle(of.type) },
      stands,
    ),
  );
}

function called(
  node: Call,
  entry: FunctionEntry,
  of: Checked | undefined,
  here: Checking,
): Checked | undefined {
  const { params, repeats } = entry;
  const min = params.filter((param) => param.optional !== true).length;
  if (node.args.length < min || (!repeats && node.args.length > params.length))
    return here.note(valueFindings.wrongCount(node, entry));
  const args: CheckedArgument[] = of === undefined ? [] : [of];
  for (const [at, arg] of node.args.entries()) {
    const param = params[Math.min(at, params.length - 1)];
    const checked =
      param === undefined
        ? undefined
        : argument(arg, { param, first: args[0], name: node.name }, here);
    if (checked === undefined) return undefined;
    args.push(checked);
  }
  return settled(node, entry, args, here);
}

function settled(
  node: Call,
  entry: FunctionEntry,
  args: readonly CheckedArgument[],
  here: Checking,
): Checked | undefined {
  const [first] = args;
  if (first === undefined || first.kind === 'arrow') return undefined;
  const arrow = args.find((arg) => arg.kind === 'arrow');
  const element = elementOf(first.type);
  const isEmpty = first.kind === 'list' && first.elements.length === 0;
  if (arrow === undefined && !isEmpty && !elementsFit(entry, element))
    return here.note(valueFindings.elements(node, entry, withArticle(first.type)));
  if (arrow !== undefined && !madeFits(entry, arrow))
    return here.note(
      valueFindings.takes(
        arrow.body,
        { what: `What ${node.name} is made of`, type: withArticle(arrow.body.type) },
        wanted[entry.elements ?? 'plain'],
      ),
    );
  const made = arrow?.body.type;
  const type = entry.gives({ of: first.type, element, made });
  const needed = entry.skipsMissing ? args.slice(0, 1) : args;
  const isAnyMissing = needed.some((arg) => arg.kind !== 'arrow' && arg.mayBeMissing);
  const { from, to } = node;
  const { name, on, mayMiss } = entry;
  return { kind: 'call', name, on, args, type, mayBeMissing: isAnyMissing || mayMiss, from, to };
}

const elementOf = (type: ResultType): ResultType =>
  type.type === 'list' ? type.of : { type: 'unknown' };

const wanted = {
  number: 'numbers',
  ordered: 'numbers, texts or dates',
  text: 'texts',
  showable: 'values that can be shown',
  plain: 'plain values',
} as const;

/** Whether a call without a function of its own can use the elements as they are. */
function elementsFit({ elements }: FunctionEntry, element: ResultType): boolean {
  const kind = kindOf(element);
  switch (elements) {
    case undefined:
      return true;
    case 'number':
      return kind === 'number';
    case 'ordered':
      return kind === 'number' || isTextual(kind);
    case 'text':
      return isTextual(kind);
    case 'showable':
    case 'plain':
      return kind !== 'record' && kind !== 'list' && kind !== 'mixed';
  }
}

const madeFits = (entry: FunctionEntry, { body }: CheckedArrow): boolean =>
  entry.on !== undefined || elementsFit(entry, body.type);

/** What an argument is given for. */
interface Place {
  readonly param: Param;
  /** What stands before it: a method's own value, or the first argument. */
  readonly first: CheckedArgument | undefined;
  /** The name of the function. */
  readonly name: string;
}

function argument(
  arg: Argument,
  { param, first, name }: Place,
  here: Checking,
): CheckedArgument | undefined {
  const list = first === undefined || first.kind === 'arrow' ? undefined : first.type;
  if (param.takes === 'keep' || param.takes === 'make' || param.takes === 'order')
    return arg.kind === 'arrow'
      ? arrow(arg, param.takes, elementOf(list ?? { type: 'unknown' }), here)
      : here.note(valueFindings.takesFunction(arg, name, param.takes));
  if (arg.kind === 'arrow') return here.note(valueFindings.takesNoFunction(arg, name));
  const checked = here.visit(arg);
  if (checked === undefined) return undefined;
  if (fits(checked, param, list)) return checked;
  return here.note(
    valueFindings.takes(
      arg,
      { what: `${param.name} of ${name}`, type: withArticle(checked.type) },
      kindWords[param.takes] ?? 'a value',
    ),
  );
}

const kindWords: Readonly<Record<string, string>> = {
  text: 'text',
  number: 'a number',
  date: 'a date',
  duration: 'a duration',
  list: 'a list',
  element: 'a value like those in the list',
  any: 'a value',
  plain: 'a text, a number or a date',
};

function fits(
  { type, kind, ...rest }: Checked,
  { takes }: Param,
  list: ResultType | undefined,
): boolean {
  const own = kindOf(type);
  switch (takes) {
    case 'text':
      return isTextual(own);
    case 'number':
      return own === 'number';
    case 'list':
      // A list that is put to another is of its kind.
      return own === 'list' && (list === undefined || sameKind(elementOf(type), elementOf(list)));
    case 'date':
      return own === 'date' || (kind === 'literal' && 'value' in rest && isWrittenDate(rest.value));
    case 'duration':
      return type.type === 'duration' || isWrittenDuration({ kind, ...rest });
    case 'plain':
      return own !== 'list' && own !== 'record' && own !== 'mixed';
    case 'element':
      return sameKind(type, elementOf(list ?? { type: 'unknown' }));
    default:
      return true;
  }
}

const isWrittenDuration = (argument: {
  readonly kind: string;
  readonly value?: unknown;
}): boolean =>
  argument.kind === 'literal' && !Number.isNaN(secondsOfDuration(String(argument.value)));

function sameKind(a: ResultType, b: ResultType): boolean {
  const kinds = [kindOf(a), kindOf(b)];
  return kinds[0] === kinds[1] || kinds.every(isTextual) || kinds.includes('mixed');
}

/** `x => …` for the elements of a list; `order` takes two of them, the others an element and its position. */
function arrow(
  node: Arrow,
  takes: 'keep' | 'make' | 'order',
  element: ResultType,
  here: Checking,
): CheckedArrow | undefined {
  const slot = here.locals.reduce((next, local) => Math.max(next, local.slot + 1), 0);
  const types = takes === 'order' ? [element, element] : [element, { type: 'integer' } as const];
  if (node.params.length > types.length || new Set(node.params).size !== node.params.length)
    return here.note(valueFindings.arrowParams(node, takes));
  const params = types.slice(0, node.params.length);
  const locals = node.params.map((name, at) => ({
    name,
    slot: slot + at,
    type: params[at] ?? element,
    mayBeMissing: false,
  }));
  const body = here.within(locals).visit(node.body);
  if (body === undefined) return undefined;
  const isWrong =
    (takes === 'keep' && body.type.type !== 'boolean') ||
    (takes === 'order' && kindOf(body.type) !== 'number');
  if (!isWrong) return { kind: 'arrow', slot, params, body };
  const gives = takes === 'keep' ? 'true or false' : 'a number';
  return here.note(
    valueFindings.takes(
      node.body,
      { what: `${wordsOf(here, node)}: this function`, type: withArticle(body.type) },
      gives,
    ),
  );
}
