import { describe, expect, test } from 'vitest';
import { serving } from '../../../tests/support/server';
import { Reading } from './reading';

const quiet = () => {};

async function countAt(bodies: readonly string[], comesAgain: boolean, next?: string) {
  let asked = 0;
  const address = await serving((_, response) => {
    response.end(bodies[asked]);
    asked += 1;
  });
  const document = { address, at: '$.hives[*]', ...(next !== undefined && { pages: { next } }) };
  const made = await new Reading(quiet).items(document, quiet, comesAgain);
  return made.ok ? made.value.read.items.length : made.error.code;
}

describe('an address whose list is empty', () => {
  test('has no items where it had some before, and is a mistake where a place is looked for', async () => {
    expect(await countAt(['{"hives":[]}'], true)).toBe(0);
    expect(await countAt(['{"hives":[]}'], false)).toBe('path-finds-nothing');
  });

  test('is well where it is the last page', async () => {
    const pages = ['{"hives":[{"id":1},{"id":2}],"next":"/b"}', '{"hives":[],"next":null}'];
    expect(await countAt(pages, false, '$.next')).toBe(2);
  });
});

test('what is cancelled is no answer, and says so', async () => {
  const reading = new Reading(quiet);
  const answer = reading.cancellable('Making items', async () => {
    reading.cancel();
    await reading.turnWith(0.5);
    throw new Error('never reached');
  });
  expect(await answer).toMatchObject({ ok: false, error: { code: 'reading-cancelled' } });
});
