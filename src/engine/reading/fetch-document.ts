import { type Finding, failed, ok, type Result } from '../../core/base';
import { applyFeed, type Follow } from '../../core/items';
import { type Answered, addressFinding, askAddress } from './ask-address';
import { eventsIn } from './fetch-events';

/** A document that was fetched, as if it had been dropped. */
export interface Fetched {
  readonly file: Blob;
  readonly name: string;
  readonly findings: readonly Finding[];
  /**
   * The page after it, as the answer's `Link` header names it, or as its document says where that is
   * known. Standard: RFC 8288.
   */
  readonly next?: string;
  /** The answer goes on by itself. */
  readonly follow?: Follow;
}

const largestBytes = 400_000_000;
const stalledAfterMs = 20_000;
/** For so long the first events of a stream are waited for, to see what its items are. */
const firstEventsMs = 1_500;

export function fetchDocument(
  address: string,
  signal: AbortSignal,
  progress: (share: number) => void,
): Promise<Result<Fetched, Finding>> {
  const accept = 'application/json, application/x-ndjson, text/csv, */*;q=0.5';
  return askAddress(address, { accept, signal, stalledAfterMs }, async (answered) => {
    const type = answered.response.headers.get('content-type') ?? '';
    return /^text\/event-stream\b/i.test(type)
      ? firstOfStream(address, answered)
      : wholeAnswer(address, answered, type, progress);
  });
}

async function wholeAnswer(
  address: string,
  { url, response, alive }: Answered,
  type: string,
  progress: (share: number) => void,
): Promise<Result<Fetched, Finding>> {
  const bytes = await readAll(response, alive, progress);
  if (bytes === undefined) return failed(tooLarge(address));
  const isElsewhere = response.redirected && response.url !== url.href;
  const next = nextInLink(response.headers.get('link'), response.url);
  return ok({
    file: new Blob(bytes, { type }),
    name: url.href,
    findings: isElsewhere ? [redirected(address, response.url)] : [],
    ...(next !== undefined && { next }),
  });
}

/** A stream of events never ends: the items that its first events bring stand for it. */
async function firstOfStream(
  address: string,
  { url, response, alive }: Answered,
): Promise<Result<Fetched, Finding>> {
  const events = [];
  const until = Date.now() + firstEventsMs;
  for await (const batch of eventsIn(response, alive, until)) events.push(...batch.events);
  const { items } = applyFeed([], { key: null, positionOf: () => -1 }, events).next;
  if (items.length === 0) return failed(streamSilent(address));
  return ok({
    file: new Blob([JSON.stringify(items)], { type: 'application/json' }),
    name: url.href,
    findings: [],
    follow: { events: url.href },
  });
}

/** The target of a header's first link with `rel="next"`, as a whole address. */
export function nextInLink(header: string | null, base: string): string | undefined {
  for (const [, target = '', parameters = ''] of (header ?? '').matchAll(/<([^>]*)>([^<]*)/g)) {
    const relations = /;\s*rel\s*=\s*(?:"([^"]*)"|([^\s;,"]+))/i.exec(parameters);
    const names = (relations?.[1] ?? relations?.[2] ?? '').toLowerCase().split(/\s+/);
    if (names.includes('next') && URL.canParse(target, base)) return new URL(target, base).href;
  }
  return undefined;
}

async function readAll(
  answer: Response,
  alive: () => void,
  progress: (share: number) => void,
): Promise<Uint8Array<ArrayBuffer>[] | undefined> {
  const announced = Number(answer.headers.get('content-length') ?? 0);
  if (announced > largestBytes) return undefined;
  const reader = answer.body?.getReader();
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let size = 0;
  for (;;) {
    const part = await reader?.read();
    alive();
    if (part === undefined || part.done) return parts;
    parts.push(part.value);
    size += part.value.length;
    if (announced > 0) progress(Math.min(1, size / announced));
    if (size > largestBytes) {
      await reader?.cancel();
      return undefined;
    }
  }
}

const tooLarge = (address: string): Finding =>
  addressFinding(
    'address-too-large',
    address,
    `${address} sends more than ${largestBytes / 1e6} MB; the rest was not fetched.`,
    'Ask it for fewer items.',
  );

const redirected = (address: string, to: string): Finding => ({
  ...addressFinding(
    'address-redirected',
    address,
    `${address} led on to ${to}.`,
    'Use that address if it is there to stay.',
  ),
  severity: 'note',
});

const streamSilent = (address: string): Finding =>
  addressFinding(
    'address-silent',
    address,
    `${address} pushes events, but no items came with them in ${firstEventsMs / 1000} seconds.`,
    'Fetch the items from their own address, and set this one as the address of their events.',
  );
