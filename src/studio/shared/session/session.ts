import { create, type StoreApi } from 'zustand';
import type { Finding } from '../../../core/base';
import { withKnown } from '../../../core/lists';
import type { PictureContents } from '../../../core/pictures';
import {
  type Edit,
  forgetRevision,
  type History,
  type Project,
  type UsedIds,
} from '../../../core/project';
import type {
  EngineEvent,
  EntryRange,
  FollowNews,
  Frame,
  ImportSummary,
  ItemAtHand,
  ProjectRead,
  SourceDocument,
  Survey,
  TemplateSurvey,
} from '../../../engine';
import { type EngineClient, type RunningEngine, startEngine } from '../../../engine/client';

/** Whether this browser holds what is on screen. */
export type Keeping =
  /** Looking: another tab writes. Handing over: another tab is about to. */
  | { readonly kind: 'kept' | 'keeping' | 'looking' | 'handing over' }
  | { readonly kind: 'failed'; readonly reason: string };

/** How a source that is followed fares. */
export interface Followed {
  /** When something was heard last, as milliseconds. */
  readonly heardAt: number | undefined;
  readonly addedCount: number;
  readonly changedCount: number;
  readonly removedCount: number;
  readonly trouble: Finding | undefined;
}

/** An import of which nothing is taken up yet. */
export interface DoubtedImport {
  readonly source: string;
  readonly document: SourceDocument;
  readonly summary: ImportSummary;
}

export interface Foreseen {
  readonly edit: Edit;
  readonly findings: readonly Finding[];
  /** What could be done in its place. */
  readonly instead: readonly Edit[];
  /** What comes after the edit. */
  readonly done: () => void;
}

/** The one project that is open, as all screens see it. */
export interface Session {
  readonly id: string | undefined;
  readonly history: History | undefined;
  /** What is shown but only tried, and the project that is kept meanwhile. */
  readonly tried: { readonly history: History; readonly kept: Project } | undefined;
  readonly view: Frame | undefined;
  /** Counts over all items, as of the version that they were taken for. */
  readonly survey: Survey & { readonly edition: number };
  /** What was noticed while the items were read. */
  readonly readFindings: readonly Finding[];
  readonly keeping: Keeping;
  readonly reading: { readonly file: string; readonly share: number } | undefined;
  readonly notice: Finding | undefined;
  readonly atHand: ItemAtHand | undefined;
  /** The set that is shown in the place of a source's own items. */
  readonly sets: Readonly<Record<string, string>>;
  /** Documents that came while a project was open: what becomes of each is asked, one after another. */
  readonly arrived: readonly SourceDocument[];
  /** An import that would remove most items of a source: what becomes of them is asked. */
  readonly doubted: DoubtedImport | undefined;
  /** What the last import of a source changed. */
  readonly imported: { readonly source: string; readonly summary: ImportSummary } | undefined;
  /** An edit that would make something wrong: whether it is made is asked. */
  readonly foreseen: Foreseen | undefined;
  /** How the sources fare whose items keep coming. */
  readonly followed: Readonly<Record<string, Followed>>;
  /** The address names a project that this browser does not have. */
  readonly isNowhere: boolean;
  /** Whether the project's pictures may come from addresses outside: one from elsewhere asks first. */
  readonly loadsOutside: boolean;
  /** What the project's pictures show, those too that undo may bring back. */
  readonly contents: PictureContents;
  /** How often more was measured than before: what hangs on it is asked anew. */
  readonly measuredCount: number;
  /** The worker that has the items does not answer. */
  readonly isEngineSilent: boolean;
}

/** A session's start. The counts stay: they carry the version that they belong to. */
export const noSession: Omit<Session, 'survey'> = {
  id: undefined,
  history: undefined,
  tried: undefined,
  view: undefined,
  readFindings: [],
  keeping: { kind: 'kept' },
  reading: undefined,
  notice: undefined,
  atHand: undefined,
  sets: {},
  arrived: [],
  doubted: undefined,
  imported: undefined,
  foreseen: undefined,
  followed: {},
  isNowhere: false,
  loadsOutside: true,
  contents: new Map(),
  measuredCount: 0,
  isEngineSilent: false,
};

const noSurvey: Survey = { templates: [], findings: [] };

