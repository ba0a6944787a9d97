import { useMemo } from 'react';
import { create } from 'zustand';
import {
  contentOf,
  isAddress,
  isDrawable,
  type Picture,
  type PictureKept,
  type PictureLook,
  pictureFinder,
} from '../../core/pictures';
import type { Pictures } from '../../render';
import { useSession } from './session';
import { useWindow } from './window-settings';

const outsideKey = 'yarn-card/outside-pictures';

/** Whether pictures are loaded from addresses outside. */
export const useOutside = create<{ readonly isAllowed: boolean }>()(() => ({
  isAllowed: kept() !== 'no',
}));

export function allowOutside(isAllowed: boolean): void {
  useOutside.setState({ isAllowed });
  try {
    localStorage.setItem(outsideKey, isAllowed ? 'yes' : 'no');
  } catch {
    // Where nothing may be kept, it holds until the page is left.
  }
}

function kept(): string | null {
  try {
    return localStorage.getItem(outsideKey);
  } catch {
    return null;
  }
}

/**
 * Names to addresses that an image may load, for a scheme and the device of the window.
 * `loadsOutside`: whether those may be outside; not given: as the open project says.
 */
export function usePictures(
  pictures: readonly Picture[] | undefined,
  scheme: 'light' | 'dark',
  loadsOutside?: boolean,
): Pictures {
  const isOfOpen = useSession((session) => session.loadsOutside);
  const isAllowed = useOutside().isAllowed && (loadsOutside ?? isOfOpen);
  const { device } = useWindow();
  const { family } = device;
  return useMemo(() => {
    const look = { density: Math.ceil(devicePixelRatio), scheme, device: family };
    return picturesOf(pictures ?? [], look, isAllowed);
  }, [pictures, scheme, family, isAllowed]);
}

/** The project's own as data addresses (so that an SVG is an image and nothing else), others as they are. */
function picturesOf(
  pictures: readonly Picture[],
  look: PictureLook,
  isOutsideAllowed: boolean,
): Pictures {
  const finder = pictureFinder(pictures);
  const known = new Map<string, string | undefined>();
  return (name) => {
    if (isAddress(name)) return isOutsideAllowed ? name : undefined;
    if (!known.has(name)) {
      const picture = finder.best(name, look);
      known.set(name, picture && addressOf(pictures, picture));
    }
    return known.get(name);
  };
}

export function addressOf(pictures: readonly Picture[], picture: Picture): string | undefined {
  const content = contentOf(pictures, picture);
  return content !== undefined && isShown(content)
    ? `data:${content.mediaType};base64,${content.base64}`
    : undefined;
}

const known = new WeakMap<object, boolean>();

/** A drawing that would never end is not begun. */
function isShown(content: Omit<PictureKept, 'name'>): boolean {
  if (content.mediaType !== 'image/svg+xml') return true;
  const before = known.get(content);
  if (before !== undefined) return before;
  const isFine = isDrawable(new TextDecoder().decode(bytesOf(content.base64)));
  known.set(content, isFine);
  return isFine;
}

function bytesOf(base64: string): Uint8Array {
  try {
    return Uint8Array.from(atob(base64), (char) => char.charCodeAt(0));
  } catch {
    return new Uint8Array();
  }
}

/** The pictures of these names, each with its content and under the name that it is asked for. */
export function picturesFor(
  pictures: readonly Picture[],
  names: ReadonlySet<string>,
): readonly PictureKept[] {
  const finder = pictureFinder(pictures);
  return [...names].flatMap((name) => {
    const picture = finder.best(name, { density: 1, scheme: 'light', device: 'phone' });
    const content = picture && contentOf(pictures, picture);
    return content === undefined ? [] : [{ ...content, name }];
  });
}
