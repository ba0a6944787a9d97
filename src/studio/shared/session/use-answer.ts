import { useEffect, useState } from 'react';
import { useSession } from './session';

/** What the engine answers, asked anew with every edit; what was before stays until it has come. */
export function useAnswer<Asked, Answer>(
  asked: Asked | undefined,
  ask: (asked: Asked) => Promise<Answer>,
): Answer | undefined {
  const version = useSession((session) => session.view?.version);
  const [answer, setAnswer] = useState<Answer>();
  const id = JSON.stringify(asked);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the id says all of it, the version the rest
  useEffect(() => {
    let isLatest = true;
    if (asked !== undefined) void ask(asked).then((came) => isLatest && setAnswer(() => came));
    return () => {
      isLatest = false;
    };
  }, [id, version]);
  return asked === undefined ? undefined : answer;
}
