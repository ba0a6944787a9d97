import type { Finding } from '../../base';
import type { Environment } from '../environment';
import type { ResultType } from '../result-type';
import type { Argument, Expr } from '../syntax/tree';
import type { Field } from '../type';
import type { Checked } from './checked';

/** What an expression may speak of. */
export interface World {
  readonly fields: readonly Field[];
  readonly environment: Environment;
  /** False for computed properties: they belong to the item, wherever it stands. */
  readonly hasPlace: boolean;
  /** Whether it is asked in a look: true also of conditions, before the item stands anywhere. */
  readonly hasLook: boolean;
}

export interface Local {
  readonly name: string;
  readonly slot: number;
  readonly type: ResultType;
  readonly mayBeMissing: boolean;
}

/** One check at work: its text, what it noticed, and how it goes into the parts of a node. */
export interface Checking {
  readonly text: string;
  readonly world: World;
  readonly locals: readonly Local[];
  note(finding: Finding): undefined;
  visit(node: Expr): Checked | undefined;
  /** The same with more names in sight. */
  within(locals: readonly Local[]): Checking;
}

/** The words of a node as the author wrote them. */
export const wordsOf = ({ text }: Checking, node: Argument): string =>
  text.slice(node.from, node.to);
