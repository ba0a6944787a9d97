import { useEffect, useState } from 'react';
import type { Spread } from '../../../core/items';
import type { SpreadAsked } from '../../../engine';
import { engine, useSession } from '../session';

/** What an expression gives over all items of a type; what was before stays until it has come. */
export function useSpread(asked: SpreadAsked | undefined): Spread | undefined {
  const version = useSession((session) => session.view?.version);
  const [spread, setSpread] = useState<Spread>();
  const id = JSON.stringify(asked);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the id says all of it, the version the rest
  useEffect(() => {
    let isLatest = true;
    if (asked !== undefined)
      void engine()
        .spread(asked)
        .then((came) => isLatest && setSpread(came));
    return () => {
      isLatest = false;
    };
  }, [id, version]);
  return asked === undefined ? undefined : spread;
}
