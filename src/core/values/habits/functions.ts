import { ownValue } from '../../base';
import {
  bound,
  type Form,
  filled,
  operand,
  type Piece,
  type Pieces,
  templateOf,
  whole,
} from './pieces';

/** What is written for a function of another language: the first form that fits the arguments and the types. */
export interface Habit {
  readonly forms: readonly Form[];
  /** Said where no form can be given, or beside it where something is to be known. */
  readonly says?: string;
}

const chained =
  (operator: string): Form =>
  ({ args }) =>
    args.length < 2 ? undefined : args.map(whole).join(` ${operator} `);

const choosesFormat = 'Choose a format under the value: it follows the reader’s region.';

/** The value as it is: how it is written is a matter of its format. */
const formatted: Habit = {
  forms: [({ of, args }) => (of ?? args.find(({ node }) => node.type !== 'Literal'))?.text],
  says: choosesFormat,
};

const isWord = (piece: Piece | undefined, word: RegExp): boolean =>
  piece !== undefined && word.test(piece.text.replace(/["']/g, ''));

/** Positions count from 1 in those languages, from 0 here. */
function partOf({ args: [text, from, length] }: Pieces): string | undefined {
  if (text === undefined || from === undefined) return undefined;
  const start = Number(from.text);
  if (!Number.isInteger(start)) return undefined;
  const at = Math.max(0, start - 1);
  const of = filled('$1', { of: undefined, args: [text] }) ?? text.text;
  if (length === undefined) return `${of}.slice(${at})`;
  const count = Number(length.text);
  return Number.isInteger(count) ? `${of}.slice(${at}, ${at + count})` : undefined;
}

/** `IFS(a, b, c, d)`: the first whose condition holds. */
function firstThatHolds({ args }: Pieces): string | undefined {
  if (args.length < 2) return undefined;
  const [test, value, ...rest] = args.map(whole);
  if (value === undefined) return test;
  const others = firstThatHolds({ of: undefined, args: args.slice(2) });
  return `${test} ? ${value} : ${rest.length === 1 ? rest[0] : (others ?? 'null')}`;
}

/** `SWITCH(x, 1, a, 2, b, c)`: the one whose value it is. */
function chosenBy({ args: [of, ...cases] }: Pieces): string | undefined {
  const [is, value, ...rest] = cases;
  if (of === undefined || is === undefined || value === undefined) return undefined;
  const otherwise =
    rest.length === 1
      ? rest[0] && whole(rest[0])
      : (chosenBy({ of: undefined, args: [of, ...rest] }) ?? 'null');
  return `${operand(of)} === ${operand(is)} ? ${whole(value)} : ${otherwise}`;
}

function roundedTo({ args: [number, digits] }: Pieces): string | undefined {
  const places = Number(digits?.text);
  if (number === undefined || !(places > 0 && places < 10)) return undefined;
  return `Math.round(${operand(number)} * ${10 ** places}) / ${10 ** places}`;
}

function repeated({ of, args }: Pieces): string | undefined {
  const [mark, times] = of === undefined ? args : [of, ...args];
  const isOne = mark !== undefined && /^(["']).\1$/.test(mark.text);
  return isOne && times !== undefined ? `"".padEnd(${times.text}, ${mark.text})` : undefined;
}

const datePlaces: Readonly<Record<string, string>> = {
  year: '0, 4',
  yyyy: '0, 4',
  month: '5, 7',
  mm: '5, 7',
  day: '8, 10',
  dd: '8, 10',
};

const partOfDate: Form = ({ args: [part, date] }) => {
  const name = part?.text.replace(/["']/g, '').toLowerCase() ?? '';
  const place = ownValue(datePlaces, name);
  return place === undefined || date === undefined
    ? undefined
    : `Number(${bound(date)}.slice(${place}))`;
};

const wholeNumber: Form = ({ args: [of] }) => of && `Math.trunc(Number(${of.text}))`;

const joinedBy: Form = ({ args: [between, ...parts] }) =>
  between === undefined || parts.length === 0
    ? undefined
    : `joined(${[between, ...parts].map(({ text }) => text).join(', ')})`;

const daysFrom: Form = ({ args }) => {
  const unit = args.findIndex((each) => isWord(each, /^(?:d|dd|days?)$/i));
  const dates = args.filter((_, at) => at !== unit).map(({ text }) => text);
  if (dates.length !== 2) return undefined;
  // The unit first or last: from, to. Without a unit it is the end first.
  const [from, to] = unit < 0 ? dates.toReversed() : dates;
  return `daysBetween(${from}, ${to})`;
};

const daysLater: Form = ({ args }) => {
  const rest = args.filter((each) => !isWord(each, /^(?:d|dd|days?)$/i));
  const [first, second] = rest;
  if (rest.length !== 2 || first === undefined || second === undefined) return undefined;
  const isCountFirst = /^-?\d+$/.test(first.text);
  return isCountFirst
    ? `addDays(${second.text}, ${first.text})`
    : `addDays(${first.text}, ${second.text})`;
};

const noEquivalent = (says: string): Habit => ({ forms: [], says });

/** `"{0} of {1}".format(a, b)` and `"%s of %s" % (a, b)`. */
export function interpolated({ of, args }: Pieces): string | undefined {
  const words = of === undefined ? undefined : /^(["'])(.*)\1$/s.exec(of.text)?.[2];
  if (words === undefined || words.includes('`')) return undefined;
  const marks = [...words.matchAll(/\{(\d*)(?::[^{}]*)?\}|%[\d.]*[sdif]/g)];
  const named = marks.map(([, at], nth) => args[at === undefined || at === '' ? nth : Number(at)]);
  if (marks.length === 0 || named.includes(undefined)) return undefined;
  let nth = 0;
  return `\`${words.replace(/\{\d*(?::[^{}]*)?\}|%[\d.]*[sdif]/g, () => `\${${named[nth++]?.text}}`)}\``;
}

const interpolatedFirst: Form = ({ args: [of, ...args] }) => interpolated({ of, args });

export const capitals: Form = ({ of, args }) => {
  const piece = of ?? args[0];
  if (piece === undefined) return undefined;
  const text = filled('$1', { of: undefined, args: [piece] });
  return `\`\${${text}.slice(0, 1).toUpperCase()}\${${text}.slice(1)}\``;
};

const groups: readonly (readonly [names: string, habit: Habit | readonly Form[]])[] = [
  ['upper ucase toupper uppercase strtoupper upcase', ['$1.toUpperCase()']],
  ['lower lcase tolower lowercase strtolower downcase', ['$1.toLowerCase()']],
  ['len length size count strlen cardinality counta char_length', ['$1.length']],
  ['trim ltrim rtrim strip clean', ['$1.trim()']],
  ['left', ['$1.slice(0, %2)']],
  ['right', ['$1.slice(-$2)']],
  ['mid substr substring', [partOf]],
  ['concat concatenate', [({ args }) => (args.length < 2 ? undefined : templateOf(args))]],
  ['concat_ws', [joinedBy]],
  ['textjoin', [(p) => joinedBy({ ...p, args: p.args.filter((_, at) => at !== 1) })]],
  [
    'join implode string_agg group_concat listagg array_to_string',
    ['$2.join(%1)', '$1.join(%2)', '$1.join(", ")'],
  ],
  ['coalesce ifnull nvl ifna iferror default firstnonnull', [chained('??')]],
  ['isnull is_null isblank isna isnone isnil isnan', ['$1 === null', '~1 ?? ~2']],
  ['isempty empty isnullorempty', ['($1.length ?? 0) === 0', '$1 === null']],
  ['isset exists notnull isnotnull', ['$1 !== null']],
  ['if iif ifelse if_else cond', ['~1 ? ~2 : ~3', '~1 ? ~2 : null']],
  ['ifs multiif', [firstThatHolds]],
  ['switch decode', [chosenBy]],
  ['choose', noEquivalent('Write [a, b, c][position].')],
  ['nullif', ['$1 === $2 ? null : ~1']],
  ['and', [chained('&&')]],
  ['or', [chained('||')]],
  ['not', ['!$1']],
  ['xor', ['$1 !== $2']],
  ['round', ['Math.round(%1)', roundedTo]],
  ['abs', ['Math.abs(%1)']],
  ['floor rounddown', ['Math.floor(%1)']],
  ['ceil ceiling roundup', ['Math.ceil(%1)']],
  ['trunc truncate int fix', ['Math.trunc(%1)', 'Math.trunc(Number(%1))']],
  ['parseint cint toint32 toint', [wholeNumber]],
  ['sign sgn', ['Math.sign(%1)']],
  [
    'float double decimal tonumber value val parsefloat cdbl to_number number bigint todouble',
    ['Number(%1)', ({ args }) => (args.length === 2 ? args[0]?.text : undefined)],
  ],
  ['str string tostring cstr', { ...formatted, forms: ['`${%1}`', ...formatted.forms] }],
  ['boolean bool', ['$1 !== ""', '$1 !== 0', '%1']],
  ['exact', ['$1 === $2']],
  ['date_part datepart', [partOfDate]],
  ['mod', ['$1 % $2']],
  ['pow power', ['$1 ** $2']],
  ['sqrt', ['$1 ** 0.5']],
  ['exp log ln log10 sin cos tan', noEquivalent('Compute it where the items come from.')],
  ['max greatest', ['largest(%1)', ({ args }) => extreme('Math.max', args)]],
  ['min least', ['smallest(%1)', ({ args }) => extreme('Math.min', args)]],
  ['avg mean', ['average(%1)', 'average(%1, %2)']],
  ['total sumof', ['sum(%1)', 'sum(%1, %2)']],
  [
    'countif countifs sumif sumifs averageif',
    noEquivalent('Write list.filter(x => …).length, or sum(list.filter(x => …), x => …).'),
  ],
  [
    'now today getdate sysdate curdate current_date current_timestamp utcnow',
    [({ args }) => (args.length === 0 ? 'now' : undefined)],
  ],
  ['year', ['Number($1.slice(0, 4))']],
  ['month', ['Number($1.slice(5, 7))']],
  ['day', ['Number($1.slice(8, 10))']],
  ['hour', ['Number($1.slice(11, 13))']],
  ['minute', ['Number($1.slice(14, 16))']],
  ['weekday dayofweek dayname', { ...formatted, says: 'Choose a date format with the weekday.' }],
  ['datediff datedif days_between days date_diff', [daysFrom]],
  ['dateadd date_add adddate', [daysLater]],
  [
    'date todate to_date cdate datevalue datetime',
    { ...formatted, forms: ['%1', ({ args }) => (args.length === 2 ? args[0]?.text : undefined)] },
  ],
  ['replace substitute', ['$1.replaceAll(%2, %3)']],
  ['str_replace', ['$3.replaceAll(%1, %2)']],
  ['contains', ['$1.includes(%2)']],
  ['in_array', ['$2.includes(%1)']],
  ['instr', ['$1.indexOf(%2) + 1']],
  ['search find charindex locate position', ['$2.indexOf(%1) + 1']],
  ['strpos', ['$1.indexOf(%2)']],
  ['startswith starts_with', ['$1.startsWith(%2)']],
  ['endswith ends_with', ['$1.endsWith(%2)']],
  ['split', ['$1.split(%2)']],
  ['explode', ['$2.split(%1)']],
  ['reverse reversed', ['$1.toReversed()']],
  ['sort sorted', ['$1.toSorted()', '$1.toSorted((a, b) => a - b)']],
  ['unique uniq set', ['distinct(%1)']],
  ['first head', ['$1[0]', '$1.at(0)', '$1.slice(0, %2)']],
  ['last', ['$1.at(-1)']],
  ['filter', ['$1.filter(%2)', '$2.filter(%1)']],
  ['map', ['$1.map(%2)', '$2.map(%1)']],
  ['any', ['$1.some(%2)', '$1.some(x => x)', '$1.length > 0']],
  ['all', ['$1.every(%2)', '$1.every(x => x)']],
  ['repeat rept replicate', [repeated]],
  ['proper initcap ucfirst capitalize title', [capitals]],
  ['lpad', ['$1.padStart(%2, %3)', '$1.padStart(%2)']],
  ['rpad', ['$1.padEnd(%2, %3)', '$1.padEnd(%2)']],
  ['vlookup xlookup hlookup', noEquivalent('Write lookup("source", key).field.')],
  [
    'to_char text date_format strftime format_number number_format formatnumber formatdate currency dateformat to_text',
    formatted,
  ],
  ['format sprintf printf', { ...formatted, forms: [interpolatedFirst, ...formatted.forms] }],
  ['date_trunc', noEquivalent(choosesFormat)],
  ['print echo raw html_escape escape', [({ args }) => args[0]?.text]],
  ['isnumeric isnumber is_numeric', ['Number($1) !== null']],
  ['istext isdate typeof type', noEquivalent('Types are known beforehand: Data shows them.')],
  [
    'regexp_replace regexp_like regexmatch regexreplace regexextract preg_match preg_replace',
    noEquivalent('Write includes, startsWith, endsWith, split or replaceAll with plain texts.'),
  ],
  ['eval', noEquivalent('An expression never runs text as code.')],
];

function extreme(name: string, args: readonly Piece[]): string | undefined {
  if (args.length < 2) return undefined;
  return `${name}(${args.map(({ text }) => text).join(', ')})`;
}

export const functionHabits: ReadonlyMap<string, Habit> = new Map(
  groups.flatMap(([names, habit]) =>
    names.split(' ').map((name) => [name, 'forms' in habit ? habit : { forms: habit }] as const),
  ),
);

export { formatted, noEquivalent, repeated };
