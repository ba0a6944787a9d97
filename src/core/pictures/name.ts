/** The families of devices that a picture can be made for. */
export const deviceFamilies = ['phone', 'tablet', 'desktop'] as const;
export type DeviceFamily = (typeof deviceFamilies)[number];

/** What a picture's name says: `mill@2x~dark` is `mill` for screens of two pixels a unit, in dark. */
export interface PictureName {
  readonly base: string;
  /** Pixels a unit. */
  readonly density: number;
  readonly scheme: 'light' | 'dark' | undefined;
  readonly device: DeviceFamily | undefined;
}

const ending = /(?:@(?<density>[1-4])x|~(?<scheme>light|dark)|~(?<device>phone|tablet|desktop))$/;
const extension = /\.(?:svg|png|jpe?g|webp|avif|gif)$/i;

/** Each ending once, in any order; what else the name has belongs to its base. */
export function pictureName(name: string): PictureName {
  let base = withoutExtension(name);
  let density: number | undefined;
  let scheme: PictureName['scheme'];
  let device: PictureName['device'];
  for (let found = ending.exec(base); found !== null; found = ending.exec(base)) {
    const said = found.groups ?? {};
    const isSaidTwice =
      (said['density'] !== undefined && density !== undefined) ||
      (said['scheme'] !== undefined && scheme !== undefined) ||
      (said['device'] !== undefined && device !== undefined);
    if (isSaidTwice || found.index === 0) break;
    if (said['density'] !== undefined) density = Number(said['density']);
    if (said['scheme'] !== undefined) scheme = said['scheme'] === 'dark' ? 'dark' : 'light';
    device ??= deviceFamilies.find((each) => each === said['device']);
    base = base.slice(0, found.index);
  }
  return { base, density: density ?? 1, scheme, device };
}

/** A name, or the name of a file, without what says its format: the picture itself tells that. */
export const withoutExtension = (name: string): string =>
  name.replace(/^.*[\\/]/, '').replace(extension, '');
