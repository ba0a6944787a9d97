import { useState } from 'react';
import type { Pin } from '../../../core/by-example';
import type { ExampleAnswer } from '../../../engine';
import { engine, useKept } from '../session/session';
import { searches } from '../session/turns';
import { useAnswer, useLatest } from '../session/use-answer';

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
  const version = useKept((session) => session.view?.version);
  const [answer, setAnswer] = useState<ExampleAnswer>();
  const examples = wishes
    .filter(({ text }) => text.trim() !== '')
    .map(({ item, text, pins }) => ({ item, text, pins }));
  useLatest(
    [JSON.stringify({ type, without, examples }), version],
    (isWanted) =>
      searches.take(async () =>
        isWanted() ? engine().byExample({ type, without, examples }) : undefined,
      ),
    (came: ExampleAnswer | undefined) => came && setAnswer(came),
  );
  return answer;
}

/** How many items lack one of a proposal's values, for each of them; undefined while they are being counted. */
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
