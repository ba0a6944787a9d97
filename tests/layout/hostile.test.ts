import { build } from 'esbuild';
import { expect, test } from 'vitest';
import { type RowPlan, rowPlanOf } from '../../src/core/lists';
import {
  allKinds,
  draftStack,
  type EntryValue,
  isContent,
  neutralColours,
  neutralSpacing,
  neutralStyles,
  type StandingPart,
} from '../../src/core/templates';
import { openPage } from './page';

/** What people who wish us ill, or data that nobody looked at, put in the place of a value. */
const hostile = [
  '"><img src="https://evil.example/a" onerror="hacked=1">',
  '<script>hacked=1</script>',
  'javascript:hacked=1',
  ' JaVa\tScript:hacked=1',
  'data:text/html,<script>parent.hacked=1</script>',
  'red;background:url(https://evil.example/b)',
  '#fff) url(https://evil.example/c)',
  '");background:url("https://evil.example/d',
  "');background:url('https://evil.example/e",
  'a"), url("https://evil.example/i',
  '}</style><style>*{background:url(https://evil.example/f)}',
  'var(--row-face);content:url(https://evil.example/g)',
  '[words](javascript:hacked=1) [more](https://evil.example/h "onclick=hacked=1")',
  '`**<svg onload=hacked=1>**`',
  '__proto__',
  'constructor',
  'toString',
  '\u0000\u202e\ufeff\ud800',
];

/** What the page does: the real renderer, and what came of it. */
const drawing = `
import '../../src/render/render.css';
import { bindRow, createRow } from '../../src/render';
globalThis.drawHostile = async (cases) => {
  const room = document.createElement('main');
  document.body.replaceChildren(room);
  const wrong = [];
  for (const { plan, values, name, isSymbol } of cases) {
    const pictures = (name) => ({ address: 'http://layout.test/picture?' + name, isSymbol });
    const row = createRow({ ...plan, heightPx: 0 });
    bindRow(row, { kind: 'row', key: '', plan: 0, values }, pictures);
    room.append(row.element);
    const own = [row.element, ...row.element.querySelectorAll('*')];
    const bad = own.flatMap((element) => [
      ...(/^(?:script|style|iframe|object|embed|link|svg|form|base|meta)$/i.test(element.localName)
        ? [element.localName]
        : []),
      ...[...element.attributes].flatMap(({ name, value }) =>
        name.startsWith('on') || name === 'srcdoc' ? [name + '=' + value] : []),
      ...(element.hasAttribute('href') && !/^(?:https?|mailto|tel):/.test(element.href)
        ? [element.getAttribute('href')]
        : []),
    ]);
    if (bad.length > 0 || document.body.children.length !== 1 || document.head.querySelector('[data-part]'))
      wrong.push([name, ...bad]);
    for (const each of own) each.click?.();
  }
  // What styles name is fetched once they are drawn.
  await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
  return { wrong, hacked: globalThis.hacked, polluted: Object.keys(Object.prototype) };
};
`;

interface HostileCase {
  readonly name: string;
  /** Whether pictures are drawn in the colour of words. */
  readonly isSymbol: boolean;
  readonly plan: Omit<RowPlan, 'heightPx'>;
  readonly values: readonly EntryValue[];
}

declare global {
  function drawHostile(cases: readonly HostileCase[]): Promise<{
    readonly wrong: readonly (readonly string[])[];
    readonly hacked: unknown;
    readonly polluted: readonly string[];
  }>;
}

const tokens = { styles: neutralStyles, colours: neutralColours, spacing: neutralSpacing };
const byValue = { expr: 'x' };

/** Each property of each kind, said so by the template and by the items, next to usual ones. */
function* casesOf(value: string): Generator<HostileCase> {
  for (const kind of allKinds()) {
    const usual = Object.fromEntries(
      Object.entries(kind.properties).flatMap(([property, declared]) =>
        declared.isRequired || isContent(declared) ? [[property, 'https://example.org/']] : [],
      ),
    );
    for (const [property, declared] of Object.entries(kind.properties))
      for (const said of declared.isBindable ? [value, byValue] : [value]) {
        const part = { part: kind.part, id: 'mark', children: [], ...usual, [property]: said };
        const words = { part: 'label', id: 'words', text: 'words', runs: [part] };
        const held = kind.part === 'run' ? words : part;
        const row = draftStack('row', 'across', [held as unknown as StandingPart]);
        const plan = rowPlanOf({ id: 't', name: 't', type: 'x', row }, tokens);
        const values = plan.slots.map((slot) => (slot.property === property ? value : 'words'));
        for (const isSymbol of [true, false])
          yield {
            name: `${kind.part}.${property} ${said === value ? 'constant' : 'by value'}`,
            ...{ plan, values, isSymbol },
          };
      }
  }
}

test('whatever stands in the place of a value, nothing runs, nothing else is asked for, nothing leaves its part', async () => {
  const { page, close } = await openPage(1);
  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  const { outputFiles } = await build({
    stdin: { contents: drawing, resolveDir: 'tests/layout', loader: 'ts' },
    ...{ bundle: true, write: false, outdir: 'out', format: 'iife' },
  });
  for (const { path, text } of outputFiles)
    if (path.endsWith('.css')) await page.addStyleTag({ content: text });
    else await page.addScriptTag({ content: text });
  // A press on a link leads nowhere here.
  await page.evaluate(() => addEventListener('click', (event) => event.preventDefault()));
  for (const value of hostile) {
    const { wrong, hacked, polluted } = await page.evaluate(
      (cases) => drawHostile(cases),
      [...casesOf(value)],
    );
    expect({ value, wrong, hacked, polluted }).toEqual({
      value,
      wrong: [],
      hacked: undefined,
      polluted: [],
    });
  }
  await page.waitForTimeout(500);
  expect(asked.filter((address) => !address.startsWith('http://layout.test/'))).toEqual([]);
  expect(asked.length).toBeGreaterThan(0);
  await close();
});
