import { isRecord, type Json, type JsonRecord } from '../../base';
import {
  type Checked,
  type CheckedArgument,
  type CheckedArrow,
  callsAnything,
  partsOf,
  slotsIn,
} from '../check/checked';
import { nowhere, type RowContext } from '../context';
import { type Environment, emptyEnvironment } from '../environment';
import { functionOf, Missing } from '../functions';
import { kindOf } from '../result-type';
import { plainText, type Value } from '../value';
import { all, conditional } from './branches';
import { conformer, load } from './load';
import { number } from './numbers';
import {
  type Closures,
  costOf,
  costOfMaking,
  OutOfSteps,
  type Run,
  type Scope,
  spend,
} from './scope';
import { comparison, test } from './tests';

export type Evaluate = (item: JsonRecord, context?: RowContext) => Value;

/**
 * A checked expression as a closure; what it looks up and how it writes, the environment knows. It
 * never throws; whatever is not there is `undefined`.
 */
export function compile(checked: Checked, environment: Environment = emptyEnvironment): Evaluate {
  const whole = closuresIn(environment).run(checked);
  const scope: Scope = {
    context: nowhere,
    locals: Array.from({ length: slotsIn(checked) }, () => undefined),
    steps: 0,
  };
  if (isLight(checked) && !readsContext(checked)) return (item) => whole(item, scope);
  if (isLight(checked))
    return (item, context = nowhere) => {
      scope.context = context;
      return whole(item, scope);
    };
  return (item, context = nowhere) => {
    scope.context = context;
    scope.steps = 0;
    try {
      return settled(whole(item, scope));
    } catch (error) {
      // Texts past what the engine can hold are a RangeError.
      if (error instanceof OutOfSteps || error instanceof RangeError) return undefined;
      throw error;
    }
  };
}

/** Neither calls anything nor puts texts together: it can take neither long nor much room. */
export const isLight = (checked: Checked): boolean =>
  !callsAnything(checked) && !joinsTexts(checked);

const readsContext = (checked: CheckedArgument): boolean =>
  checked.kind === 'context' || partsOf(checked).some(readsContext);

const joinsTexts = (checked: CheckedArgument): boolean =>
  checked.kind === 'template' || checked.kind === 'joined' || partsOf(checked).some(joinsTexts);

/** Numbers past their bounds are none. */
const settled = (value: Value): Value =>
  typeof value === 'number' && !Number.isFinite(value) ? undefined : value;

function closuresIn(environment: Environment): Closures {
  const make: Closures = {
    environment,
    run: (checked) => run(checked, make),
    number: (checked) => number(checked, make),
    test: (checked) => test(checked, make),
  };
  return make;
}

function run(checked: Checked, make: Closures): Run {
  switch (checked.kind) {
    case 'literal': {
      const { value } = checked;
      return () => value;
    }
    case 'item':
      return (item) => item;
    case 'context': {
      const { name } = checked;
      return (_, scope) => scope.context[name];
    }
    case 'local': {
      const { slot } = checked;
      return (_, scope) => scope.locals[slot];
    }
    case 'field':
      return load(checked.name, checked.type);
    case 'member':
      return member(make.run(checked.of), load(checked.name, checked.type));
    case 'index':
      return index(checked, make);
    case 'template':
      return template(
        checked.texts,
        checked.holes.map((hole) => words(hole, make)),
      );
    case 'joined': {
      const left = words(checked.left, make);
      const right = words(checked.right, make);
      return (item, scope) => left(item, scope) + right(item, scope);
    }
    case 'negate':
    case 'arithmetic': {
      const whole = make.number(checked);
      return (item, scope) => {
        const value = whole(item, scope);
        return Number.isNaN(value) ? undefined : value;
      };
    }
    case 'compare':
      return comparison(checked, make);
    case 'not':
    case 'isMissing':
      return make.test(checked);
    case 'logical':
      return logical(checked, make);
    case 'conditional':
      return conditional(checked, make);
    case 'list': {
      const elements = checked.elements.map(make.run);
      return (item, scope) => elements.map((each): Json => each(item, scope) ?? null);
    }
    case 'call':
      return call(checked, make);
    case 'lookup': {
      const find = make.environment.sources.get(checked.source)?.find;
      const key = make.run(checked.key);
      return (item, scope) => {
        const value = key(item, scope);
        return value === undefined ? undefined : find?.(value);
      };
    }
    case 'format':
      return format(checked, make);
  }
}

