/**
 * A change of one of many items, from the moment a server sends it until its row is drawn in the
 * application: the median and 95 %, in ms.
 */
import { createServer } from 'node:http';

const runs = 20;

export async function streamOneItem(page, address, itemCount) {
  const items = Array.from({ length: itemCount }, (_, at) => ({
    id: `w-${at}`,
    name: `Wool ${at}`,
  }));
  const listeners = new Set();
  const server = createServer((request, response) => {
    response.setHeader('access-control-allow-origin', '*');
    response.setHeader('access-control-allow-headers', '*');
    if (request.url !== '/events') {
      response.end(JSON.stringify(items));
      return;
    }
    response.writeHead(200, { 'content-type': 'text/event-stream' });
    listeners.add(response);
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  try {
    await follow(page, address, `http://127.0.0.1:${server.address().port}`);
    while (listeners.size === 0) await page.waitForTimeout(100);
    await page.waitForTimeout(3_000);
    const times = [];
    for (let run = 0; run < runs; run += 1) {
      const drawn = page.evaluate(drawnAt, `changed ${run} times`);
      // It is watched for before it happens.
      await page.evaluate(() => 0);
      const data = JSON.stringify({ id: 'w-3', name: `changed ${run} times` });
      const sentAt = Date.now();
      for (const each of listeners) each.write(`event: changed\ndata: ${data}\n\n`);
      times.push((await drawn) - sentAt);
      await page.waitForTimeout(500);
    }
    times.sort((one, other) => one - other);
    return { half: times[runs / 2], most: times[Math.floor(runs * 0.95)] };
  } finally {
    server.closeAllConnections();
    server.close();
  }
}

async function follow(page, address, origin) {
  await page.goto(address);
  await page.getByLabel('Items as text').fill(`${origin}/wool`);
  await page.getByRole('button', { name: 'Fetch', exact: true }).click();
  const asked = page.getByRole('region', { name: 'How the address is asked' });
  await asked.getByRole('button', { name: 'Fetching' }).click();
  await page.getByRole('button', { name: 'as events' }).click();
  await page.getByLabel('Address of the events').fill(`${origin}/events`);
  await page.getByRole('button', { name: 'Fetch so' }).click();
}

/** Runs in the page. */
const drawnAt = (words) =>
  new Promise((resolve) => {
    const list = document.querySelector('.yc-list');
    const watching = new MutationObserver(() => {
      if (!list.textContent.includes(words)) return;
      watching.disconnect();
      resolve(Date.now());
    });
    watching.observe(list, { subtree: true, childList: true, characterData: true });
  });
