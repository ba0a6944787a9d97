import { expect, test } from 'vitest';
import { openShop } from '../../tests/support/shop';
import { idsIn } from '../core/project';
import { Reading } from './reading';
import { dataProtocol } from './worker-data';

test('another place in a document that is not at hand any more is refused in words', async () => {
  const { engine, project } = openShop();
  const reading = new Reading(() => {});
  const data = dataProtocol(
    engine,
    reading,
    (view) => view,
    () => {},
  );
  expect(await data.readAt('stock', '$.boats[*]', idsIn(project()))).toMatchObject({
    ok: false,
    error: { code: 'document-gone' },
  });
});
