import type { Finding } from '../base';
import { check } from './check/check';
import { type Checked, inWords } from './check/checked';
import { showableFinding } from './check/showable';
import { compile, type Evaluate } from './compile/compile';
import { type Environment, emptyEnvironment } from './environment';
import { valueFindings } from './findings';
import { itemAsWords } from './odd/item-alone';
import { kindOf, withArticle } from './result-type';
import { readExpression } from './syntax/read';
import { type Field, fieldNamed } from './type';
import { pathsUsed } from './uses';

/** A text that was read, checked and, if nothing is wrong with it, can be evaluated. */
export interface Expression {
  readonly text: string;
  readonly findings: readonly Finding[];
  readonly paths: readonly (readonly string[])[];
  /** What it was held against beside the fields, and reaches when it is evaluated. */
  readonly environment: Environment;
  /** Both there or both not. */
  readonly checked: Checked | undefined;
  readonly evaluate: Evaluate | undefined;
}

/**
 * What an expression is for. `text`: its value must be able to stand on a label; `property`: it
 * belongs to the item, wherever that stands; `condition`: it says yes or no, before the item stands
 * anywhere.
 */
export type Use = 'any' | 'text' | 'property' | 'condition';

/** What is written elsewhere, and what for it here: much code, for when something is wrong only. */
let habits: typeof import('./habits/mend') | undefined;

/** From then on findings say what is written here for what somebody wrote out of habit. */
export async function loadHabits(): Promise<void> {
  habits ??= await import('./habits/mend');
}

export function makeExpression(
  text: string,
  fields: readonly Field[],
  use: Use = 'any',
  environment: Environment = emptyEnvironment,
): Expression {
  const made = expressionAsIs(text, fields, use, environment);
  if (made.findings.length === 0) return made;
  let findings: readonly Finding[] | undefined;
  return {
    ...made,
    /** Mends are looked for when somebody reads what is wrong: it takes some milliseconds. */
    get findings() {
      if (habits === undefined) return made.findings;
      findings ??= habits.mendable(made.findings, text, {
        findingsOf: (other) => expressionAsIs(other, fields, use, environment).findings,
        isField: (name) => fieldNamed(fields, name) !== undefined,
        kindOf: (other) => {
          const { checked } = expressionAsIs(other, fields, 'any', environment);
          return checked && kindOf(checked.type);
        },
      });
      return findings;
    },
  };
}

function expressionAsIs(
  text: string,
  fields: readonly Field[],
  use: Use,
  environment: Environment,
): Expression {
  const read = readExpression(text);
  if (!read.ok)
    return {
      text,
      findings: [read.error],
      paths: [],
      environment,
      checked: undefined,
      evaluate: undefined,
    };
  const paths = pathsUsed(read.value);
  const hasPlace = use === 'any' || use === 'text';
  const world = { fields, environment, hasPlace, hasLook: use !== 'property' };
  const { checked: found, findings } = check(read.value, text, world);
  const words = use === 'text' && found?.kind === 'item' ? itemAsWords(found, fields) : undefined;
  const checked = words ?? found;
  const unfit = checked && unfitFor(use, checked);
  if (checked === undefined || unfit !== undefined) {
    const all = unfit === undefined ? findings : [unfit];
    return { text, findings: all, paths, environment, checked: undefined, evaluate: undefined };
  }
  let evaluate: Evaluate | undefined;
  return {
    text,
    findings: [],
    paths,
    environment,
    checked,
    /** Made when it is first wanted: what is only checked or traced needs none. */
    get evaluate() {
      evaluate ??= compile(checked, environment);
      return evaluate;
    },
  };
}

function unfitFor(use: Use, checked: Checked): Finding | undefined {
  if (use === 'text') return showableFinding(checked);
  if (use !== 'condition' || kindOf(checked.type) === 'boolean') return undefined;
  return valueFindings.noCondition(checked, inWords(checked), withArticle(checked.type));
}
