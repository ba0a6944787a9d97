// `npm run words`: every message in one list, each with an example, in the singular and, where that
// differs, in the plural; for reading them all at once. Writes docs/messages.md.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, root } from './setup.mjs';

ensureInstalled();
const { default: ts } = await import('typescript');

/** What stands in an example for a value of this name. */
const examples = {
  file: 'shop.json',
  name: 'price',
  field: 'price',
  path: 'maker.name',
  source: 'stock',
  type: 'lamp',
  part: 'title',
  property: 'text',
  template: 'plain',
  at: '$.items[*]',
  line: '12',
  column: '7',
  key: 'lamp-4',
  value: '"4 kg"',
  what: 'price',
  operator: '>',
  wrong: 'a comma is missing',
  why: 'it is no number',
  of: '400',
  limit: '100',
  locale: 'de',
};

const sources = (folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name))
    .map((name) => join(folder, name))
    .sort();

/** The words that an expression makes, for so many of what is counted; undefined: it is no text. */
function wordsOf(node, amount) {
  if (ts.isStringLiteralLike(node)) return node.text;
  if (ts.isTemplateExpression(node))
    return node.templateSpans.reduce(
      (text, { expression, literal }) =>
        text + (wordsOf(expression, amount) ?? exampleOf(expression, amount)) + literal.text,
      node.head.text,
    );
  if (ts.isConditionalExpression(node)) {
    const isAboutOne = /=== 1$/.test(node.condition.getText());
    const chosen = isAboutOne && amount !== 1 ? node.whenFalse : node.whenTrue;
    return wordsOf(chosen, amount) ?? exampleOf(chosen, amount);
  }
  if (ts.isBinaryExpression(node) && node.operatorToken.getText() === '+') {
    const [left, right] = [node.left, node.right].map((each) => wordsOf(each, amount));
    return left === undefined || right === undefined ? undefined : left + right;
  }
  if (ts.isParenthesizedExpression(node)) return wordsOf(node.expression, amount);
  if (ts.isCallExpression(node) && node.expression.getText() === 'clipped')
    return wordsOf(node.arguments[0], amount);
  return undefined;
}

function exampleOf(node, amount) {
  const text = node.getText();
  const counted = /^count\([^,]+,\s*'([^']+)'(?:,\s*'([^']+)')?\)/s.exec(text);
  if (counted !== null)
    return `${amount} ${amount === 1 ? counted[1] : (counted[2] ?? `${counted[1]}s`)}`;
  if (/^grouped\(|(?:count|Count|length)$/.test(text)) return String(amount);
  const name = /([A-Za-z]+)\W*$/.exec(text)?.[1] ?? '';
  return Object.hasOwn(examples, name)
    ? examples[name]
    : `‹${text.replace(/\s+/g, ' ').slice(0, 40)}›`;
}

/** What an object or a call says: its message, its hint and what it is called by. */
function saidBy(node, amount) {
  if (ts.isCallExpression(node) && /^(?:error|warning|note)$/.test(node.expression.getText())) {
    const [code, ...rest] = node.arguments;
    const [message, hint] = rest.slice(-2).map((each) => wordsOf(each, amount));
    return code !== undefined && ts.isStringLiteralLike(code) && message !== undefined
      ? { code: code.text, words: `${message} ${hint ?? ''}`.trim() }
      : undefined;
  }
  if (
    ts.isCallExpression(node) &&
    /^(?:failed|new Missing|tooLong)$/.test(node.expression.getText())
  ) {
    const words = node.arguments[0] === undefined ? undefined : wordsOf(node.arguments[0], amount);
    return words === undefined ? undefined : { code: 'refused', words };
  }
  if (!ts.isObjectLiteralExpression(node)) return undefined;
  const member = (name) => {
    const found = node.properties.find((each) => each.name?.getText() === name);
    return found !== undefined && ts.isPropertyAssignment(found)
      ? wordsOf(found.initializer, amount)
      : undefined;
  };
  const code = member('code');
  if (code !== undefined)
    return { code, words: [member('message'), member('hint')].filter(Boolean).join(' ') };
  const name = member('name');
  const isEdit = node.properties.some((each) => each.name?.getText() === 'apply');
  return name !== undefined && isEdit ? { code: 'step', words: name } : undefined;
}

/** @returns {{ code: string, words: string, several: string }[]} */
function messagesIn(file) {
  const text = readFileSync(join(root, file), 'utf8');
  const parsed = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const visit = (node) => {
    const one = saidBy(node, 1);
    if (one !== undefined && one.words !== '')
      found.push({ ...one, several: saidBy(node, 3).words });
    ts.forEachChild(node, visit);
  };
  visit(parsed);
  return found;
}

const lines = [
  '# Messages',
  '',
  'Every message of a finding, every reason for a refusal and the name of every step that undo takes back, with an example: in the singular and, where that differs, in the plural. Made by `npm run words`; what stands in ‹ › is a value for which there is no example.',
];
let total = 0;
for (const file of [...sources('src'), ...sources('cli')]) {
  const found = messagesIn(file);
  if (found.length === 0) continue;
  total += found.length;
  lines.push('', `## ${file}`, '');
  const cell = (words) =>
    words.replaceAll('|', '\\|').replaceAll('<', '&lt;').replaceAll('*', '\\*');
  for (const { code, words, several } of found) {
    lines.push(`- \`${code}\` ${cell(words)}`);
    if (several !== words) lines.push(`  - ${cell(several)}`);
  }
}
writeFileSync(join(root, 'docs/messages.md'), `${lines.join('\n')}\n`);
process.stdout.write(`${total} messages in docs/messages.md\n`);
