import type {
  AnyNode,
  CallExpression,
  Expression,
  Identifier,
  MemberExpression,
  NewExpression,
  SpreadElement,
  Super,
} from 'acorn';
import { ownValue } from '../../base';
import { functionHabits, type Habit } from './functions';
import { type Habitual, habitual, pieceOf, type Reading } from './habitual';
import { methodHabit } from './methods';
import { binaryHabit, logicalHabit, unaryHabit } from './operators';
import { bound, filled, type Piece } from './pieces';
import { bracesHabit, functionHabit, plainHabit } from './structures';

/** What a node is a habit of; undefined: of nothing that is known. */
export function habitAt(node: AnyNode, reading: Reading): Habitual | undefined {
  switch (node.type) {
    case 'Identifier':
      return nameHabit(node);
    case 'CallExpression':
      return callHabit(node, reading);
    case 'MemberExpression':
      return stepHabit(node, reading);
    case 'NewExpression':
      return newHabit(node, reading);
    case 'UnaryExpression':
      return unaryHabit(node, reading);
    case 'BinaryExpression':
      return binaryHabit(node, reading);
    case 'LogicalExpression':
      return logicalHabit(node, reading);
    case 'ObjectExpression':
      return bracesHabit(node, reading);
    case 'ArrowFunctionExpression':
    case 'FunctionExpression':
      return functionHabit(node, reading);
    default:
      return plainHabit(node, reading);
  }
}

const names: Readonly<Record<string, string>> = {
  none: 'null',
  nil: 'null',
  null: 'null',
  nothing: 'null',
  nan: 'null',
  true: 'true',
  yes: 'true',
  false: 'false',
  no: 'false',
  today: 'now',
  sysdate: 'now',
  current_date: 'now',
  current_timestamp: 'now',
  idx: 'index',
  rownum: 'index',
  row_number: 'index',
  i: 'index',
  boolean: 'x => x !== null',
  string: 'x => `${x}`',
  number: 'x => Number(x)',
};

function nameHabit(node: Identifier): Habitual | undefined {
  const bare = node.name.replace(/^\$+/, '');
  const known = ownValue(names, bare.toLowerCase());
  if (known !== undefined && known !== node.name) return habitual(node, node.name, [known]);
  return bare !== node.name && bare !== '' ? habitual(node, node.name, [bare]) : undefined;
}

const aggregates = new Set(['sum', 'average', 'smallest', 'largest', 'distinct']);

function callHabit(node: CallExpression, reading: Reading): Habitual | undefined {
  const { callee } = node;
  const args = node.arguments.map((each) => pieceOf(unspread(each), reading));
  if (callee.type === 'Identifier') {
    const over = aggregates.has(callee.name) ? overElements(node, reading) : undefined;
    if (over !== undefined) return habitual(node, `${callee.name}(list.field)`, [over]);
    const habit = functionHabits.get(callee.name.toLowerCase());
    return habit && made(node, `${callee.name}(…)`, habit, { of: undefined, args });
  }
  const member = unchained(callee);
  if (member.type !== 'MemberExpression' || member.property.type !== 'Identifier') return undefined;
  const { name } = member.property;
  const of = pieceOf(member.object, reading);
  if (/^(?:datetime\.)?(?:Date|date|DateTime|datetime|LocalDate|Instant)$/.test(of.text)) {
    const isNow = args.length === 0 && /^(?:now|today|utcnow)$/i.test(name);
    return isNow ? habitual(node, `${of.text}.${name}()`, ['now']) : undefined;
  }
  // Functions that other languages keep under a name: String.join, Objects.equals, Math.max.
  if (
    /^(?:[Ss]tring|StringUtils|Objects?|Array|Number|[Mm]ath|Convert|Integer|Double)$/.test(of.text)
  ) {
    const habit = functionHabits.get(name.toLowerCase());
    return habit && made(node, `${of.text}.${name}(…)`, habit, { of: undefined, args });
  }
  const habit = methodHabit(name);
  return habit && made(node, `${name}(…)`, habit, { of, args });
}

function made(
  node: AnyNode,
  what: string,
  { forms, says }: Habit,
  pieces: { readonly of: Piece | undefined; readonly args: readonly Piece[] },
): Habitual {
  return habitual(
    node,
    what,
    forms.map((form) => filled(form, pieces)),
    says,
  );
}

const unspread = (node: Expression | SpreadElement): AnyNode =>
  node.type === 'SpreadElement' ? node.argument : node;

const unchained = (node: Expression | Super): AnyNode =>
  node.type === 'ChainExpression' || node.type === 'ParenthesizedExpression'
    ? unchained(node.expression)
    : node;

/** `sum(visits.cost)`: over the elements. */
function overElements(node: CallExpression, reading: Reading): string | undefined {
  const [only, ...others] = node.arguments;
  const member = only === undefined || only.type === 'SpreadElement' ? undefined : unchained(only);
  if (member?.type !== 'MemberExpression' || others.length > 0) return undefined;
  const { object, property, computed } = member as MemberExpression;
  if (property.type !== 'Identifier' || computed) return undefined;
  const list = pieceOf(object, reading).text;
  return `${pieceOf(node.callee, reading).text}(${list}, x => x.${property.name})`;
}

/** What the item is called elsewhere. */
const wholes = new Set(
  (
    'this self it me row record data props obj object model entity doc document element el entry node x r d o i e ' +
    'context ctx source _source attributes fields values value current each $ _ vm state input'
  ).split(' '),
);

function stepHabit(node: MemberExpression, reading: Reading): Habitual | undefined {
  const { object, property, computed } = node;
  const of = pieceOf(object, reading);
  if (computed) {
    // `name[0]` of a text, and `row["name"]`.
    const inside = pieceOf(property, reading).text;
    return habitual(node, `${of.text}[…]`, [`${bound(of)}.at(${inside})`, `item[${inside}]`]);
  }
  if (property.type !== 'Identifier') return undefined;
  const { name } = property;
  if (object.type === 'Identifier' || object.type === 'ThisExpression') {
    const isWhole = wholes.has(of.text.toLowerCase()) && !reading.isField(of.text);
    if (isWhole && reading.isField(name))
      return habitual(node, `${of.text}.`, [name, `item.${name}`]);
    if (/^(?:DateTime|Date)$/.test(of.text) && /^(?:now|today|utcnow)$/i.test(name))
      return habitual(node, `${of.text}.${name}`, ['now']);
  }
  const habit = methodHabit(name);
  return habit && made(node, `.${name}`, habit, { of, args: [] });
}

/** A step into a list: of its first element, or of all. */
export function elementsHabit(node: AnyNode, reading: Reading): Habitual | undefined {
  if (node.type !== 'MemberExpression' || node.property.type !== 'Identifier') return undefined;
  const of = bound(pieceOf(node.object, reading));
  const { name } = node.property;
  return habitual(node, `.${name}`, [`${of}[0].${name}`, `${of}.map(x => x.${name})`]);
}

function newHabit(node: NewExpression, reading: Reading): Habitual | undefined {
  const args = node.arguments.map((each) => pieceOf(unspread(each), reading));
  const [first] = args;
  const name = pieceOf(node.callee, reading).text;
  const what = `new ${name}`;
  if (name === 'Date') return habitual(node, what, [first === undefined ? 'now' : bound(first)]);
  if (name === 'Set' && first !== undefined)
    return habitual(node, what, [`distinct(${first.text})`]);
  return first === undefined ? undefined : habitual(node, what, [bound(first)]);
}
