import { clipped, ownValue } from '../../src/core/base';
import { type Item, readingInWords, settledWay } from '../../src/core/items';
import {
  type Expression,
  explain,
  fieldsOfAll,
  loadHabits,
  makeExpression,
  pathsRead,
  plainText,
  type RowContext,
  typeOfResult,
  type Value,
} from '../../src/core/values';
import { type ItemsOptions, inputFile, readItems } from '../input';
import { decodedItems, type KnownItems, known, readSo } from '../known';
import { endWith, excludes, flush, json, line, report, tellError, WrongUse } from '../output';

interface EvalOptions extends ItemsOptions {
  readonly items: string;
  readonly key?: string;
  readonly from?: string;
  readonly explain?: boolean;
  readonly json?: boolean;
  readonly decoded?: boolean;
}

/** Exit status 1 if an expression could not be read or does not fit the items. */
export async function evaluate(text: string | undefined, options: EvalOptions): Promise<void> {
  excludes('an expression', text, '--from', options.from);
  excludes('--json', options.json, '--key', options.key);
  await loadHabits();
  const texts = await expressions(text, options.from);
  const read = await readItems(options.items, options);
  report(read.findings);
  const found = known(options.items, read);
  const all = options.decoded ? readSo(found) : found;
  tellBetter(all, texts);
  const fields = fieldsOfAll(all.types);
  const items = decodedItems(all);
  for (const each of texts) {
    const expression = makeExpression(each, fields);
    if (expression.evaluate === undefined) endWith(1);
    if (options.json) json(asJson(expression, items, options.explain === true));
    else tell(expression, items, options);
  }
  flush();
}

/** Says what the expressions read as text though it is more. */
function tellBetter({ better }: KnownItems, texts: readonly string[]): void {
  const read = texts.flatMap((text) => pathsRead(text));
  for (const reading of better) {
    const isRead = read.some((path) => reading.path.every((name, at) => path[at] === name));
    if (!isRead) continue;
    const can = settledWay(reading) === undefined ? '' : ' --decoded reads it so.';
    tellError(`note: ${reading.path.join('.')} reads better as ${readingInWords(reading)}.${can}`);
  }
}

async function expressions(
  text: string | undefined,
  from: string | undefined,
): Promise<readonly string[]> {
  if (from !== undefined) {
    const { bytes } = await inputFile(from);
    return new TextDecoder()
      .decode(bytes)
      .split(/\r?\n/)
      .filter((each) => each.trim() !== '');
  }
  if (text === undefined)
    throw new WrongUse('eval needs an expression, or --from FILE with one a line.');
  return [text];
}

function asJson(
  { text, checked, evaluate: evaluateItem, findings }: Expression,
  items: readonly Item[],
  isExplained: boolean,
) {
  if (checked === undefined || evaluateItem === undefined) {
    return {
      expression: text,
      errors: findings.map(({ code, message, hint, place }) => ({
        code,
        message,
        ...(place.in === 'expression' && { from: place.from, to: place.to }),
        hint,
      })),
    };
  }
  const values = items.map((item, index) => {
    const around = aroundOf(index, items);
    return (
      evaluateItem(item, around) ?? {
        missing: explain(checked, item, around).missing ?? 'missing',
      }
    );
  });
  const all = { expression: text, type: typeOfResult(checked.type), values };
  if (!isExplained) return all;
  const steps = items.map((item, index) => explain(checked, item, aroundOf(index, items)).steps);
  return { ...all, steps };
}

function tell(
  { text, checked, evaluate: evaluateItem, findings }: Expression,
  items: readonly Item[],
  options: EvalOptions,
): void {
  if (checked === undefined || evaluateItem === undefined) {
    const of = clipped(text);
    report(findings.map((finding) => ({ ...finding, message: `${of}: ${finding.message}` })));
    return;
  }
  for (const [index, item] of items.entries()) {
    const around = aroundOf(index, items);
    const key =
      options.key === undefined ? '' : `${words(ownValue(item, options.key) ?? undefined)}\t`;
    if (options.explain) {
      const steps = explain(checked, item, around).steps.map(
        (step) => `${step.label} ${step.missing ?? step.shown}`,
      );
      line(`${key}${steps.join(' › ')}`);
    } else {
      const value = evaluateItem(item, around);
      line(
        key +
          (value === undefined
            ? `(missing: ${explain(checked, item, around).missing ?? ''})`
            : words(value)),
      );
    }
  }
}

const now = new Date().toISOString();

const aroundOf = (index: number, items: readonly Item[]): RowContext => ({
  index,
  count: items.length,
  now,
});

const words = (value: Value): string => plainText(value) ?? JSON.stringify(value) ?? '';
