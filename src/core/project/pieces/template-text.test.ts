import { describe, expect, test } from 'vitest';
import { draftLabel, draftStack, type Template } from '../../templates';
import { partAtPlace, partSpan, readTemplateText, templateText } from './template-text';

const template: Template = {
  ...{ id: 'plain', name: 'plain', type: 'skein' },
  row: draftStack('row', 'across', [
    draftStack('words', 'down', [draftLabel('name', { expr: 'name' }, 'title')]),
    draftLabel('price', { expr: 'price' }, 'value'),
  ]),
};
const text = templateText(template);

describe('a template as text', () => {
  test('reads as what it was written from', async () => {
    expect(await readTemplateText(text)).toEqual({ row: template.row, name: 'plain' });
  });

  test.each([
    ['a comma too much', text.replace('"title"', '"title",,'), /quotes/, ','],
    ['a style that is a number', text.replace('"title"', '7'), /style/, '7'],
    ['no kind of part', text.replace('"part": "label"', '"part": "lable"'), /part/, '"lable"'],
    ['a name twice', text.replace('"price",', '"name",'), /Two parts are called name/, '{'],
    ['no template at all', '[1]', /object/, '['],
  ])('%s is told at its place', async (_, wrong, why, at) => {
    const read = await readTemplateText(wrong);
    if (!('why' in read)) throw new Error('it reads');
    expect(read.why).toMatch(why);
    expect(wrong.slice(read.span.from).startsWith(at)).toBe(true);
  });

  test('the caret is in a part, and each part has its stretch', () => {
    expect(partAtPlace(text, text.indexOf('"expr": "name"'))).toBe('name');
    expect(partAtPlace(text, text.indexOf('"direction": "down"'))).toBe('words');
    expect(partAtPlace(text, 2)).toBeUndefined();
    const span = partSpan(text, 'price');
    expect(JSON.parse(text.slice(span?.from, span?.to))).toEqual(template.row.children[1]);
  });
});
