import { Environment } from '@marcbachmann/cel-js';
import { atOnce } from '../../src/core/base';
import { type Format, makeFormatter } from '../../src/core/formats';
import { type Item, infer } from '../../src/core/items';
import {
  compileTemplate,
  draftLabel,
  draftStack,
  isBound,
  neutralColours,
  neutralStyles,
  type StackPart,
} from '../../src/core/templates';
import {
  blockLength,
  Columns,
  explain,
  isTrue,
  makeExpression,
  type Pass,
  passOver,
  type Value,
} from '../../src/core/values';
import { benchItems } from './items';
import { handWritten, writtenPasses } from './references/hand-written';
import { richRow } from './rich-rows';

/** Expressions, formats and traces against their references; prints what took how long, in ms. */
const items = benchItems(Number(process.argv[2] ?? 100_000));
// All of one type: what tells three kinds apart is not the point here.
const fields = fieldsOf(items.map(({ kind: _, ...item }) => item));
const runs = 15;
/** So many traces make the engine's code for them. */
const warmTraces = 500;

let sink = 0;
const use = (value: unknown): void => {
  sink += typeof value === 'string' ? value.length : 1;
};

function pass<T>(all: readonly T[], each: (one: T) => unknown): () => number {
  return () => {
    const from = performance.now();
    for (const one of all) use(each(one));
    return performance.now() - from;
  };
}

/** Medians of runs that take turns. */
function inTurn(...all: readonly (() => number)[]): number[] {
  const times = all.map((): number[] => []);
  for (let run = 0; run < runs; run += 1)
    for (const [at, each] of all.entries()) times[at]?.push(each());
  return times.map((own) => own.sort((a, b) => a - b)[Math.floor(runs / 2)] ?? Number.NaN);
}

const cel = new Environment({ unlistedVariablesAreDyn: true });
/** Kept with the items: the first pass over a field takes its column out. */
const columns = new Columns(items);

const expressions = handWritten.map(({ expression, cel: inCel, byHand }) => {
  const { evaluate, checked, findings } = makeExpression(expression, fields);
  if (evaluate === undefined || checked === undefined) throw new Error(findings[0]?.message);
  if (items.slice(0, 1_000).some((item) => evaluate(item) !== byHand(item)))
    throw new Error(`${expression} is not what is written by hand.`);
  const parsed = cel.parse(inCel);
  const over = passOver(checked, columns);
  const [ours, hand, whole, library] = inTurn(
    pass(items, (item) => evaluate(item)),
    pass(items, byHand),
    timed(() => taken(over)),
    pass(items, (item) => parsed(item)),
  );
  return { expression, ours, byHand: hand, whole, library, by: over.by };
});

const passes = writtenPasses.map(({ expression, byHand }) => {
  const { checked } = makeExpression(expression, fields);
  if (checked === undefined) throw new Error(expression);
  const over = passOver(checked, columns);
  if (Math.abs(taken(over) - byHand(items)) > 1e-6 * byHand(items))
    throw new Error(`${expression} is not what is written by hand.`);
  const [ours, hand] = inTurn(
    timed(() => taken(over)),
    timed(() => byHand(items)),
  );
  return { expression, ours, byHand: hand };
});

function timed(work: () => number): () => number {
  return () => {
    const from = performance.now();
    sink += work();
    return performance.now() - from;
  };
}

/** All values of a pass, each looked at: numbers added, true ones counted, texts measured. */
function taken(over: Pass): number {
  let all = 0;
  for (let from = 0; from < items.length; from += blockLength)
    all += takenIn(over, from, Math.min(blockLength, items.length - from));
  return all;
}

function takenIn(over: Pass, from: number, count: number): number {
  let all = 0;
  switch (over.by) {
    case 'numbers': {
      const block = over.blocks(from);
      for (let i = 0; i < count; i += 1) {
        const value = block[i] ?? 0;
        if (!Number.isNaN(value)) all += value;
      }
      return all;
    }
    case 'conditions': {
      const block = over.blocks(from);
      for (let i = 0; i < count; i += 1) if (block[i] === isTrue) all += 1;
      return all;
    }
    case 'texts': {
      const { table, codes } = over.texts;
      const block = codes(from);
      for (let i = 0; i < count; i += 1) all += table[block[i] ?? -1]?.length ?? 0;
      return all;
    }
    case 'items':
      for (let i = 0; i < count; i += 1) use(over.valueAt(from + i));
      return all;
  }
}

