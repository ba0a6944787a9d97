import { useEffect, useState } from 'react';
import type { Format } from '../../../core/formats';
import type { Written } from '../../../engine';
import { engine, useSession } from '../../shared/session';

interface Asked {
  readonly template: string;
  readonly expr: string;
  readonly formats: readonly (Format | undefined)[];
  readonly locales: readonly string[];
  readonly items: readonly number[];
}

/** An expression's values in formats, by format, locale and item; those before stay until they have come. */
export function useWritten(asked: Asked): readonly (readonly (readonly Written[])[])[] {
  const version = useSession((session) => session.view?.version);
  const [written, setWritten] = useState<readonly (readonly (readonly Written[])[])[]>([]);
  const id = JSON.stringify(asked);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the id says all of it, the version the rest
  useEffect(() => {
    let isLatest = true;
    void engine()
      .tryFormats(asked)
      .then((came) => isLatest && setWritten(came));
    return () => {
      isLatest = false;
    };
  }, [id, version]);
  return written;
}

export const writtenText = (written: Written | undefined): string =>
  written === undefined ? '' : 'text' in written ? written.text : written.why;
