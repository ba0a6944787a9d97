import { isRecord, type Json, type JsonRecord, ownValue } from '../../base';
import { type Checked, type CheckedArrow, inWords } from '../check/checked';
import { conformer, load } from '../compile/load';
import { costOf, costOfMaking, maxSteps } from '../compile/scope';
import { compareValues } from '../compile/tests';
import { nowhere, type RowContext } from '../context';
import { type Environment, emptyEnvironment } from '../environment';
import type { Span } from '../findings';
import { functionOf, Missing } from '../functions';
import { power } from '../power';
import { typeOfResult } from '../result-type';
import { plainText, type Value } from '../value';
import { shown } from './shown';

/** One step on the way to a value, for one item; `missing` says why there is none. */
export type TraceStep = Span & {
  readonly label: string;
  /** The value as people read it, shortened. */
  readonly shown: string;
  readonly missing?: string;
  /** There is a value, but it could not be read as its field says. */
  readonly isUnread?: boolean;
};

export interface Explained {
  readonly value: Value;
  readonly steps: readonly TraceStep[];
  /** Why the value is missing: the first step that was. */
  readonly missing?: string;
  /** How often something was missing inside functions of elements, where no steps are kept. */
  readonly gapCount: number;
}

interface Found {
  readonly value: Value;
  readonly missing?: string;
}

class TooMuch extends Error {}

/** Walks a checked expression for one item and keeps what each step gave. */
export function explain(
  checked: Checked,
  item: JsonRecord,
  context: RowContext = nowhere,
  environment: Environment = emptyEnvironment,
): Explained {
  const walk = new Walk(item, context, environment);
  try {
    const { value, missing } = walk.visit(checked);
    const { steps, gapCount } = walk;
    return { value, steps, gapCount, ...(missing !== undefined && { missing }) };
  } catch (error) {
    if (!(error instanceof TooMuch || error instanceof RangeError)) throw error;
    const missing = 'it takes more steps than one item may';
    const whole = {
      from: checked.from,
      to: checked.to,
      label: 'all of it',
      shown: 'missing',
      missing,
    };
    return { value: undefined, steps: [...walk.steps, whole], missing, gapCount: walk.gapCount };
  }
}

class Walk {
  readonly steps: TraceStep[] = [];
  gapCount = 0;
  private readonly locals: Value[] = [];
  private spent = 0;
  /** Inside functions of elements nothing is kept: they run many times. */
  private isQuiet = false;

  constructor(
    private readonly item: JsonRecord,
    private readonly context: RowContext,
    private readonly environment: Environment,
  ) {}

  visit(node: Checked): Found {
    switch (node.kind) {
      case 'literal':
        return node.value === undefined
          ? this.step(node, 'null', undefined, 'null is no value')
          : { value: node.value };
      case 'item':
        return { value: this.item };
      case 'context': {
        const value = this.context[node.name];
        return this.step(node, node.name, value, `${node.name} is not known here`);
      }
      case 'local': {
        const value = this.locals[node.slot];
        return { value, ...(value === undefined && { missing: `${node.name} is missing` }) };
      }
      case 'field':
        return this.step(node, node.name, ...read(node, this.item, 'this item'));
      case 'member':
        return this.member(node);
      case 'index':
        return this.index(node);
      case 'template':
        return this.template(node);
      case 'joined': {
        const left = this.words(node.left);
        return this.step(node, '+', left + this.words(node.right));
      }
      case 'negate': {
        const { value, missing } = this.visit(node.of);
        return this.step(node, '-', typeof value === 'number' ? -value : undefined, missing);
      }
      case 'arithmetic':
        return this.arithmetic(node);
      case 'compare':
        return this.compare(node);
      case 'not':
        return this.step(node, 'not', this.visit(node.of).value !== true);
      case 'isMissing': {
        const isThere = this.visit(node.of).value !== undefined;
        return this.step(
          node,
          node.isNegated ? 'is there' : 'is missing',
          isThere === node.isNegated,
        );
      }
      case 'logical':
        return this.logical(node);
      case 'conditional':
        return this.visit(this.visit(node.test).value === true ? node.whenTrue : node.otherwise);
      case 'list':
        return this.step(
          node,
          'list',
          node.elements.map((each): Json => this.visit(each).value ?? null),
        );
      case 'call':
        return this.call(node);
      case 'lookup':
        return this.lookup(node);
      case 'format':
        return this.format(node);
    }
  }

  private member(node: Checked & { kind: 'member' }): Found {
    const of = this.visit(node.of);
    if (!isRecord(of.value))
      return this.step(node, node.name, undefined, of.missing ?? 'nothing to go into');
    return this.step(node, node.name, ...read(node, of.value, inWords(node.of)));
  }

  private index(node: Checked & { kind: 'index' }): Found {
    const of = this.visit(node.of);
    const at = this.visit(node.at);
    const list = Array.isArray(of.value) ? of.value : [];
    const value = typeof at.value === 'number' ? conformer(node.type)(list[at.value]) : undefined;
    const none = `${inWords(node.of)} has ${list.length} elements, none at ${shown(at.value)}`;
    return this.step(node, `[${shown(at.value)}]`, value, of.missing ?? at.missing ?? none);
  }

  private template(node: Checked & { kind: 'template' }): Found {
    let text = node.texts[0] ?? '';
    for (const [index, hole] of node.holes.entries())
      text += this.words(hole) + (node.texts[index + 1] ?? '');
    return this.step(node, 'text', text);
  }

