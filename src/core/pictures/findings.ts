import { clipped, count, type Finding } from '../base';
import { pictureName } from './name';
import type { Picture, PictureContents } from './picture';

const named = (picture: string) => ({ in: 'project', path: `pictures/${picture}` }) as const;

/** Pictures whose content is not there. */
export const withoutContent = (
  pictures: readonly Picture[],
  contents: PictureContents,
): Finding[] =>
  pictures
    .filter(({ content }) => !contents.has(content))
    .map((picture) => ({
      code: 'picture-without-content',
      severity: 'error',
      place: named(picture.name),
      message: clipped(`What the picture "${picture.name}" shows is not in the file.`),
      hint: 'Add it again.',
    }));

/** Pictures that lack a density which others have. Drawings that scale need one file; the others want every density that the project uses. */
export function pictureFindings(pictures: readonly Picture[]): Finding[] {
  const groups = new Map<string, Set<number>>();
  for (const { name, mediaType } of pictures) {
    if (mediaType === 'image/svg+xml') continue;
    const { base, density, scheme, device } = pictureName(name);
    const key = [base, scheme, device].filter((each) => each !== undefined).join('~');
    groups.set(key, (groups.get(key) ?? new Set()).add(density));
  }
  const used = [...new Set([...groups.values()].flatMap((each) => [...each]))].sort();
  return [...groups].flatMap(([name, densities]) => {
    const lacking = used.filter((density) => !densities.has(density));
    if (lacking.length === 0) return [];
    const others = [...groups.values()].filter((each) => lacking.every((one) => each.has(one)));
    return [
      {
        code: 'picture-density-missing',
        severity: 'note',
        place: named(name),
        message: `"${name}" has no ${lacking.map((each) => `@${each}x`).join(' or ')} picture, as ${count(others.length, 'other')} ${others.length === 1 ? 'has' : 'have'}.`,
        hint: 'On such screens the next best one is scaled.',
      } satisfies Finding,
    ];
  });
}
