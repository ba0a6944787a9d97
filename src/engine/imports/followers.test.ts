import type { ServerResponse } from 'node:http';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { serving } from '../../../tests/support/server';
import { failed, ok } from '../../core/base';
import type { FeedEvent } from '../../core/items';
import { Followers } from './followers';
import type { ArrivalSummary, FollowNews } from './import';

const came = (addedCount: number): ArrivalSummary => ({
  addedCount,
  changedCount: 0,
  removedCount: 0,
  isChanged: addedCount > 0,
  found: [],
});

const trouble = {
  code: 'address-refused',
  severity: 'error',
  place: { in: 'document', file: 'x' },
  message: 'It is out of order.',
  hint: 'Wait.',
} as const;

/** However busy the machine is. */
const soon = (isSo: () => boolean) => vi.waitUntil(isSo, { timeout: 60_000 });

let followers: Followers | undefined;

afterEach(() => {
  followers?.follow([]);
  vi.useRealTimers();
});

function following(ask: () => ReturnType<ConstructorParameters<typeof Followers>[0]['ask']>) {
  const told: FollowNews[] = [];
  const taken: FeedEvent[] = [];
  followers = new Followers({
    ask,
    take(_, events) {
      taken.push(...events);
      return ok(came(events.length));
    },
    tell: (news) => told.push(news),
  });
  return { told, taken, followers };
}

describe('a source that is asked again and again', () => {
  const everySecond = [{ source: 'stock', follow: { everySeconds: 1 } }];

  test('is asked at its pace, until it is no longer wanted', async () => {
    vi.useFakeTimers();
    const { told, followers } = following(async () => ok(came(1)));
    followers.follow(everySecond);
    await vi.advanceTimersByTimeAsync(3_500);
    expect(told).toHaveLength(3);
    followers.follow([]);
    await vi.advanceTimersByTimeAsync(5_000);
    expect(told).toHaveLength(3);
  });

  test('that is in trouble is asked less and less often, and says why', async () => {
    vi.useFakeTimers();
    const { told, followers } = following(async () => failed(trouble));
    followers.follow(everySecond);
    await vi.advanceTimersByTimeAsync(16_000);
    expect(told).toHaveLength(4);
    expect(told[0]).toMatchObject({ source: 'stock', came: { error: trouble } });
  });

  test('goes on undisturbed when it is wanted once more', async () => {
    vi.useFakeTimers();
    const { told, followers } = following(async () => ok(came(0)));
    followers.follow(everySecond);
    await vi.advanceTimersByTimeAsync(900);
    followers.follow(everySecond.map((each) => ({ ...each })));
    await vi.advanceTimersByTimeAsync(200);
    expect(told).toHaveLength(1);
  });
});

describe('a source whose server pushes events', () => {
  const asksNothing = async () => failed(trouble);

  test('takes up what comes together at once, and goes on after a break where it was', async () => {
    const lastIds: (string | undefined)[] = [];
    let open: ServerResponse | undefined;
    const address = await serving((request, response) => {
      lastIds.push(request.headers['last-event-id']?.toString());
      open = response.writeHead(200, { 'content-type': 'text/event-stream' });
      response.write(`retry: 20\nid: ${lastIds.length}\nevent: added\ndata: {"id":"a"}\n\n`);
      response.write('event: removed\ndata: "b"\n\n');
    });
    const { told, taken, followers } = following(asksNothing);
    followers.follow([{ source: 'stock', follow: { events: address } }]);
    await soon(() => told.length > 0);
    expect(told).toMatchObject([{ came: { value: { addedCount: 2 } } }]);
    expect(taken.map((event) => event.name)).toEqual(['added', 'removed']);
    open?.end();
    await soon(() => lastIds.length > 1);
    expect(lastIds).toEqual([undefined, '1']);
    expect(told[1]).toMatchObject({ came: { error: { code: 'address-ended' } } });
  });

  test('of a service that fails for a while goes on where it was, too', async () => {
    const lastIds: (string | undefined)[] = [];
    const address = await serving((request, response) => {
      lastIds.push(request.headers['last-event-id']?.toString());
      if (lastIds.length === 2) response.writeHead(503).end();
      else if (lastIds.length === 3)
        response.writeHead(200, { 'content-type': 'text/event-stream' }).end();
      else {
        response.writeHead(200, { 'content-type': 'text/event-stream' });
        response.end('retry: 20\nid: 7\nevent: added\ndata: {"id":"a"}\n\n');
      }
    });
    const { followers } = following(asksNothing);
    followers.follow([{ source: 'stock', follow: { events: address } }]);
    await soon(() => lastIds.length > 3);
    expect(lastIds.slice(0, 4)).toEqual([undefined, '7', '7', '7']);
  });

  test('that pushes none says so', async () => {
    const address = await serving((_, response) => response.end('[]'));
    const { told, followers } = following(asksNothing);
    followers.follow([{ source: 'stock', follow: { events: address } }]);
    await soon(() => told.length > 0);
    expect(told).toMatchObject([{ came: { error: { code: 'address-no-stream' } } }]);
  });
});
