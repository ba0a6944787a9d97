import {
  type Edit,
  edits,
  type History,
  makeEdit,
  type Project,
  redo,
  undo,
  withId,
} from '../../../core/project';
import { keepSoon } from '../keeping/keep';
import { handAgain } from './at-hand';
import { currentNow } from './current';
import { areLimitsHeld, holdLimits, whyPastLimits } from './limits';
import { engine, showFrame, useSession, wantedRange } from './session';

/** Makes an edit and shows it. Why it can't be made, if it can't: that is said on the page, too. */
export function make(edit: Edit): string | undefined {
  const why = tryToMake(edit);
  if (why !== undefined) refused(edit.name, why);
  return why;
}

/** Why nothing at all can be edited now. */
export function whyNotNow(): string | undefined {
  const { history, reading, keeping } = useSession.getState();
  if (history === undefined) return 'No project is open.';
  if (reading !== undefined) return 'The items are still being read.';
  if (keeping.kind === 'looking') return 'Another tab writes this project.';
  if (keeping.kind === 'handing over') return 'Another tab is taking this project over.';
  return undefined;
}

/** Says on the page why something was not done, if there is a reason. */
export function refused(what: string, why = whyNotNow()): boolean {
  if (why === undefined) return false;
  useSession.setState({
    notice: {
      code: 'edit-refused',
      severity: 'note',
      place: { in: 'project', path: '' },
      message: why,
      hint: `“${what}” was not done; all else is as it was.`,
    },
  });
  return true;
}

/**
 * Other items of a source: the engine makes them, the edit shows them. Nothing is asked of the
 * engine that could not be shown after, and nothing is shown on top of other items than it was
 * asked for.
 */
export async function changeItems(
  source: string,
  what: string,
  ask: () => Promise<number | undefined>,
  edit: (revision: number) => Edit = (revision) => edits.itemsChanged(source, revision, what),
): Promise<boolean> {
  if (refused(what)) return false;
  const before = revisionOf(source);
  const revision = await ask();
  if (revision === undefined) return !refused(what, 'Its item is gone.');
  const isSame = revisionOf(source) === before;
  if (!isSame) return !refused(what, 'The items changed in the same moment.');
  return make(edit(revision)) === undefined;
}

function revisionOf(source: string): number | undefined {
  const { history } = useSession.getState();
  return history && withId(history.project.sources, source)?.revision;
}

export function tryToMake(edit: Edit): string | undefined {
  const { history } = useSession.getState();
  const why = whyNotNow();
  if (why !== undefined || history === undefined) return why;
  const made = makeEdit(history, edit);
  if (!made.ok) return made.error;
  const past = whyPastLimits(history.project, made.value.project);
  if (past !== undefined) return past;
  if (made.value !== history) void showHistory(made.value);
  if (!areLimitsHeld()) holdLimits(takeBackWhatIsPast).catch(() => {});
  return undefined;
}

/** Edits of the first moment are held against the limits once those have come. */
function takeBackWhatIsPast(): void {
  for (;;) {
    const { history } = useSession.getState();
    const first = history?.done[0]?.before;
    if (history === undefined || first === undefined) return;
    const past = whyPastLimits(first, history.project);
    if (past === undefined) return;
    refused(history.done.at(-1)?.name ?? '', past);
    void showHistory({ ...undo(history), undone: [] });
  }
}

/** Why an edit can't be made now: the words for a grey menu entry. */
export function whyNot(edit: Edit): string | undefined {
  const { history } = useSession.getState();
  const why = whyNotNow();
  if (why !== undefined || history === undefined) return why;
  const made = makeEdit(history, edit);
  return made.ok ? whyPastLimits(history.project, made.value.project) : made.error;
}

export function stepBack(): void {
  const { history } = useSession.getState();
  const step = history?.done.at(-1);
  if (history === undefined || step === undefined || refused(`Undo: ${step.name}`)) return;
  void showHistory(undo(history));
}

export function stepForward(): void {
  const { history } = useSession.getState();
  const [step] = history?.undone ?? [];
  if (history === undefined || step === undefined || refused(`Redo: ${step.name}`)) return;
  void showHistory(redo(history));
}

/** A new state of the project: to the window first, then into this browser. Done when its rows are shown. */
export async function showHistory(history: History): Promise<void> {
  useSession.setState({ history, tried: undefined, keeping: { kind: 'keeping' } });
  keepSoon();
  if (await showRows(history)) void handAgain();
}

/** The same of a history whose last step nobody has taken yet: what was there before is kept. */
export async function showTried(history: History, kept: Project): Promise<void> {
  useSession.setState({ history, tried: { history, kept } });
  await showRows(history);
}

/** Whether it is still what is to be shown once its rows have come. */
async function showRows({ project }: History): Promise<boolean> {
  const view = await engine().update(project, wantedRange(), currentNow()?.list?.id);
  if (useSession.getState().history?.project !== project) return false;
  showFrame(view);
  return true;
}
