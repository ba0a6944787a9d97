import { useEffect } from 'react';
import type { ProjectFont } from '../../../core/fonts';
import { contentsFor, type PictureContents } from '../../../core/pictures';
import { ownFace } from '../../../core/text';
import { engine, showFrame, useSession, wantedRange } from '../session/session';

/** The faces that were made, by the ids of contents: they stay, undo may bring them back. */
const made = new Map<string, Promise<void>>();

/** A font's file as a face; rejected where the browser takes it for none. */
export function faceFrom(content: string, file: BufferSource): Promise<FontFace> {
  // It draws every weight: who wants another one names another font.
  return new FontFace(ownFace(content), file, { weight: '100 900' }).load();
}

function faceOf(content: string, base64: string): Promise<void> {
  const known = made.get(content);
  if (known !== undefined) return known;
  const bytes = Uint8Array.from(atob(base64), (char) => char.charCodeAt(0));
  // What can't be drawn is drawn in the faces that every project has, and measured so.
  const making = faceFrom(content, bytes)
    .then((face) => void document.fonts.add(face))
    .catch(() => {});
  made.set(content, making);
  return making;
}

/** Has the open project's own fonts drawn, and its texts measured in them. */
export function useOwnFonts(): void {
  const id = useSession((session) => session.id);
  const fonts = useSession((session) => session.history?.project.fonts);
  const contents = useSession((session) => session.contents);
  const isRead = useSession(({ view, reading }) => view !== undefined && reading === undefined);
  const isSilent = useSession((session) => session.isEngineSilent);
  const key = fonts?.map(({ content }) => content).join() ?? '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: another project, or another engine, has none yet
  useEffect(() => {
    if (!isRead || (key === '' && given === '')) return;
    given = key;
    const files = contentsFor(fonts ?? [], contents);
    void Promise.all([...files].map(([content, base64]) => faceOf(content, base64)))
      .then(() => engine().giveFonts(files, wantedRange()))
      .then(showFrame);
  }, [key, id, isRead, isSilent]);
}

/** Has the fonts of a project drawn that is not open; without a file, others are in its place. */
export function useFontsOf(
  fonts: readonly ProjectFont[] | undefined,
  contents: PictureContents,
): void {
  useEffect(() => {
    for (const [content, base64] of contentsFor(fonts ?? [], contents))
      void faceOf(content, base64);
  }, [fonts, contents]);
}

/** What the engine was given last. */
let given = '';
