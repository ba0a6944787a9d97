import { expect, test } from 'vitest';
import { drawnWords, paragraphsOf } from './words';

test('words are measured as the page draws them: white space collapsed, no soft hyphens', () => {
  expect(paragraphsOf('  hand\u00adspun\t lace \r\n\n of  one ply ')).toEqual([
    'handspun lace',
    '',
    'of one ply',
  ]);
  expect(drawnWords(' hand\u00adspun ')).toBe(' handspun ');
});
