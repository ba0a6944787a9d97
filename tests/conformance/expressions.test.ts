import { type BinaryExpression, parseExpressionAt } from 'acorn';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { isRecord, type Json, type JsonRecord } from '../../src/core/base';
import type { Checked } from '../../src/core/values';
import { explain, makeExpression, plainText, type Value } from '../../src/core/values';
import { power } from '../../src/core/values/power';
import { compile } from '../../src/core/values/run';
import { printExpression } from '../../src/core/values/syntax/print';
import { readExpression } from '../../src/core/values/syntax/read';
import { anyExpression, holedItem, yarnFields, yarnItem } from '../support/expressions';

/** `npm run agree` asks for a million. */
const runs = Number(process.env['EXPRESSIONS'] ?? 4_000);

/** Our own functions, as anyone would write them in a line. */
const own = {
  power,
  sum: (list: unknown[], make = (x: unknown) => x) =>
    list.map((each) => make(each)).reduce((a: number, b) => a + Number(b), 0),
  average: (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length,
  smallest: (list: number[], make = (x: number) => x) =>
    list.map((each) => make(each)).sort((a, b) => a - b)[0],
  largest: (list: number[], make = (x: number) => x) =>
    list.map((each) => make(each)).sort((a, b) => b - a)[0],
  distinct: (list: unknown[], make = (x: unknown) => x) =>
    list.filter((each, at) => list.findIndex((other) => make(other) === make(each)) === at),
};

/** Powers are our own: engines differ in their last bits. */
function withOwnPowers(text: string): string {
  const node = deepestPower(parseExpressionAt(text, 0, { ecmaVersion: 2022 }));
  if (node === undefined) return text;
  const { start, end, left, right } = node;
  const [a, b] = [text.slice(left.start, left.end), text.slice(right.start, right.end)];
  return withOwnPowers(`${text.slice(0, start)}power(${a}, ${b})${text.slice(end)}`);
}

function deepestPower(node: unknown): BinaryExpression | undefined {
  if (typeof node !== 'object' || node === null) return undefined;
  for (const child of Object.values(node)) {
    const inner = deepestPower(child);
    if (inner !== undefined) return inner;
  }
  return isPower(node) ? node : undefined;
}

const isPower = (node: object): node is BinaryExpression =>
  'operator' in node && node.operator === '**';

/** The engine itself is the reference; only tests may generate code. */
function byEngine(text: string, item: JsonRecord): unknown {
  const engine = new Function(
    'item',
    'own',
    `with (own) with (item) { return (${withOwnPowers(text)}) }`,
  );
  return engine(structuredClone(item), own);
}

/** Reasons for which a value may be missing where the engine has one: no number, nothing there. */
const allowed =
  /divided by zero|no number that can be held|too large|nothing in the list|nothing there|it is true for no element|has no value there|elements, none at|too long|more steps/;

test('what is accepted and present equals what ECMAScript gives', () => {
  let compared = 0;
  fc.assert(
    fc.property(anyExpression, yarnItem, (text, item) => {
      const { findings, checked, evaluate } = makeExpression(text, yarnFields);
      expect(findings).toEqual([]);
      if (checked === undefined || evaluate === undefined) return;
      const ours = evaluate(item);
      const explained = explain(checked, item);
      expect(explained.value).toEqual(ours);
      // What was checked is data: kept as text and read again, it gives the same.
      const kept: Checked = JSON.parse(JSON.stringify(checked));
      expect(compile(kept)(item)).toEqual(ours);
      if (explained.steps.some((step) => step.missing !== undefined)) {
        for (const { missing } of explained.steps)
          if (missing !== undefined) expect(missing).toMatch(allowed);
        return;
      }
      if (explained.gapCount > 0) return;
      compared += 1;
      expect(ours).toEqual(byEngine(text, item));
    }),
    { numRuns: runs },
  );
  expect(compared).toBeGreaterThan(runs / 2);
});

test('where values are missing nothing odd comes of it, and each gap has its reason', () => {
  fc.assert(
    fc.property(anyExpression, holedItem, (text, item) => {
      const { checked, evaluate } = makeExpression(text, yarnFields);
      if (checked === undefined || evaluate === undefined) return;
      const value = evaluate(item);
      expect(isSound(value)).toBe(true);
      const explained = explain(checked, item);
      expect(explained.value).toEqual(value);
      expect(explained.missing === undefined).toBe(value !== undefined);
      const words = plainText(value) ?? '';
      const isOfData = JSON.stringify(item).includes('NaN') || typeof value === 'string';
      if (!isOfData) expect(words).not.toMatch(/NaN|Infinity|undefined|null|\[object/);
    }),
    { numRuns: runs / 4 },
  );
});

function isSound(value: Value | Json): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  if (Array.isArray(value)) return value.every((each) => each === null || isSound(each));
  return isRecord(value) || ['string', 'boolean', 'undefined'].includes(typeof value);
}

test('printed and read again, an expression is the same tree, and the engine agrees', () => {
  fc.assert(
    fc.property(anyExpression, yarnItem, (text, item) => {
      const first = readExpression(text);
      if (!first.ok) throw new Error(first.error.message);
      const printed = printExpression(first.value);
      const second = readExpression(printed);
      if (!second.ok) throw new Error(`${printed}: ${second.error.message}`);
      expect(withoutSpans(second.value)).toEqual(withoutSpans(first.value));
      let engine: unknown;
      try {
        engine = byEngine(text, item);
      } catch {
        return;
      }
      expect(byEngine(printed, item)).toEqual(engine);
    }),
    { numRuns: runs / 4 },
  );
});

function withoutSpans(node: unknown): unknown {
  if (Array.isArray(node)) return node.map(withoutSpans);
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node)
      .filter(([name]) => !['from', 'to', 'step', 'nameSpan', 'sourceSpan'].includes(name))
      .map(([name, value]) => [name, withoutSpans(value)]),
  );
}