/** Who shows something takes that, not the whole: it is drawn again when that changes only. */
type PartsOf<State> = Pick<StoreApi<State>, 'getState' | 'setState' | 'subscribe'> &
  (<Part>(part: (state: State) => Part) => Part);

export const useSession: PartsOf<Session> = create<Session>()(() => ({
  ...noSession,
  survey: { edition: -1, ...noSurvey },
}));

/**
 * The session without what is only being tried, by a drag say, as it was before. What shows neither
 * rows nor what is done to them takes its parts from here, and stands still meanwhile.
 */
export const useKept: PartsOf<Session> = create<Session>()(() => useSession.getState());
useSession.subscribe((session) => {
  if (!isTrying(session)) useKept.setState(session, true);
});

/** Whether what is shown is only tried: what another tab wrote meanwhile, or another project, is not. */
export function isTrying({ tried, history }: Session): boolean {
  return tried !== undefined && tried.history === history;
}

/** The counts for what is on screen; none while they are taken for the first time of an edition. */
export const surveyOf = ({ view, survey }: Session): Survey =>
  view?.edition === survey.edition ? survey : noSurvey;

export const surveysOf = (session: Session): readonly TemplateSurvey[] =>
  surveyOf(session).templates;

export const useProject = (): Project | undefined => useKept((session) => session.history?.project);

/** The project with what is being tried. */
export const useTriedProject = (): Project | undefined =>
  useSession((session) => session.history?.project);

/** Ids that new things of the open project may not get. */
export function usedIds(): UsedIds {
  const { history } = useSession.getState();
  if (history === undefined) throw new Error('No project is open.');
  return history.used;
}

let running: RunningEngine | undefined;

/** The engine of this page, started when it is first needed. */
export function engine(): EngineClient {
  running ??= startEngine(heard, () => useSession.setState({ isEngineSilent: true }));
  return running.client;
}

/** Ends an engine that does not answer; another one is started when it is next needed. */
export function endEngine(): void {
  running?.end();
  running = undefined;
  useSession.setState({ isEngineSilent: false });
}

function heard(event: EngineEvent): void {
  switch (event.kind) {
    case 'first':
      firstListener(event.brought, event.view);
      break;
    case 'progress':
      useSession.setState(({ reading }) => ({
        reading: reading && { ...reading, share: event.share },
      }));
      break;
    case 'beside':
      besideListener(event.frame);
      break;
    case 'measured':
      useSession.setState(({ measuredCount }) => ({ measuredCount: measuredCount + 1 }));
      void engine()
        .look(wantedRange())
        .then((frame) => frame.version === useSession.getState().view?.version && showFrame(frame));
      break;
    case 'followed':
      newsListener(event.news);
      break;
    case 'forgot':
      useSession.setState(({ history }) => ({
        history: history && forgetRevision(history, event.source, event.revision),
      }));
      break;
    case 'survey':
      useSession.setState({ survey: event });
      break;
  }
}

let firstListener: (brought: ProjectRead, view: Frame) => void = () => {};

/** Who takes the first rows while the rest is still being read. */
export function onFirstRows(listener: (brought: ProjectRead, view: Frame) => void): void {
  firstListener = listener;
}

let besideListener: (frame: Frame) => void = () => {};

/** Who takes frames of the window beside. */
export function onBeside(listener: (frame: Frame) => void): void {
  besideListener = listener;
}

let newsListener: (news: FollowNews) => void = () => {};

/** Who takes what came for a source that is followed. */
export function onNews(listener: (news: FollowNews) => void): void {
  newsListener = listener;
}

let wanted: () => EntryRange = () => ({ from: 0, to: 40 });

/** The entries that the window shows now: every answer of the engine begins with them. */
export const wantedRange = (): EntryRange => {
  const sequence = useSession.getState().view?.sequence;
  if (sequence === undefined) return wanted();
  const { id, heightsId } = sequence;
  return { ...wanted(), sequence: { id, heightsId } };
};

/** Shows what the engine answered; lines and heights that were sent before are not sent again. */
export function showFrame(frame: Frame): void {
  useSession.setState(({ view }) => ({ view: withLines(frame, view) }));
}

export const withLines = (frame: Frame, before: Frame | undefined): Frame => ({
  ...frame,
  sequence: withKnown(frame.sequence, before?.sequence),
});

export function setWantedRange(range: () => EntryRange): void {
  wanted = range;
}
