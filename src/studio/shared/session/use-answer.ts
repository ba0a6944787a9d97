import { useEffect, useState } from 'react';
import { create } from 'zustand';
import { isTrying, useKept, useSession } from './session';

/**
 * When an answer is asked anew: with what is kept; with all that is tried; or with what is tried as
 * soon as it stays a moment, so that what is dragged has the machine to itself.
 */
export type Pace = 'kept' | 'tried' | 'at rest';

/** So long something has not changed before it is at rest. */
export const restMs = 120;

const useRested = create<{ readonly version: number | undefined }>()(() => ({
  version: undefined,
}));
let resting: ReturnType<typeof setTimeout> | undefined;
useSession.subscribe((session) => {
  clearTimeout(resting);
  const rest = () => useRested.setState({ version: session.view?.version });
  if (!isTrying(session)) rest();
  else resting = setTimeout(rest, restMs);
});

function useVersion(pace: Pace): number | undefined {
  const kept = useKept(({ view }) => (pace === 'kept' ? view?.version : undefined));
  const tried = useSession(({ view }) => (pace === 'tried' ? view?.version : undefined));
  const rested = useRested(({ version }) => (pace === 'at rest' ? version : undefined));
  return kept ?? tried ?? rested;
}

/**
 * Asks when one of `on` changes, and takes the answer unless something newer was asked meanwhile.
 * `ask` gives nothing where nothing is to be asked; what it waits for first may be asked whether it
 * is still wanted.
 */
export function useLatest<Answer>(
  on: readonly unknown[],
  ask: (isWanted: () => boolean) => Promise<Answer> | undefined,
  take: (answer: Answer) => void,
): void {
  useEffect(() => {
    let isLatest = true;
    void ask(() => isLatest)?.then((answer) => {
      if (isLatest) take(answer);
    });
    return () => {
      isLatest = false;
    };
    // biome-ignore lint/correctness/useExhaustiveDependencies: who calls says what it depends on
  }, on);
}

/** What the engine answers, asked anew with every edit that is kept, or at the pace asked for; what was before stays until it has come. */
export function useAnswer<Asked, Answer>(
  asked: Asked | undefined,
  ask: (asked: Asked) => Promise<Answer>,
  pace: Pace = 'kept',
): Answer | undefined {
  const version = useVersion(pace);
  const [answer, setAnswer] = useState<Answer>();
  useLatest(
    [JSON.stringify(asked), version],
    () => (asked === undefined ? undefined : ask(asked)),
    (came) => setAnswer(() => came),
  );
  return asked === undefined ? undefined : answer;
}
