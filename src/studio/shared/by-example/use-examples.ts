import { useEffect, useRef, useState } from 'react';
import type { Pin } from '../../../core/by-example';
import type { ExampleAnswer } from '../../../engine';
import { engine, useSession } from '../session/session';
import { useAnswer } from '../session/use-answer';

/** The words that a person wants for an item. */
export interface Wish {
  readonly item: number;
  readonly title: string;
  readonly text: string;
  readonly pins: readonly Pin[];
}

/** What the engine proposes for wishes, as they are typed; one question at a time is under way. */
export function useExamples(
  type: string,
  without: string | undefined,
  wishes: readonly Wish[],
): ExampleAnswer | undefined {
  const version = useSession((session) => session.view?.version);
  const [answer, setAnswer] = useState<ExampleAnswer>();
  const isAsking = useRef(false);
  const waiting = useRef<string>(undefined);
  const asked = JSON.stringify({
    type,
    without,
    examples: wishes
      .filter(({ text }) => text.trim() !== '')
      .map(({ item, text, pins }) => ({ item, text, pins })),
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: `asked` says all of it, the version the rest
  useEffect(() => {
    const ask = async (question: string) => {
      isAsking.current = true;
      const came = await engine().byExample(JSON.parse(question));
      isAsking.current = false;
      const next = waiting.current;
      waiting.current = undefined;
      if (next === undefined) setAnswer(came);
      else void ask(next);
    };
    if (isAsking.current) waiting.current = asked;
    else void ask(asked);
  }, [asked, version]);
  return answer;
}

/** By proposal, how many items lack one of its values; undefined while they are being counted. */
export function useMissing(
  type: string,
  exprs: readonly (readonly string[])[],
): readonly number[] | undefined {
  const asked = exprs.length > 0 ? { type, exprs } : undefined;
  const answer = useAnswer(asked, async (own) => ({
    of: own,
    counts: await engine().countMissing(own),
  }));
  // Counts of other proposals are none of these.
  return JSON.stringify(answer?.of) === JSON.stringify(asked) ? answer?.counts : undefined;
}
