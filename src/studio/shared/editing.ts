import { type Edit, type History, makeEdit, redo, undo } from '../../core/project';
import { keepProject, whyNotKept } from '../../keeping';
import { handItem } from './at-hand';
import { engine, useSession, wantedRange } from './session';

const keepAfterMs = 300;
let keepTimer: ReturnType<typeof setTimeout> | undefined;

/** Makes an edit and shows it. Why it can't be made, if it can't. */
export function make(edit: Edit): string | undefined {
  const { history, reading } = useSession.getState();
  if (history === undefined) return 'No project is open.';
  if (reading !== undefined) return 'The items are still being read.';
  const made = makeEdit(history, edit);
  if (!made.ok) return made.error;
  if (made.value !== history) take(made.value);
  return undefined;
}

/** Why an edit can't be made now: the words for a grey menu entry. */
export function whyNot(edit: Edit): string | undefined {
  const { history } = useSession.getState();
  if (history === undefined) return 'No project is open.';
  const made = makeEdit(history, edit);
  return made.ok ? undefined : made.error;
}

export function stepBack(): void {
  const { history } = useSession.getState();
  if (history !== undefined && history.done.length > 0) take(undo(history));
}

export function stepForward(): void {
  const { history } = useSession.getState();
  if (history !== undefined && history.undone.length > 0) take(redo(history));
}

/** A new state of the project: to the window first, then into this browser. */
function take(history: History): void {
  useSession.setState(({ keeping }) => ({
    history,
    keeping: keeping.kind === 'looking' ? keeping : { kind: 'keeping' },
  }));
  const { project } = history;
  void engine()
    .update(project, wantedRange())
    .then((view) => {
      if (useSession.getState().history?.project !== project) return;
      useSession.setState({ view });
      void handItem(useSession.getState().atHand?.item ?? 0);
    });
  clearTimeout(keepTimer);
  keepTimer = setTimeout(() => void keepNow(), keepAfterMs);
}

/** Writes the project's record; its items are written when they come. */
export async function keepNow(): Promise<void> {
  const { id, history, view, keeping } = useSession.getState();
  if (id === undefined || history === undefined || keeping.kind === 'looking') return;
  const { project } = history;
  const entries = view?.entriesFrom === 0 ? view.entries.slice(0, 4) : [];
  const pictures = project.pictures.filter((picture) =>
    entries.some((entry) => entry.texts.includes(picture.name)),
  );
  try {
    await keepProject({
      id,
      project,
      itemCount: view?.itemCount ?? 0,
      keptAt: Date.now(),
      preview: { plans: view?.plans ?? [], entries, pictures },
    });
    if (useSession.getState().history?.project === project)
      useSession.setState({ keeping: { kind: 'kept' } });
  } catch (error) {
    useSession.setState({ keeping: { kind: 'failed', reason: whyNotKept(error) } });
  }
}
