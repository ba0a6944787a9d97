import { fileNameOf } from '../../../core/project';
import { engine, useSession } from '../session/session';

/** Hands the reader the project as a file, items and all. */
export async function saveAsFile(): Promise<void> {
  const { history, contents } = useSession.getState();
  if (history === undefined) return;
  saveBlob(fileNameOf(history.project), await engine().file(history.project, contents));
}

export function saveText(name: string, text: string, type: string): void {
  saveBlob(name, new Blob([text], { type }));
}

export function saveBlob(name: string, blob: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
