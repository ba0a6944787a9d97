import { freeId, slug } from '../../../core/base';
import { type Project, startHistory } from '../../../core/project';
import type { Frame, ProjectRead, SourceDocument } from '../../../engine';
import { forgetWriting, keepNow, keepWaiting, keptHere } from '../keeping/keep';
import { giveLockBack, takeLock } from '../keeping/one-writer';
import { forgetWish, handAgain, handFirst, handItem } from '../session/at-hand';
import { showHistory } from '../session/editing';
import { followAll, followNothing } from '../session/following';
import { go, useRoute } from '../session/route';
import {
  endEngine,
  engine,
  noSession,
  onFirstRows,
  useSession,
  wantedRange,
} from '../session/session';
import { freeTurns, opening } from '../session/turns';

/** What a document is called in messages. */
export const documentName = (document: SourceDocument): string =>
  'file' in document ? document.name : document.address;

export const demoId = 'thrumwick';
const demoFile = '/demo/thrumwick.yarncard.json';
/** Brings a document: items become a new project, a project file is opened. Either way it is shown and kept. */
export function bring(document: SourceDocument): Promise<void> {
  return opening.take(() => bringNow(document));
}

async function bringNow(document: SourceDocument): Promise<void> {
  await keepWaiting();
  const file = documentName(document);
  useSession.setState({ reading: { file, share: 0 }, notice: undefined });
  let shownFirst: string | undefined;
  onFirstRows((first, view) => {
    shownFirst = newId(first.project);
    show(shownFirst, first, view);
  });
  const brought = await engine().bring(document, { from: 0, to: 40 });
  if (!brought.ok) {
    useSession.setState({ reading: undefined, notice: brought.error });
    if (shownFirst !== undefined) leave(brought.error);
    return;
  }
  const { brought: what, view } = brought.value;
  const id = shownFirst ?? (await freeProjectId(what.project));
  show(id, what, view);
  useSession.setState({
    reading: undefined,
    readFindings: what.findings,
    keeping: { kind: 'keeping' },
  });
  await takeLock(id);
  await keepNow();
  if ('address' in document) followAll();
}

/** Opens a project that this browser keeps, for the address that names it. */
export function openKept(id: string): Promise<void> {
  return opening.take(() => openKeptNow(id));
}

async function openKeptNow(id: string): Promise<void> {
  const { route } = useRoute.getState();
  // The address may have moved on while this waited for its turn.
  if (route.page !== 'project' || route.id !== id || useSession.getState().id === id) return;
  await keepWaiting();
  forgetWish();
  useSession.setState({ ...noSession, id, reading: { file: '', share: 0 } });
  onFirstRows(({ project, contents }, view) => {
    if (useSession.getState().id === id)
      useSession.setState({ history: startHistory(project), contents, view });
  });
  const opened = await engine().open(id, wantedRange());
  if (useSession.getState().id !== id) return;
  const kept = opened.ok ? opened.value : undefined;
  if (kept === undefined) {
    if (id === demoId) await openDemo();
    else useSession.setState({ ...noSession, id, isNowhere: true });
    if (!opened.ok) useSession.setState({ keeping: { kind: 'failed', reason: opened.error } });
    return;
  }
  const { loadsOutside, contents, view } = kept;
  useSession.setState({ history: startHistory(kept.project), contents, view, loadsOutside });
  await takeLock(id, kept.keptAt);
  // Until it is known who writes, nothing can be edited.
  if (useSession.getState().id !== id) return;
  useSession.setState({ reading: undefined });
  await handFirst(itemInAddress());
}

/**
 * The engine did not answer any more: another one is started and reads what is kept. Edits that
 * were not kept yet are shown again, unless they are of items that only the old one had.
 */
export async function beginAnew(): Promise<void> {
  const { id, history } = useSession.getState();
  endEngine();
  freeTurns();
  forgetWriting();
  if (id === undefined) return;
  useSession.setState({ id: undefined });
  await openKept(id);
  const now = useSession.getState().history?.project;
  if (history === undefined || now === undefined || history.project === now) return;
  const revisions = ({ sources }: Project) =>
    JSON.stringify(sources.map((source) => [source.id, source.revision ?? 0]));
  if (revisions(history.project) === revisions(now)) showHistory(history);
}

/** The demo, read from its file and kept like any other project. */
async function openDemo(): Promise<void> {
  forgetWish();
  const file = await demoBlob();
  const brought = await engine().bring(
    { file, name: 'thrumwick.yarncard.json' },
    { from: 0, to: 40 },
  );
  if (!brought.ok) return useSession.setState({ reading: undefined, notice: brought.error });
  const { project, contents } = brought.value.brought;
  useSession.setState({
    ...noSession,
    id: demoId,
    history: startHistory(project),
    contents,
    view: brought.value.view,
    keeping: { kind: 'keeping' },
  });
  await takeLock(demoId);
  await keepNow();
  await handFirst(itemInAddress());
}

/** The start page: what was open is let go, and on the first visit the demo is put among the projects. */
export function atStart(): Promise<void> {
  return opening.take(async () => {
    await letGo();
    const { keptProjects, removedProjects, whyNotKept } = await keptHere();
    try {
      const all = [...(await keptProjects()), ...(await removedProjects())];
      if (all.length > 0) return;
    } catch (error) {
      return useSession.setState({ keeping: { kind: 'failed', reason: whyNotKept(error) } });
    }
    await openDemo();
    await letGo();
  });
}

/** Gives the project free for other tabs, unless this page is all that has it. */
async function letGo(): Promise<void> {
  await keepWaiting();
  followNothing();
  if (useSession.getState().keeping.kind === 'failed') return;
  void giveLockBack();
  const { notice } = useSession.getState();
  useSession.setState({ ...noSession, notice });
}

async function demoBlob(): Promise<Blob> {
  const answer = await fetch(demoFile);
  return answer.blob();
}

/** The first rows open the project; the whole takes their place and leaves the rest as it is. */
function show(id: string, { project, contents, isFile }: ProjectRead, view: Frame): void {
  // What came with it is still asked about.
  const { id: shown, reading, arrived } = useSession.getState();
  if (shown === id) {
    useSession.setState({ history: startHistory(project), contents, view });
    void handAgain();
    return;
  }
  const history = startHistory(project);
  // A file from elsewhere asks for no picture outside by itself.
  const loadsOutside = !isFile;
  const own = { id, history, contents, view, loadsOutside };
  useSession.setState({ ...noSession, reading, arrived, ...own });
  go({ page: 'project', id, station: 'data' });
  void handItem(0);
}

/** The document turned out to be faulty after its first rows were shown. */
function leave(notice: ReturnType<typeof useSession.getState>['notice']): void {
  useSession.setState({ ...noSession, notice });
  go({ page: 'start' }, 'replace');
}

function itemInAddress(): number {
  const { route } = useRoute.getState();
  return route.page === 'project' ? (route.item ?? 0) : 0;
}

const newId = (project: Project): string =>
  `${slug(project.name)}-${Date.now().toString(36).slice(-5)}`;

async function freeProjectId(project: Project): Promise<string> {
  const { keptProjects } = await keptHere();
  const kept = await keptProjects().catch(() => []);
  return freeId(
    newId(project),
    kept.map((each) => each.kept.id),
  );
}
