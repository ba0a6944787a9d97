import type { AnyNode } from 'acorn';
import { capitals, formatted, type Habit, interpolated, noEquivalent, repeated } from './functions';
import { bound, type Form, type Pieces, templateOf } from './pieces';

/** The one parameter of a function of an element and what is read of it, if that is a path: `x => x.cost`. */
function pathOfArrow(node: AnyNode, text: string): string | undefined {
  if (node.type !== 'ArrowFunctionExpression') return undefined;
  const { params, body, start } = node;
  const [param] = params;
  if (params.length !== 1 || param?.type !== 'Identifier') return undefined;
  const words = text.slice(body.start - start, body.end - start);
  return words === param.name || words.startsWith(`${param.name}.`)
    ? words.slice(param.name.length)
    : undefined;
}

/** In the order of what a function makes of each: numbers by their difference, others by comparing. */
const ordered =
  (compare: (a: string, b: string) => string, isDown: boolean): Form =>
  ({ of, args: [by] }) => {
    const path = by && pathOfArrow(by.node, by.text);
    if (of === undefined || path === undefined) return undefined;
    const sides = [`a${path}`, `b${path}`] as const;
    const [first, second] = isDown ? [sides[1], sides[0]] : sides;
    return `${bound(of)}.toSorted((a, b) => ${compare(first, second)})`;
  };

const byDifference = (a: string, b: string): string => `${a} - ${b}`;
const byComparing = (a: string, b: string): string => `${a} < ${b} ? -1 : 1`;
/** The one that comes first in such an order. */
const firstOf =
  (form: Form): Form =>
  (pieces) => {
    const list = typeof form === 'function' ? form(pieces) : undefined;
    return list && `${list}[0]`;
  };

const orderedUp = [ordered(byDifference, false), ordered(byComparing, false)];
const orderedDown = [ordered(byDifference, true), ordered(byComparing, true)];

/** `(all, each) => all + each.cost`: the sum. */
function summed({ of, args: [arrow] }: Pieces): string | undefined {
  if (of === undefined || arrow?.node.type !== 'ArrowFunctionExpression') return undefined;
  const { params, body } = arrow.node;
  const [all, each] = params;
  if (all?.type !== 'Identifier' || each?.type !== 'Identifier') return undefined;
  if (body.type !== 'BinaryExpression' || body.operator !== '+') return undefined;
  const start = arrow.node.start;
  const [left, right] = [body.left, body.right].map((side) =>
    arrow.text.slice(side.start - start, side.end - start),
  );
  const made = left === all.name ? right : right === all.name ? left : undefined;
  if (made === undefined) return undefined;
  return made === each.name ? `sum(${of.text})` : `sum(${of.text}, ${each.name} => ${made})`;
}

/** `substr(2, 3)`: from where, and how many. */
function partFrom({ of, args: [from, count] }: Pieces): string | undefined {
  const [at, length] = [Number(from?.text), Number(count?.text)];
  if (of === undefined || !Number.isInteger(at) || !Number.isInteger(length)) return undefined;
  return `${bound(of)}.slice(${at}, ${at + length})`;
}

/** `/moss/i.test(name)` and `name.match(/moss/i)`, where the pattern is plain letters. */
function searched({ of, args: [arg] }: Pieces): string | undefined {
  if (of === undefined || arg === undefined) return undefined;
  const isFirst = of.text.startsWith('/');
  const [pattern, text] = isFirst ? [of, arg] : [arg, of];
  const parts = /^\/(\^?)([\p{L}\p{N} _-]+)(\$?)\/(i?)$/u.exec(pattern.text);
  if (parts === null) return undefined;
  const [, starts, words = '', ends, anyCase] = parts;
  const own = bound(text) + (anyCase === 'i' ? '.toLowerCase()' : '');
  const wanted = JSON.stringify(anyCase === 'i' ? words.toLowerCase() : words);
  if (starts !== '' && ends !== '') return `${own} === ${wanted}`;
  return `${own}.${starts !== '' ? 'startsWith' : ends !== '' ? 'endsWith' : 'includes'}(${wanted})`;
}

