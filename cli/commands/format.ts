import {
  atOnce,
  failed,
  isRecord,
  type Json,
  type JsonRecord,
  type Result,
} from '../../src/core/base';
import { type Format, isLocale, itemOptions, makeFormatter, NoText } from '../../src/core/formats';
import { infer } from '../../src/core/items';
import { formatFrom } from '../../src/core/project';
import { makeExpression, plainText, type Value } from '../../src/core/values';
import { endWith, flush, json, line, tellError, WrongUse } from '../output';

interface FormatOptions {
  readonly as: string;
  readonly locale: string;
  readonly item?: string;
  readonly json?: boolean;
}

/** The text of a value in a format. Exit status 1 if the format cannot write it. */
export async function format(value: string, options: FormatOptions): Promise<void> {
  if (!isLocale(options.locale))
    throw new WrongUse(`"${options.locale}" names no locale, such as en or de-AT.`);
  const made = formatOf(options.as);
  if (!made.ok) throw new WrongUse(`--as: ${made.error}`);
  const item = options.item === undefined ? {} : parsed(options.item);
  if (!isRecord(item)) throw new WrongUse('--item takes a JSON object.');
  const text = makeFormatter(made.value, options.locale)(valueIn(value), {
    item,
    now: new Date().toISOString(),
    options: optionsOf(made.value, item),
  });
  const why = text instanceof NoText ? text.reason : undefined;
  if (why !== undefined) endWith(1);
  if (options.json) json(why === undefined ? { text } : { missing: why });
  else if (why === undefined) line(String(text));
  else tellError(`yarncard: ${why}`);
  flush();
}

function formatOf(text: string): Result<Format, string> {
  const json = parsed(text);
  if (json === undefined) return failed('it is no JSON, such as {"as":"number"}.');
  return formatFrom(json);
}

/** A number, a list, true or false as JSON; anything else is text. */
function valueIn(text: string): Value {
  const json = parsed(text);
  return json === undefined || json === null ? text : json;
}

/** Options that follow from the item, by whole expressions over it. */
function optionsOf(made: Format, item: JsonRecord): Record<string, string | undefined> {
  const fields = atOnce(infer([item], 'item')).types[0]?.fields ?? [];
  return Object.fromEntries(
    itemOptions(made).map(([name, expr]) => [
      name,
      plainText(makeExpression(expr, fields).evaluate?.(item)),
    ]),
  );
}

function parsed(text: string): Json | undefined {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