function format<T extends Value>(
  name: string,
  format: Format,
  values: readonly T[],
  reference: (value: T) => string,
  atMost: number,
) {
  const write = makeFormatter(format, 'en');
  const around = { item: {}, now: undefined, options: {} };
  for (const value of values.slice(0, 100))
    if (write(value, around) !== reference(value)) throw new Error(`${name} is not the same.`);
  const [ours, other] = inTurn(
    pass(values, (value) => write(value, around)),
    pass(values, reference),
  );
  return { name, ours, reference: other, atMost };
}

const numbersIn = (name: string): readonly number[] =>
  items.map((item) => (typeof item[name] === 'number' ? item[name] : 0));
const days = items.map(({ dyedOn }) => (typeof dyedOn === 'string' ? dyedOn : '2026-01-01'));
const money = new Intl.NumberFormat('en', { style: 'currency', currency: 'EUR' });
const date = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeZone: 'UTC' });
const whole = new Intl.NumberFormat('en');
const plural = new Intl.PluralRules('en');
const skeins = '.input {$value :number} .match $value one {{{$value} skein}} * {{{$value} skeins}}';

const formats = [
  format(
    'a formatted amount, realistic repetition',
    { as: 'money', currency: 'EUR' },
    numbersIn('price'),
    (value) => money.format(value),
    0.15,
  ),
  format(
    'a date, realistic repetition',
    { as: 'date', date: 'medium' },
    days,
    (value) => date.format(Date.parse(value)),
    0.15,
  ),
  format(
    'a plural, realistic repetition',
    { as: 'message', message: skeins },
    numbersIn('stock'),
    (value) => `${whole.format(value)} ${plural.select(value) === 'one' ? 'skein' : 'skeins'}`,
    0.15,
  ),
  format(
    'a formatted amount, no repetition',
    { as: 'money', currency: 'EUR' },
    items.map((_, at) => at * 1.37),
    (value) => money.format(value),
    1.2,
  ),
];

const traced = [...handWritten, ...handWritten, ...handWritten].slice(0, 12);

function traceAll(item: Item): number {
  const from = performance.now();
  for (const { expression } of traced) {
    const { checked } = makeExpression(expression, fields);
    if (checked !== undefined) use(explain(checked, item).steps.length);
  }
  return performance.now() - from;
}

for (const item of items.slice(0, warmTraces)) traceAll(item);
const [trace] = inTurn(() => traceAll(items[sink % items.length] ?? {}));

/** All values of the rows of all items, a binding. */
function perBinding(row: StackPart): () => number {
  const template = { id: 'row', name: 'row', type: 'stock', row };
  const compiled = compileTemplate(template, {
    ...{ fields, sources: new Map(), formats: [], locale: 'en', hasPicture: () => false },
    tokens: { styles: neutralStyles, colours: neutralColours, spacing: [] },
  });
  const wrong = compiled.findings.find(({ severity }) => severity === 'error');
  if (wrong !== undefined) throw new Error(`${JSON.stringify(wrong.place)}: ${wrong.message}`);
  const bound = compiled.slots.filter(({ binding }) => isBound(binding)).length;
  const all = pass(items, (item) => compiled.values(item).length);
  return () => all() / bound;
}

const plainRow = draftStack('row', 'across', [
  draftLabel('title', { expr: 'name' }, 'title'),
  draftLabel('maker', { expr: '`${maker.name} · ${grams} g`' }, 'small'),
  draftLabel('price', { expr: 'price' }, 'value'),
]);
const [rich, plain] = inTurn(perBinding(richRow), perBinding(plainRow));

process.stdout.write(
  JSON.stringify({ expressions, passes, formats, trace, rows: { rich, plain }, sink }),
);

function fieldsOf(all: readonly Item[]) {
  const [type] = atOnce(infer(all, 'stock')).types;
  if (type === undefined) throw new Error('There are no items.');
  return type.fields;
}