const stepNamed: Form = ({ of, args: [name] }) =>
  of !== undefined && name !== undefined && /^["']/.test(name.text)
    ? `${bound(of)}[${name.text}]`
    : undefined;

/** Texts and values put to a text. */
const appended: Form = ({ of, args }) =>
  of === undefined || args.length === 0 ? undefined : templateOf([of, ...args]);

const groups: readonly (readonly [names: string, habit: Habit | readonly Form[]])[] = [
  [
    'toupper upper uppercase uppercased upcase touppercase tolocaleuppercase toupperinvariant ucase',
    ['$of.toUpperCase()'],
  ],
  [
    'tolower lower lowercase lowercased downcase tolowercase tolocalelowercase tolowerinvariant casefold',
    ['$of.toLowerCase()'],
  ],
  ['length len size count numberofelements', ['$of.length', '$of.filter(%1).length']],
  ['isempty empty none', ['$of.length === 0', '!$of.some(%1)', '$of === null']],
  ['isnotempty isnotblank nonempty', ['$of.length > 0', '$of !== null']],
  ['isblank', ['$of.trim() === ""', '$of === null']],
  ['isnullorempty isnullorblank isnullorwhitespace', ['($of.length ?? 0) === 0']],
  ['orempty', ['$of ?? ""']],
  [
    'trim strip trimmed trimstart trimend lstrip rstrip trimmingcharacters',
    ['$of.trim()', ({ of }) => of && `${bound(of)}.trim()`],
  ],
  [
    'contains has include includes containskey localizedstandardcontains',
    ['$of.includes(%1)', '$of.some(%1)'],
  ],
  ['startswith hasprefix starts_with beginswith', ['$of.startsWith(%1)']],
  ['endswith hassuffix ends_with', ['$of.endsWith(%1)']],
  ['substring subsequence mid', ['$of.slice(%1, %2)', '$of.slice(%1)']],
  ['substr', [partFrom, '$of.slice(%1)']],
  ['prefix take left', ['$of.slice(0, %1)', '$of.slice(0, 1)']],
  ['suffix takelast right', ['$of.slice(-$1)', '$of.slice(-1)']],
  ['drop skip dropfirst', ['$of.slice(%1)', '$of.slice(1)']],
  ['droplast', ['$of.slice(0, -$1)', '$of.slice(0, -1)']],
  ['charat elementat get nth character', ['$of.at(%1)', stepNamed]],
  ['charcodeat codepointat', noEquivalent('Compare texts as they are: name < "m".')],
  [
    'first firstordefault firstornull firstorundefined head',
    ['$of[0]', '$of.at(0)', '$of.find(%1)', '$of.slice(0, %1)'],
  ],
  ['last lastordefault lastornull tail', ['$of.at(-1)', '$of.findLast(%1)', '$of.slice(-$1)']],
  ['single singleordefault', ['$of[0]', '$of.find(%1)']],
  ['replace replaceall replacingoccurrences gsub sub', ['$of.replaceAll(%1, %2)']],
  ['where findall', ['$of.filter(%1)']],
  ['select collect flatmap mapnotnull compactmap foreach each', ['$of.map(%1)', '$of.filter(%1)']],
  ['filternotnull compact filternot reject', ['$of.filter(x => x !== null)']],
  ['any anymatch', ['$of.some(%1)', '$of.length > 0']],
  ['all allsatisfy allmatch trueforall', ['$of.every(%1)']],
  ['detect firstwhere', ['$of.find(%1)']],
  ['orderby sortedby sortby sort_by order_by', orderedUp],
  ['orderbydescending sortedbydescending', orderedDown],
  ['minby minbyornull', orderedUp.map(firstOf)],
  ['maxby maxbyornull', orderedDown.map(firstOf)],
  ['split', ['$of.split(" ")']],
  ['sort sorted order', ['$of.toSorted()', '$of.toSorted((a, b) => a - b)', '$of.toSorted(%1)']],
  ['reverse reversed', ['$of.toReversed()']],
  ['sum sumof sumby sumdouble', ['sum(%of)', 'sum(%of, %1)']],
  ['average avg mean averageof', ['average(%of)', 'average(%of, %1)']],
  ['min minof minornull minofornull minimum', ['smallest(%of)', 'smallest(%of, %1)']],
  ['max maxof maxornull maxofornull maximum', ['largest(%of)', 'largest(%of, %1)']],
  ['distinct unique uniq toset distinctby', ['distinct(%of)', 'distinct(%of, %1)']],
  [
    'groupby group_by grouped chunked',
    noEquivalent('Sections are made in List: by a field or an expression.'),
  ],
  ['join', ['$1.join(%of)', '$of.join(%1)', '$of.join(", ")']],
  ['substringbefore', ['$of.split(%1)[0]']],
  ['substringafter', ['$of.split(%1)[1]']],
  ['jointostring joined', ['$of.join(%1)', '$of.join(", ")', '$of.map(%2).join(%1)']],
  ['concat append plus add push extend union', ['$of.concat(%1)', '$of.concat([%1])', appended]],
  [
    'reduce fold inject aggregate',
    [summed, 'sum(%of)', ({ of, args }) => summed({ of, args: args.toReversed() })],
  ],
  [
    'flat flatten entries keys values',
    noEquivalent('Read what you need by its path: a.b, a[0].b.'),
  ],
  [
    'tostring str string description',
    {
      ...formatted,
      forms: ['`${%of}`', ({ of, args }) => (args.length > 0 ? of?.text : undefined)],
    },
  ],
  ['tonumber todouble tofloat to_f todecimal asnumber parsefloat', ['Number(%of)']],
  ['toint tointeger to_i tolong parseint int', ['Math.trunc(%of)', 'Number(%of)']],
  [
    'tofixed toprecision tolocalestring tolocaledatestring tolocaletimestring todatestring format strftime formatted toiso8601string toshortdatestring tolongdatestring',
    {
      forms: [interpolated, ...formatted.forms],
      ...(formatted.says !== undefined && { says: formatted.says }),
    },
  ],
  ['toisostring gettime tojson valueof todate getvalue unwrap', ['$of']],
  ['equals isequalto eq equal eql', ['$of === $1']],
  ['notequals ne neq', ['$of !== $1']],
  ['gt', ['$of > $1']],
  ['lt', ['$of < $1']],
  ['equalsignorecase', ['$of.toLowerCase() === $1.toLowerCase()']],
  ['compareto localecompare', noEquivalent('Compare with < and >: a < b ? -1 : 1.')],
  ['isin in oneof', ['$1.includes($of)']],
  ['between', ['$of >= $1 && $of <= $2']],
  ['minus subtract', ['$of - $1', 'daysBetween(%1, %of)']],
  ['times multiply', ['$of * $1']],
  ['div divide', ['$of / $1']],
  ['mod rem', ['$of % $1']],
  ['pow', ['$of ** $1']],
  ['abs', ['Math.abs(%of)']],
  ['round rounded', ['Math.round(%of)']],
  ['floor', ['Math.floor(%of)']],
  ['ceil', ['Math.ceil(%of)']],
  ['getfullyear year getyear', ['Number($of.slice(0, 4))']],
  ['month monthvalue', ['Number($of.slice(5, 7))']],
  ['getmonth', ['Number($of.slice(5, 7)) - 1']],
  ['getdate day dayofmonth date', ['Number($of.slice(8, 10))', '$of']],
  ['gethours hour hours', ['Number($of.slice(11, 13))']],
  ['getminutes minute', ['Number($of.slice(14, 16))']],
  ['getday weekday dayofweek', { forms: ['$of'], says: 'Choose a date format with the weekday.' }],
  ['fromnow timeago humanize', { forms: ['$of'], says: 'Choose a relative format: “3 days ago”.' }],
  ['adddays plusdays', ['addDays(%of, %1)']],
  ['minusdays subtractdays', ['addDays(%of, -$1)']],
  ['daysuntil', ['daysBetween(%of, %1)']],
  ['padleft ljust rjust padstart', ['$of.padStart(%1, %2)', '$of.padStart(%1)']],
  ['padright padend', ['$of.padEnd(%1, %2)', '$of.padEnd(%1)']],
  ['zfill', ['$of.padStart(%1, "0")', '`${%of}`.padStart(%1, "0")']],
  ['repeat times_text', [repeated]],
  ['capitalize capitalized totitlecase title titlecase replacefirstchar', [capitals]],
  ['isnull isnil nil isnone', ['$of === null']],
  ['isnotnull ispresent present isset exists hasvalue issome', ['$of !== null']],
  [
    'orelse getordefault getvalueordefault ordefault unwrap_or valueor or default ifnull',
    ['$of ?? ~1', '$of ?? 0', '$of ?? ""'],
  ],
  ['ifempty ifblank', ['($of.length ?? 0) === 0 ? ~1 : $of']],
  ['indexof index find search firstindex', ['$of.indexOf(%1)', '$of.findIndex(%1)', searched]],
  ['rfind lastindexof', ['$of.lastIndexOf(%1)']],
  [
    'match test matches matchall',
    { forms: [searched], says: 'Write includes, startsWith or endsWith with a plain text.' },
  ],
  ['value get_value', ['$of']],
];

const methodHabits: ReadonlyMap<string, Habit> = new Map(
  groups.flatMap(([names, habit]) => {
    const entry: Habit = 'forms' in habit ? habit : { forms: habit };
    return names.split(' ').map((name) => [name, entry] as const);
  }),
);

/** C# takes a length where others take an end. Its names begin with a capital. */
export const methodHabit = (name: string): Habit | undefined => {
  if (name === 'Substring') return { forms: [partFrom, '$of.slice(%1)'] };
  if (name === 'Select') return { forms: ['$of.map(%1)'] };
  if (name === 'select') return { forms: ['$of.filter(%1)', '$of.map(%1)'] };
  return methodHabits.get(name.toLowerCase());
};
