import { type Finding, failed, type Json, ok } from '../../base';
import { itemFindings, type Position } from '../findings';
import type { Item } from '../item';
import { positionAt } from '../json/strict';
import { type Columns, columnNames } from './column-names';
import { otherFormat } from './other-format';
import type { Reader } from './reader';

const cellsAtOnce = 100_000;
const maxColumns = 10_000;
const delimiters = [',', ';', '\t', '|'];

/** CSV and its kin (RFC 4180, any delimiter): the first row names the columns, cells are texts. */
export const csv: Reader = {
  format: 'csv',
  extensions: ['csv', 'tsv', 'txt'],

  looksLike: (head) => /[\n\r,;\t]/.test(head),

  async first(head, task) {
    if (otherFormat(head, task.file) !== undefined) return undefined;
    const parse = await parser();
    const end = Math.max(head.lastIndexOf('\n'), head.lastIndexOf('\r'));
    if (end < 0) return undefined;
    const said = separatorLine.exec(head);
    const from = said?.[0].length ?? 0;
    const { data: rows } = parse(head.slice(from, end), said?.[1] ?? likelyDelimiter(head, parse));
    // The last row may be cut inside a quoted cell.
    const columns = columnNames(rows[0] ?? [], task.file);
    const items = rows
      .slice(1, -1)
      .filter(isFilled)
      .map((cells) => itemOf(columns.names, cells));
    return items.length === 0 ? undefined : { format: 'csv', at: '$[*]', items, findings: [] };
  },

  async all(text, task, ports) {
    const other = otherFormat(text, task.file);
    if (other !== undefined) return failed(itemFindings.notOfThatFormat(task.file, other));
    const parse = await parser();
    const items: Item[] = [];
    const ragged = { count: 0, cells: 0, offset: 0 };
    let openQuote: number | undefined;
    let columns: Columns | undefined;
    const said = separatorLine.exec(text);
    const begin = said?.[0].length ?? 0;
    const delimiter = said?.[1] ?? likelyDelimiter(text, parse);
    const width = parse(text.slice(begin, begin + 1_000_000), delimiter, 1).data[0]?.length ?? 0;
    if (width > maxColumns)
      return failed(itemFindings.columnsTooMany(task.file, width, maxColumns));
    const rowsAtOnce = Math.ceil(cellsAtOnce / Math.max(1, width));
    for (let from = begin; from < text.length; ) {
      const slice = text.slice(from);
      const read = parse(slice, delimiter, rowsAtOnce);
      if (openQuote === undefined && read.errors.some((each) => each.code === 'MissingQuotes')) {
        openQuote = from + lastRowStart(slice, read.data.length - 1, delimiter, parse);
      }
      for (const [row, cells] of read.data.entries()) {
        if (columns === undefined) {
          columns = columnNames(cells, task.file);
        } else if (isFilled(cells)) {
          if (cells.length !== columns.names.length) {
            if (ragged.count === 0) {
              ragged.cells = cells.length;
              ragged.offset = from + lastRowStart(slice, row, delimiter, parse);
            }
            ragged.count += 1;
          }
          items.push(itemOf(columns.names, cells));
        }
      }
      from = read.meta.truncated ? from + read.meta.cursor : text.length;
      ports.progress(from / text.length);
      await ports.pause();
    }
    // Of a single line without a separator nobody knows whether it is a heading.
    if (columns === undefined || (items.length === 0 && columns.names.length < 2))
      return failed(itemFindings.noList(task.file));
    const findings: Finding[] = [...columns.findings];
    if (items.length === 0) findings.push(itemFindings.listEmpty(task.file, '$[*]'));
    if (ragged.count > 0) {
      const at = rowPosition(text, ragged.offset);
      findings.push(itemFindings.rowsRagged(task.file, at, ragged, columns.names.length));
    }
    if (openQuote !== undefined)
      findings.push(itemFindings.quoteOpen(task.file, rowPosition(text, openQuote)));
    return ok({ format: 'csv', at: '$[*]', items, findings, columns: columns.names });
  },
};

/** Which sign stands between cells, as some programs say it in front. */
const separatorLine = /^sep=([^\r\n])\r?\n/i;

/** The package is loaded when there is a CSV file to read. */
async function parser() {
  const { default: Papa } = await import('papaparse');
  // Its fast mode is off: with a row limit it reports a place one row too far.
  return (text: string, delimiter: string, rowCount = 0) =>
    Papa.parse(text, { delimiter, preview: rowCount, fastMode: false });
}

type Parse = Awaited<ReturnType<typeof parser>>;

/** The delimiter that cuts the first rows into most cells, the same number in most of them. */
function likelyDelimiter(text: string, parse: Parse): string {
  const head = text.slice(0, 20_000);
  let best = { delimiter: ',', score: 0 };
  for (const delimiter of delimiters) {
    const rows = parse(head, delimiter, 20).data.filter(isFilled);
    const columns = rows[0]?.length ?? 0;
    const alike = rows.filter((cells) => cells.length === columns).length;
    const score = columns < 2 ? 0 : (alike / rows.length) * 100 + Math.min(columns, 50);
    if (score > best.score) best = { delimiter, score };
  }
  return best.delimiter;
}

/** Own keys whatever the heading says: `__proto__` is a column name like any other. */
function itemOf(names: readonly string[], cells: readonly string[]): Item {
  const item: Record<string, Json> = {};
  for (const [index, cell] of cells.slice(0, maxColumns).entries()) {
    const name = names[index] ?? `column ${index + 1}`;
    if (name in Object.prototype)
      Object.defineProperty(item, name, {
        value: cell,
        enumerable: true,
        configurable: true,
        writable: true,
      });
    else item[name] = cell;
  }
  return item;
}

const isFilled = (cells: readonly string[]): boolean => cells.length > 1 || (cells[0] ?? '') !== '';

/** Offset at which a row starts: the rows before it, read once more; only on the way to a finding. */
function lastRowStart(slice: string, row: number, delimiter: string, parse: Parse): number {
  return row <= 0 ? 0 : parse(slice, delimiter, row).meta.cursor;
}

function rowPosition(text: string, offset: number): Position {
  const skipped = /^[\r\n]+/.exec(text.slice(offset))?.[0].length ?? 0;
  return positionAt(text, offset + skipped);
}
