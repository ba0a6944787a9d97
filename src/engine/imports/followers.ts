import type { Finding, Result } from '../../core/base';
import type { FeedEvent, Follow } from '../../core/items';
import { type EventBatch, listenTo } from '../reading';
import type { ArrivalSummary, FollowNews } from './import';

export interface Following {
  readonly source: string;
  readonly follow: Follow;
}

export interface FollowPorts {
  /** Asks for all items of a source once more and takes them up. */
  ask(source: string, signal: AbortSignal): Promise<Result<ArrivalSummary, Finding>>;
  take(source: string, events: readonly FeedEvent[]): Result<ArrivalSummary, Finding>;
  tell(news: FollowNews): void;
}

/** Events that come sooner than this after those before are taken up together, with one drawing. */
const gatherMs = 150;
const firstRetryMs = 3_000;
const longestRetryMs = 300_000;

/** Keeps the items of sources coming. Trouble is told, and it is tried again, less and less often. */
export class Followers {
  private readonly going = new Map<
    string,
    { readonly how: string; readonly ending: AbortController }
  >();

  constructor(
    private readonly ports: FollowPorts,
    private readonly pause = passed,
  ) {}

  /** From now on these and no others; one that goes on unchanged is left alone. */
  follow(wanted: readonly Following[]): void {
    const hows = new Map(wanted.map((each) => [each.source, JSON.stringify(each)]));
    for (const [source, { how, ending }] of this.going) {
      if (hows.get(source) === how) continue;
      ending.abort();
      this.going.delete(source);
    }
    for (const following of wanted) {
      if (this.going.has(following.source)) continue;
      const ending = new AbortController();
      this.going.set(following.source, { how: JSON.stringify(following), ending });
      void this.keepOn(following, ending.signal).catch((error: unknown) => {
        if (!ending.signal.aborted) throw error;
      });
    }
  }

  private keepOn({ source, follow }: Following, signal: AbortSignal): Promise<void> {
    return 'events' in follow
      ? this.listen(source, follow.events, signal)
      : this.poll(source, follow.everySeconds * 1_000, signal);
  }

  private async poll(source: string, everyMs: number, signal: AbortSignal): Promise<void> {
    let waitMs = everyMs;
    while (!signal.aborted) {
      await this.pause(waitMs, signal);
      if (signal.aborted) return;
      const came = await this.ports.ask(source, signal);
      if (signal.aborted) return;
      waitMs = came.ok ? everyMs : Math.min(longestRetryMs, Math.max(everyMs, waitMs * 2));
      this.ports.tell({ source, came });
    }
  }

  private async listen(source: string, address: string, signal: AbortSignal): Promise<void> {
    let lastId: string | undefined;
    let waitMs = firstRetryMs;
    // One for all times that it is heard: what waits is taken before what comes after the break.
    const gathered = this.gather(source, signal);
    const hear = async (after: string | undefined) => {
      let isHeard = false;
      const over = await listenTo(address, after, signal, (batch) => {
        isHeard = true;
        lastId = batch.lastId ?? lastId;
        waitMs = batch.retryMs ?? firstRetryMs;
        gathered(batch);
      });
      const isUnreachable = !isHeard && !over.ok && over.error.code === 'address-unreachable';
      return { over, isUnreachable };
    };
    while (!signal.aborted) {
      let { over, isUnreachable } = await hear(lastId);
      // Some servers let other pages listen, but not say where they stopped. Who is only away for a
      // while, or fails, is asked for what came after that: else all of it would come once more.
      if (isUnreachable && lastId !== undefined && !signal.aborted)
        ({ over, isUnreachable } = await hear(undefined));
      if (signal.aborted) return;
      this.ports.tell({ source, came: over });
      await this.pause(waitMs, signal);
      waitMs = Math.min(longestRetryMs, waitMs * 2);
    }
  }

  private gather(source: string, signal: AbortSignal): (batch: EventBatch) => void {
    let waiting: FeedEvent[] = [];
    let isGathering = false;
    const take = () => {
      const taken = waiting;
      waiting = [];
      isGathering = taken.length > 0;
      if (!isGathering) return;
      setTimeout(take, gatherMs);
      if (!signal.aborted) this.ports.tell({ source, came: this.ports.take(source, taken) });
    };
    return ({ events }) => {
      waiting.push(...events);
      if (!isGathering) take();
    };
  }
}

/** Over at once when it is no longer wanted. */
function passed(ms: number, signal: AbortSignal): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(done, ms);
    signal.addEventListener('abort', done);
    function done() {
      clearTimeout(timer);
      signal.removeEventListener('abort', done);
      resolve();
    }
  });
}
