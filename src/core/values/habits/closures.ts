import { replacedOutside } from './masked';
import { instead, type WrittenForm } from './written-form';

/** Functions of elements as other languages write them. */
export const closureForms: readonly WrittenForm[] = [
  {
    what: 'Arguments with names',
    pattern: /^.*[(,]\s*[A-Za-z]\w*:\s*.*$/s,
    write: ({ at }) => [replacedOutside(at(0), /(?<=[(,]\s*)[A-Za-z]\w*:\s*/, '')],
  },
  {
    what: 'A sign ? in a name',
    pattern: /\.(\w+)\?(?=\(|\s*(?:$|[&|)]))/,
    write: instead((at) => `.${at(1)}`),
  },
  {
    what: 'A function in braces',
    pattern:
      /(?:\(\s*\{|\s*\{)\s*(?:\(?(\w+)\)?\s*->|\|\s*(\w+)\s*\||(\w+)\s+in\b)?([^{}]*)(?:\}\s*\)|\})/,
    write: ({ before, after, at }) => {
      const name = at(1) || at(2) || at(3);
      const body = at(4).trim();
      if (name !== '') return [`${before}(${name} => ${body})${after}`];
      if (/\$1\b/.test(body)) {
        const order = body.replaceAll('$0', 'a').replaceAll('$1', 'b');
        return [`${before}((a, b) => ${order} ? -1 : 1)${after}`];
      }
      if (/\$0\b/.test(body)) return [`${before}(x => ${body.replaceAll('$0', 'x')})${after}`];
      return /\bit\b/.test(body) ? [`${before}(it => ${body})${after}`] : [];
    },
  },
  {
    what: 'The sum of all',
    pattern: /\.reduce\(\s*0?\s*,?\s*\+\s*\)/,
    write: instead(() => '.sum()'),
  },
  {
    what: 'A function by its name',
    pattern: /\(\s*(?:&:|\\\.|\w+::)(\w+)\s*\)/,
    write: instead((at) => `(x => x.${at(1)})`),
  },
  {
    what: 'lambda',
    pattern: /\blambda\s+(\w+)\s*:/,
    write: instead((at) => `${at(1)} =>`),
  },
  {
    what: '->',
    pattern: /\(?(\b\w+)\)?\s*->\s*(?=[\w"'(])/,
    write: ({ before, after, at }) => [
      `${before}${at(1)} => ${after}`,
      `${before}${at(1)}.${after}`,
    ],
  },
  {
    what: 'A function between bars',
    pattern: /\|(\w+)\|\s*/,
    write: instead((at) => `${at(1)} => `),
  },
  {
    what: 'A loop in brackets',
    pattern: /[[(]\s*([^\s[(][^[\]]*?)\s+for\s+(\w+)\s+in\s+([\w.]+)(?:\s+if\s+([^\]]*?))?\s*[\])]/,
    write: ({ before, after, at }) => {
      const [made, name, list, test] = [at(1), at(2), at(3), at(4)];
      const kept = test === '' ? list : `${list}.filter(${name} => ${test})`;
      const isCall = /[\w$]$/.test(before);
      const all = made === name ? kept : `${kept}.map(${name} => ${made})`;
      return isCall
        ? [`${before}(${kept}, ${name} => ${made})${after}`, `${before}(${all})${after}`]
        : [before + all + after];
    },
  },
];
