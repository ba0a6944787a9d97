import { ValidationError } from 'yup';
import { type Finding, failed, isRecord, type Json, ok, type Result } from '../../base';
import { refusal } from '../../items';
import { holdTo, list, mapOf, number, optional, record, text } from '../../shape';
import { compareFindings } from './findings';

/** A part as a renderer drew it: only its name has to be there. */
export interface ActualPart {
  readonly part: string;
  readonly box?: readonly number[];
  readonly text?: string;
  readonly lines?: number;
  readonly shows?: Readonly<Record<string, string>>;
}

/** One thing in a list as a renderer drew it. */
export interface ActualEntry {
  readonly setting: string;
  readonly entry: string;
  readonly key: string;
  readonly template?: string;
  readonly box?: readonly number[];
  readonly parts: readonly ActualPart[];
}

/** What a file of rows has of use to who compares: `expected.json`, or one in its form. */
export interface RowsRead {
  readonly entries: readonly ActualEntry[];
}

const maxEntries = 200_000;
const box = list(number(), { min: 4, max: 4 });

const rowsShape = record<RowsRead>({
  entries: list(
    record<ActualEntry>({
      setting: text(),
      entry: text(),
      key: text(1_000_000),
      template: optional(text()),
      box: optional(box),
      parts: list(
        record<ActualPart>({
          part: text(),
          box: optional(box),
          text: optional(text(10_000_000)),
          lines: optional(number()),
          shows: optional(mapOf(text(10_000_000))),
        }),
      ),
    }),
    { max: maxEntries },
  ),
});

const hold = holdTo(rowsShape);

/** Reads rows; what other keys they have is left aside. */
export function readRows(words: string, file: string): Result<RowsRead, Finding> {
  let root: Json;
  try {
    root = JSON.parse(words.replace(/^\uFEFF/, ''));
  } catch {
    return failed(refusal(words, file));
  }
  if (!isRecord(root)) return failed(compareFindings.notRows(file, 'it is no JSON object'));
  try {
    return ok(hold(root, 'first'));
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return failed(compareFindings.notRows(file, error.message));
  }
}
