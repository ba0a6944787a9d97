import fc from 'fast-check';
import { expect, test } from 'vitest';
import { json } from '../../../../tests/support/arbitrary';
import { placesInJson } from './json-places';

test('reads what JSON.parse reads, to the same value, however it is indented', () => {
  fc.assert(
    fc.property(json, fc.nat(4), (value, indent) => {
      const text = JSON.stringify(value, null, indent);
      const read = placesInJson(text);
      expect('value' in read && read.value).toEqual(JSON.parse(text));
    }),
  );
});

test('says where each value stands', () => {
  const text = '{ "row": { "children": [ {"id": "a"}, {"id": "b"} ] } }';
  const read = placesInJson(text);
  const at = 'places' in read ? read.places.get('row.children[1].id') : undefined;
  expect(text.slice(at?.from, at?.to)).toBe('"b"');
});

test('fails where JSON.parse fails', () => {
  fc.assert(
    fc.property(
      json,
      fc.nat(),
      fc.constantFrom('', ',', '}', '"', 'x', '\n'),
      (value, place, put) => {
        const whole = JSON.stringify(value);
        const at = place % (whole.length + 1);
        const text = whole.slice(0, at) + put + whole.slice(at + 1);
        let isJson = true;
        try {
          JSON.parse(text);
        } catch {
          isJson = false;
        }
        expect('value' in placesInJson(text)).toBe(isJson);
      },
    ),
    { numRuns: 500 },
  );
});

test.each([
  ['{"a": }', 6, 'No value begins so.'],
  ['{"a": 1', 7, 'A comma or } is expected.'],
  ['{a: 1}', 1, 'A name in quotes is expected.'],
  ['[1, 2] 3', 7, 'The text ends here, but more follows.'],
  ['', 0, 'A value is missing at the end.'],
])('%s fails at %i', (text, at, message) => {
  expect(placesInJson(text)).toEqual({ at, message });
});
