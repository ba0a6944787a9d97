import { describe, expect, test } from 'vitest';
import { lookupStep } from './environment';
import { renameStep } from './rename';

describe('a step of a path under a new name', () => {
  test.each<[string, string, string, string]>([
    ['name', 'name', 'title', 'title'],
    ['name ?? maker.name', 'name', 'title', 'title ?? maker.name'],
    ['maker.name ?? name', 'maker.name', 'town', 'maker.town ?? name'],
    ['maker?.name', 'maker.name', 'town', 'maker?.town'],
    ['maker . name', 'maker.name', 'town', 'maker . town'],
    ['maker["name"]', 'maker.name', 'full name', 'maker["full name"]'],
    ['maker.name', 'maker.name', 'full name', 'maker["full name"]'],
    ['maker?.name', 'maker.name', 'full name', 'maker?.["full name"]'],
    ['maker.name', 'maker', 'by', 'by.name'],
    ['maker.name', 'maker', 'made by', 'item["made by"].name'],
    ['item.name', 'name', 'title', 'item.title'],
    // The field's own words stay as the author spaced them, and texts are no paths.
    ['`${ name } by ${maker.name} name`', 'name', 'title', '`${ title } by ${maker.name} name`'],
    ['"name" ?? name', 'name', 'title', '"name" ?? title'],
    ['name +', 'name', 'title', 'name +'],
    // What a lookup finds is of another source; its key is of this item.
    [
      'lookup("makers", maker).name ?? name',
      'name',
      'title',
      'lookup("makers", maker).name ?? title',
    ],
    ['lookup("makers", maker).town', 'maker', 'by', 'lookup("makers", by).town'],
  ])('%s, %s → %s', (text, path, name, expected) => {
    expect(renameStep(text, path.split('.'), name)).toBe(expected);
  });
});

test('a step into another source', () => {
  const path = [lookupStep('makers'), 'town'];
  expect(renameStep('town ?? lookup("makers", maker)?.town', path, 'home town')).toBe(
    'town ?? lookup("makers", maker)?.["home town"]',
  );
});
