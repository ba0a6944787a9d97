import { type Finding, failed, ok, type Result } from '../core/base';

/** A document that was fetched, as if it had been dropped. */
export interface Fetched {
  readonly file: Blob;
  readonly name: string;
  readonly findings: readonly Finding[];
}

const largestBytes = 400_000_000;
/** Nothing came for so long: the other side has stalled. */
const stalledAfterMs = 20_000;

/** Fetches a document by GET, without cookies. Standard: WHATWG Fetch. */
export async function fetchDocument(
  address: string,
  signal: AbortSignal,
  progress: (share: number) => void,
): Promise<Result<Fetched, Finding>> {
  const url = URL.canParse(address) ? new URL(address) : undefined;
  if (url === undefined || !/^https?:$/.test(url.protocol))
    return failed(
      finding(
        'address-wrong',
        address,
        `${address} is not an address that can be fetched.`,
        'Write one that begins with https:// or http://.',
      ),
    );
  const stalled = stallWatch(signal);
  try {
    const answer = await fetch(url, {
      credentials: 'omit',
      referrerPolicy: 'no-referrer',
      headers: { accept: 'application/json, application/x-ndjson, text/csv, */*;q=0.5' },
      signal: stalled.signal,
    });
    if (!answer.ok)
      return failed(
        finding(
          'address-refused',
          address,
          `${address} answered ${answer.status} ${answer.statusText}.`.replace(' .', '.'),
          'Open it in a browser tab to see what it says.',
        ),
      );
    const type = answer.headers.get('content-type') ?? '';
    if (/^text\/html\b/i.test(type))
      return failed(
        finding(
          'address-is-page',
          address,
          `${address} answered with a web page, not with items.`,
          'Take the address that the app itself asks for its items.',
        ),
      );
    const bytes = await readAll(answer, stalled.alive, progress);
    if (bytes === undefined)
      return failed(
        finding(
          'address-too-large',
          address,
          `${address} sends more than ${largestBytes / 1e6} MB; the rest was not fetched.`,
          'Ask it for fewer items.',
        ),
      );
    const moved =
      answer.redirected && answer.url !== url.href ? [redirected(address, answer.url)] : [];
    return ok({ file: new Blob(bytes, { type }), name: url.href, findings: moved });
  } catch (error) {
    if (signal.aborted) throw error;
    return failed(stalled.hasStalled() ? stalledFinding(address) : unreachable(address));
  } finally {
    stalled.end();
  }
}

function stallWatch(signal: AbortSignal) {
  const own = new AbortController();
  let isStalled = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const alive = () => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      isStalled = true;
      own.abort();
    }, stalledAfterMs);
  };
  const abort = () => own.abort();
  signal.addEventListener('abort', abort);
  alive();
  return {
    signal: own.signal,
    alive,
    hasStalled: () => isStalled,
    end() {
      clearTimeout(timer);
      signal.removeEventListener('abort', abort);
    },
  };
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

const finding = (code: string, file: string, message: string, hint: string): Finding => ({
  code,
  severity: 'error',
  place: { in: 'document', file },
  message,
  hint,
});

const redirected = (address: string, to: string): Finding => ({
  ...finding(
    'address-redirected',
    address,
    `${address} led on to ${to}.`,
    'Use that address if it is there to stay.',
  ),
  severity: 'note',
});

const stalledFinding = (address: string): Finding =>
  finding(
    'address-stalled',
    address,
    `${address} sent nothing for ${stalledAfterMs / 1000} seconds, so fetching it was given up.`,
    'Try again, or save its answer as a file and drop that.',
  );

const unreachable = (address: string): Finding =>
  finding(
    'address-unreachable',
    address,
    `${address} could not be fetched: it cannot be reached, or it does not let other pages read it (CORS).`,
    'Check the address, or save its answer as a file and drop that.',
  );
