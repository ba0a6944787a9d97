import { masked, replacedOutside } from './masked';
import { instead, type WrittenForm } from './written-form';

const closing: ReadonlyMap<string, string> = new Map([
  ['(', ')'],
  ['[', ']'],
  ['{', '}'],
]);

/** The brackets that were opened and not closed, as what closes them. */
function unclosed(text: string): string {
  const open: string[] = [];
  for (const char of masked(text)) {
    const closes = closing.get(char);
    if (closes !== undefined) open.push(closes);
    else if (char === open.at(-1)) open.pop();
  }
  return open.toReversed().join('');
}

/** What puts texts together in other languages. */
const between = /\s+\.\.?\s+|\s*~\s*|(?<=["'])\s*\.\s*(?=[\w$])|(?<=\w)\.(?=["'])/;

export const punctuationForms: readonly WrittenForm[] = [
  {
    what: 'A mark at the end',
    isSlip: true,
    pattern: /^(.*?)\s*[;,]\s*$/s,
    write: ({ at }) => [at(1)],
  },
  {
    what: 'The operator //',
    pattern: /^(.*?)\s*(?:\/\/|~\/)\s*(.+)$/s,
    write: ({ at }) => [`Math.floor(${at(1)} / ${at(2)})`],
  },
  {
    what: 'A remark',
    isSlip: true,
    pattern: /^(.*?)\s*(?:\/\/|#|--)\s.*$/s,
    write: ({ at }) => [at(1)],
  },
  {
    what: 'Semicolons between values',
    pattern: /^[^;]*;.*$/s,
    write: ({ at }) => [at(0).replace(/;/g, ',')],
  },
  { what: 'The operator ?:', pattern: /\?:/, write: instead(() => '??') },
  { what: '!!', pattern: /!!?(?=\.|\s*$|\))/, write: instead(() => '') },
  { what: '?[', pattern: /\?\[/, write: instead(() => '?.[') },
  { what: 'The operator ||=', pattern: /\?\?=|\|\|=/, write: instead(() => '??') },
  {
    what: 'A space in an operator',
    pattern: /([<>=!])\s+(=)|&\s+&|\|\s+\|/,
    write: instead((at) => at(0).replace(/\s/g, '')),
  },
  {
    what: '=<',
    pattern: /=<|=>(?=\s*[\d"'])/,
    write: ({ before, after, at }) => [`${before}${at(0) === '=<' ? '<=' : '>='}${after}`],
  },
  { what: '<>', pattern: /<>|≠|=\/=|\/=|~=/, write: instead(() => '!==') },
  { what: '≤', pattern: /≤/, write: instead(() => '<=') },
  { what: '≥', pattern: /≥/, write: instead(() => '>=') },
  { what: '×', pattern: /[×·]/, write: instead(() => '*') },
  { what: '÷', pattern: /÷/, write: instead(() => '/') },
  { what: '−', pattern: /−/, write: instead(() => '-') },
  { what: '=', pattern: /(?<![=!<>])=(?![=>])/, write: instead(() => '===') },
  { what: 'A position as a step', pattern: /\.(\d+)\b/, write: instead((at) => `[${at(1)}]`) },
  {
    what: 'All elements at once',
    pattern: /([\w.]+)(?:\[\*?\]\.|\.\*\.|\.\.)(\w+)/,
    write: instead((at) => `${at(1)}.map(x => x.${at(2)})`),
  },
  {
    what: 'A range in brackets',
    pattern: /\[\s*(-?\d*)\s*(:|\.\.\.|\.\.<|\.\.)\s*(-?\d*)\s*\]/,
    write: instead((at) => `.slice(${sliceOf(at)})`),
  },
  {
    what: 'default',
    pattern: /\s*\|\s*default\s*\(([^()]*)\)/,
    write: instead((at) => ` ?? ${at(1)}`),
  },
  {
    what: 'A filter behind a bar',
    pattern: /^(.*?)\s*\|\s*(\w+)\s*:\s*(.+)$/s,
    write: ({ at }) => [
      at(2) === 'default' ? `${at(1)} ?? ${at(3)}` : `${at(2)}(${at(1)}, ${at(3)})`,
    ],
  },
  {
    what: '|>',
    pattern: /^(.*)\|>\s*([\w.]+)\s*(?:\(\s*\))?\s*$/s,
    write: ({ at }) => [`${at(2)}(${at(1).trim()})`],
  },
  {
    what: 'A cast',
    pattern:
      /::\s*\w+|\s+as[!?]?\s+\w+\??|^\s*\(\s*(?:int|long|float|double|string|str|number|decimal)\s*\)\s*/i,
    write: instead(() => ''),
  },
  { what: '::', pattern: /::|->/, write: instead(() => '.') },
  {
    what: 'A point between texts',
    pattern: new RegExp(`^.*(?:${between.source}).*$`, 's'),
    write: ({ at }) => [replacedOutside(at(0), between, ' + ')],
  },
  {
    what: 'A quote within quotes',
    pattern: /''/,
    write: ({ before, after, at }) => [asDoubleQuoted(before + at(0) + after)],
  },
  {
    what: 'A per cent sign',
    pattern: /(\d+(?:\.\d+)?)\s*%(?!\s*[\w(])/,
    write: instead((at) => String(Number(at(1)) / 100)),
  },
  {
    what: 'A quote that is not closed',
    isSlip: true,
    pattern: /^.*$/s,
    write: ({ at }) =>
      ['`', '"', "'"].map((quote) =>
        at(0).split(quote).length % 2 === 0 ? at(0) + quote : undefined,
      ),
  },
  {
    what: 'A bracket that is not closed',
    isSlip: true,
    pattern: /^.*$/s,
    write: ({ at }) => [unclosed(at(0)) === '' ? undefined : at(0) + unclosed(at(0))],
  },
  {
    what: 'A bracket too many',
    isSlip: true,
    pattern: /^(.*?)[)\]}]\s*$/s,
    write: ({ at }) => [at(1)],
  },
  {
    what: 'An operator at the end',
    isSlip: true,
    pattern: /^(.*?)\s*(?:[-+*/%<>=&|?!,.]|\?\?|&&|\|\||[!=]==?|[<>]=)\s*$/s,
    write: ({ at }) => [at(1)],
  },
  {
    what: 'Values beside one another',
    isSlip: true,
    pattern:
      /^\s*(?:[\p{L}_$][\p{L}\p{N}_$.]*|"[^"]*"|'[^']*')(?:\s+(?:[\p{L}_$][\p{L}\p{N}_$.]*|"[^"]*"|'[^']*'))+\s*$/u,
    write: ({ at }) => [besideOneAnother(at(0))],
  },
  {
    what: 'A choice without its other half',
    pattern: /^([^?:]*[^?:\s])\s*\?(?![?.])([^:]*)$/s,
    write: ({ at }) => [`${at(1)} ? ${at(2).trim()} : null`],
  },
];

function sliceOf(at: (group: number) => string): string {
  const isClosed = at(2) === '...' || at(2) === '..';
  const end =
    at(3) !== '' && isClosed && !at(3).startsWith('-') ? String(Number(at(3)) + 1) : at(3);
  const start = at(1) === '' ? '0' : at(1);
  return end === '' ? start : `${start}, ${end}`;
}

/** `'it''s'` as `"it's"`; undefined where that is no such text. */
const asDoubleQuoted = (text: string): string | undefined =>
  text.includes('"')
    ? undefined
    : text.replace(/'((?:[^']|'')*)'/g, (_, inside: string) => `"${inside.replaceAll("''", "'")}"`);

/** Names with a space between them, fixed texts as they are. */
function besideOneAnother(text: string): string {
  const parts = text.trim().match(/"[^"]*"|'[^']*'|\S+/g) ?? [];
  const isQuoted = (part: string | undefined) => part !== undefined && /^["']/.test(part);
  const words = parts.map((part, at) => {
    const isAfterName = at > 0 && !isQuoted(part) && !isQuoted(parts[at - 1]);
    return (isAfterName ? ' ' : '') + (isQuoted(part) ? part.slice(1, -1) : `\${${part}}`);
  });
  return `\`${words.join('')}\``;
}
