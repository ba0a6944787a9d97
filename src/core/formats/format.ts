/** An option that is fixed, or that follows from the item by an expression. */
export type Option = string | { readonly expr: string };

type Style = 'full' | 'long' | 'medium' | 'short';
type Width = 'long' | 'short' | 'narrow';

interface Digits {
  /** At least so many digits behind the decimal sign, and at most. */
  readonly minDigits?: number;
  readonly maxDigits?: number;
  /** False leaves out the signs between thousands. */
  readonly grouping?: boolean;
  readonly sign?: 'auto' | 'always' | 'exceptZero' | 'never';
}

export interface NumberFormat extends Digits {
  readonly as: 'number';
  readonly compact?: 'short' | 'long';
}

export interface PercentFormat extends Digits {
  readonly as: 'percent';
  /** What 100 % is: 1, or 100 where values are percents already. */
  readonly of?: 1 | 100;
}

export interface MoneyFormat extends Digits {
  readonly as: 'money';
  /** A code of ISO 4217. */
  readonly currency: Option;
  readonly display?: 'symbol' | 'narrowSymbol' | 'code' | 'name';
}

export interface UnitFormat extends Digits {
  readonly as: 'unit';
  /** A unit that ECMA-402 sanctions, or two of them with `-per-`. */
  readonly unit: Option;
  readonly width?: Width;
}

export interface BytesFormat {
  readonly as: 'bytes';
  /** How many of one unit make the next; 1,000 if not given. */
  readonly of?: 1024;
}

export interface DateFormat {
  readonly as: 'date';
  readonly date?: Style;
  readonly time?: Style;
  /** Unicode date fields (UTS 35), in the place of styles. */
  readonly pattern?: string;
  /** An IANA time zone for moments; without one, UTC. */
  readonly zone?: Option;
}

export interface RelativeFormat {
  readonly as: 'relative';
  readonly width?: Width;
  /** Days, however many; without it the largest unit that fits. */
  readonly unit?: 'day';
}

export interface DurationFormat {
  readonly as: 'duration';
  readonly width?: Width | 'digital';
  /** What numbers count; texts are durations of ISO 8601. */
  readonly of?: 'seconds' | 'minutes' | 'hours' | 'milliseconds';
}

export interface ListFormat {
  readonly as: 'list';
  readonly join?: 'and' | 'or' | 'unit';
  readonly width?: Width;
}

export interface YesNoFormat {
  readonly as: 'yesNo';
  readonly yes: string;
  readonly no: string;
}

export interface TextFormat {
  readonly as: 'text';
  readonly change: 'upper' | 'lower' | 'sentence' | 'title' | 'trim' | 'initials';
}

export interface MessageFormat {
  readonly as: 'message';
  /** Unicode MessageFormat 2; `$value` is the value, other names are fields of the item. */
  readonly message: string;
}

/** A way to turn a value into text, as the project file has it. */
export type Format =
  | NumberFormat
  | PercentFormat
  | MoneyFormat
  | UnitFormat
  | BytesFormat
  | DateFormat
  | RelativeFormat
  | DurationFormat
  | ListFormat
  | YesNoFormat
  | TextFormat
  | MessageFormat;

/** A format that bindings refer to. */
export type NamedFormat = Format & { readonly id: string; readonly name: string };
