import { count, type Finding } from '../../../core/base';
import {
  contentIdOf,
  isDrawable,
  type Picture,
  pictureType,
  withoutExtension,
} from '../../../core/pictures';
import { edits } from '../../../core/project';
import { make } from '../session/editing';
import { goWithin } from '../session/route';
import { useSession } from '../session/session';
import { base64Of } from './base64';

const largestBytes = 5_000_000;

/** Whether a file is a picture, by what is in it. */
export const isPictureFile = async (file: Blob): Promise<boolean> =>
  pictureType(await headOf(file)) !== undefined;

const headOf = async (file: Blob): Promise<Uint8Array> =>
  new Uint8Array(await file.slice(0, 2_000).arrayBuffer());

/** Files become pictures of the project that is open, each under its name; what is none is said. */
export async function bringPictures(files: readonly File[]): Promise<void> {
  const pictures: Picture[] = [];
  const shown = new Map<string, string>();
  const refused: string[] = [];
  for (const file of files) {
    const mediaType = pictureType(await headOf(file));
    const isEndless = mediaType === 'image/svg+xml' && !isDrawable(await file.text());
    if (mediaType === undefined || file.size > largestBytes || isEndless) refused.push(file.name);
    else {
      const base64 = await base64Of(file);
      const content = contentIdOf(base64);
      shown.set(content, base64);
      pictures.push({ name: withoutExtension(file.name), mediaType, content });
    }
  }
  useSession.setState({ notice: refused.length === 0 ? undefined : refusal(refused) });
  if (pictures.length === 0) return;
  // Others may have come while these were read.
  useSession.setState(({ contents }) => ({ contents: new Map([...contents, ...shown]) }));
  make(edits.addPictures(pictures));
  goWithin({ station: 'data', panel: 'pictures' });
}

const refusal = (names: readonly string[]): Finding => ({
  code: 'picture-refused',
  severity: 'error',
  place: { in: 'document', file: names[0] ?? '' },
  message: `${count(names.length, 'file')} ${names.length === 1 ? 'is' : 'are'} no picture that can be shown, larger than ${largestBytes / 1e6} MB, or a drawing that would not end: ${names.slice(0, 5).join(', ')}.`,
  hint: 'SVG, PNG, JPEG, WebP, AVIF and GIF can be shown.',
});
