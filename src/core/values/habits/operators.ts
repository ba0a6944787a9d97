import type {
  AnyNode,
  BinaryExpression,
  Expression,
  LogicalExpression,
  PrivateIdentifier,
  UnaryExpression,
} from 'acorn';
import { functionHabits, interpolated } from './functions';
import { type Habitual, habitual, pieceOf, type Reading } from './habitual';
import { methodHabit } from './methods';
import { bound, filled, operand, type Piece, templateOf, whole } from './pieces';

export function unaryHabit(node: UnaryExpression, reading: Reading): Habitual | undefined {
  const of = pieceOf(node.argument, reading);
  if (node.operator === '+') {
    const isNumber = reading.kindOf(of.text) === 'number';
    return habitual(node, 'The sign +', [isNumber ? of.text : `Number(${of.text})`]);
  }
  if (node.operator === 'void') return habitual(node, 'void', ['null']);
  if (node.operator === '~') return undefined;
  if (node.operator !== '!' || node.argument.type !== 'UnaryExpression') return undefined;
  const { operator, argument } = node.argument;
  const inner = pieceOf(argument, reading);
  if (operator !== '!') return undefined;
  const kind = reading.kindOf(inner.text);
  const nothing = kind === 'text' ? '""' : kind === 'number' ? '0' : 'null';
  const isThere = kind === 'boolean' ? inner.text : `${operand(inner)} !== ${nothing}`;
  return habitual(node, '!!', [isThere]);
}

export function binaryHabit(node: BinaryExpression, reading: Reading): Habitual | undefined {
  const { operator } = node;
  if (node.left.type === 'PrivateIdentifier') return undefined;
  const [left, right] = [pieceOf(node.left, reading), pieceOf(node.right, reading)];
  const what = `The operator ${operator}`;
  const weak = (sign: string) => `${whole(left)} ${sign} ${whole(right)}`;
  const strong = (sign: string) => `${operand(left)} ${sign} ${operand(right)}`;
  switch (operator) {
    case '&': {
      const parts = operandsOf(node, operator, reading);
      const isOfConditions = parts.every(({ text }) => reading.kindOf(text) === 'boolean');
      return habitual(node, what, [isOfConditions ? weak('&&') : templateOf(parts)]);
    }
    case '|': {
      const isCondition = reading.kindOf(left.text) === 'boolean';
      return habitual(node, what, [isCondition ? weak('||') : piped(node, reading)]);
    }
    case '^':
      return habitual(node, what, [strong('**'), strong('!==')]);
    case 'in':
      return habitual(node, what, [
        node.right.type === 'SequenceExpression'
          ? `[${right.text}].includes(${left.text})`
          : `${bound(right)}.includes(${left.text})`,
        `${bound(right)}[${left.text}] !== null`,
      ]);
    case '%':
      return habitual(node, what, [interpolated({ of: left, args: partsOf(node.right, reading) })]);
    case '*':
      return habitual(node, what, [
        filled('"".padEnd($2, %1)', { of: undefined, args: [left, right] }),
      ]);
    case '<':
    case '<=':
    case '>':
    case '>=':
      return chainHabit(node, reading);
    default:
      return undefined;
  }
}

/** The values of a list in round brackets. */
const partsOf = (node: Expression, reading: Reading): readonly Piece[] =>
  (node.type === 'SequenceExpression' ? node.expressions : [node]).map((each) =>
    pieceOf(each, reading),
  );

/** `1 < x < 5` compares the answer of the first comparison with 5. */
function chainHabit(node: BinaryExpression, reading: Reading): Habitual | undefined {
  const inner = node.left;
  if (inner.type !== 'BinaryExpression' || !/^[<>]=?$/.test(inner.operator)) return undefined;
  const between = pieceOf(inner.right, reading);
  const first = pieceOf(inner, reading).text;
  const second = `${operand(between)} ${node.operator} ${operand(pieceOf(node.right, reading))}`;
  return habitual(node, 'A chain of comparisons', [`${first} && ${second}`]);
}

/** `name | upper`: what stands behind the bar is done to what stands before it. */
function piped({ left, right }: BinaryExpression, reading: Reading): string | undefined {
  if (left.type === 'PrivateIdentifier') return undefined;
  const value = pieceOf(left, reading);
  const isCall = right.type === 'CallExpression';
  const callee = isCall ? right.callee : right;
  if (callee.type !== 'Identifier') return undefined;
  const args = isCall ? right.arguments.map((each) => pieceOf(each, reading)) : [];
  const habits = [methodHabit(callee.name), functionHabits.get(callee.name.toLowerCase())];
  const forms = habits.flatMap((habit) => habit?.forms ?? []);
  return forms
    .map(
      (form) =>
        filled(form, { of: value, args }) ??
        filled(form, { of: undefined, args: [value, ...args] }),
    )
    .find((each) => each !== undefined);
}

export function logicalHabit(node: LogicalExpression, reading: Reading): Habitual | undefined {
  const [left, right] = [pieceOf(node.left, reading), pieceOf(node.right, reading)];
  const what = `The operator ${node.operator}`;
  if (node.operator !== '||') return undefined;
  // `kind === "a" || "b"`: the comparison is meant for both.
  if (node.left.type === 'BinaryExpression' && /^[!=]==?$/.test(node.left.operator)) {
    const { left: of, operator } = node.left;
    if (of.type === 'PrivateIdentifier') return undefined;
    const joins = operator.startsWith('!') ? '&&' : '||';
    const again = `${pieceOf(of, reading).text} ${operator} ${right.text}`;
    return habitual(node, what, [`${left.text} ${joins} ${again}`]);
  }
  const isJoining = (each: AnyNode): boolean =>
    (each.type === 'Literal' && /^(["'])[^\p{L}\p{N}]*\1$/u.test(pieceOf(each, reading).text)) ||
    (each.type === 'LogicalExpression' && [each.left, each.right].some(isJoining));
  if (!isJoining(node.left) && !isJoining(node.right)) return undefined;
  return habitual(node, what, [templateOf(operandsOf(node, '||', reading))]);
}

/** What an operator stands between, also where it stands several times. */
function operandsOf(
  node: Expression | PrivateIdentifier,
  operator: string,
  reading: Reading,
): readonly Piece[] {
  const isSame =
    (node.type === 'LogicalExpression' || node.type === 'BinaryExpression') &&
    node.operator === operator;
  return isSame
    ? [...operandsOf(node.left, operator, reading), ...operandsOf(node.right, operator, reading)]
    : [pieceOf(node, reading)];
}
