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

test('a file of other types is no set of a source, and says so', async () => {
  const { engine } = openShop();
  const data = dataProtocol(
    engine,
    new Reading(() => {}),
    (view) => view,
    () => {},
  );
  const file = (text: string) => ({ file: new Blob([text]), name: 'more.json' });
  expect(await data.bringSet('stock', 'odd', file('[{ "town": "Ings", "lat": 3 }]'))).toMatchObject(
    {
      ok: false,
      error: { code: 'set-of-other-shape' },
    },
  );
  const alike = '[{ "id": "z", "name": "Zephyr", "made": "01.02.2026", "price": "3,00" }]';
  expect(await data.bringSet('stock', 'more', file(alike))).toMatchObject({ ok: true });
});
