import { instead, type WrittenForm } from './written-form';

const value = String.raw`[\p{L}\p{N}_$."'()[\]?]+`;

/** An operator that is a word elsewhere. */
const word = (what: string, pattern: RegExp, operator: string): WrittenForm => ({
  what,
  pattern,
  write: instead(() => ` ${operator} `),
});

/** `'a%'` of LIKE: where the per cent signs stand says what is looked for. */
function liked(of: string, pattern: string, isNot: boolean): string | undefined {
  const parts = /^(["'])(%?)([^%_]*)(%?)\1$/.exec(pattern);
  if (parts === null) return undefined;
  const [, , before, words = '', after] = parts;
  const wanted = JSON.stringify(words);
  const sign = isNot ? '!' : '';
  if (before === '' && after === '') return `${of} ${isNot ? '!' : '='}== ${wanted}`;
  const method = before === '' ? 'startsWith' : after === '' ? 'endsWith' : 'includes';
  return `${sign}${of}.${method}(${wanted})`;
}

/** WHEN a THEN b … of a CASE. */
function chosen(of: string, branches: string, otherwise: string): string {
  const whens = [...branches.matchAll(/when\s+(.*?)\s+then\s+(.*?)(?=\s+when\s|\s*$)/gis)];
  const tests = whens.map(([, test = '', made = '']) => {
    return `${of === '' ? test : `${of} === ${test}`} ? ${made} : `;
  });
  return tests.join('') + (otherwise === '' ? 'null' : otherwise);
}

/** Words where ECMAScript has signs: of SQL, Python, spreadsheets and template languages. */
export const wordForms: readonly WrittenForm[] = [
  {
    what: 'case … end',
    pattern: /\bcase\b\s*(.*?)\s*(\bwhen\b.*?)(?:\s+\belse\b\s+(.*?))?\s+end\b/is,
    write: instead((at) => chosen(at(1), at(2), at(3))),
  },
  {
    what: 'if … then … else',
    pattern: /^\s*if\s+(.+?)\s+then\s+(.+?)(?:\s+else\s+(.+?))?(?:\s+end)?\s*$/is,
    write: ({ at }) => [`${at(1)} ? ${at(2)} : ${at(3) || 'null'}`],
  },
  {
    what: 'if … else',
    pattern:
      /^\s*if\s*(\(.+?\)|[^{}]+?)\s*\{?\s*(?:return\s+)?([^{};]+?);?\s*\}?\s*else\s*\{?\s*(?:return\s+)?([^{};]+?);?\s*\}?\s*$/is,
    write: ({ at }) => [
      `${at(1).replace(/^\(|\)$/g, '')} ? ${at(2)} : ${at(3)}`,
      `${at(1)} ? ${at(2)} : ${at(3)}`,
    ],
  },
  {
    what: '… if … else …',
    pattern: /^(.+?)\s+if\s+(.+?)\s+else\s+(.+)$/is,
    write: ({ at }) => [`${at(2)} ? ${at(1)} : ${at(3)}`],
  },
  {
    what: '… if …',
    pattern: /^(.+?)\s+if\s+(.+)$/is,
    write: ({ at }) => [`${at(2)} ? ${at(1)} : null`],
  },
  {
    what: 'extract',
    pattern: /\b(?:extract|date_part)\s*\(\s*(\w+)\s+from\s+([^()]+)\)/i,
    write: instead((at) => `${at(1)}(${at(2)})`),
  },
  {
    what: 'position',
    pattern: /\bposition\s*\(\s*(["'][^"']*["']|\w+)\s+in\s+([^()]+)\)/i,
    write: instead((at) => `${at(2)}.indexOf(${at(1)}) + 1`),
  },
  {
    what: 'cast',
    pattern: /\bcast\s*\(\s*([^()]+?)\s+as\s+(\w+)[^()]*\)/i,
    write: instead((at) =>
      /char|text|string/i.test(at(2)) ? `\`\${${at(1)}}\`` : `Number(${at(1)})`,
    ),
  },
  {
    what: 'when { … }',
    pattern: /^\s*when\s*\{\s*(.+?)\s*->\s*(.+?)[;\n\s]+else\s*->\s*(.+?)\s*\}\s*$/is,
    write: ({ at }) => [`${at(1)} ? ${at(2)} : ${at(3)}`],
  },
  {
    what: 'between … and …',
    pattern: new RegExp(`(${value})\\s+(not\\s+)?between\\s+(${value})\\s+and\\s+(${value})`, 'iu'),
    write: instead((at) =>
      at(2) === ''
        ? `${at(1)} >= ${at(3)} && ${at(1)} <= ${at(4)}`
        : `(${at(1)} < ${at(3)} || ${at(1)} > ${at(4)})`,
    ),
  },
  {
    what: 'like',
    pattern: new RegExp(`(${value})\\s+(not\\s+)?i?like\\s+(["'][^"']*["'])`, 'iu'),
    write: ({ before, after, at }) => {
      const written = liked(at(1), at(3), at(2) !== '');
      return [written === undefined ? undefined : before + written + after];
    },
    says: 'Write includes, startsWith or endsWith.',
  },
  {
    what: 'contains',
    pattern: new RegExp(`(${value})\\s+(contains|starts\\s?with|ends\\s?with)\\s+(${value})`, 'iu'),
    write: instead((at) => {
      const is = at(2).toLowerCase();
      const method =
        is === 'contains' ? 'includes' : is.startsWith('s') ? 'startsWith' : 'endsWith';
      return `${at(1)}.${method}(${at(3)})`;
    }),
  },
  {
    what: 'in',
    pattern: new RegExp(`(${value})\\s+(not\\s+|!)?in\\s*[([]([^()[\\]]*)[)\\]]`, 'iu'),
    write: instead((at) => `${at(2) === '' ? '' : '!'}[${at(3)}].includes(${at(1)})`),
  },
  {
    what: 'in',
    pattern: new RegExp(`(${value})\\s+(not\\s+|!)in\\s+(${value})`, 'iu'),
    write: instead((at) => `!${at(3)}.includes(${at(1)})`),
  },
  word('is not', /\s+(?:is\s+not|isnt|isn't|!is|-ne|ne)\s+/i, '!=='),
  word('is', /\s+(?:is(?:\s+equal\s+to)?|equals|-eq|eq)\s+/i, '==='),
  word('gt', /\s+-?gt\s+/i, '>'),
  word('lt', /\s+-?lt\s+/i, '<'),
  word('ge', /\s+-?(?:ge|gte)\s+/i, '>='),
  word('le', /\s+-?(?:le|lte)\s+/i, '<='),
  word('and', /\s+(?:and|-and|und)\s+|(?<=\))and(?=\()/i, '&&'),
  word('or', /\s+(?:or|-or|oder)\s+|(?<=\))or(?=\()/i, '||'),
  word('mod', /\s+mod\s+/i, '%'),
  {
    what: 'not',
    pattern: /\bnot\s+([^&|?)]+?)(?=\s*(?:&&|\|\||\?|\)|$))/i,
    write: ({ before, after, at }) => {
      const isPath = /^[\p{L}_$][\p{L}\p{N}_$.]*$/u.test(at(1));
      const denied = `${before}!${isPath ? at(1) : `(${at(1)})`}${after}`;
      // Where an empty list counts as false.
      return isPath ? [denied, `${before}${at(1)}.length === 0${after}`] : [denied];
    },
  },
];
