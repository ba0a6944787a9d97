import { proxy, type Remote, wrap } from 'comlink';
import type {
  DataProtocol,
  EngineEvent,
  EngineProtocol,
  KeepingProtocol,
  PackingProtocol,
} from './protocol';

type Protocol = EngineProtocol & DataProtocol & KeepingProtocol & PackingProtocol;

export type EngineClient = Remote<Protocol>;

type WithListener = Protocol & { listen(listener: (event: EngineEvent) => void): void };

export interface RunningEngine {
  readonly client: EngineClient;
  /** Ends it in the midst of whatever it does. */
  end(): void;
}

const lookEveryMs = 2_000;
/** Far longer than any of its turns takes: who is silent for so long has stopped. */
const silentAfterMs = 8_000;

/**
 * Starts the engine in a worker of its own. `silent`: told once when it does not answer, because
 * its code could not be fetched or it hangs.
 */
export function startEngine(
  listener: (event: EngineEvent) => void,
  silent: () => void,
): RunningEngine {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), {
    type: 'module',
    name: 'engine',
  });
  const client = wrap<WithListener>(worker);
  void client.listen(proxy(listener));
  const end = () => {
    clearInterval(looking);
    worker.terminate();
  };
  const tellSilent = () => {
    clearInterval(looking);
    silent();
  };
  let askedAt: number | undefined;
  const looking = setInterval(() => {
    // A page in the background has its timers held back: that says nothing of the worker.
    if (document.hidden) askedAt = undefined;
    else if (askedAt === undefined) {
      const at = Date.now();
      askedAt = at;
      void client.isThere().then(() => {
        if (askedAt === at) askedAt = undefined;
      });
    } else if (Date.now() - askedAt > silentAfterMs) tellSilent();
  }, lookEveryMs);
  worker.addEventListener('error', tellSilent);
  return { client, end };
}
