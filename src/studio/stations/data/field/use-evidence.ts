import { useEffect, useState } from 'react';
import { ownValue } from '../../../../core/base';
import type { Evidence } from '../../../../core/items';
import type { ItemType, Source } from '../../../../core/project';
import type { Field } from '../../../../core/values';
import { engine, useSession } from '../../../shared/session/session';

/** One after the other: each walks all items. */
let turn: Promise<unknown> = Promise.resolve();

interface Asked {
  readonly source: Source;
  readonly type: ItemType | undefined;
  readonly path: readonly string[];
  readonly field: Field | undefined;
}

const sampledMs = 2_000;

/** How much came for a source that is followed, looked at now and then: counting takes a walk through all. */
function useCameSoFar(source: string): number {
  const [soFar, setSoFar] = useState(0);
  const isFollowed = useSession(({ followed }) => Object.hasOwn(followed, source));
  useEffect(() => {
    if (!isFollowed) return;
    const timer = setInterval(() => {
      const now = ownValue(useSession.getState().followed, source);
      if (now !== undefined) setSoFar(now.addedCount + now.changedCount + now.removedCount);
    }, sampledMs);
    return () => clearInterval(timer);
  }, [source, isFollowed]);
  return soFar;
}

/** What is known of a field over all items; undefined until it is. */
export function useEvidence({ source, type, path, field }: Asked): Evidence | undefined {
  const sets = useSession((session) => session.sets);
  const isReading = useSession((session) => session.reading !== undefined);
  const cameSoFar = useCameSoFar(source.id);
  const id = JSON.stringify([
    source.id,
    cameSoFar,
    source.revision,
    source.discriminator,
    ownValue(sets, source.id),
    type?.id,
    path,
    field,
  ]);
  const [known, setKnown] = useState<{ readonly id: string; readonly evidence: Evidence }>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the id says all of it
  useEffect(() => {
    if (isReading || known?.id === id) return;
    let isLatest = true;
    turn = turn.then(async () => {
      if (!isLatest) return;
      const evidence = await engine().evidence({ source: source.id, type: type?.id, path });
      if (isLatest && evidence !== undefined) setKnown({ id, evidence });
    });
    return () => {
      isLatest = false;
    };
  }, [id, isReading]);
  return known?.id === id ? known.evidence : undefined;
}
