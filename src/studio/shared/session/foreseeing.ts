import type { Finding } from '../../../core/base';
import { type Edit, foresee } from '../../../core/project';
import { make, whyNotNow } from './editing';
import { useSession } from './session';

/** Makes an edit, but where it would make something wrong, or `goes` with it, that is shown before, with what could be done `instead`. */
export function makeForeseen(
  edit: Edit,
  done: () => void = () => {},
  goes: readonly Finding[] = [],
  instead: readonly Edit[] = [],
): void {
  const { history } = useSession.getState();
  const foreseen = history === undefined ? undefined : foresee(history.project, edit);
  const findings = foreseen?.ok ? [...goes, ...foreseen.value] : [];
  if (findings.length > 0 && whyNotNow() === undefined)
    useSession.setState({ foreseen: { edit, findings, instead, done } });
  else if (make(edit) === undefined) done();
}
