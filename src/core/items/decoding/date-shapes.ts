import { dateNames } from './names';

/** A date pattern (UTS 35) that a text looks like, with the locale of its month's name. */
export interface PatternFound {
  readonly pattern: string;
  readonly locale?: string;
}

/** The larger locales of CLDR whose months have names that no other of them has, English first. */
const monthLocales = [
  ...['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'da', 'nb', 'fi', 'pl', 'cs', 'sk', 'hu'],
  ...['ro', 'bg', 'hr', 'sl', 'sr', 'el', 'tr', 'ru', 'uk', 'be', 'lt', 'lv', 'et', 'is', 'ca'],
  ...['gl', 'eu', 'ga', 'cy', 'sq', 'mk', 'id', 'sw', 'af', 'he', 'ar', 'fa', 'hi', 'bn', 'ta'],
];
const maxLocales = 3;
const minShare = 0.6;

type Token =
  | { readonly kind: 'digits' | 'word' | 'between'; readonly text: string }
  | { readonly kind: 'field'; readonly text: string; readonly letter: string };

/** The patterns that most of the texts look like; several where their parts may stand for another. */
export function* datePatternsLike(texts: readonly string[]): Generator<PatternFound> {
  const all = texts.map((text) => tokensOf(text.trim()));
  const usual = mostLike(all);
  const [first] = usual;
  if (first === undefined || first.length > 24) return;
  const isShort = (at: number) => usual.some((tokens) => tokens[at]?.text.length === 1);
  const hasWord = first.some(({ kind }) => kind === 'word');
  const locales = hasWord ? localesOf(usual) : [];
  for (const locale of locales)
    for (const pattern of patternsOf(withMonth(first, locale), isShort))
      yield { pattern, ...(locale !== 'en' && { locale }) };
  if (locales.length === 0) for (const pattern of patternsOf(first, isShort)) yield { pattern };
}

function tokensOf(text: string): Token[] {
  return (text.match(/\d+|[\p{L}\p{M}]+\.?|[^\p{L}\p{M}\d]+/gu) ?? []).map((piece): Token => {
    const kind = /^\d/.test(piece) ? 'digits' : /^[\p{L}\p{M}]/u.test(piece) ? 'word' : 'between';
    return { kind, text: piece };
  });
}

/** Those that have the form that most have: digits in runs of alike lengths, with the same between them. */
function mostLike(all: readonly (readonly Token[])[]): readonly (readonly Token[])[] {
  const forms = new Map<string, (readonly Token[])[]>();
  for (const tokens of all) {
    const form = tokens.map((token) => formOf(token)).join('');
    const alike = forms.get(form);
    if (alike === undefined) forms.set(form, [tokens]);
    else alike.push(tokens);
  }
  let most: readonly (readonly Token[])[] = [];
  for (const alike of forms.values()) if (alike.length > most.length) most = alike;
  return most;
}

const formOf = ({ kind, text }: Token): string =>
  kind === 'word' ? 'w' : kind === 'digits' ? `${Math.max(2, text.length)}` : text;

/** The locales in which most of the texts name a month, those first in which the most do. */
function localesOf(all: readonly (readonly Token[])[]): readonly string[] {
  const counted = monthLocales.map((locale) => {
    const isMonth = monthsOf(locale);
    return { locale, count: all.filter((tokens) => tokens.some(isMonth)).length };
  });
  const most = Math.max(...counted.map(({ count }) => count));
  if (most < minShare * all.length) return [];
  return counted
    .flatMap(({ locale, count }) => (count === most ? [locale] : []))
    .slice(0, maxLocales);
}

const plain = (word: string) => word.toLowerCase().replace(/\.$/, '');
const months = new Map<string, ReadonlySet<string>>();

function monthsOf(locale: string): (token: Token) => boolean {
  let known = months.get(locale);
  if (known === undefined) {
    known = new Set(dateNames(locale).months.flat().map(plain));
    months.set(locale, known);
  }
  const words = known;
  return ({ kind, text }) => kind === 'word' && words.has(plain(text));
}

function withMonth(tokens: readonly Token[], locale: string): readonly Token[] {
  const at = tokens.findIndex(monthsOf(locale));
  return tokens.map((token, each) =>
    each === at ? { kind: 'field', text: token.text, letter: 'MMM' } : token,
  );
}

/** The fields of a text: its time, its zone, its weekday; then each order of what is left. */
function* patternsOf(
  tokens: readonly Token[],
  isShort: (at: number) => boolean,
): Generator<string> {
  const found = withClock(withZone(tokens), isShort);
  const left = found.flatMap(({ kind }, at) => (kind === 'digits' ? [at] : []));
  const hasMonth = found.some((token) => token.kind === 'field' && token.letter === 'MMM');
  const isDated = left.length > 0;
  if (!isDated && !found.some((token) => token.kind === 'field' && /[Hh]/.test(token.letter)))
    return;
  const lengths = left.map((at) => found[at]?.text.length ?? 0);
  for (const order of isDated ? ordersOf(lengths, hasMonth, separatorsOf(found, left)) : [[]]) {
    const letters = new Map(
      left.map((at, each) => [at, fieldOf(order[each] ?? '', lengths[each] ?? 0, isShort(at))]),
    );
    yield found.map((token, at) => letters.get(at) ?? literalOf(token, at, isDated)).join('');
  }
}

const separatorsOf = (tokens: readonly Token[], left: readonly number[]): string =>
  left
    .slice(1)
    .map((at) => tokens[at - 1]?.text ?? '')
    .join('');

const dayOrMonthFirst = [
  ['d', 'M', 'y'],
  ['M', 'd', 'y'],
];

type Orders = readonly (readonly string[])[];

/** What numbers of such lengths may be beside a month's name, in order. */
const besideMonth: ReadonlyMap<string, Orders> = new Map([
  ['4', [['y']]],
  ['2 4', [['d', 'y']]],
  ['4 2', [['y', 'd']]],
  ['2 2', [['d', 'y']]],
]);
const alone: ReadonlyMap<string, Orders> = new Map([
  ['4 2 2', [['y', 'M', 'd']]],
  ['2 2 4', dayOrMonthFirst],
  ['2 2 2', [...dayOrMonthFirst, ['y', 'M', 'd']]],
  ['8', [['yyyyMMdd']]],
  ['12', [['yyyyMMddHHmm']]],
  ['14', [['yyyyMMddHHmmss']]],
  ['8 6', [['yyyyMMdd', 'HHmmss']]],
  ['8 4', [['yyyyMMdd', 'HHmm']]],
]);

function ordersOf(lengths: readonly number[], hasMonth: boolean, between: string): Orders {
  const key = lengths.map((length) => (length === 1 ? 2 : length)).join(' ');
  // A point between two numbers makes a number of them.
  const isMonth = /^[-/]$/.test(between);
  if (!hasMonth && key === '4 2') return isMonth ? [['y', 'M']] : [];
  if (!hasMonth && key === '2 4') return isMonth ? [['M', 'y']] : [];
  return (hasMonth ? besideMonth : alone).get(key) ?? [];
}

function fieldOf(letter: string, length: number, isShort: boolean): string {
  if (letter.length !== 1) return letter;
  if (letter === 'y') return length === 4 ? 'yyyy' : 'yy';
  return isShort ? letter : letter.repeat(2);
}

/** A word in front is a day of the week; all else stands as it is. */
function literalOf(token: Token, at: number, isDated: boolean): string {
  if (token.kind === 'field') return token.letter;
  if (token.kind === 'word' && at === 0 && isDated) return 'EEE';
  return /\p{L}/u.test(token.text) ? `'${token.text}'` : token.text.replaceAll("'", "''");
}

/** Hours, minutes and what follows them. */
function withClock(tokens: readonly Token[], isShort: (at: number) => boolean): readonly Token[] {
  const at = tokens.findIndex(
    (token, each) =>
      token.kind === 'digits' &&
      token.text.length <= 2 &&
      tokens[each + 1]?.text === ':' &&
      tokens[each + 2]?.text.length === 2,
  );
  if (at < 0) return tokens;
  const isHalved = (token: Token) => token.kind === 'word' && /^[ap]\.?m\.?$/i.test(token.text);
  const half = tokens.findIndex((token, each) => each > at && isHalved(token));
  const seconds = tokens[at + 3]?.text === ':' && tokens[at + 4]?.text.length === 2 ? at + 4 : -1;
  const fraction = seconds > 0 && /^[.,]$/.test(tokens[seconds + 1]?.text ?? '') ? seconds + 2 : -1;
  const hour = half < 0 ? 'H' : 'h';
  const letters = new Map([
    [at, isShort(at) ? hour : hour.repeat(2)],
    [at + 2, 'mm'],
    [seconds, 'ss'],
    [fraction, 'S'.repeat(tokens[fraction]?.text.length ?? 0)],
    [half, 'a'],
  ]);
  return tokens.map((token, each): Token => {
    const letter = letters.get(each);
    return letter === undefined ? token : { kind: 'field', text: token.text, letter };
  });
}

/** `Z`, `GMT`, `+0200`, `-05:00`: at its end, or before a year there. */
function withZone(tokens: readonly Token[]): readonly Token[] {
  const named = tokens.findIndex(
    ({ kind, text }, at) => kind === 'word' && at > 2 && /^(?:Z|UTC|GMT)$/.test(text),
  );
  if (named >= 0) {
    const letter = tokens[named]?.text === 'Z' ? 'X' : 'Z';
    return tokens.map((token, at) =>
      at === named ? { kind: 'field', text: token.text, letter } : token,
    );
  }
  const from = tokens.findIndex(
    ({ text }, at) =>
      at > 3 && /^\s*[+-]$/.test(text) && tokens.slice(0, at).some((each) => each.text === ':'),
  );
  if (from < 0) return tokens;
  const hasColon = tokens[from + 2]?.text === ':';
  const end = hasColon ? from + 4 : from + 2;
  const space = /^\s*/.exec(tokens[from]?.text ?? '')?.[0] ?? '';
  return [
    ...tokens.slice(0, from),
    ...(space === '' ? [] : [{ kind: 'between', text: space } as const]),
    {
      kind: 'field',
      text: tokens
        .slice(from, end)
        .map(({ text }) => text)
        .join(''),
      letter: hasColon || tokens[from + 1]?.text.length === 2 ? 'X' : 'Z',
    },
    ...tokens.slice(end),
  ];
}
