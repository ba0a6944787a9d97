import { describe, expect, test } from 'vitest';
import { yarnFields } from '../../../../tests/support/expressions';
import { makeExpression } from '../expression';
import { typeOfResult } from '../result-type';
import type { Field } from '../type';

const fields: readonly Field[] = [
  ...yarnFields,
  { name: 'note', type: 'text', required: false },
  { name: 'dyedOn', type: 'date', required: true },
  { name: 'seenAt', type: 'datetime', required: false },
  { name: 'soaked', type: 'duration', required: true },
  { name: 'lot', type: 'unknown', required: true },
];

const made = (text: string) => makeExpression(text, fields);

describe('what does not fit is refused, with what to write', () => {
  test.each([
    ['price + name', 'types-differ', '`${price}${name}`'],
    ['"€ " + price', 'types-differ', '`€ ${price}`'],
    ['name * 2', 'wrong-type', undefined],
    ['dyedOn - dyedOn', 'wrong-type', 'daysBetween(dyedOn, dyedOn)'],
    ['soaked > soaked', 'not-comparable', 'secondsOf(soaked) > secondsOf(soaked)'],
    ['price === name', 'types-differ', undefined],
    ['tags === tags', 'not-comparable', undefined],
    ['sold < sold', 'not-comparable', undefined],
    ['soaked < soaked', 'not-comparable', undefined],
    ['lot < 3', 'types-differ', undefined],
    ['name ? 1 : 2', 'not-a-condition', 'name !== "" ? 1 : 2'],
    ['name || "none"', 'not-a-condition', 'name ?? "none"'],
    ['!price', 'not-a-condition', 'price === 0'],
    ['-name', 'wrong-type', undefined],
    ['name[0]', 'not-a-list', undefined],
    ['maker[name]', 'step-computed', undefined],
    ['tags["first"]', 'step-into-list', undefined],
    ['tags[name]', 'wrong-type', undefined],
    ['reviews.stars', 'step-into-list', 'reviews[0].stars'],
    ['name.trim', 'method-uncalled', 'name.trim()'],
    ['price.trim()', 'method-elsewhere', undefined],
    ['tags.trim()', 'method-elsewhere', undefined],
    ['name.trim(1)', 'arguments-wrong', undefined],
    ['Math.min()', 'arguments-wrong', undefined],
    ['name.includes(1)', 'wrong-type', undefined],
    ['daysBetween("2026-02-30", dyedOn)', 'wrong-type', undefined],
    ['tags.includes(1)', 'wrong-type', undefined],
    ['tags.concat(sizes)', 'wrong-type', undefined],
    ['sum(tags)', 'elements-wrong', undefined],
    ['sum(reviews)', 'elements-wrong', undefined],
    ['sum(reviews, r => r.by)', 'wrong-type', undefined],
    ['sizes.toSorted()', 'elements-wrong', undefined],
    ['reviews.join()', 'elements-wrong', undefined],
    ['tags.filter("wool")', 'function-wanted', undefined],
    ['tags.toSorted(1)', 'function-wanted', undefined],
    ['name.includes(x => x)', 'function-unwanted', undefined],
    ['tags.filter((a, b, c) => true)', 'function-parameters', undefined],
    ['tags.toSorted((a, a) => 1)', 'expression-syntax', undefined],
    ['tags.filter(t => t)', 'wrong-type', undefined],
    ['tags.toSorted((a, b) => a)', 'wrong-type', undefined],
    ['[1, "a"]', 'types-differ', undefined],
    ['`${tags}`', 'not-showable', '`${tags.join(", ")}`'],
    ['`${reviews}`', 'not-showable', undefined],
    ['nam + "a"', 'name-unknown', 'name + "a"'],
    ['tags.map(t => tt.length)', 'name-unknown', undefined],
    ['name.trimm()', 'expression-not-in-language', 'name.trim()'],
    ['summ(sizes)', 'expression-not-in-language', 'sum(sizes)'],
    ['Math.rond(price)', 'expression-not-in-language', 'Math.round(price)'],
    ['typeof name', 'expression-not-in-language', undefined],
    ['price & 1', 'expression-not-in-language', undefined],
    ['[...tags]', 'expression-not-in-language', undefined],
    ['[1,,2]', 'expression-not-in-language', undefined],
    ['x => x', 'expression-not-in-language', undefined],
    ['tags.map(({ a }) => a)', 'expression-not-in-language', undefined],
    ['tags.map(t => { return t })', 'expression-not-in-language', undefined],
    ['new Date()', 'expression-not-in-language', undefined],
    ['price++', 'expression-not-in-language', undefined],
    ['1e999', 'expression-not-in-language', undefined],
    ['(name, dye)', 'expression-not-in-language', undefined],
    ['({ a: 1 })', 'expression-not-in-language', undefined],
    ['name?.[0]?.(1)', 'expression-not-in-language', undefined],
  ])('%s', (text, code, mended) => {
    const { findings } = made(text);
    expect(findings.map((finding) => finding.code)).toEqual([code]);
    const [{ mend, hint } = { hint: '' }] = findings;
    expect(hint).not.toBe('');
    if (mended === undefined) return;
    expect(mend && text.slice(0, mend.from) + mend.text + text.slice(mend.to)).toBe(mended);
  });

  test('a place in a list is not the item’s own', () => {
    expect(makeExpression('index + 1', fields, 'property').findings).toMatchObject([
      { code: 'place-unknown' },
    ]);
    expect(makeExpression('now', fields, 'property').findings).toEqual([]);
  });
});

describe('types and gaps are followed through', () => {
  test.each([
    ['price * 2', 'number', false],
    ['stock * 2', 'integer', false],
    ['stock / 2', 'number', true],
    ['note', 'text', true],
    ['note + "!"', 'text', false],
    ['note ?? name', 'text', false],
    ['note.length', 'integer', true],
    ['price ?? "on request"', 'number or text', false],
    ['sold ? 1 : 2.5', 'number', false],
    ['sold ? name : null', 'text', true],
    ['note !== null', 'boolean', false],
    ['seenAt < now', 'boolean', true],
    ['dyedOn >= "2026-01-01"', 'boolean', true],
    ['reviews.map(r => r.stars)', 'list of integer', false],
    ['reviews.find(r => r.stars > 3)?.by', 'text', true],
    ['reviews[0].by', 'text', true],
    ['sum(reviews, r => r.stars)', 'integer', true],
    ['largest(reviews, r => r.by)', 'text', true],
    ['addDays(dyedOn, 3)', 'date', true],
    ['tags.slice(0, 2)', 'list of text', false],
    ['now', 'datetime', false],
    ['index', 'integer', true],
  ])('%s is %s', (text, type, mayBeMissing) => {
    const { checked, findings } = made(text);
    expect(findings).toEqual([]);
    expect(checked && [typeOfResult(checked.type), checked.mayBeMissing]).toEqual([
      type,
      mayBeMissing,
    ]);
  });
});
