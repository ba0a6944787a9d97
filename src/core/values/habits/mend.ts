import { type AnyNode, parseExpressionAt } from 'acorn';
import { clipped, type Finding, type Mend } from '../../base';
import { formsIn } from './forms';
import type { Habitual, Reading } from './habitual';
import { elementsHabit, habitAt } from './nodes';
import { isLoose, isOneValue } from './pieces';

/** What the words of an expression are held against. */
export interface Checks {
  /** What is wrong with a text, were it the expression; no mends are looked for. */
  readonly findingsOf: (text: string) => readonly Finding[];
  readonly isField: Reading['isField'];
  readonly kindOf: Reading['kindOf'];
}

/** Texts of so many characters are tried before a mend is given up, so many one after another. */
const mostTried = 4_000;
const mostSteps = 8;

/** Mends are looked for in texts that somebody writes, in a time that nobody notices. */
const longestMended = 300;

/** Another text for the whole expression. */
interface Suggestion {
  readonly text: string;
  /** What was written; undefined where the finding says it. */
  readonly what: string | undefined;
  /** What it comes from: the finding itself, a node that is read, or a way of writing that is none. */
  readonly by: 'finding' | 'node' | 'form' | 'slip';
  readonly says: string | undefined;
  readonly mend: Mend;
}

/**
 * The findings, each with a mend only if that leaves fewer of them and none new; where something
 * was written as another language has it, the first says what is written here.
 */
export function mendable(
  findings: readonly Finding[],
  text: string,
  checks: Checks,
): readonly Finding[] {
  if (text.length > longestMended) return findings.map(({ mend: _, ...finding }) => finding);
  return findings.map((finding, at) => {
    const suggestions = suggestionsFor(text, finding, checks);
    const found =
      (at === 0 ? firstClean(suggestions, checks, { left: mostTried }, mostSteps) : undefined) ??
      suggestions
        .filter(({ by }) => by === 'finding')
        .map((suggestion) => ({ suggestion, text: suggestion.text }))
        .find(({ text: mended }) => isBetter(findings, checks.findingsOf(mended)));
    return explained(finding, found, suggestions[0], text);
  });
}

const isBetter = (before: readonly Finding[], after: readonly Finding[]): boolean =>
  after.length < before.length &&
  after.every(({ message }) => before.some((each) => each.message === message));

interface Found {
  readonly suggestion: Suggestion;
  /** The whole text in the end. */
  readonly text: string;
}

/** The nearest text with nothing wrong: by one suggestion, else by one after another. */
function firstClean(
  suggestions: readonly Suggestion[],
  checks: Checks,
  trial: { left: number },
  steps: number,
): Found | undefined {
  const tried: (readonly [Suggestion, readonly Finding[]])[] = [];
  for (const suggestion of suggestions) {
    if (trial.left <= 0) return undefined;
    trial.left -= suggestion.text.length + 20;
    const findings = checks.findingsOf(suggestion.text);
    if (findings.length === 0) return { suggestion, text: suggestion.text };
    tried.push([suggestion, findings]);
  }
  if (steps <= 1) return undefined;
  for (const [suggestion, [finding]] of tried) {
    if (finding === undefined) continue;
    const next = suggestionsFor(suggestion.text, finding, checks);
    const found = firstClean(next, checks, trial, steps - 1);
    if (found !== undefined) return { suggestion, text: found.text };
  }
  return undefined;
}

/** What is written here for what the finding is about, the likeliest first. */
function suggestionsFor(text: string, finding: Finding, checks: Checks): readonly Suggestion[] {
  const read = fieldsIn(text, checks);
  return [...allSuggestions(text, finding, checks)].filter((suggestion) => {
    const kept = fieldsIn(suggestion.text, checks);
    return read.every((name) => kept.includes(name));
  });
}

function* allSuggestions(text: string, finding: Finding, checks: Checks): Generator<Suggestion> {
  const { place, mend } = finding;
  const own: Suggestion | undefined = mend && {
    text: replaced(text, mend),
    what: undefined,
    says: undefined,
    mend,
    by: 'finding',
  };
  if (place.in !== 'expression') return;
  const nodes = nodesAround(text, place.from, place.to);
  if (nodes === undefined) {
    for (const { what, texts, says, isSlip } of formsIn(text))
      for (const each of texts) {
        const mend = { label: `Write ${each}`, from: 0, to: text.length, text: each };
        yield { text: each, what, says, mend, by: isSlip ? 'slip' : 'form' };
      }
  }
  const ownAt = placeOfOwn(nodes ?? []);
  const reading = { text, isField: checks.isField, kindOf: checks.kindOf };
  for (const [at, node] of (nodes ?? []).entries()) {
    // What is called is looked at with its call.
    const around = nodes?.[at + 1];
    const isCalled = around?.type === 'CallExpression' && around.callee === node;
    const habit = isCalled ? undefined : habitAt(node, reading);
    if (habit !== undefined) yield* ofHabit(habit, around, text);
    if (at === ownAt && own !== undefined) yield own;
  }
  if (nodes === undefined && own !== undefined) yield own;
  if (finding.code !== 'step-into-list') return;
  for (const [at, node] of (nodes ?? []).entries()) {
    const habit = elementsHabit(node, reading);
    if (habit !== undefined) yield* ofHabit(habit, nodes?.[at + 1], text);
  }
}

