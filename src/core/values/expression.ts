import type { Finding } from '../base';
import { type Checked, check, showableFinding } from './check/check';
import { compile, type Evaluate } from './compile/compile';
import { noOthers, type Others } from './others';
import { readExpression } from './syntax/read';
import type { Field } from './type';
import { pathsUsed } from './uses';

/** A text that was read, checked and, if nothing is wrong with it, compiled. */
export interface Expression {
  readonly text: string;
  readonly findings: readonly Finding[];
  readonly paths: readonly (readonly string[])[];
  /** Both there or both not. */
  readonly checked: Checked | undefined;
  readonly evaluate: Evaluate | undefined;
}

/** `use` text: the value must be able to stand on a label. */
export function makeExpression(
  text: string,
  fields: readonly Field[],
  use: 'any' | 'text' = 'any',
  others: Others = noOthers,
): Expression {
  const read = readExpression(text);
  if (!read.ok)
    return { text, findings: [read.error], paths: [], checked: undefined, evaluate: undefined };
  const paths = pathsUsed(read.value);
  const { checked, findings } = check(read.value, fields, others);
  const unshowable = checked !== undefined && use === 'text' ? showableFinding(checked) : undefined;
  if (checked === undefined || unshowable !== undefined) {
    const all = unshowable === undefined ? findings : [unshowable];
    return { text, findings: all, paths, checked: undefined, evaluate: undefined };
  }
  return { text, findings: [], paths, checked, evaluate: compile(checked) };
}
