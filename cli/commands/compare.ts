import { count, placeInWords } from '../../src/core/base';
import { compareRows, readRows } from '../../src/core/handoff';
import { inputFile } from '../input';
import { endWith, flush, json, line, refuse, WrongUse } from '../output';

interface CompareOptions {
  readonly tolerance: string;
  readonly json?: boolean;
}

/** Holds rows that another renderer drew against those that are expected. Exit status 1 where they differ. */
export async function compare(
  expected: string,
  actual: string,
  options: CompareOptions,
): Promise<void> {
  const tolerancePx = Number(options.tolerance);
  if (!(tolerancePx >= 0))
    throw new WrongUse(`"${options.tolerance}" is no length in px, such as 1.`);
  const wanted = await rowsOf(expected);
  const drawn = await rowsOf(actual);
  const { findings, rowCount, hasBoxes } = compareRows(wanted.rows, drawn.rows, {
    file: drawn.name,
    tolerancePx,
  });
  for (const finding of findings) {
    if (options.json) json(finding);
    else
      line(
        `${finding.severity}: ${placeInWords(finding.place)}: ${finding.message} ${finding.hint}`,
      );
  }
  if (!options.json) {
    const what = hasBoxes ? 'words and boxes' : 'words; no boxes were told';
    line(
      `${count(rowCount, 'row')} compared: ${what}${findings.length === 0 ? '. All are as expected.' : '.'}`,
    );
  }
  if (findings.length > 0) endWith(1);
  flush();
}

async function rowsOf(file: string) {
  const { name, bytes } = await inputFile(file);
  const read = readRows(new TextDecoder().decode(bytes), name);
  return { name, rows: read.ok ? read.value : refuse(read.error) };
}
