import { useEffect, useState } from 'react';
import { ownValue } from '../../../../core/base';
import type { Evidence } from '../../../../core/items';
import type { ItemType, Source } from '../../../../core/project';
import type { Field } from '../../../../core/values';
import { engine, useSession } from '../../../shared/session/session';
import { walks } from '../../../shared/session/turns';
import { useLatest } from '../../../shared/session/use-answer';

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
  useLatest(
    [id, isReading],
    (isWanted) => {
      if (isReading || known?.id === id) return;
      return walks.take(async () =>
        isWanted() ? engine().evidence({ source: source.id, type: type?.id, path }) : undefined,
      );
    },
    (evidence: Evidence | undefined) => evidence && setKnown({ id, evidence }),
  );
  return known?.id === id ? known.evidence : undefined;
}
