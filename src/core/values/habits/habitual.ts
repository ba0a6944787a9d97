import type { AnyNode } from 'acorn';
import type { Kind } from '../result-type';
import type { Piece } from './pieces';

/** What somebody wrote out of habit, what it is called, and what could be written for it. */
export interface Habitual {
  readonly from: number;
  readonly to: number;
  readonly what: string;
  /** Replacements of that stretch, the likeliest first. */
  readonly texts: readonly string[];
  readonly says?: string;
}

/** What the words of an expression are read with. */
export interface Reading {
  readonly text: string;
  /** Whether a field goes by that name. */
  readonly isField: (name: string) => boolean;
  /** Of what kind the value of a text would be; undefined where something is wrong with it. */
  readonly kindOf: (text: string) => Kind | undefined;
}

export const pieceOf = (node: AnyNode, { text }: Reading): Piece => ({
  text: text.slice(node.start, node.end),
  node,
});

export const habitual = (
  node: AnyNode,
  what: string,
  texts: readonly (string | undefined)[],
  says?: string,
): Habitual => ({
  from: node.start,
  to: node.end,
  what,
  texts: texts.filter((each) => each !== undefined),
  ...(says !== undefined && { says }),
});
