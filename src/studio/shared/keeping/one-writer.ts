import { startHistory } from '../../../core/project';
import { handAgain } from '../session/at-hand';
import { currentNow } from '../session/current';
import { followNothing } from '../session/following';
import { engine, showFrame, useSession, wantedRange } from '../session/session';
import { opening } from '../session/turns';
import { isUnkept, keepNow, keptHere, onTakenOver, pageId } from './keep';
import { lockProject, type ProjectLock } from './lock';

let lock: ProjectLock | undefined;
let stopWatching: () => void = () => {};

/**
 * Makes this page the one that writes a project, or one that looks on. `keptAt`: when what is on
 * screen was written; where another page wrote since, all is read anew.
 */
export async function takeLock(id: string, keptAt?: number): Promise<void> {
  await giveLockBack();
  lock = await lockProject(id, {
    gained: () => void opening.take(() => writeOn(id)),
    lost: () => lookOn(id),
    isWanted: () => handOver(id),
  });
  onTakenOver(() => lookOn(id));
  if (!lock.isMine) return lookOn(id);
  const writtenAt = await engine().claim(id, pageId);
  if (keptAt !== undefined && writtenAt !== undefined && writtenAt !== keptAt) await readAnew(id);
}

export async function giveLockBack(): Promise<void> {
  const before = lock;
  lock = undefined;
  stopWatching();
  await before?.release();
}

/** This page writes from now on; the other one keeps all that it has before. */
export const takeOver = async (): Promise<void> => lock?.takeOver();

async function writeOn(id: string): Promise<void> {
  if (useSession.getState().id !== id) return;
  stopWatching();
  await engine().claim(id, pageId);
  await readAnew(id);
  if (useSession.getState().id === id) useSession.setState({ keeping: { kind: 'kept' } });
}

const giveUpAfterMs = 5_000;

/** Another page is about to write: nothing is edited here any more, and all is kept. */
async function handOver(id: string): Promise<void> {
  if (useSession.getState().id !== id) return;
  useSession.setState({ keeping: { kind: 'handing over' } });
  await keepNow();
  setTimeout(() => {
    const { id: now, keeping } = useSession.getState();
    if (now === id && keeping.kind === 'handing over')
      useSession.setState({ keeping: { kind: 'kept' } });
  }, giveUpAfterMs);
}

/** Another page writes: this one shows what it does. */
async function lookOn(id: string): Promise<void> {
  if (useSession.getState().id !== id) return;
  const { keeping } = useSession.getState();
  if (keeping.kind !== 'handing over' && isUnkept()) useSession.setState({ notice: notKept });
  useSession.setState({
    keeping: { kind: 'looking' },
    arrived: [],
    doubted: undefined,
    foreseen: undefined,
  });
  followNothing();
  stopWatching();
  const { watchProject } = await keptHere();
  stopWatching = watchProject(
    id,
    newest(() => readAnew(id)),
  );
}

const notKept = {
  code: 'taken-over',
  severity: 'warning',
  place: { in: 'project', path: '' },
  message: 'Another tab took this project over. What was changed here last was not kept.',
  hint: 'What you see is what the other tab has.',
} as const;

/** Work that is asked for while it goes on is done once more after, however often it was asked for. */
function newest(work: () => Promise<void>): () => void {
  let isGoing = false;
  let isAsked = false;
  const go = async () => {
    isGoing = true;
    do {
      isAsked = false;
      await opening.take(work);
    } while (isAsked);
    isGoing = false;
  };
  return () => {
    isAsked = true;
    if (!isGoing) void go();
  };
}

/** Project and items as they are kept now. */
async function readAnew(id: string): Promise<void> {
  if (useSession.getState().id !== id) return;
  const opened = await engine().openAgain(id, wantedRange(), currentNow()?.list?.id);
  if (!opened.ok || opened.value === undefined || useSession.getState().id !== id) return;
  const { project, contents, view } = opened.value;
  useSession.setState({ history: startHistory(project), contents });
  showFrame(view);
  await handAgain();
}
