import { createServer, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Locator, Page } from '@playwright/test';
import { grouped, seededRandom } from '../../src/core/base';
import { applyFeed, type Item } from '../../src/core/items';
import { expect, test } from './support';

/** A minute is what counts; in between a few seconds do. */
const seconds = Number(process.env['CHANGING_SECONDS'] ?? '6');
const itemCount = 100_000;
const everyMs = 100;

test.use({ isNoisy: true });

const named = (at: number) => ({ id: `w-${at}`, called: `Wool ${String(at).padStart(6, '0')}` });

/** A shop whose items change ten times a second, about where somebody looks. */
class Shop {
  items: readonly Item[] = Array.from({ length: itemCount }, (_, at) => named(at));
  private readonly random = seededRandom(Number(process.env['CHANGING_SEED'] ?? '7'));
  private next = itemCount;
  private readonly listeners = new Set<ServerResponse>();
  near = itemCount / 2;

  private at(reach: number): number {
    const at = this.near + Math.floor((this.random() - 0.5) * reach);
    return Math.max(0, Math.min(this.items.length - 1, at));
  }

  change(): void {
    const one = this.items[this.at(this.random() < 0.5 ? 60 : itemCount)] ?? {};
    const kind = this.random();
    if (kind < 0.3)
      this.tell('changed', { ...one, called: `${String(one['called']).slice(0, 11)} *` });
    else if (kind < 0.5) this.tell('removed', one['id']);
    else if (kind < 0.75) this.tell('moved', { key: one['id'], at: this.at(60) });
    else {
      this.next += 1;
      this.tell('added', named(this.next));
      this.tell('moved', { key: `w-${this.next}`, at: this.at(60) });
    }
  }

  listen(response: ServerResponse): void {
    response.writeHead(200, { 'content-type': 'text/event-stream' });
    this.listeners.add(response);
    response.on('close', () => this.listeners.delete(response));
  }

  get isHeard(): boolean {
    return this.listeners.size > 0;
  }

  private tell(name: string, value: unknown): void {
    const data = JSON.stringify(value);
    const positionOf = (key: string) => this.items.findIndex(({ id }) => id === key);
    this.items = applyFeed(this.items, { key: 'id', positionOf }, [{ name, data }]).next.items;
    for (const each of this.listeners) each.write(`event: ${name}\ndata: ${data}\n\n`);
  }
}

interface Watched {
  readonly frameCount: number;
  /** Of the row that is looked at, from one frame to the next: how far it went beside what was scrolled. */
  readonly jumps: readonly number[];
  readonly doubled: readonly string[];
  /** Frames in which a place in sight had no row. */
  readonly blankCount: number;
  readonly slowest: number;
}

/** Watches the rows at each frame; `stepPx`: scrolled in each. */
const watch = (page: Page, ms: number, stepPx: number): Promise<Watched> =>
  page.evaluate(
    async ({ ms, stepPx }) => {
      const list = document.querySelector('.yc-list');
      if (!(list instanceof HTMLElement)) throw new Error('there is no list');
      const { top, bottom } = list.getBoundingClientRect();
      const seen = () =>
        [...list.querySelectorAll<HTMLElement>('.yc-sizer > .yc-row:not(.yc-spare)')]
          .map((row) => {
            const box = row.getBoundingClientRect();
            const isMoving = row.getAnimations().length > 0;
            const words = row.textContent?.slice(0, 11) ?? '';
            return { words, y: box.y, end: box.bottom, isMoving };
          })
          .filter(({ y, end }) => end > top && y < bottom)
          .sort((one, other) => one.y - other.y);
      const jumps: number[] = [];
      const doubled: string[] = [];
      let [frameCount, blankCount, slowest] = [0, 0, 0];
      let eye: { words: string; y: number } | undefined;
      const until = performance.now() + ms;
      let before = performance.now();
      while (performance.now() < until) {
        const now = await new Promise<number>(requestAnimationFrame);
        slowest = Math.max(slowest, now - before);
        before = now;
        frameCount += 1;
        const rows = seen();
        const same = rows.find(({ words }) => words === eye?.words);
        if (eye !== undefined && same !== undefined && !same.isMoving) {
          const jump = same.y - eye.y + stepPx;
          if (Math.abs(jump) > 1) jumps.push(Math.round(jump));
        }
        const words = rows.map((row) => row.words);
        doubled.push(...words.filter((each, at) => words.indexOf(each) !== at));
        const standing = rows.filter(({ isMoving }) => !isMoving);
        const isWhole =
          standing.length < rows.length ||
          ((rows[0]?.y ?? bottom) <= top + 1 && (rows.at(-1)?.end ?? top) >= bottom - 1);
        if (!isWhole) blankCount += 1;
        list.scrollTop += stepPx;
        eye = rows.find(({ y }) => y >= top);
      }
      return { frameCount, jumps, doubled, blankCount, slowest };
    },
    { ms, stepPx },
  );

