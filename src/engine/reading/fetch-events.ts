import { createParser } from 'eventsource-parser';
import { type Finding, failed, type Result } from '../../core/base';
import type { FeedEvent } from '../../core/items';
import { addressFinding, askAddress } from './ask-address';

/** Events that came together, and what a next connection needs to go on after them. */
export interface EventBatch {
  readonly events: readonly FeedEvent[];
  readonly lastId: string | undefined;
  readonly retryMs: number | undefined;
}

/** Servers send a comment now and then where they have nothing to say. */
const silentAfterMs = 120_000;
const largestEventChars = 20_000_000;

/** Listens to an address until it ends or fails; it is over in either case. */
export function listenTo(
  address: string,
  lastId: string | undefined,
  signal: AbortSignal,
  take: (batch: EventBatch) => void,
): Promise<Result<never, Finding>> {
  const asked = {
    accept: 'text/event-stream',
    signal,
    stalledAfterMs: silentAfterMs,
    ...(lastId !== undefined && { headers: { 'last-event-id': lastId } }),
  };
  return askAddress<never>(address, asked, async ({ response, alive }) => {
    if (!/^text\/event-stream\b/i.test(response.headers.get('content-type') ?? ''))
      return failed(noStream(address));
    for await (const batch of eventsIn(response, alive)) take(batch);
    return failed(ended(address));
  });
}

/** What an answer pushes, part by part; `until`: when to stop listening, as milliseconds. Standard: WHATWG HTML, 9.2.6. */
export async function* eventsIn(
  answer: Response,
  alive: () => void,
  until = Number.POSITIVE_INFINITY,
): AsyncGenerator<EventBatch, void> {
  let events: FeedEvent[] = [];
  let lastId: string | undefined;
  let retryMs: number | undefined;
  let charsSinceEvent = 0;
  const parser = createParser({
    onEvent({ event, data, id }) {
      charsSinceEvent = 0;
      lastId = id ?? lastId;
      events.push({ name: event ?? 'message', data });
    },
    onRetry(ms) {
      retryMs = ms;
    },
  });
  const decoder = new TextDecoder();
  const reader = answer.body?.getReader();
  while (reader !== undefined) {
    const part = await withinTime(reader.read(), until);
    if (part === undefined || part.done) break;
    alive();
    const text = decoder.decode(part.value, { stream: true });
    charsSinceEvent += text.length;
    parser.feed(text);
    if (events.length > 0) yield { events, lastId, retryMs };
    events = [];
    if (charsSinceEvent > largestEventChars) break;
  }
  await reader?.cancel();
}

/** Undefined when the time has come first. */
async function withinTime<T>(work: Promise<T>, until: number): Promise<T | undefined> {
  if (until === Number.POSITIVE_INFINITY) return work;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const over = new Promise<undefined>((resolve) => {
    timer = setTimeout(() => resolve(undefined), Math.max(0, until - Date.now()));
  });
  return Promise.race([work, over]).finally(() => clearTimeout(timer));
}

const noStream = (address: string): Finding =>
  addressFinding(
    'address-no-stream',
    address,
    `${address} answered, but not with events (text/event-stream).`,
    'Take the address that the app listens to.',
  );

const ended = (address: string): Finding => ({
  ...addressFinding(
    'address-ended',
    address,
    `${address} stopped pushing events.`,
    'It is asked again by itself.',
  ),
  severity: 'note',
});
