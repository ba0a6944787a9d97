import type { DeviceFamily, PictureName } from './name';
import { pictureName, withoutExtension } from './name';
import type { Picture } from './picture';

/** Where a picture is to be shown. */
export interface PictureLook {
  /** Pixels a unit that the screen has. */
  readonly density: number;
  readonly scheme: 'light' | 'dark';
  readonly device: DeviceFamily;
}

interface Variant<P> extends PictureName {
  readonly picture: P;
}

/** Whether a picture's name is one that leads out of the project. Standard: RFC 9110, 4.2. */
export const isAddress = (name: string): boolean => /^https?:\/\//i.test(name);

/** Tells whether a name leads to a picture: one of these, or one at an address, which nobody asks for. */
export function picturesHave(
  pictures: readonly Pick<Picture, 'name'>[],
): (name: string) => boolean {
  const finder = pictureFinder(pictures);
  return (name) => isAddress(name) || finder.has(name);
}

export interface PictureFinder<P = Picture> {
  /** The best picture for a name, which may have an extension; undefined: there is none. */
  best(name: string, look: PictureLook): P | undefined;
  has(name: string): boolean;
}

export function pictureFinder<P extends Pick<Picture, 'name'>>(
  pictures: readonly P[],
): PictureFinder<P> {
  const byName = new Map(pictures.map((picture) => [picture.name, picture]));
  const byBase = new Map<string, Variant<P>[]>();
  for (const picture of pictures) {
    const variant = { ...pictureName(picture.name), picture };
    const beside = byBase.get(variant.base);
    if (beside === undefined) byBase.set(variant.base, [variant]);
    else beside.push(variant);
  }
  const variantsOf = (name: string): readonly Variant<P>[] => {
    const plain = withoutExtension(name);
    const own = byBase.get(plain);
    if (own !== undefined) return own;
    // A variant that is asked for by its whole name is what is wanted.
    const picture = byName.get(name) ?? byName.get(plain);
    return picture === undefined ? [] : [{ ...pictureName(picture.name), picture }];
  };
  return {
    has: (name) => variantsOf(name).length > 0,
    best(name, look) {
      const [first, ...others] = variantsOf(name);
      if (first === undefined) return undefined;
      return others.reduce((best, each) => (isBetter(each, best, look) ? each : best), first)
        .picture;
    },
  };
}

/** The device counts most, then the scheme, then a density that is enough and no more. */
function isBetter(one: PictureName, other: PictureName, look: PictureLook): boolean {
  const ranks = (variant: PictureName): readonly number[] => [
    rank(variant.device, look.device),
    rank(variant.scheme, look.scheme),
    variant.density >= look.density ? variant.density : 100 - variant.density,
  ];
  const [own, theirs] = [ranks(one), ranks(other)];
  const at = own.findIndex((each, index) => each !== theirs[index]);
  return at >= 0 && (own[at] ?? 0) < (theirs[at] ?? 0);
}

/** Made for it, made for all, made for something else. */
const rank = <T>(made: T | undefined, wanted: T): number =>
  made === wanted ? 0 : made === undefined ? 1 : 2;
