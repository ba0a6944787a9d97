import { useEffect, useState } from 'react';
import type { PackFile } from '../../../core/handoff';
import type { KeptHandOff } from '../../../keeping';
import { keptHere } from '../../shared/keeping/keep';
import { engine, useProject, useSession } from '../../shared/session/session';
import { useLatest } from '../../shared/session/use-answer';

/** How a file stands to what was handed off last; `gone`: the pack has it no more. */
export type FileState = 'new' | 'changed' | 'same' | 'gone';

/** A file of the pack beside what was handed off of it last. */
export interface HandedFile extends PackFile {
  readonly state: FileState;
  /** What it was; undefined: it was none. */
  readonly before: string | undefined;
}

export interface Pack {
  /** As it would be written now; undefined: it is being made. */
  readonly files: readonly HandedFile[] | undefined;
  readonly isStale: boolean;
  readonly last: KeptHandOff | undefined;
  /** Told what has been handed off. */
  readonly handedOff: (handOff: KeptHandOff) => void;
}

/** The pack of the project that is open, made anew with each edit. */
export function usePack(): Pack {
  const project = useProject();
  const id = useSession((session) => session.id);
  const contents = useSession((session) => session.contents);
  const [made, setMade] = useState<{ readonly of: object; readonly files: readonly PackFile[] }>();
  const [last, setLast] = useState<KeptHandOff>();
  useLatest(
    [project, contents],
    () =>
      project &&
      engine()
        .pack(project, contents)
        .then((files) => files && { of: project, files }),
    (answer) => answer && setMade(answer),
  );
  useEffect(() => {
    if (id === undefined) return;
    let isHere = true;
    keptHere()
      .then(({ lastHandOff }) => lastHandOff(id))
      .then((kept) => isHere && setLast(kept))
      // Without it all files are new: nothing is lost.
      .catch(() => {});
    return () => {
      isHere = false;
    };
  }, [id]);
  return {
    files: made && compared(made.files, last),
    isStale: made !== undefined && made.of !== project,
    last,
    handedOff: setLast,
  };
}

function compared(
  files: readonly PackFile[],
  last: KeptHandOff | undefined,
): readonly HandedFile[] {
  const before = new Map(last?.files.map(({ path, text }) => [path, text]));
  const now = files.map((file): HandedFile => {
    const old = before.get(file.path);
    const state = old === undefined ? 'new' : old === file.text ? 'same' : 'changed';
    return { ...file, state, before: old };
  });
  const paths = new Set(files.map(({ path }) => path));
  const gone = [...before]
    .filter(([path]) => !paths.has(path))
    .map(
      ([path, text]): HandedFile => ({
        ...{ path, about: 'the pack has it no more', text: '' },
        ...{ state: 'gone', before: text },
      }),
    );
  return [...now, ...gone];
}
