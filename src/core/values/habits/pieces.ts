import type { AnyNode } from 'acorn';

/** A stretch of an expression as its author wrote it. */
export interface Piece {
  readonly text: string;
  readonly node: AnyNode;
}

/**
 * What could be written instead: arguments go to `$1`, `%1` and `~1`, what a method stands on to
 * `$of` and `%of`; with `$` where an operator or a step meets them, with `~` where only weak
 * operators do, with `%` where nothing does.
 */
export type Form = string | ((pieces: Pieces) => string | undefined);

export interface Pieces {
  readonly of: Piece | undefined;
  readonly args: readonly Piece[];
}

const primary = new Set([
  'Identifier',
  'MemberExpression',
  'CallExpression',
  'ChainExpression',
  'TemplateLiteral',
  'ParenthesizedExpression',
  'ArrayExpression',
  'NewExpression',
]);

const loose = new Set([
  'ConditionalExpression',
  'LogicalExpression',
  'ArrowFunctionExpression',
  'AssignmentExpression',
  'SequenceExpression',
]);

const isText = (node: AnyNode): boolean =>
  node.type === 'Literal' && 'value' in node && typeof node.value === 'string';

/** Whether any operator or step can stand beside it. */
export const isOneValue = (node: AnyNode): boolean =>
  primary.has(node.type) || node.type === 'Literal';

/** Whether weak operators would take it apart. */
export const isLoose = (node: AnyNode): boolean => loose.has(node.type);

/** In brackets, unless a step or an operator can follow it as it is. */
export const bound = ({ text, node }: Piece): string =>
  primary.has(node.type) || isText(node) ? text : `(${text})`;

/** Beside an operator: numbers may stand as they are. */
export const operand = (piece: Piece): string =>
  piece.node.type === 'Literal' ? piece.text : bound(piece);

/** In brackets only where it would fall apart beside weak operators. */
export const whole = ({ text, node }: Piece): string => (isLoose(node) ? `(${text})` : text);

/** As a part of a template literal: fixed texts and other templates stand for themselves. */
export function hole({ text, node }: Piece): string {
  if (node.type === 'TemplateLiteral') return text.slice(1, -1);
  if (isText(node) && 'value' in node)
    return String(node.value).replace(/[\\`]|\$\{/g, (mark) => `\\${mark}`);
  return `\${${text}}`;
}

export const templateOf = (pieces: readonly Piece[]): string => `\`${pieces.map(hole).join('')}\``;

/** A form with its pieces in their places; undefined where it takes another number of them. */
export function filled(form: Form, pieces: Pieces): string | undefined {
  if (typeof form === 'function') return form(pieces);
  const { of, args } = pieces;
  const wanted = Math.max(0, ...[...form.matchAll(/[$%~](\d)/g)].map(([, at]) => Number(at)));
  if (wanted !== args.length || (/[$%]of/.test(form) && of === undefined)) return undefined;
  return form.replace(/([$%~])(of|\d)/g, (mark, kind: string, at: string) => {
    const piece = at === 'of' ? of : args[Number(at) - 1];
    if (piece === undefined) return mark;
    if (kind === '%') return piece.text;
    if (kind === '~') return whole(piece);
    return at === 'of' ? bound(piece) : operand(piece);
  });
}
