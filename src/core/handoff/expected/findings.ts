import { clipped, count, type Finding } from '../../base';

const inFile = (code: string, file: string, message: string, hint: string): Finding => ({
  code,
  severity: 'error',
  place: { in: 'document', file },
  message: clipped(message),
  hint,
});

/** The first row of several that differ alike. */
export interface FirstRow {
  readonly setting: string;
  readonly entry: string;
  readonly key: string;
}

const named = ({ setting, entry, key }: FirstRow): string => `${entry} "${key}" in "${setting}"`;

/** What is otherwise in a part of many rows. */
export interface PartDiffers {
  readonly template: string;
  readonly part: string;
  readonly rowCount: number;
  readonly first: FirstRow;
  readonly expected: string;
  readonly actual: string;
}

const where = ({ template, part }: PartDiffers): string => `${template}, ${part}`;
const rows = (n: number): string => count(n, 'row');

/** What a comparison of rows finds. */
export const compareFindings = {
  notRows: (file: string, why: string) =>
    inFile(
      'not-rows',
      file,
      `${file} holds no rows: ${why}.`,
      'It is an object with a list "entries", as expected.json is.',
    ),

  rowsMissing: (file: string, rowCount: number, first: FirstRow) =>
    inFile(
      'rows-missing',
      file,
      `${rows(rowCount)} ${rowCount === 1 ? 'is' : 'are'} missing; the first is the ${named(first)}.`,
      'Every sample item has a row in each setting.',
    ),

  rowsUnexpected: (file: string, rowCount: number, first: FirstRow) =>
    inFile(
      'rows-unexpected',
      file,
      `${rows(rowCount)} ${rowCount === 1 ? 'is' : 'are'} not expected; the first is the ${named(first)}.`,
      'Items may be left out, folded away or in another setting.',
    ),

  otherTemplate: (file: string, differs: PartDiffers) =>
    inFile(
      'rows-of-other-template',
      file,
      `${rows(differs.rowCount)} should be of ${differs.expected}, not ${differs.actual}; the first is the ${named(differs.first)}.`,
      'The first choice that takes an item decides.',
    ),

  partMissing: (file: string, differs: PartDiffers) =>
    inFile(
      'part-not-drawn',
      file,
      `${where(differs)} is missing in ${rows(differs.rowCount)}; the first is the ${named(differs.first)}, where it shows ${differs.expected}.`,
      'A part leaves only where its value is missing and nothing stands in for it.',
    ),

  partUnexpected: (file: string, differs: PartDiffers) =>
    inFile(
      'part-not-expected',
      file,
      `${where(differs)} is drawn in ${rows(differs.rowCount)} that are expected without it; the first is the ${named(differs.first)}.`,
      'It leaves where its value is missing.',
    ),

  otherWords: (file: string, differs: PartDiffers) =>
    inFile(
      'words-differ',
      file,
      `${where(differs)} reads otherwise in ${rows(differs.rowCount)}; the first is the ${named(differs.first)}: ${differs.actual} instead of ${differs.expected}.`,
      'Words are compared exactly: spaces, signs and all.',
    ),

  otherBox: (file: string, differs: PartDiffers) =>
    inFile(
      'boxes-differ',
      file,
      `${where(differs)} stands elsewhere in ${rows(differs.rowCount)}; the first is the ${named(differs.first)}: ${differs.actual} instead of ${differs.expected}.`,
      'x, y, width and height in CSS px; --tolerance says how far off they may be.',
    ),

  otherLines: (file: string, differs: PartDiffers) =>
    inFile(
      'lines-differ',
      file,
      `${where(differs)} has another number of lines in ${rows(differs.rowCount)}; the first is the ${named(differs.first)}: ${differs.actual} instead of ${differs.expected}.`,
      'Words break where the font that is named makes them.',
    ),
};
