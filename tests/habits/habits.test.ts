import { expect, test } from 'vitest';
import { makeExpression } from '../../src/core/values';
import { fields } from './fields';
import { mendedOf, rows } from './rows';

test.each(rows)('$language: $written', ({ written, mended }) => {
  expect(mendedOf(written) ?? '').toBe(mended);
});

test('what can be mended says what to write', () => {
  for (const { written, mended } of rows) {
    const [finding] = makeExpression(written, fields).findings;
    if (mended === '' || finding === undefined) continue;
    expect(finding.hint, written).not.toMatch(/There are|Type its first letters|Check quotes/);
  }
});

test('a list of what there is never stands in a message', () => {
  const [finding] = makeExpression('frobnicate(name)', fields).findings;
  expect(finding?.hint.length).toBeLessThan(100);
});
