import { fileNameOf } from '../../core/project';
import { engine, useSession } from './session';

/** Hands the reader the project as a file, items and all. */
export async function saveAsFile(): Promise<void> {
  const { history } = useSession.getState();
  if (history === undefined) return;
  const blob = await engine().file(history.project);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = fileNameOf(history.project);
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
