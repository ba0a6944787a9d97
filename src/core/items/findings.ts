import { clipped, count, type Finding, grouped, type Place } from '../base';
import { type Field, withArticle } from '../values';
import type { Format } from './item';

/** A place in a text: both from 1; the column counts UTF-16 units. */
export interface Position {
  readonly line: number;
  readonly column: number;
}

const formatNames: Record<Format, string> = {
  json: 'JSON',
  ndjson: 'NDJSON',
  csv: 'CSV',
  sqlite: 'SQLite',
  typed: 'a typed list',
};

/** How many items, the first of them, and the value that it has, as JSON. */
interface SomeItems {
  readonly itemCount: number;
  readonly first: number;
  readonly value: string;
}

const isOrAre = ({ itemCount }: SomeItems): string => (itemCount === 1 ? 'is' : 'are');

const short = (text: string): string => (text.length > 40 ? `${text.slice(0, 39)}…` : text);

const inFile = (file: string, at?: Position): Place => ({ in: 'document', file, ...at });

const error = (code: string, place: Place, message: string, hint: string): Finding => ({
  code,
  severity: 'error',
  place,
  message: clipped(message),
  hint: clipped(hint),
});

const warning = (code: string, place: Place, message: string, hint: string): Finding => ({
  ...error(code, place, message, hint),
  severity: 'warning',
});