/** The place, from 0, of the first row that is drawn. */
const firstInSight = (list: Locator): Promise<number> =>
  list
    .locator('.yc-sizer > .yc-row:not(.yc-spare)')
    .evaluateAll((rows) =>
      Math.min(...rows.map((row) => Number(row.getAttribute('aria-posinset')) - 1)),
    );

test(`ten changes a second over 100,000 rows: what is looked at stays, nothing doubles, and all is as the server has it`, async ({
  page,
}) => {
  test.setTimeout(120_000 + 3_000 * seconds);
  const shop = new Shop();
  const server = createServer((request, response) => {
    response.setHeader('access-control-allow-origin', '*');
    response.setHeader('access-control-allow-headers', '*');
    if (request.url === '/events') shop.listen(response);
    else response.end(JSON.stringify(shop.items));
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  try {
    await page.goto('/');
    await page.getByLabel('Items as text').fill(`${origin}/wool`);
    await page.getByRole('button', { name: 'Fetch', exact: true }).click();
    await expect(page.locator('footer')).toContainText(`${grouped(itemCount)} items`, {
      timeout: 60_000,
    });
    const asked = page.getByRole('region', { name: 'How the address is asked' });
    await asked.getByRole('button', { name: 'Fetching' }).click();
    await page.getByRole('button', { name: 'as events' }).click();
    await page.getByLabel('Address of the events').fill(`${origin}/events`);
    await page.getByRole('button', { name: 'Fetch so' }).click();
    await page.getByRole('link', { name: 'List' }).click();
    await page.getByRole('button', { name: /^reader/ }).click();
    await page.getByRole('checkbox', { name: /^rows move/ }).check();
    await expect.poll(() => shop.isHeard, { timeout: 30_000 }).toBe(true);
    const list = page.locator('.yc-list');
    const { rowPx, height } = await list.evaluate((host) => ({
      rowPx: host.querySelector('.yc-row')?.getBoundingClientRect().height ?? 1,
      height: host.scrollHeight,
    }));
    await list.evaluate((host) => {
      host.scrollTop = host.scrollHeight / 2;
    });
    await expect.poll(() => firstInSight(list)).toBeGreaterThan(itemCount / 2 - 20);
    const session = await page.context().newCDPSession(page);
    const heapOf = async () => {
      await session.send('HeapProfiler.collectGarbage');
      const { metrics } = await session.send('Performance.getMetrics');
      const of = (wanted: string) => metrics.find(({ name }) => name === wanted)?.value ?? 0;
      return { mb: of('JSHeapUsedSize') / 1e6, nodes: of('Nodes') };
    };
    await session.send('Performance.enable');
    const heap = await heapOf();
    const changing = setInterval(() => shop.change(), everyMs);
    const still = await watch(page, seconds * 500, 0);
    const scrolled = await watch(page, seconds * 500, 7);
    clearInterval(changing);
    const after = await heapOf();
    console.info(JSON.stringify({ rowPx, height, heap, after, still, scrolled }));
    for (const watched of [still, scrolled]) {
      expect(watched.jumps).toEqual([]);
      expect(watched.doubled).toEqual([]);
    }
    expect(still.blankCount).toBe(0);
    expect(after.mb).toBeLessThan(heap.mb * 1.3 + 3);
    await expect(page.locator('footer')).toContainText(`${grouped(shop.items.length)} items`, {
      timeout: 30_000,
    });
    for (const share of [0, 0.3, 0.5, 0.52, 1]) {
      await list.evaluate((host, to) => {
        host.scrollTop = host.scrollHeight * to;
      }, share);
      await expect(async () => {
        const shown = await page
          .locator('.yc-sizer > .yc-row:not(.yc-spare)')
          .evaluateAll((rows) =>
            rows.map((row) => [
              Number(row.getAttribute('aria-posinset')) - 1,
              row.textContent ?? '',
            ]),
          );
        for (const [at, words] of shown)
          expect(String(words)).toContain(String(shop.items[Number(at)]?.['called']));
        expect(shown.length).toBeGreaterThan(5);
        const [first = 0] = shown.map(([at]) => Number(at)).sort((one, other) => one - other);
        expect(first).toBeGreaterThan(shop.items.length * share - 40);
      }).toPass({ timeout: 15_000 });
    }
  } finally {
    server.closeAllConnections();
    server.close();
  }
});
