import type { JsonRecord } from '../base';
import { Missing, type Value } from '../values';

/** Why a value has no text in a format. */
export class NoText extends Missing {}

/** What stands around a value: the item, the time, and the options that follow from the item. */
export interface Around {
  readonly item: JsonRecord;
  readonly now: string | undefined;
  readonly options: Readonly<Record<string, string | undefined>>;
}

export type Formatter = (value: Value, around: Around) => string | NoText;

export const notA = (what: string, value: Value): NoText =>
  new NoText(`${inShort(value)} is not ${what}`);

function inShort(value: Value): string {
  if (value === undefined) return 'nothing';
  const text = JSON.stringify(value) ?? 'it';
  return text.length > 40 ? `${text.slice(0, 39)}…` : text;
}
