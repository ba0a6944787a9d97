import { type ComponentType, createElement, lazy, useState } from 'react';

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

/** A component whose code comes when it is first drawn; where it could not come, drawing it anew asks again. */
export function onDemand<P extends object>(
  load: () => Promise<{ readonly default: ComponentType<P> }>,
): ComponentType<P> {
  const make = () =>
    lazy<ComponentType<P>>(() =>
      fetched(load).catch((error: unknown) => {
        current = make();
        throw error;
      }),
    );
  let current = make();
  // biome-ignore lint/correctness/noComponentHookFactories: called once a module, where components stand
  return function OnDemand(props: P) {
    const [Own] = useState(() => current);
    return createElement(Own, props);
  };
}