/** Where the finding's own mend comes in: what a name says by habit goes before what it resembles. */
function placeOfOwn([first, second, third]: readonly AnyNode[]): number {
  if (second?.type === 'CallExpression' && second.callee === first) return 1;
  if (second?.type !== 'MemberExpression' || second.property !== first) return 0;
  return third?.type === 'CallExpression' && third.callee === second ? 2 : 1;
}

function* ofHabit(
  { from, to, what, texts, says }: Habitual,
  around: AnyNode | undefined,
  text: string,
): Generator<Suggestion> {
  for (const each of texts) {
    const written = needsBrackets(each, around, from) ? `(${each})` : each;
    const mend = { label: `Write ${each}`, from, to, text: written };
    yield { text: replaced(text, mend), what, says, mend, by: 'node' };
  }
}

/** Whether what is around would take the new text apart. */
function needsBrackets(written: string, around: AnyNode | undefined, from: number): boolean {
  if (around === undefined) return false;
  const isHeld =
    around.type === 'UnaryExpression' ||
    around.type === 'BinaryExpression' ||
    (around.type === 'MemberExpression' && around.object.start === from);
  const isWeak = around.type === 'LogicalExpression' || around.type === 'ConditionalExpression';
  if (!isHeld && !isWeak) return false;
  const node = parsed(written);
  return node !== undefined && (isHeld ? !isOneValue(node) : isLoose(node));
}

const replaced = (text: string, { from, to, text: by }: Mend): string =>
  text.slice(0, from) + by + text.slice(to);

/** The nodes that a stretch lies in, the innermost first; undefined: the text cannot be read. */
function nodesAround(text: string, from: number, to: number): readonly AnyNode[] | undefined {
  const whole = parsed(text);
  if (whole === undefined) return undefined;
  const around: AnyNode[] = [];
  const visit = (node: AnyNode): void => {
    if (node.start > from || node.end < to) return;
    around.unshift(node);
    for (const child of childrenOf(node)) visit(child);
  };
  visit(whole);
  return around;
}

function parsed(text: string): AnyNode | undefined {
  try {
    const whole = parseExpressionAt(text, 0, { ecmaVersion: 2022 });
    return text.slice(whole.end).trim() === '' ? whole : undefined;
  } catch {
    return undefined;
  }
}

const isNode = (value: unknown): value is AnyNode =>
  typeof value === 'object' && value !== null && 'type' in value && 'start' in value;

const childrenOf = (node: AnyNode): readonly AnyNode[] =>
  Object.values(node).flatMap((value: unknown) =>
    Array.isArray(value) ? value.filter(isNode) : isNode(value) ? [value] : [],
  );

const readCodes = new Set(['expression-syntax', 'expression-not-in-language']);

/** The names of fields that stand in a text. What mends it goes on reading them. */
const fieldsIn = (text: string, { isField }: Checks): readonly string[] =>
  (
    text.match(/(?<![.\p{ID_Continue}$]|&:|::)[\p{ID_Start}$_][\p{ID_Continue}$]*(?!\s*\()/gu) ?? []
  ).filter(isField);

function explained(
  { mend: _, ...finding }: Finding,
  found: Found | undefined,
  likeliest: Suggestion | undefined,
  text: string,
): Finding {
  const suggestion = found?.suggestion ?? likeliest;
  if (suggestion === undefined) return finding;
  const { what, says, by } = suggestion;
  const isSaid = what !== undefined && by !== 'finding' && (found !== undefined || by !== 'slip');
  const message =
    isSaid && readCodes.has(finding.code) ? `${what} cannot be used here.` : finding.message;
  const isWhole = found !== undefined && found.text !== suggestion.text;
  const written = isWhole ? found.text : suggestion.mend.text;
  const isKnown = found !== undefined || by === 'node';
  const hint = isSaid ? (says ?? (isKnown ? `Write ${written}.` : finding.hint)) : finding.hint;
  const said = { ...finding, message: clipped(message), hint: clipped(hint) };
  if (found === undefined) return said;
  const whole = { from: 0, to: text.length, text: found.text };
  const label = isWhole ? `Write ${found.text}` : suggestion.mend.label;
  return { ...said, mend: { ...(isWhole ? whole : suggestion.mend), label: clipped(label) } };
}