  private words(node: Checked): string {
    return plainText(this.visit(node).value) ?? '';
  }

  private arithmetic(node: Checked & { kind: 'arithmetic' }): Found {
    const left = this.visit(node.left);
    const right = this.visit(node.right);
    if (typeof left.value !== 'number' || typeof right.value !== 'number')
      return this.step(node, node.operator, undefined, left.missing ?? right.missing);
    const value = calculated(node.operator, left.value, right.value);
    const isByZero = right.value === 0 && (node.operator === '/' || node.operator === '%');
    const none = isByZero ? 'divided by zero' : 'the result is no number that can be held';
    return this.step(node, node.operator, Number.isFinite(value) ? value : undefined, none);
  }

  private compare(node: Checked & { kind: 'compare' }): Found {
    const left = this.visit(node.left);
    const right = this.visit(node.right);
    const value = compareValues(node.operator, node.as, left.value, right.value);
    const none = left.missing ?? right.missing ?? 'the two are not of one kind';
    return this.step(node, node.operator, value, none);
  }

  private logical(node: Checked & { kind: 'logical' }): Found {
    const left = this.visit(node.left);
    switch (node.operator) {
      case '??':
        return left.value === undefined ? this.visit(node.right) : left;
      case '&&':
        return left.value === true ? this.visit(node.right) : left;
      case '||':
        return left.value === true ? left : this.visit(node.right);
    }
  }

  private lookup({ key: of, source, from, to }: Checked & { kind: 'lookup' }): Found {
    const key = this.visit(of);
    const find = this.environment.sources.get(source)?.find;
    const found = key.value === undefined ? undefined : find?.(key.value);
    const none = `${source} has no item with the key ${plainText(key.value) ?? ''}`;
    return this.step({ from, to }, `lookup ${source}`, found, key.missing ?? none);
  }

  private format({ of, format, from, to }: Checked & { kind: 'format' }): Found {
    const { value, missing } = this.visit(of);
    const label = `format ${format}`;
    if (value === undefined) return this.step({ from, to }, label, undefined, missing);
    const write = this.environment.formats.get(format)?.write;
    const text = write?.(value, this.item, this.context) ?? new Missing('it is only checked here');
    return text instanceof Missing
      ? this.step({ from, to }, label, undefined, text.reason)
      : this.step({ from, to }, label, text);
  }

  private call(node: Checked & { kind: 'call' }): Found {
    const entry = functionOf(node.on, node.name);
    const values: unknown[] = [];
    for (const [at, arg] of node.args.entries()) {
      if (arg.kind === 'arrow') {
        values.push(this.callback(arg, entry.params[at - (entry.on ? 1 : 0)]?.takes));
        continue;
      }
      const { value, missing } = this.visit(arg);
      if (value !== undefined) values.push(value);
      else if (!entry.skipsMissing || at === 0)
        return this.step(node, entry.name, undefined, missing);
    }
    this.spend(costOf(values));
    const found = entry.run(values);
    this.spend(costOfMaking(found));
    if (found instanceof Missing) return this.step(node, entry.name, undefined, found.reason);
    const value = found === undefined ? undefined : conformer(node.type)(found);
    return this.step(node, entry.name, value, 'it has no value there');
  }

  private callback({ slot, params, body }: CheckedArrow, takes: string | undefined) {
    const called = (...elements: readonly Json[]): Value => {
      this.spend(1);
      const wasQuiet = this.isQuiet;
      this.isQuiet = true;
      for (const [at, type] of params.entries())
        this.locals[slot + at] = conformer(type)(elements[at]);
      const { value } = this.visit(body);
      this.isQuiet = wasQuiet;
      return value;
    };
    if (takes === 'keep') return (a: Json, b: Json) => called(a, b) === true;
    if (takes === 'make') return called;
    return (a: Json, b: Json) => {
      const order = called(a, b);
      return typeof order === 'number' ? order : 0;
    };
  }

  private spend(steps: number): void {
    this.spent += steps;
    if (this.spent > maxSteps) throw new TooMuch();
  }

  private step(node: Span, label: string, value: Value, missing?: string): Found {
    const because = value === undefined ? { missing: missing ?? 'missing' } : {};
    if (this.isQuiet && value === undefined) this.gapCount += 1;
    if (!this.isQuiet)
      this.steps.push({ from: node.from, to: node.to, label, shown: shown(value), ...because });
    return { value, ...because };
  }
}

function calculated(operator: string, a: number, b: number): number {
  switch (operator) {
    case '+':
      return a + b;
    case '-':
      return a - b;
    case '*':
      return a * b;
    case '/':
      return a / b;
    case '%':
      return a % b;
    default:
      return power(a, b);
  }
}

/** The value of a named step and, where it has none, why. */
function read(
  node: Checked & { name: string },
  record: JsonRecord,
  whose: string,
): [Value, string | undefined] {
  const value = load(node.name, node.type)(record);
  if (value !== undefined) return [value, undefined];
  const raw = ownValue(record, node.name);
  if (raw === undefined) return [undefined, `${whose} has no ${node.name}`];
  if (raw === null) return [undefined, `${node.name} is null`];
  return [undefined, `${node.name} is ${kindOfRaw(raw)} here, not ${typeOfResult(node.type)}`];
}

const kindOfRaw = (value: Json): string => {
  if (isRecord(value)) return 'a record';
  if (Array.isArray(value)) return 'a list';
  return typeof value === 'string' ? 'text' : typeof value === 'number' ? 'a number' : 'a boolean';
};
