import { useEffect, useState } from 'react';
import { useSession } from './session';

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

/** What the engine answers, asked anew with every edit; what was before stays until it has come. */
export function useAnswer<Asked, Answer>(
  asked: Asked | undefined,
  ask: (asked: Asked) => Promise<Answer>,
): Answer | undefined {
  const version = useSession((session) => session.view?.version);
  const [answer, setAnswer] = useState<Answer>();
  useLatest(
    [JSON.stringify(asked), version],
    () => (asked === undefined ? undefined : ask(asked)),
    (came) => setAnswer(() => came),
  );
  return asked === undefined ? undefined : answer;
}
