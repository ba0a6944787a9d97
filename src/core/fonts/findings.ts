import { clipped, type Finding } from '../base';
import type { ProjectFont } from './font';

/** Fonts whose files are not there. */
export const fontFindings = (
  fonts: readonly ProjectFont[],
  contents: ReadonlyMap<string, string>,
): readonly Finding[] =>
  fonts
    .filter(({ content }) => !contents.has(content))
    .map(({ name }) => ({
      code: 'font-without-content',
      severity: 'error',
      place: { in: 'project', path: `fonts/${name}` },
      message: clipped(`The file of the font "${name}" is not in the project file.`),
      hint: 'Add it again. Until then its texts are drawn in the faces that every project has.',
    }));
