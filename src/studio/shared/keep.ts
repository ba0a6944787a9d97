import { picturesFor } from './pictures';
import { engine, useSession } from './session';

/** The database's code comes after the first rows: the engine has its own to read them with. */
export const keptHere = () => import('../../keeping');

const keepAfterMs = 300;
const keepInTimeMs = 3_000;
const retryAfterMs = 10_000;
let timer: ReturnType<typeof setTimeout> | undefined;
/** Keeps the project shortly after its last edit. */
export function keepSoon(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void keepNow(), keepAfterMs);
}

/** What keeps coming is kept every few seconds, not after the last of it: that may never come. */
export function keepInTime(): void {
  timer ??= setTimeout(() => void keepNow(), keepInTimeMs);
}

/** What still waits to be kept is kept at once: before another project is opened, or the page left. */
export async function keepWaiting(): Promise<void> {
  if (timer !== undefined) await keepNow();
}

window.addEventListener('pagehide', () => void keepWaiting());

/** Keeps the items if they are not kept yet, then the project's record; a failure is said and tried again. */
export async function keepNow(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  const { id, keeping } = useSession.getState();
  if (id === undefined || keeping.kind === 'looking') return;
  // The items first: without them the record is worth nothing.
  const reason = (await engine().keepItems(id)) ?? (await keepRecord(id));
  if (useSession.getState().id !== id) return;
  if (reason === undefined) {
    if (timer === undefined) useSession.setState({ keeping: { kind: 'kept' } });
    return;
  }
  useSession.setState({ keeping: { kind: 'failed', reason } });
  timer = setTimeout(() => void keepNow(), retryAfterMs);
}

async function keepRecord(id: string): Promise<string | undefined> {
  const { id: current, history, view } = useSession.getState();
  if (current !== id || history === undefined) return undefined;
  const { project } = history;
  const entries = view?.entriesFrom === 0 ? view.entries.slice(0, 4) : [];
  const words = entries.flatMap((entry) => entry.texts).filter((text) => text !== undefined);
  const pictures = picturesFor(project.pictures, new Set(words));
  const { keepProject, whyNotKept } = await keptHere();
  try {
    await keepProject({
      id,
      project,
      itemCount: view?.itemCount ?? 0,
      keptAt: Date.now(),
      preview: { plans: view?.plans ?? [], entries, pictures },
    });
    return undefined;
  } catch (error) {
    return whyNotKept(error);
  }
}
