import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Readable } from 'node:stream';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { atOnce, ok, seededRandom } from '../src/core/base';
import { applyFeed, type Item, infer, itemsAfter } from '../src/core/items';
import { makeProject, type Project } from '../src/core/project';
import { Engine } from '../src/engine';
import { EngineImport, following } from '../src/engine/imports';
import { Followers } from '../src/engine/imports/followers';
import { GET as events } from '../src/pages/api/stand-in/events';
import { GET as items } from '../src/pages/api/stand-in/items';

const routes: Readonly<Record<string, typeof items>> = {
  '/api/stand-in/items': items,
  '/api/stand-in/events': events,
};
let server: Server;
let origin = '';

beforeAll(async () => {
  server = createServer(async (incoming, outgoing) => {
    const address = new URL(incoming.url ?? '/', origin);
    const cut = new AbortController();
    outgoing.on('close', () => cut.abort());
    const headers = new Headers();
    const heard = incoming.headers['last-event-id'];
    if (typeof heard === 'string') headers.set('last-event-id', heard);
    const request = new Request(address, { headers, signal: cut.signal });
    const route = routes[address.pathname];
    // Answers come in another order than they were asked for.
    const latest = Number(address.searchParams.get('late') ?? 8);
    if (address.searchParams.has('limit')) await passed(Math.random() * latest);
    // Only what is asked of a context is there.
    const answer = await route?.({ request } as Parameters<typeof items>[0]);
    outgoing.writeHead(answer?.status ?? 404, Object.fromEntries(answer?.headers ?? []));
    if (answer?.body == null) outgoing.end();
    else Readable.fromWeb(answer.body as Parameters<typeof Readable.fromWeb>[0]).pipe(outgoing);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  origin = `http://127.0.0.1:${port}`;
});

const passed = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

afterAll(() => server.closeAllConnections());

const asked = async (path: string) => {
  const answer = await fetch(`${origin}/api/stand-in/${path}`);
  return { answer, body: await answer.json() };
};

describe('the stand-in service', () => {
  test('gives all items, or page after page, in any order, each once', async () => {
    const { body: all } = await asked('items?seed=4&count=25&after=10');
    expect(all.items).toEqual(itemsAfter({ seed: 4, count: 25 }, 10));
    for (const order of ['kept', 'shuffled']) {
      const found: Item[] = [];
      let page: string | null = `items?seed=4&count=25&after=10&limit=7&pages=next&order=${order}`;
      while (page !== null) {
        const { body }: { body: { items: Item[]; next: string | null } } = await asked(page);
        found.push(...body.items);
        page = body.next === null ? null : (body.next.split('/').at(-1) ?? null);
      }
      const byKey = (one: Item, other: Item) => (String(one['id']) < String(other['id']) ? -1 : 1);
      expect([...found].sort(byKey)).toEqual([...all.items].sort(byKey));
    }
    const { answer } = await asked('items?count=3&limit=2&pages=link');
    expect(answer.headers.get('link')).toBe(
      '</api/stand-in/items?count=3&limit=2&pages=link&offset=2>; rel="next"',
    );
  });

  test('fails as it is asked to, and says what it can’t be asked', async () => {
    expect((await asked('items?fail=100')).answer.status).toBe(503);
    const once = async () => (await asked('items?count=2&failOnce=this-one')).answer.status;
    expect([await once(), await once(), await once()]).toEqual([503, 200, 200]);
    for (const wrong of ['count=999999', 'latency=-1', 'pages=all', 'seed=x', 'every=1'])
      expect((await asked(`items?${wrong}`)).answer.status).toBe(400);
    expect((await asked('items?count=2&__proto__=1&constructor=2')).body.items).toHaveLength(2);
  });
});

test('who follows a service that fails, is late and is cut off has all that happened, each once: 200 times', async () => {
  const runs = Array.from({ length: 200 }, (_, seed) => seed);
  const states = new Map(
    runs.map((seed) => [String(seed), { items: itemsAfter({ seed, count: 12 }, 0), heard: 0 }]),
  );
  const enough = 8;
  let isDone = () => {};
  const done = new Promise<void>((resolve) => {
    isDone = resolve;
  });
  // A twentieth of each pause is waited: somebody is always refused six times on end.
  const pauses: number[] = [];
  const followers = new Followers(
    {
      ask: async () => ok(nothingCame),
      take(source, came) {
        const state = states.get(source);
        if (state === undefined) throw new Error('nobody follows that');
        const now = state.items;
        const positionOf = (key: string) => now.findIndex(({ id }) => id === key);
        state.items = applyFeed(now, { key: 'id', positionOf }, came).next.items;
        state.heard += came.length;
        if ([...states.values()].every(({ heard }) => heard >= enough)) isDone();
        return ok(nothingCame);
      },
      tell: () => {},
    },
    (ms) => {
      pauses.push(ms);
      return passed(ms / 20);
    },
  );
  followers.follow(
    runs.map((seed) => ({
      source: String(seed),
      follow: {
        events: `${origin}/api/stand-in/events?seed=${seed}&count=12&every=40&fail=30&drop=3&latency=${500 * (seed % 5)}`,
      },
    })),
  );
  await done;
  followers.follow([]);
  for (const seed of runs) {
    const state = states.get(String(seed));
    expect(state?.items).toEqual(itemsAfter({ seed, count: 12 }, state?.heard ?? -1));
  }
  for (const growing of [500, 3_000, 6_000, 12_000]) expect(pauses).toContain(growing);
}, 300_000);

test('who asks for pages and, amid that, for all of it anew, has each item once, in order, in the end: 200 times', async () => {
  const runs = Array.from({ length: 200 }, (_, seed) => seed);
  let failCount = 0;
  const run = async (seed: number) => {
    const wanted = itemsAfter({ seed, count: 40 }, 0);
    // Every twentieth has answers that are up to two seconds late.
    const late = seed % 20 === 0 ? 2_000 : 8;
    const { engine, arriving, ids } = pagedShop(seed, wanted.slice(0, 7), { fail: 30, late });
    const random = seededRandom(seed);
    for (let step = 0; step < 400 && (engine.hasMore('stock') || step < 8); step += 1) {
      const asked = random() < 0.25 ? [arriving.refresh('stock')] : [];
      const came = await Promise.all([arriving.more('stock'), ...asked, arriving.more('stock')]);
      failCount += came.filter(({ ok: isOk }) => !isOk).length;
      expect(new Set(ids()).size).toBe(ids().length);
    }
    expect(engine.heldIn('stock')).toEqual(wanted);
  };
  await Promise.all(runs.map(run));
  expect(failCount).toBeGreaterThan(200);
}, 300_000);

test('an answer that is overtaken counts no more: what was asked for last stays', async () => {
  const { engine, arriving } = pagedShop(3, itemsAfter({ seed: 3, count: 40 }, 0).slice(0, 7), {
    fail: 0,
  });
  const all = [arriving.more('stock'), arriving.refresh('stock'), arriving.refresh('stock')];
  await Promise.all(all);
  expect([7, 14]).toContain(engine.heldIn('stock').length);
  for (let page = 0; page < 6; page += 1) await arriving.more('stock');
  expect(engine.heldIn('stock')).toEqual(itemsAfter({ seed: 3, count: 40 }, 0));
  expect(engine.hasMore('stock')).toBe(false);
  expect(await arriving.more('stock')).toMatchObject({ ok: true, value: { addedCount: 0 } });
});

test('of pages that nobody asked for nothing is known, and what was answered stays true', async () => {
  const { engine, arriving } = pagedShop(5, itemsAfter({ seed: 5, count: 40 }, 0).slice(0, 7), {
    fail: 0,
  });
  expect(engine.hasMore('stock')).toBe(false);
  const { version } = engine;
  engine.pageWaits('stock', undefined);
  expect(engine.version).toBe(version);
  engine.pageWaits('stock', `${origin}/api/stand-in/items?seed=5&count=40&limit=7&offset=7`);
  expect([engine.hasMore('stock'), engine.version > version]).toEqual([true, true]);
  await arriving.refresh('stock');
  expect(engine.hasMore('stock')).toBe(true);
});

test('what was asked for one project is not taken up by the next, whatever its sources are called', async () => {
  const { engine, arriving, project } = pagedShop(6, itemsAfter({ seed: 6, count: 40 }, 0), {
    fail: 0,
  });
  const asked = [arriving.more('stock'), arriving.refresh('stock')];
  const others = [{ id: 'other', name: 'Another shop' }];
  engine.clear();
  engine.hold('stock', others);
  engine.update(project, { from: 0, to: 20 });
  await Promise.all(asked);
  expect(engine.heldIn('stock')).toEqual(others);
  expect(engine.hasMore('stock')).toBe(false);
});

/** How many answers of a hundred fail, and how late they are at most, in ms. */
interface Trouble {
  readonly fail: number;
  readonly late?: number;
}

/** A list of the service's items whose pages wait; the first is there. */
function pagedShop(seed: number, items: readonly Item[], { fail, late = 8 }: Trouble) {
  const address = `${origin}/api/stand-in/items?seed=${seed}&count=40&limit=7&pages=next&fail=${fail}&late=${late}`;
  const drafted = makeProject(
    address,
    { format: 'json', at: '$.items[*]', items },
    atOnce(infer(items, 'stock')),
    { pages: { next: '$.next', waits: true } },
  );
  const [own] = drafted.sources;
  if (own === undefined) throw new Error('nothing was drafted');
  const project: Project = {
    ...drafted,
    sources: [{ ...own, id: 'stock', key: 'id' }],
    types: drafted.types.map((type) => ({ ...type, source: 'stock' })),
    lists: drafted.lists.map((list) => ({ ...list, source: 'stock' })),
  };
  const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
  engine.hold('stock', items);
  engine.update(project, { from: 0, to: 20 });
  return {
    engine,
    project,
    arriving: following(engine, new EngineImport(engine), () => {}),
    ids: () => engine.heldIn('stock').map(({ id }) => id),
  };
}

const nothingCame = {
  ...{ addedCount: 0, changedCount: 0, removedCount: 0 },
  ...{ isChanged: false, found: [] },
};