/** Everything that can be wrong with items and the documents they come in. */
export const itemFindings = {
  fileEmpty: (file: string) =>
    error(
      'file-empty',
      inFile(file),
      `${file} is empty: it has 0 bytes.`,
      'Export it again, or paste the items.',
    ),

  fileTooLarge: (file: string, sizeBytes: number, limitBytes: number) =>
    error(
      'file-too-large',
      inFile(file),
      `${file} has ${Math.round(sizeBytes / 1e6)} MB; at most ${Math.round(limitBytes / 1e6)} MB can be read.`,
      'Split it, or keep only the items that you need.',
    ),

  fileIsPicture: (file: string, kind: string) =>
    error(
      'file-is-picture',
      inFile(file),
      `${file} is a picture (${kind}), so there are no items in it.`,
      'Drop a JSON, NDJSON or CSV file.',
    ),

  fileIsBinary: (file: string) =>
    error(
      'file-is-binary',
      inFile(file),
      `${file} is not text, so no items can be read from it.`,
      'Drop a JSON, NDJSON or CSV file.',
    ),

  encodingGuessed: (file: string) =>
    warning(
      'encoding-guessed',
      inFile(file),
      `${file} is not valid UTF-8; it was read as Windows-1252 (Latin-1).`,
      'If letters with accents look wrong, save the file as UTF-8.',
    ),

  notJson: (file: string, at: Position, wrong: string, format: Format = 'json') =>
    error(
      'not-json',
      inFile(file, at),
      `${file} is not valid ${formatNames[format]}: ${wrong} at line ${at.line}, column ${at.column}.`,
      'Correct it there, or export the file again.',
    ),

  nestedTooDeep: (file: string, at: Position, limit: number) =>
    error(
      'nested-too-deep',
      inFile(file, at),
      `${file} nests more than ${limit} levels deep at line ${at.line}, column ${at.column}.`,
      'Items nested that deep cannot be shown. Flatten the document.',
    ),

  jsonScalar: (file: string, shown: string) =>
    error(
      'json-scalar',
      inFile(file),
      `${file} holds the single value ${shown}, not a list of items.`,
      'Bring a list such as [{ "name": "Merino lace" }].',
    ),

  noList: (file: string) =>
    error(
      'no-list',
      inFile(file),
      `No list of items was found in ${file}.`,
      'Bring a document with an array of objects somewhere in it.',
    ),

  notOfThatFormat: (file: string, looksLike: string) =>
    error(
      'not-a-table',
      inFile(file, { line: 1, column: 1 }),
      `${file} looks like ${looksLike}, not like a list of items: nothing was read.`,
      'Bring JSON, a value a line (NDJSON), a table with a row of headings (CSV), or an SQLite database.',
    ),

  linesLeftOut: (file: string, at: Position, of: { count: number; wrong: string }) =>
    error(
      'lines-left-out',
      inFile(file, at),
      `${count(of.count, 'line')} of ${file} ${of.count === 1 ? 'is' : 'are'} no JSON value and left out: line ${at.line}, ${of.wrong}${of.count === 1 ? '' : ', is the first'}.`,
      'Correct the lines and bring the file again.',
    ),

  noTable: (file: string) =>
    error(
      'no-table',
      inFile(file),
      `${file} is a database without tables.`,
      'Bring one that has some.',
    ),

  noSuchTable: (file: string, table: string, tables: readonly string[]) =>
    error(
      'no-such-table',
      inFile(file),
      `There is no table "${table}" in ${file}.`,
      tables.length === 0
        ? 'It has no tables.'
        : `Its tables are ${tables.slice(0, 12).join(', ')}. A SELECT can be written, too.`,
    ),

  sqliteFails: (file: string, wrong: string) =>
    error(
      'sqlite-fails',
      inFile(file),
      `${file} could not be read as an SQLite database: ${wrong}.`,
      'It may be cut short or locked by a key; copy it again.',
    ),

  noSchema: (file: string) =>
    error(
      'no-schema',
      inFile(file),
      `No item type was found in the schema ${file}.`,
      'It needs an object with properties, at its root, in $defs or in components.schemas.',
    ),

  listEmpty: (file: string, at: string): Finding => ({
    code: 'list-empty',
    severity: 'warning',
    place: inFile(file),
    message: clipped(
      `${at === '$[*]' ? 'The list' : `The list at ${at}`} in ${file} has no items yet.`,
    ),
    hint: 'Type items in the table, or bring a file of them and import it into this source.',
  }),

  selectFails: (file: string, wrong: string) =>
    error(
      'select-fails',
      inFile(file),
      `The database refuses the SELECT: ${wrong}.`,
      'Check the names of its tables and columns.',
    ),

  nameTwice: (file: string, { line, column }: Position, name: string) =>
    warning(
      'name-twice',
      { in: 'document', file, line, column },
      `"${name}" stands twice in one record; the last value counts, as everywhere in JSON.`,
      'Correct what writes the document: no reader sees the first value.',
    ),

  bytesLeft: (file: string, column: string, itemCount: number) =>
    warning(
      'bytes-left',
      inFile(file),
      `"${column}" holds bytes in ${count(itemCount, 'item')}: they are not kept, only how many there are.`,
      'Keep pictures as files, and their names or addresses in the column; or leave the field out.',
    ),

  severalStatements: (file: string) =>
    error(
      'several-statements',
      inFile(file),
      'There are several statements; one SELECT is read.',
      'Take away all but the one that gives the items.',
    ),

  pathFindsNothing: (file: string, at: string, reach: string) =>
    error(
      'path-finds-nothing',
      inFile(file),
      `The path ${at} finds nothing in ${file}. ${reach}`,
      'Correct the path.',
    ),

  pathInvalid: (file: string, at: string, wrong: string) =>
    error(
      'path-invalid',
      inFile(file),
      `The path ${at} is not a JSONPath: ${wrong}.`,
      'See RFC 9535; for example $.stock[*].',
    ),

  quoteOpen: (file: string, at: Position) =>
    warning(
      'quote-open',
      inFile(file, at),
      `A quote opened at line ${at.line} of ${file} is never closed; the rest of the file went into that cell.`,
      'Close the quote, or double quotes that belong to the text.',
    ),

  rowsRagged: (
    file: string,
    at: Position,
    { count: rowCount, cells }: { readonly count: number; readonly cells: number },
    columns: number,
  ) =>
    warning(
      'rows-ragged',
      inFile(file, at),
      `${count(rowCount, 'row')} of ${file} ${rowCount === 1 ? 'has' : 'have'} another number of cells than the heading: the first, at line ${at.line}, has ${cells} instead of ${columns}.`,
      'Cells that are not there are missing; cells past the heading are kept in fields of their own.',
    ),

  columnsTooMany: (file: string, columns: number, max: number) =>
    error(
      'columns-too-many',
      inFile(file),
      `${file} has ${grouped(columns)} columns; the most that can be read is ${grouped(max)}.`,
      'A table with items as columns can be turned round before it is brought.',
    ),

  headingRepeats: (file: string, name: string, renamed: string) =>
    warning(
      'heading-repeats',
      inFile(file, { line: 1, column: 1 }),
      `The heading "${name}" stands twice in ${file}; the later column was named "${renamed}".`,
      'Give every column a name of its own.',
    ),

  numberTooLong: (file: string, numberCount: number, example: string) =>
    warning(
      'number-too-long',
      inFile(file),
      `${count(numberCount, 'number')} in ${file} ${numberCount === 1 ? 'has' : 'have'} more digits than a number can hold (such as ${example}); kept as text, with every digit.`,
      'Nothing was lost. Treat such values as text.',
    ),

  keyRepeats: (
    source: string,
    field: string,
    {
      key,
      first,
      second,
      more,
    }: {
      readonly key: string;
      readonly first: number;
      readonly second: number;
      readonly more: number;
    },
  ) =>
    warning(
      'key-repeats',
      { in: 'items', source, field, item: second },
      `Items ${first + 1} and ${second + 1} of ${source} have the same key "${key}"${more > 0 ? `, and so have ${more} more` : ''}.`,
      'Both are shown. An import cannot tell them apart until one key changes.',
    ),

  keyMissing: (source: string, field: string, item: number, itemCount: number) =>
    warning(
      'key-missing',
      { in: 'items', source, field, item },
      `${count(itemCount, 'item')} of ${source} ${itemCount === 1 ? 'has' : 'have'} no key in "${field}", the first is item ${item + 1}.`,
      'Such items are told apart by their position.',
    ),

  fieldsTooMany: (
    source: string,
    { name, kept }: { readonly name: string; readonly kept: number },
  ) =>
    warning(
      'fields-too-many',
      { in: 'items', source },
      `${source} has more fields in one record than the ${grouped(kept)} that are told apart; “${name}” is the first of the others.`,
      'The items keep them, but they are no fields of the type. Where the names are values, read the record as a list.',
    ),

  noKey: (source: string) =>
    warning(
      'no-key',
      { in: 'items', source },
      `No field tells the items of ${source} apart.`,
      'They are told apart by position, so a changed order looks like changed items.',
    ),

  typeless: (source: string, discriminator: string, some: SomeItems) =>
    warning(
      'items-typeless',
      { in: 'items', source, field: discriminator, item: some.first },
      `${count(some.itemCount, 'item')} of ${source} ${isOrAre(some)} of no known type: "${discriminator}" is ${short(some.value)} in item ${some.first + 1}.`,
      'They get what the list gives to all others. Import them again to have a type made.',
    ),

  fieldMissing: (
    source: string,
    type: string,
    field: string,
    { first, itemCount }: Omit<SomeItems, 'value'>,
  ) =>
    warning(
      'field-missing',
      { in: 'items', source, field, item: first },
      `"${field}" should be in every ${type}, and ${count(itemCount, 'item')} of ${source} ${itemCount === 1 ? 'lacks' : 'lack'} it; the first is item ${first + 1}.`,
      'Say that it may be missing, or correct the items.',
    ),

  fieldOfOtherType: (source: string, type: string, field: Field, some: SomeItems) =>
    warning(
      'field-of-other-type',
      { in: 'items', source, field: field.name, item: some.first },
      `"${field.name}" is ${withArticle(field)} in ${type}, and ${count(some.itemCount, 'item')} of ${source} ${some.itemCount === 1 ? 'has' : 'have'} something else; the first is ${short(some.value)} in item ${some.first + 1}.`,
      'Such values are missing in rows. Choose another type, or read them as what they mean.',
    ),

  notDecoded: (source: string, field: Field, decoding: string, some: SomeItems) =>
    warning(
      'not-decoded',
      { in: 'items', source, field: field.name, item: some.first },
      `${count(some.itemCount, 'value')} of "${field.name}" could not be read as ${withArticle(field)} (${decoding}); the first is ${short(some.value)} in item ${some.first + 1}.`,
      'Such values are missing in rows. Correct the pattern or the items.',
    ),

  fieldMixed: (source: string, field: string, kinds: string) =>
    warning(
      'field-mixed',
      { in: 'items', source, field },
      `The field "${field}" of ${source} holds ${kinds}.`,
      'It can be shown where all of them can be text.',
    ),
} as const;