function format({ of, format: id }: Checked & { kind: 'format' }, make: Closures): Run {
  const value = make.run(of);
  const write = make.environment.formats.get(id)?.write;
  return (item, scope) => {
    const own = value(item, scope);
    if (own === undefined || write === undefined) return undefined;
    const text = write(own, item, scope.context);
    return text instanceof Missing ? undefined : text;
  };
}

function member(of: Run, step: (record: JsonRecord) => Value): Run {
  return (item, scope) => {
    const record = of(item, scope);
    return isRecord(record) ? step(record) : undefined;
  };
}

function index(checked: Checked & { kind: 'index' }, make: Closures): Run {
  const of = make.run(checked.of);
  const at = make.number(checked.at);
  const conform = conformer(checked.type);
  return (item, scope) => {
    const list = of(item, scope);
    return Array.isArray(list) ? conform(list[at(item, scope)]) : undefined;
  };
}

type RunWords = (item: JsonRecord, scope: Scope) => string;

/** A value inside a text: a missing one is empty. */
function words(checked: Checked, make: Closures): RunWords {
  if (kindOf(checked.type) === 'number' && checked.kind !== 'field') {
    const value = make.number(checked);
    return (item, scope) => plainText(value(item, scope)) ?? '';
  }
  const value = make.run(checked);
  return (item, scope) => {
    const own = value(item, scope);
    return typeof own === 'string' ? own : (plainText(own) ?? '');
  };
}

function template(texts: readonly string[], holes: readonly RunWords[]): Run {
  const [first = '', second = '', third = ''] = texts;
  const [one, two] = holes;
  if (one !== undefined && holes.length === 1)
    return (item, scope) => first + one(item, scope) + second;
  if (one !== undefined && two !== undefined && holes.length === 2)
    return (item, scope) => first + one(item, scope) + second + two(item, scope) + third;
  return (item, scope) => {
    let text = first;
    for (let i = 0; i < holes.length; i += 1)
      text += (holes[i]?.(item, scope) ?? '') + (texts[i + 1] ?? '');
    return text;
  };
}

function logical(checked: Checked & { kind: 'logical' }, make: Closures): Run {
  const left = make.run(checked.left);
  const right = make.run(checked.right);
  switch (checked.operator) {
    case '??':
      return (item, scope) => left(item, scope) ?? right(item, scope);
    case '&&':
      return all(checked, make);
    case '||':
      return (item, scope) => (left(item, scope) === true ? true : right(item, scope));
  }
}

/** A value of its own, or, for a function, what is made for each item to be called. */
type RunArgument = (item: JsonRecord, scope: Scope) => unknown;

function call({ name, on, args, type }: Checked & { kind: 'call' }, make: Closures): Run {
  const entry = functionOf(on, name);
  const runs = args.map((arg, at) => argument(arg, entry.params[at - (on ? 1 : 0)]?.takes, make));
  const conform = conformer(type);
  return (item, scope) => {
    const values: unknown[] = [];
    for (const each of runs) {
      const value = each(item, scope);
      if (value !== undefined) values.push(value);
      else if (!entry.skipsMissing || values.length === 0) return undefined;
    }
    spend(scope, costOf(values));
    const value = entry.run(values);
    spend(scope, costOfMaking(value));
    return value instanceof Missing || value === undefined ? undefined : conform(value);
  };
}

function argument(arg: CheckedArgument, takes: string | undefined, make: Closures): RunArgument {
  return arg.kind === 'arrow' ? callback(arg, takes, make) : make.run(arg);
}

/** A function of elements: its parameters go into their slots, and each call counts. */
function callback(
  { slot, params, body }: CheckedArrow,
  takes: string | undefined,
  make: Closures,
): RunArgument {
  const conforms = params.map(conformer);
  const [first, second] = conforms;
  const whole = make.run(body);
  return (item, scope) => {
    const called = (a: Json, b: Json): Value => {
      spend(scope, 1);
      if (first !== undefined) scope.locals[slot] = first(a);
      if (second !== undefined) scope.locals[slot + 1] = second(b);
      return whole(item, scope);
    };
    if (takes === 'keep') return (a: Json, b: Json) => called(a, b) === true;
    if (takes === 'make') return called;
    return (a: Json, b: Json) => {
      const order = called(a, b);
      return typeof order === 'number' ? order : 0;
    };
  };
}
