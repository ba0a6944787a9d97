import type { JsonRecord } from '../../base';
import { type Format, makeFormatter, NoText } from '../../formats';
import { type Field, makeExpression, plainText, type RowContext, type Value } from '../../values';
import type { Source } from '../sources';

/** A way to write a source's value: in a format, or by a step of the expression itself. */
export interface Writing {
  /** The same for the same way. */
  readonly id: string;
  readonly cost: number;
  readonly format?: Format;
  /** The expression around the source's own. */
  readonly wrap?: (expr: string) => string;
  /** Holes of numbers touch no digits. */
  readonly isNumber?: boolean;
  readonly open?: Open;
  write(value: Value, item: JsonRecord, context: RowContext): Text;
}

/** Forms that no example has shown. */
export interface Open {
  readonly forms: readonly string[];
  /** Words for some of them that are likely, with the number for which they are asked. */
  readonly guesses: Readonly<Record<string, string>>;
  isFor(value: Value): boolean;
}

/** A source with how it is written: what stands in a place of the words. */
export interface Hole {
  readonly id: string;
  readonly source: Source;
  readonly writing: Writing;
  readonly cost: number;
}

export const holeId = (source: Source, writing: string): string => `${source.expr}\u0000${writing}`;

export const holeOf = (source: Source, writing: Writing): Hole => ({
  id: holeId(source, writing.id),
  source,
  writing,
  cost: source.cost + writing.cost,
});

/** Stands in a text for a form that no example has shown. */
export const openForm = '\ufffc';

/** What a hole or a whole rule writes; null where a value is missing. */
export type Text = string | null;

export function textOf({ source, writing }: Hole, item: JsonRecord, context: RowContext): Text {
  const value = source.evaluate(item, context);
  return value === undefined ? null : writing.write(value, item, context);
}

/** The expression that a hole is, without its format. */
export const exprOf = ({ source, writing }: Hole): string =>
  writing.wrap === undefined ? source.expr : writing.wrap(source.expr);

export const plain = (cost: number, isNumber = false): Writing => ({
  id: 'plain',
  cost,
  isNumber,
  write: (value) => plainText(value) ?? null,
});

/** A writing by a format of the project's kinds; options from the item are read once. */
export function byFormat(
  format: Format,
  cost: number,
  { locale, fields }: { readonly locale: string; readonly fields: readonly Field[] },
  isNumber = false,
): Writing {
  const write = makeFormatter(format, locale);
  const currency =
    format.as === 'money' && typeof format.currency === 'object'
      ? makeExpression(format.currency.expr, fields).evaluate
      : undefined;
  return {
    id: JSON.stringify(format),
    cost,
    format,
    isNumber,
    write(value, item, { now }) {
      const options = currency === undefined ? none : { currency: plainText(currency(item)) };
      const text = write(value, { item, now, options });
      return text instanceof NoText ? null : text;
    },
  };
}

const none = {};
