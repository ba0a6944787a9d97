import { contentIdOf, type Picture } from '../../../core/pictures';
import { type Edit, edits, inOneStep } from '../../../core/project';
import { fetched } from '../controls/on-demand';
import { useSession } from '../session/session';
import { iconDrawing } from './icon-drawing';

/** The bundled icons: what is drawn of each, by its name. */
export type Icons = ReadonlyMap<string, string>;

let icons: Promise<Icons> | undefined;

/** Comes when it is first wanted; nothing is asked of anybody else. */
export function loadIcons(): Promise<Icons> {
  icons ??= fetched(async () => {
    const answer = await fetch('/icons/icons.json');
    const all: unknown = await answer.json();
    const entries = Object.entries(typeof all === 'object' && all !== null ? all : {});
    return new Map(entries.filter((each): each is [string, string] => typeof each[1] === 'string'));
  }).catch((reason) => {
    icons = undefined;
    throw reason;
  });
  return icons;
}

/** Names that begin so, then those with a word that does, short ones first. */
export function iconsNamed(all: Icons, typed: string, max: number): readonly string[] {
  const words = typed.trim().toLowerCase().replace(/\s+/g, '-');
  const rank = (name: string) =>
    name.startsWith(words) ? 0 : name.includes(`-${words}`) ? 1 : undefined;
  return [...all.keys()]
    .flatMap((name) => {
      const own = rank(name);
      return own === undefined ? [] : [{ name, own }];
    })
    .sort((one, other) => one.own - other.own || one.name.length - other.name.length)
    .slice(0, max)
    .map(({ name }) => name);
}

/** Icons become pictures of the project that is open, in one step with what needs them. */
export function withIcons(all: Icons, names: readonly string[], then: readonly Edit[]): Edit {
  const shown = new Map<string, string>();
  const pictures = names.flatMap((name): Picture[] => {
    const inside = all.get(name);
    if (inside === undefined) return [];
    const base64 = btoa(iconDrawing(inside));
    const content = contentIdOf(base64);
    shown.set(content, base64);
    return [{ name, mediaType: 'image/svg+xml', content }];
  });
  useSession.setState(({ contents }) => ({ contents: new Map([...contents, ...shown]) }));
  const [only] = names;
  const what = names.length === 1 && only !== undefined ? `Icon ${only}` : `${names.length} icons`;
  return inOneStep(what, [edits.addPictures(pictures), ...then]);
}
