import { expect, test } from 'vitest';
import { isDrawable, isSymbol } from './svg';

const svg = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10">${inside}</svg>`;

/** Each group shows the one before it ten times. */
const nested = (levels: number, use = (id: string) => `<use href="#${id}"/>`) =>
  svg(
    `<circle id="g0" r="1"/>${Array.from(
      { length: levels },
      (_, at) => `<g id="g${at + 1}">${use(`g${at}`).repeat(10)}</g>`,
    ).join('')}`,
  );

test.each<[string, string, boolean]>([
  ['a drawing', svg('<path d="M0 0h9"/><g><circle r="2"/></g>'), true],
  ['a drawing that uses a part twice', nested(2), true],
  ['one that could not end', nested(9), false],
  ['the same by the older name', nested(9, (id) => `<use xlink:href='#${id}' />`), false],
  ['the same by patterns', nested(9, (id) => `<rect fill="url(#${id})"></rect>`), false],
  ['one that uses itself', svg('<g id="a"><use href="#a"/></g>'), true],
  [
    'one that a circle of two uses',
    svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>'),
    true,
  ],
  [
    'entities that grow',
    `<!DOCTYPE svg [<!ENTITY a "x"><!ENTITY b "&a;&a;">]>${svg('&b;')}`,
    false,
  ],
  ['too many parts', svg('<g/>'.repeat(100_001)), false],
  ['what is in a comment', svg(`<!-- ${'<g/>'.repeat(100_001)} -->`), true],
  [
    'names that every object inherits',
    svg('<g id="__proto__"><use href="#constructor"/></g>'),
    true,
  ],
  ['no drawing at all', '<<<"\'>', true],
])('%s is drawn: %s', (_, text, isDrawn) => {
  expect(isDrawable(text)).toBe(isDrawn);
});

test.each<[string, string, boolean]>([
  ['lines in the colour of words', svg('<path stroke="currentColor" fill="none"/>'), true],
  ['the same by a style', svg('<path style="fill:currentcolor"/>'), true],
  ['a colour of its own beside it', svg('<path stroke="currentColor" fill="#fff"/>'), false],
  ['a photograph within', svg('<path fill="currentColor"/><image href="x"/>'), false],
  ['no colour said', svg('<path d="M0 0h9"/>'), false],
])('%s', (_, drawing, is) => {
  expect(isSymbol(drawing)).toBe(is);
});
