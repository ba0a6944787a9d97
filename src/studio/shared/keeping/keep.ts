import { contentsFor, type PictureContents } from '../../../core/pictures';
import { contentsNamed } from '../../../core/project';
import type { KeepAnswer } from '../../../engine';
import { fetched } from '../controls/on-demand';
import { engine, useSession } from '../session/session';
import { picturesFor } from '../window/pictures';

/** The database's code comes after the first rows: the engine has its own to read them with. */
export const keptHere = () => fetched(() => import('../../../keeping'));

/** What tells this page from others that have the same project open. */
export const pageId = `${Date.now().toString(36)}${Math.random().toString(36).slice(2, 8)}`;

const restMs = 300;
/** So that with the writing itself nothing stands unkept for more than a second. */
const latestMs = 500;
const liveMs = 3_000;
const retryAfterMs = 10_000;

let timer: ReturnType<typeof setTimeout> | undefined;
/** When what changed first has to be kept. */
let dueAt = Number.POSITIVE_INFINITY;
let running: Promise<void> | undefined;
let next: Promise<void> | undefined;

/** Keeps the project shortly after an edit; while edits go on and on, in the midst of them. */
export function keepSoon(): void {
  useSession.setState(({ keeping }) =>
    keeping.kind === 'kept' ? { keeping: { kind: 'keeping' } } : {},
  );
  dueAt = Math.min(dueAt, Date.now() + latestMs);
  keepAt(Math.min(dueAt, Date.now() + restMs));
}

/** What keeps coming is kept every few seconds, not after the last of it: that may never come. */
export function keepInTime(): void {
  if (timer !== undefined) return;
  dueAt = Math.min(dueAt, Date.now() + liveMs);
  keepAt(dueAt);
}

function keepAt(time: number): void {
  clearTimeout(timer);
  timer = setTimeout(() => void keepNow(), time - Date.now());
}

/** Something here is not kept yet. */
export const isUnkept = (): boolean => timer !== undefined || running !== undefined;

/** A writing that will never end is no longer waited for. */
export function forgetWriting(): void {
  running = undefined;
  next = undefined;
}

/** What still waits to be kept is kept at once: before another project is opened, or the page left. */
export async function keepWaiting(): Promise<void> {
  if (isUnkept()) await keepNow();
}

window.addEventListener('pagehide', () => void keepWaiting());
document.addEventListener('visibilitychange', () => {
  if (document.hidden) void keepWaiting();
});

/** Keeps project and items; a failure is said and tried again. One writing at a time. */
export function keepNow(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  dueAt = Number.POSITIVE_INFINITY;
  if (running === undefined) {
    const own = keepOnce().finally(() => {
      if (running === own) running = undefined;
    });
    running = own;
    return own;
  }
  next ??= running.then(() => {
    next = undefined;
    return keepNow();
  });
  return next;
}

async function keepOnce(): Promise<void> {
  const { id, keeping } = useSession.getState();
  const record = id === undefined ? undefined : recordNow(id);
  if (record === undefined || keeping.kind === 'looking') return;
  const sent = contentsSince(record);
  const answer = await engine().keep(record, sent).catch(brokenOff);
  if (answer.kind === 'kept') keptLast = { id: record.id, contents: contentsKept(record, sent) };
  if (useSession.getState().id !== id) return;
  switch (answer.kind) {
    case 'kept':
      settled();
      break;
    case 'failed':
      useSession.setState({ keeping: answer });
      keepAt(Date.now() + retryAfterMs);
      break;
    case 'taken over':
      lostListener();
      break;
  }
}

/** What was kept last of what pictures show. */
let keptLast: { readonly id: string; readonly contents: ReadonlySet<string> } | undefined;

type Kept = NonNullable<ReturnType<typeof recordNow>>;

/** What the browser has of the project's contents once these were sent. */
const contentsKept = ({ id, project }: Kept, sent: PictureContents): ReadonlySet<string> => {
  const before = keptLast?.id === id ? keptLast.contents : new Set();
  const used = contentsNamed(project).map(({ content }) => content);
  return new Set(used.filter((content) => sent.has(content) || before.has(content)));
};

/** What of pictures and fonts the browser has not kept: megabytes, that need not go at each edit. */
function contentsSince({ id, project }: Kept): PictureContents {
  const known = keptLast?.id === id ? keptLast.contents : new Set();
  const since = contentsNamed(project).filter(({ content }) => !known.has(content));
  return contentsFor(since, useSession.getState().contents);
}

const brokenOff = (error: unknown): KeepAnswer => ({
  kind: 'failed',
  reason: `This browser did not keep it (${error instanceof Error ? error.message : String(error)}). Save the project as a file.`,
});

function settled(): void {
  const { kind } = useSession.getState().keeping;
  const isSettled = timer === undefined && next === undefined;
  if (isSettled && (kind === 'keeping' || kind === 'failed'))
    useSession.setState({ keeping: { kind: 'kept' } });
}

let lostListener: () => void = () => {};

/** Who is told that another page wrote the project in the place of this one. */
export function onTakenOver(listener: () => void): void {
  lostListener = listener;
}

function recordNow(id: string) {
  const { history, tried, view, loadsOutside } = useSession.getState();
  if (history === undefined) return undefined;
  const project = tried?.history === history ? tried.kept : history.project;
  const itemCount = view?.itemCount ?? 0;
  return { id, project, itemCount, writer: pageId, loadsOutside, preview: previewNow() };
}

/** The first rows; undefined while others are on screen. */
function previewNow() {
  const { history, view } = useSession.getState();
  if (history === undefined || view === undefined || view.places[0] !== 0) return undefined;
  const entries = view.entries.slice(0, 4);
  const words = entries
    .flatMap((entry) => entry.values)
    .filter((value) => typeof value === 'string');
  const pictures = picturesFor(history.project.pictures, new Set(words));
  return { plans: view.plans, entries, pictures };
}
