import { clipped, type Finding, failed, type Result } from '../../core/base';

/** An address that answered, with a watch that must hear of every part that comes. */
export interface Answered {
  readonly url: URL;
  readonly response: Response;
  readonly alive: () => void;
}

interface Asked {
  readonly accept: string;
  readonly signal: AbortSignal;
  /** Nothing came for so long: the other side has stalled. */
  readonly stalledAfterMs: number;
  readonly headers?: Readonly<Record<string, string>>;
}

/**
 * Asks an address by GET, without cookies, and hands its answer on; what can go wrong on the way
 * is a finding, a person's own cancelling is thrown. Standard: WHATWG Fetch.
 */
export async function askAddress<T>(
  address: string,
  { accept, signal, stalledAfterMs, headers }: Asked,
  take: (answered: Answered) => Promise<Result<T, Finding>>,
): Promise<Result<T, Finding>> {
  const url = URL.canParse(address) ? new URL(address) : undefined;
  if (url === undefined || !/^https?:$/.test(url.protocol)) return failed(wrong(address));
  const watch = stallWatch(signal, stalledAfterMs);
  try {
    const response = await fetch(url, {
      credentials: 'omit',
      referrerPolicy: 'no-referrer',
      headers: { accept, ...headers },
      signal: watch.signal,
    });
    if (!response.ok) return failed(refused(address, response));
    if (/^text\/html\b/i.test(response.headers.get('content-type') ?? ''))
      return failed(isPage(address));
    return await take({ url, response, alive: watch.alive });
  } catch (error) {
    if (signal.aborted) throw error;
    return failed(watch.hasStalled() ? stalled(address, stalledAfterMs) : unreachable(address));
  } finally {
    watch.end();
  }
}

function stallWatch(signal: AbortSignal, afterMs: number) {
  const own = new AbortController();
  let isStalled = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const alive = () => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      isStalled = true;
      own.abort();
    }, afterMs);
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
      own.abort();
    },
  };
}

export const addressFinding = (
  code: string,
  file: string,
  message: string,
  hint: string,
): Finding => ({
  code,
  severity: 'error',
  place: { in: 'document', file: clipped(file) },
  message: clipped(message),
  hint,
});

const wrong = (address: string): Finding =>
  addressFinding(
    'address-wrong',
    address,
    `${address} is not an address that can be fetched.`,
    'Write one that begins with https:// or http://.',
  );

const refused = (address: string, { status, statusText }: Response): Finding =>
  addressFinding(
    'address-refused',
    address,
    `${address} answered ${`${status} ${statusText}`.trim()}.`,
    'Open it in a browser tab to see what it says.',
  );

const isPage = (address: string): Finding =>
  addressFinding(
    'address-is-page',
    address,
    `${address} answered with a web page, not with items.`,
    'Take the address that the app itself asks for its items.',
  );

const stalled = (address: string, afterMs: number): Finding =>
  addressFinding(
    'address-stalled',
    address,
    `${address} sent nothing for ${afterMs / 1000} seconds, so fetching it was given up.`,
    'Try again, or save its answer as a file and drop that.',
  );

const unreachable = (address: string): Finding =>
  addressFinding(
    'address-unreachable',
    address,
    `${address} could not be fetched: it cannot be reached, or it does not let other pages read it (CORS).`,
    'Check the address, or save its answer as a file and drop that.',
  );
