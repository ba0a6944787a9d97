import { type ComponentType, createContext, createElement, lazy, useContext } from 'react';

const pausesMs = [500, 2_000];

/** Code that comes late, fetched again where that failed: the network may be away for a moment. */
export async function fetched<T>(load: () => Promise<T>): Promise<T> {
  for (const pauseMs of pausesMs) {
    try {
      return await load();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, pauseMs));
    }
  }
  try {
    return await load();
  } catch {
    throw new Error('Its code could not be fetched. Is the server there?');
  }
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
