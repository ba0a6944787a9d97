import { type Edit, foresee } from '../../core/project';
import { make } from './editing';
import { useSession } from './session';

/** Makes an edit, but where it would make something wrong, that is shown before. */
export function makeForeseen(edit: Edit, done: () => void = () => {}): void {
  const { history } = useSession.getState();
  const foreseen = history === undefined ? undefined : foresee(history.project, edit);
  if (foreseen?.ok && foreseen.value.length > 0)
    useSession.setState({ foreseen: { edit, findings: foreseen.value, done } });
  else if (make(edit) === undefined) done();
}
