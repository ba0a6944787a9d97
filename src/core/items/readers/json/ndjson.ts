import { atOnce, type Finding, failed, type Json, ok } from '../../../base';
import { itemFindings } from '../../findings';
import { asItem, type Item } from '../../item';
import { maxDepth, scanJson } from '../../json/scan';
import { findJsonFault, type JsonFault } from '../../json/strict';
import type { Reader } from '../reader';
import { withNamesTwice } from './json';
import { DigitKeeper } from './numbers';

const sliceChars = 2_000_000;

export const ndjson: Reader = {
  format: 'ndjson',
  extensions: ['ndjson', 'jsonl'],

  looksLike(head) {
    const { rootEnd } = atOnce(scanJson(head));
    return rootEnd !== undefined && /^[ \t]*\r?\n\s*[[{]/.test(head.slice(rootEnd));
  },

  first(head, task) {
    const lastLine = head.lastIndexOf('\n');
    if (lastLine < 0) return undefined;
    const keeper = new DigitKeeper();
    const read = parseLines(head.slice(0, lastLine), keeper);
    if (read === undefined || read.length === 0) return undefined;
    return { format: 'ndjson', at: '$[*]', items: read, findings: keeper.findings(task.file) };
  },

  async all(text, task, ports) {
    const keeper = new DigitKeeper();
    const items: Item[] = [];
    const faults: LineFault[] = [];
    let linesBefore = 0;
    for (let from = 0; from < text.length; ) {
      const next = text.indexOf('\n', from + sliceChars);
      const to = next < 0 ? text.length : next + 1;
      const slice = text.slice(from, to);
      const read = parseLines(slice, keeper) ?? eachLine(slice, linesBefore, { keeper, faults });
      for (const item of read) items.push(item);
      const [fault] = faults;
      // What was there before would be gone, and who follows a source is not told line by line.
      const most = task.mayBeEmpty === true ? 0 : items.length * fewFaults;
      if (fault !== undefined && faults.length > most) return failed(refusalOf(fault, task.file));
      linesBefore += slice.split('\n').length - 1;
      from = to;
      ports.progress(to / text.length);
      await ports.pause();
    }
    if (items.length === 0) return failed(itemFindings.noList(task.file));
    const findings = [...leftOut(faults, task.file), ...keeper.findings(task.file)];
    return ok(withNamesTwice({ format: 'ndjson', at: '$[*]', items, findings }, text, task));
  },
};

/** A faulty line among so many sound ones is left out and told; with more the document is refused. */
const fewFaults = 0.1;

interface LineFault {
  readonly line: number;
  readonly fault: JsonFault;
}

/** The sound lines; what is wrong with the others is added to the faults. */
function eachLine(
  slice: string,
  linesBefore: number,
  { keeper, faults }: { readonly keeper: DigitKeeper; readonly faults: LineFault[] },
): Item[] {
  return slice.split('\n').flatMap((text, at) => {
    const items = parseLines(text, keeper);
    if (items !== undefined) return items;
    const fault = findJsonFault(text) ?? severalValues;
    faults.push({ line: linesBefore + at + 1, fault });
    return [];
  });
}

const severalValues: JsonFault = {
  offset: 0,
  wrong: 'one value a line was expected',
  isTooDeep: false,
};

function refusalOf({ line, fault }: LineFault, file: string): Finding {
  const at = { line, column: fault.offset + 1 };
  return fault.isTooDeep
    ? itemFindings.nestedTooDeep(file, at, maxDepth)
    : itemFindings.notJson(file, at, fault.wrong, 'ndjson');
}

function leftOut(faults: readonly LineFault[], file: string): Finding[] {
  const [first] = faults;
  if (first === undefined) return [];
  const at = { line: first.line, column: first.fault.offset + 1 };
  return [itemFindings.linesLeftOut(file, at, { count: faults.length, wrong: first.fault.wrong })];
}

/** All lines at once, which is several times quicker than one by one; undefined if any is at fault. */
function parseLines(text: string, keeper: DigitKeeper): Item[] | undefined {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  try {
    const values = keeper.parse(`[${lines.join(',')}]`);
    if (!Array.isArray(values) || values.length !== lines.length) return undefined;
    return lines.some(isTooDeep) ? undefined : values.map((value: Json) => asItem(value));
  } catch {
    return undefined;
  }
}

/** A line that nests too deep opens as many brackets: few lines need a closer look. */
const isTooDeep = (line: string): boolean =>
  opens(line, '{') + opens(line, '[') > maxDepth && findJsonFault(line)?.isTooDeep === true;

function opens(line: string, bracket: string): number {
  let count = 0;
  for (let at = line.indexOf(bracket); at >= 0; at = line.indexOf(bracket, at + 1)) count += 1;
  return count;
}
