import { useEffect, useState } from 'react';
import type { Selection } from '../selection';
import { type PartCommand, partCommands, whyNotDo } from './part-commands';

/**
 * Why commands can't be done now, by the function that does them. Each is tried on the project, which
 * takes longer than a frame of a drag has: it is asked when there is nothing else to do.
 */
export function useWhyNots(selection: Selection): ReadonlyMap<PartCommand, string> {
  const [whyNots, setWhyNots] = useState<ReadonlyMap<PartCommand, string>>(new Map());
  useEffect(() => {
    const idle = requestIdleCallback(() => setWhyNots(whyNotsOf(selection)));
    return () => cancelIdleCallback(idle);
  }, [selection]);
  return whyNots;
}

const whyNotsOf = (selection: Selection): ReadonlyMap<PartCommand, string> =>
  new Map(
    partCommands.flatMap((command) => {
      const why = whyNotDo(command, selection);
      return why === undefined ? [] : [[command, why] as const];
    }),
  );
