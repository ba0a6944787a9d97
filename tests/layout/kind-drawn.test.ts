import { build } from 'esbuild';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { rowPlanOf } from '../../src/core/lists';
import {
  draftStack,
  kinds,
  neutralColours,
  neutralStyles,
  type StandingPart,
} from '../../src/core/templates';
import { bindable, fraction, text } from '../../src/core/templates/parts/declare';
import { openPage } from './page';

/** A kind of part that no screen knows. */
const stamp = {
  part: 'stamp',
  about: 'Words as if stamped on',
  shows: 'words',
  box: 'label',
  properties: { words: text('words'), slant: bindable(fraction('slant', 0.5)) },
};

beforeAll(() => Object.assign(kinds, { stamp }));
afterAll(() => Reflect.deleteProperty(kinds, 'stamp'));

/** How it is drawn: what a person who adds one would write, in one more file. */
const drawing = `
import { bindRow, createRow } from '../../src/render';
import { partViews } from '../../src/render/parts';
partViews.stamp = {
  element: () => document.createElement('b'),
  draws: {
    words: (element, value) => { element.textContent = value ?? ''; },
    slant: (element, value) => { element.style.rotate = value * 90 + 'deg'; },
  },
};
globalThis.drawStamps = (plan, entries) => {
  const row = createRow({ ...plan, heightPx: 0 });
  return entries.map((values) => {
    bindRow(row, { kind: 'row', key: '', plan: 0, values }, () => undefined);
    const drawn = row.element.querySelector('[data-part=mark]');
    return [drawn.localName, drawn.textContent, drawn.style.rotate];
  });
};
`;

test('a kind is drawn as its file says, anew for each item', async () => {
  const part = { part: 'stamp', id: 'mark', words: { expr: 'name' }, slant: { expr: 'slant' } };
  const row = draftStack('row', 'across', [part as unknown as StandingPart]);
  const plan = rowPlanOf(
    { id: 't', name: 't', type: 'x', row },
    { styles: neutralStyles, colours: neutralColours, spacing: [] },
  );
  const { page, close } = await openPage(1);
  const { outputFiles } = await build({
    stdin: { contents: drawing, resolveDir: 'tests/layout', loader: 'ts' },
    ...{ bundle: true, write: false, outdir: 'out', format: 'iife' },
  });
  for (const { path, text } of outputFiles)
    if (path.endsWith('.js')) await page.addScriptTag({ content: text });
  const shown = await page.evaluate((plan) => {
    const drawStamps: unknown = Reflect.get(globalThis, 'drawStamps');
    const entries = [
      ['Paid', 0.1],
      ['Sent', 1],
    ];
    return typeof drawStamps === 'function' ? drawStamps(plan, entries) : undefined;
  }, plan);
  expect(shown).toEqual([
    ['b', 'Paid', '9deg'],
    ['b', 'Sent', '90deg'],
  ]);
  await close();
});
