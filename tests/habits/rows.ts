import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeExpression } from '../../src/core/values';
import { fields } from './fields';

interface Row {
  /** Where it is written so. */
  readonly language: string;
  readonly written: string;
  /** What one press makes of it; empty: nothing is offered. */
  readonly mended: string;
}

/** What working developers write out of habit. */
export const rows: readonly Row[] = readFileSync(join(import.meta.dirname, 'forms.tsv'), 'utf8')
  .trimEnd()
  .split('\n')
  .map((line) => {
    const [language = '', written = '', mended = ''] = line.split('\t');
    return { language, written, mended };
  });

/** The text once the first finding's mend was pressed. */
export function mendedOf(written: string): string | undefined {
  const mend = makeExpression(written, fields).findings[0]?.mend;
  return mend && written.slice(0, mend.from) + mend.text + written.slice(mend.to);
}
