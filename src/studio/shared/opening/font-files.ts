import { count, type Finding } from '../../../core/base';
import { fontFile, fontName, type ProjectFont } from '../../../core/fonts';
import { contentIdOf } from '../../../core/pictures';
import { edits } from '../../../core/project';
import { make } from '../session/editing';
import { goWithin } from '../session/route';
import { useSession } from '../session/session';
import { faceFrom } from '../window/own-fonts';
import { base64Of } from './base64';

const largestBytes = 10_000_000;

/** Whether a file is a font, by what is in it. */
export const isFontFile = async (file: Blob): Promise<boolean> =>
  fontFile(new Uint8Array(await file.slice(0, 4).arrayBuffer())) !== undefined;

/** Files become fonts of the project that is open, each under its name; what is none is said. */
export async function bringFonts(files: readonly File[]): Promise<void> {
  const fonts: ProjectFont[] = [];
  const brought = new Map<string, string>();
  const refused: string[] = [];
  for (const file of files) {
    const base64 = (await isTaken(file)) ? await base64Of(file) : undefined;
    if (base64 === undefined) refused.push(file.name);
    else {
      const content = contentIdOf(base64);
      brought.set(content, base64);
      fonts.push({ name: fontName(file.name), content });
    }
  }
  useSession.setState({ notice: refused.length === 0 ? undefined : refusal(refused) });
  if (fonts.length === 0) return;
  // Others may have come while these were read.
  useSession.setState(({ contents }) => ({ contents: new Map([...contents, ...brought]) }));
  make(edits.addFonts(fonts));
  goWithin({ station: 'templates', panel: 'styles' });
}

async function isTaken(file: Blob): Promise<boolean> {
  if (file.size > largestBytes || !(await isFontFile(file))) return false;
  return faceFrom('trial', await file.arrayBuffer()).then(
    () => true,
    () => false,
  );
}

const refusal = (names: readonly string[]): Finding => ({
  code: 'font-refused',
  severity: 'error',
  place: { in: 'document', file: names[0] ?? '' },
  message: `${count(names.length, 'file')} ${names.length === 1 ? 'is' : 'are'} no font that can be drawn, or larger than ${largestBytes / 1e6} MB: ${names.slice(0, 5).join(', ')}.`,
  hint: 'TTF, OTF, WOFF and WOFF2 files with one font each can be drawn.',
});
