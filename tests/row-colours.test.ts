import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { colourOfRows } from '../src/core/templates';

test('what pictures of rows and contrasts take for the window’s own colours are those of its style sheet', () => {
  const css = readFileSync('src/styles/global.css', 'utf8');
  const said = (name: string) =>
    [...css.matchAll(new RegExp(`--row-${name}: (#[0-9a-f]{6});`, 'g'))].map(([, hex]) => hex);
  for (const [name, called] of [
    ['ground', 'ground'],
    ['ink', 'ink'],
    ['ash', 'ash'],
    ['rule', 'rule'],
    ['blank', 'soft'],
    ['missing', 'madder'],
  ] as const) {
    const { light, dark } = colourOfRows(called);
    expect([name, ...said(name)]).toEqual([name, light, dark]);
  }
});
