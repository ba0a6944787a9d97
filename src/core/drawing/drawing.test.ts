import fc from 'fast-check';
import { expect, test } from 'vitest';
import { neutralColours, neutralSpacing, neutralStyles, type Template } from '../templates';
import { svgDocument } from './document';
import { specSheet } from './spec-sheet';
import { element, escaped, rounded } from './svg';

const tokens = { styles: neutralStyles, colours: neutralColours, spacing: neutralSpacing };

const template: Template = {
  id: 'skein-brief',
  name: 'brief',
  type: 'skein',
  row: {
    ...{ part: 'stack', id: 'row', direction: 'across', gap: 12 },
    padding: { start: 16, end: 16, top: 10, bottom: 10 },
    children: [
      { part: 'label', id: 'name', text: { expr: 'name' }, style: 'title' },
      { part: 'label', id: 'price', text: { expr: 'price', format: 'price', else: 'on request' } },
      { part: 'line', id: 'edge', colour: 'madder' },
    ],
  },
};

const sheetOf = (state: string, reason: string) =>
  specSheet({
    ...{ template, type: 'skein', holdsFor: 'A row of 360 px', tokens },
    ...{ svg: '<svg/>', widthPx: 360, heightPx: 40 },
    places: [
      { part: 'row', x: 0, y: 0, width: 360, height: 40 },
      { part: 'name', x: 16, y: 10, width: 280.094, height: 20 },
    ],
    states: [{ reason, svg: state }],
  });

test('a sheet tells where each part stands, what it says, and what that names', () => {
  const sheet = sheetOf('<svg id="other"/>', 'longest name');
  expect(sheet).toContain('<td>16, 10</td><td>280.09 × 20</td>');
  expect(sheet).toContain('<i>padding</i> start 16, end 16, top 10, bottom 10');
  expect(sheet).toContain('<i>text</i> = price, as price, else “on request”');
  expect(sheet).toContain('<b>price</b> label</td><td colspan="2">not in this row</td>');
  expect(sheet).toContain('<b>title</b></td><td>15 / 20, weight 550');
  // A label that names no style has the one that all have.
  expect(sheet).toContain('<b>body</b>');
  expect(sheet).toContain('<b>madder</b></td>');
  expect(sheet).not.toContain('<b>heather</b>');
  expect(sheet).toContain('<figcaption>longest name</figcaption><svg id="other"/>');
});

test('a sheet has no script, and fetches nothing but pictures', () => {
  const sheet = sheetOf('', '</figcaption><script>alert(1)</script>');
  expect(sheet).not.toContain('<script');
  expect(sheet).toContain("default-src 'none'");
});

test('no words become elements or attributes, whatever is in them', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (words) => {
      const svg = element('text', { lang: words }, escaped(words));
      expect(svg.match(/[<>]/g)?.length).toBe(svg.endsWith('/>') ? 2 : 4);
      expect(svg.split('"').length).toBe(3);
      expect(
        [...svg].every((char) => /[\t\n\r\u0020-\ud7ff\ue000-\ufffd]|[^\0-\uffff]/u.test(char)),
      ).toBe(true);
    }),
  );
});

test('corners are no rounder than their box', () => {
  const box = { x: 0, y: 0, width: 40, height: 20 };
  expect(rounded(box, 999, {})).toContain('rx="10" ry="10"');
  expect(rounded(box, 'circle', {})).toContain('rx="20" ry="10"');
  expect(rounded({ ...box, width: 0 }, 4, {})).toBe('');
});

test('a picture carries the faces of its letters, each for the characters that it draws', () => {
  const face = { family: 'Row', ranges: [0x20, 0x7e, 0x2026, 0x2026], content: 'AAAA' };
  const svg = svgDocument({ widthPx: 360, heightPx: 60.5 }, [face]);
  expect(svg).toContain('viewBox="0 0 360 60.5"');
  expect(svg).toContain('src:url(data:font/woff2;base64,AAAA);unicode-range:U+20-7e,U+2026-2026');
  expect(svgDocument({ widthPx: 1, heightPx: 1 }, [])).not.toContain('style');
});
