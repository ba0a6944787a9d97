import { type Edit, type History, makeEdit, redo, undo } from '../../core/project';
import { handAgain } from './at-hand';
import { currentNow } from './current';
import { keepSoon } from './keep';
import { engine, useSession, wantedRange } from './session';

/** Makes an edit and shows it. Why it can't be made, if it can't: that is said on the page, too. */
export function make(edit: Edit): string | undefined {
  const why = tryToMake(edit);
  if (why !== undefined) {
    useSession.setState({
      notice: {
        code: 'edit-refused',
        severity: 'note',
        place: { in: 'project', path: '' },
        message: why,
        hint: `“${edit.name}” was not done; all else is as it was.`,
      },
    });
  }
  return why;
}

function tryToMake(edit: Edit): string | undefined {
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
    .update(project, wantedRange(), currentNow()?.list?.id)
    .then((view) => {
      if (useSession.getState().history?.project !== project) return;
      useSession.setState({ view });
      void handAgain();
    });
  keepSoon();
}
