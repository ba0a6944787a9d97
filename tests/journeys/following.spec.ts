import { createServer, type RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Page } from '@playwright/test';
import { expect, rowsOf, saved, test } from './support';

/** A server of another origin that lets pages read it, for as long as the work takes. */
async function serving(answer: RequestListener, work: (origin: string) => Promise<void>) {
  const server = createServer((request, response) => {
    response.setHeader('access-control-allow-origin', '*');
    response.setHeader('access-control-allow-headers', '*');
    answer(request, response);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', () => resolve()));
  try {
    await work(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  } finally {
    server.closeAllConnections();
    server.close();
  }
}

async function fetchFrom(page: Page, address: string) {
  await page.goto('/');
  await page.getByLabel('Items as text').fill(address);
  await page.getByRole('button', { name: 'Fetch', exact: true }).click();
}

const hive = (at: number) => ({ id: `h${at}`, name: `Hive ${at}` });
const asked = (page: Page) => page.getByRole('region', { name: 'How the address is asked' });

test('an address that answers page by page is followed to its last page', async ({ page }) => {
  const answer: RequestListener = (request, response) => {
    const at = Number(new URL(request.url ?? '', 'http://x').searchParams.get('from') ?? '0');
    const hives = Array.from({ length: 10 }, (_, each) => hive(at + each));
    response.end(JSON.stringify({ hives, cursor: at < 20 ? at + 10 : null }));
  };
  await serving(answer, async (origin) => {
    await fetchFrom(page, `${origin}/hives`);
    await expect(page.getByText('10 items', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: '1 finding', exact: true }).click();
    await expect(page.getByText(/is one page of several: at \$\.cursor/)).toBeVisible();
    await page.keyboard.press('Escape');
    await asked(page).getByRole('button', { name: 'Fetching' }).click();
    await page.getByRole('button', { name: 'a field says' }).click();
    await page.getByLabel('JSONPath of the next page').fill('$.cursor');
    await page.getByLabel('Parameter that takes it').fill('from');
    await page.getByRole('button', { name: 'Fetch so' }).click();
    await expect(page.getByText('30 items', { exact: true })).toBeVisible();
    await expect(page.getByText('20 added')).toBeVisible();
  });
});

test('a source asked at a pace shows what came, new fields too, until it is paused', async ({
  page,
}) => {
  let times = 0;
  const answer: RequestListener = (_, response) => {
    times += 1;
    const all = [hive(0), { ...hive(1), name: `Hive one, seen ${times} times` }];
    response.end(JSON.stringify(times > 2 ? [...all, { ...hive(2), queen: 'marked' }] : all));
  };
  await serving(answer, async (origin) => {
    await fetchFrom(page, `${origin}/hives`);
    await asked(page).getByRole('button', { name: 'Fetching' }).click();
    await page.getByRole('button', { name: 'at a pace' }).click();
    await page.getByLabel('Seconds between').fill('1');
    await page.getByRole('button', { name: 'Fetch so' }).click();
    await expect(asked(page)).toContainText('1 added', { timeout: 15_000 });
    await expect(page.getByRole('columnheader', { name: /queen/ })).toBeVisible();
    await expect.poll(async () => (await rowsOf(page)).length).toBe(3);
    await asked(page).getByRole('button', { name: 'Pause' }).click();
    await expect(asked(page)).toContainText('nothing is asked by itself');
    const until = times;
    // Opened again, it waits to be told.
    await saved(page);
    await page.reload();
    await expect(asked(page)).toContainText('nothing is asked by itself');
    await page.waitForTimeout(1_500);
    expect(times).toBeLessThanOrEqual(until + 1);
  });
});

test('a server that pushes events is listened to at once; its breaks are said', async ({
  page,
}) => {
  const answer: RequestListener = (_, response) => {
    response.writeHead(200, { 'content-type': 'text/event-stream' });
    response.write(`retry: 60000\ndata: ${JSON.stringify([hive(0), hive(1)])}\n\n`);
    const push = () => {
      response.write(`event: added\ndata: ${JSON.stringify(hive(2))}\n\n`);
      response.write('event: moved\ndata: {"key":"h2","at":0}\n\n');
      response.write('event: removed\ndata: "h0"\n\n');
    };
    setTimeout(push, 2_500);
    setTimeout(() => response.end(), 4_000);
  };
  await serving(answer, async (origin) => {
    await fetchFrom(page, `${origin}/events`);
    await expect.poll(() => rowsOf(page), { timeout: 15_000 }).toEqual([['Hive 2'], ['Hive 1']]);
    await expect(asked(page)).toContainText('stopped pushing events', { timeout: 15_000 });
  });
});
