import { MessageSyntaxError, type Model, parseMessage, validate } from 'messageformat';
import { failed, type JsonRecord, ok, ownValue, type Result } from '../../base';
import { plainText, type Value } from '../../values';
import type { MessageFormat } from '../format';
import { type Formatter, NoText } from '../formatter';
import { numberFormat } from '../intl';
import { rememberNumbers, rememberTexts } from '../memo';
import { isMessageFunction, messageFunctions, type Resolved } from './message-functions';
import { messageNames } from './message-names';

/** What a message is written with: `$value`, and the item's own fields by their names. */
type Inputs = (name: string) => Value;

type Resolve = (inputs: Inputs) => Resolved | NoText;
type Write = (inputs: Inputs) => string | NoText;

class Unwritable extends Error {}

/**
 * A message of Unicode MessageFormat 2 (LDML 48) as closures over cached `Intl` objects; the
 * package reads it. The error says why it cannot be used.
 */
export function compileMessage(source: string, locale: string): Result<Write, string> {
  try {
    const model = parseMessage(source);
    validate(model, (type) => {
      throw new Unwritable(`${type.replaceAll('-', ' ')}`);
    });
    return ok(whole(model, locale));
  } catch (error) {
    if (error instanceof MessageSyntaxError)
      return failed(`${error.type.replaceAll('-', ' ')} at character ${error.start + 1}`);
    if (error instanceof Unwritable) return failed(error.message);
    throw error;
  }
}

export function message({ message: source }: MessageFormat, locale: string): Formatter {
  const made = compileMessage(source, locale);
  if (!made.ok) {
    const wrong = new NoText(`the message cannot be used: ${made.error}`);
    return () => wrong;
  }
  const write = made.value;
  if (messageNames(source).some(({ name }) => name !== 'value'))
    return (value, { item }) => write((name) => (name === 'value' ? value : fieldOf(item, name)));
  // What follows from the value alone is remembered.
  const ofNumber = rememberNumbers((value) => write(() => value));
  const ofText = rememberTexts((value) => write(() => value));
  return (value) => {
    if (typeof value === 'number') return ofNumber(value);
    return typeof value === 'string' ? ofText(value) : write(() => value);
  };
}

function fieldOf(item: JsonRecord, name: string): Value {
  return ownValue(item, name) ?? undefined;
}

function whole(model: Model.Message, locale: string): Write {
  const scope = new Map<string, Resolve>();
  for (const { name, value } of model.declarations) {
    const own = expression(value, locale, scope);
    scope.set(name, own);
  }
  if (model.type === 'message') return pattern(model.pattern, locale, scope);
  return select(model, locale, scope);
}

type Scope = ReadonlyMap<string, Resolve>;

function pattern(parts: Model.Pattern, locale: string, scope: Scope): Write {
  const writes = parts.flatMap((part): Write[] => {
    if (typeof part === 'string') return [() => part];
    if (part.type === 'markup') return [];
    const resolve = expression(part, locale, scope);
    return [
      (inputs) => {
        const value = resolve(inputs);
        return value instanceof NoText ? value : value.text();
      },
    ];
  });
  return (inputs) => {
    let text = '';
    for (const write of writes) {
      const part = write(inputs);
      if (part instanceof NoText) return part;
      text += part;
    }
    return text;
  };
}

function expression(node: Model.Expression, locale: string, scope: Scope): Resolve {
  const operand = node.arg === undefined ? undefined : argument(node.arg, locale, scope);
  const { functionRef } = node;
  if (functionRef === undefined) return operand ?? (() => new NoText('nothing to write'));
  const { name } = functionRef;
  if (!isMessageFunction(name)) throw new Unwritable(`there is no function :${name}`);
  const given = Object.entries(functionRef.options ?? {});
  const options = given.map(([key, value]) => [key, argument(value, locale, scope)] as const);
  const isFixed = given.every(([, value]) => value.type === 'literal');
  const make = messageFunctions[name];
  const optionsFor = (inputs: Inputs): Readonly<Record<string, string>> | NoText => {
    const entries: [string, string][] = [];
    for (const [key, resolve] of options) {
      const value = resolve(inputs);
      if (value instanceof NoText) return value;
      entries.push([key, plainText(value.value) ?? '']);
    }
    return Object.fromEntries(entries);
  };
  const fixed = isFixed ? optionsFor(() => undefined) : undefined;
  return (inputs) => {
    const own = operand?.(inputs);
    const all = fixed ?? optionsFor(inputs);
    if (own instanceof NoText) return own;
    return all instanceof NoText ? all : make(own, all, locale);
  };
}

function argument(node: Model.Literal | Model.VariableRef, locale: string, scope: Scope): Resolve {
  if (node.type === 'literal') {
    const value = plainValue(node.value, locale);
    return () => value;
  }
  const { name } = node;
  // Looked up now: inside its own declaration, an input is still what came in.
  const declared = scope.get(name);
  if (declared !== undefined) return declared;
  return (inputs) => {
    const value = inputs(name);
    return value === undefined || plainText(value) === undefined
      ? new NoText(`$${name} is missing`)
      : plainValue(value, locale);
  };
}

/** A bare number is written as the locale writes numbers. */
const plainValue = (value: Value, locale: string): Resolved => ({
  value,
  options: {},
  text: () =>
    typeof value === 'number' ? numberFormat(locale, {}).format(value) : (plainText(value) ?? ''),
});

interface Choice {
  readonly keys: readonly (string | undefined)[];
  readonly write: Write;
}

/** The variant whose keys match best: the first selector counts most. Standard: LDML 48, pattern selection. */
function select(model: Model.SelectMessage, locale: string, scope: Scope): Write {
  const selectors = model.selectors.map((each) => argument(each, locale, scope));
  const choices = model.variants.map(
    ({ keys, value }): Choice => ({
      keys: keys.map((key) => (key.type === '*' ? undefined : key.value)),
      write: pattern(value, locale, scope),
    }),
  );
  return (inputs) => {
    const matches: (readonly string[])[] = [];
    for (const selector of selectors) {
      const value = selector(inputs);
      if (value instanceof NoText) return value;
      if (value.matches === undefined) return new NoText('what is chosen by needs a function');
      matches.push(value.matches());
    }
    return bestOf(choices, matches)?.write(inputs) ?? new NoText('no variant of the message fits');
  };
}

function bestOf(choices: readonly Choice[], matches: readonly (readonly string[])[]) {
  const rankOf = ({ keys }: Choice): number[] | undefined => {
    const ranks = keys.map((key, at) =>
      key === undefined ? Number.POSITIVE_INFINITY : (matches[at]?.indexOf(key) ?? -1),
    );
    return ranks.includes(-1) ? undefined : ranks;
  };
  let best: { choice: Choice; ranks: number[] } | undefined;
  for (const choice of choices) {
    const ranks = rankOf(choice);
    if (ranks !== undefined && (best === undefined || isBefore(ranks, best.ranks)))
      best = { choice, ranks };
  }
  return best?.choice;
}

function isBefore(a: readonly number[], b: readonly number[]): boolean {
  const at = a.findIndex((rank, index) => rank !== b[index]);
  return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
}
