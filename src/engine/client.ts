import { proxy, type Remote, wrap } from 'comlink';
import type { DataProtocol, EngineEvent, EngineProtocol, KeepingProtocol } from './protocol';

export type EngineClient = Remote<EngineProtocol & DataProtocol & KeepingProtocol>;

type WithListener = EngineProtocol &
  DataProtocol &
  KeepingProtocol & { listen(listener: (event: EngineEvent) => void): void };

/** Starts the engine in a worker of its own. */
export function startEngine(listener: (event: EngineEvent) => void): EngineClient {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), {
    type: 'module',
    name: 'engine',
  });
  const remote = wrap<WithListener>(worker);
  void remote.listen(proxy(listener));
  return remote;
}
