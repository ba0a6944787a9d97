import { describe, expect, test } from 'vitest';
import type { JsonRecord } from '../../base';
import { type Field, makeExpression } from '..';
import { leftSeparators } from './left-separators';

const optional = { type: 'text', required: false } as const;
const fields: readonly Field[] = [
  { name: 'street', type: 'text', required: true },
  { name: 'town', ...optional },
  { name: 'zip', ...optional },
];

function mendedOf(text: string): string | undefined {
  const { checked } = makeExpression(text, fields);
  const [finding] = checked === undefined ? [] : leftSeparators(checked, text);
  if (finding !== undefined) expect(finding.code).toBe('separators-left');
  return finding?.mend?.text;
}

const shown = (text: string, item: JsonRecord) => makeExpression(text, fields).evaluate?.(item);

describe('separators beside missing values', () => {
  test.each([
    ['`${street}, ${town}`', 'joined(", ", street, town)'],
    ['`${street}, ${town}, ${zip}`', 'joined(", ", street, town, zip)'],
    [
      '`${street}, ${town} (${zip})`',
      'joined(" ", joined(", ", street, town), zip === null ? null : `(${zip})`)',
    ],
  ])('%s', (text, mended) => {
    expect(mendedOf(text)).toBe(mended);
    const whole = { street: 'Am Markt', town: 'Ings', zip: '7' };
    expect(shown(mended, whole)).toBe(shown(text, whole));
    expect(shown(mended, { street: 'Am Markt' })).toBe('Am Markt');
  });

  test('of values with a stand-in, too, and what is written has nothing wrong', () => {
    const mended = mendedOf('`${street}, (${town ?? zip})`') ?? '';
    expect(makeExpression(mended, fields).findings).toEqual([]);
    expect(shown(mended, { street: 'Am Markt', zip: '7' })).toBe('Am Markt, (7)');
    expect(shown(mended, { street: 'Am Markt' })).toBe('Am Markt');
  });

  test.each([
    '`${street}`',
    '`${street} ${town}`',
    '`${street}${town}`',
    '`${street} by ${town}`',
    '`${street}, ${street}`',
    'town',
    '`${town ?? "x"}, ${street}`',
  ])('are none in %s', (text) => {
    expect(mendedOf(text)).toBeUndefined();
  });
});
