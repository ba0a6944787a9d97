import { type ComponentType, createContext, createElement, lazy, useContext } from 'react';

const pausesMs = [500, 2_000];

/** Code that comes late, fetched again where that failed: the network may be away for a moment. */
export async function fetched<T>(load: () => Promise<T>): Promise<T> {
  let again = load;
  for (const pauseMs of [...pausesMs, undefined]) {
    try {
      return await again();
    } catch (error) {
      if (pauseMs === undefined) break;
      again = underAnotherAddress<T>(error) ?? again;
      await new Promise((resolve) => setTimeout(resolve, pauseMs));
    }
  }
  throw new Error('Its code could not be fetched. Is the server there?');
}

/** Browsers keep it for good that a module could not be fetched: what failed is asked for otherwise. */
function underAnotherAddress<T>(error: unknown): (() => Promise<T>) | undefined {
  const failed = error instanceof Error ? /https?:\S+\.js/.exec(error.message)?.[0] : undefined;
  if (failed === undefined || new URL(failed).origin !== location.origin) return undefined;
  return () => import(/* @vite-ignore */ `${failed}?again=${Date.now()}`);
}

/** How often what stands around was drawn anew after a failure. */
export const Attempt = createContext(0);

/** A component whose code comes when it is first drawn; where it could not come, another attempt asks again. */
export function onDemand<P extends object>(
  load: () => Promise<{ readonly default: ComponentType<P> }>,
): ComponentType<P> {
  let hasFailed = false;
  const make = () =>
    lazy<ComponentType<P>>(() =>
      fetched(load).catch((error: unknown) => {
        hasFailed = true;
        throw error;
      }),
    );
  let current = { attempt: 0, Own: make() };
  // biome-ignore lint/correctness/noComponentHookFactories: called once a module, where components stand
  return function OnDemand(props: P) {
    const attempt = useContext(Attempt);
    // Not on its own: React draws what failed once more at once, and would never come to an end.
    if (hasFailed && attempt !== current.attempt) {
      hasFailed = false;
      current = { attempt, Own: make() };
    }
    return createElement(current.Own, props);
  };
}
