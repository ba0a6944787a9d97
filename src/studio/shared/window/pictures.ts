import { useMemo } from 'react';
import { create } from 'zustand';
import {
  isAddress,
  isDrawable,
  isSymbol,
  type Picture,
  type PictureContents,
  type PictureLook,
  pictureFinder,
} from '../../../core/pictures';
import type { DrawnPicture, Pictures } from '../../../render';
import { useSession } from '../session/session';
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

/** What is drawn of a project that is not open. */
export interface OtherProject {
  /** Whether its pictures may come from addresses outside. */
  readonly loadsOutside: boolean;
  readonly contents: PictureContents;
}

/**
 * Names to addresses that an image may load, for a scheme and the device of the window.
 * `other`: of a project that is not the open one.
 */
export function usePictures(
  pictures: readonly Picture[] | undefined,
  scheme: 'light' | 'dark',
  other?: OtherProject,
): Pictures {
  const isOfOpen = useSession((session) => session.loadsOutside);
  const contentsOfOpen = useSession((session) => session.contents);
  const isAllowed = useOutside().isAllowed && (other?.loadsOutside ?? isOfOpen);
  const contents = other?.contents ?? contentsOfOpen;
  const device = useWindow((settings) => settings.device);
  const { family } = device;
  return useMemo(() => {
    const look = { density: Math.ceil(devicePixelRatio), scheme, device: family };
    return picturesOf(pictures ?? [], contents, look, isAllowed);
  }, [pictures, contents, scheme, family, isAllowed]);
}

/** The project's own as data addresses (so that an SVG is an image and nothing else), others as they are. */
function picturesOf(
  pictures: readonly Picture[],
  contents: PictureContents,
  look: PictureLook,
  isOutsideAllowed: boolean,
): Pictures {
  const finder = pictureFinder(pictures);
  const known = new Map<string, DrawnPicture | undefined>();
  return (name) => {
    if (isAddress(name)) return isOutsideAllowed ? { address: name, isSymbol: false } : undefined;
    if (!known.has(name)) {
      const picture = finder.best(name, look);
      known.set(name, picture && drawnPicture(picture, contents));
    }
    return known.get(name);
  };
}

function drawnPicture(picture: Picture, contents: PictureContents): DrawnPicture | undefined {
  const address = addressOf(picture, contents);
  return address === undefined ? undefined : { address, isSymbol: isSymbolic(picture, contents) };
}

export function addressOf(
  { mediaType, content }: Picture,
  contents: PictureContents,
): string | undefined {
  const base64 = contents.get(content);
  return base64 !== undefined && (mediaType !== 'image/svg+xml' || drawingOf(base64).isFine)
    ? `data:${mediaType};base64,${base64}`
    : undefined;
}

const isSymbolic = ({ mediaType, content }: Picture, contents: PictureContents): boolean =>
  mediaType === 'image/svg+xml' && drawingOf(contents.get(content) ?? '').isSymbol;

interface Drawing {
  /** One that would never end is not begun. */
  readonly isFine: boolean;
  readonly isSymbol: boolean;
}

const drawings = new Map<string, Drawing>();

function drawingOf(base64: string): Drawing {
  const before = drawings.get(base64);
  if (before !== undefined) return before;
  const svg = new TextDecoder().decode(bytesOf(base64));
  const drawing = { isFine: isDrawable(svg), isSymbol: isSymbol(svg) };
  drawings.set(base64, drawing);
  return drawing;
}

function bytesOf(base64: string): Uint8Array {
  try {
    return Uint8Array.from(atob(base64), (char) => char.charCodeAt(0));
  } catch {
    return new Uint8Array();
  }
}

/** The pictures of these names, each under the name that it is asked for. */
export function picturesFor(
  pictures: readonly Picture[],
  names: ReadonlySet<string>,
): readonly Picture[] {
  const finder = pictureFinder(pictures);
  return [...names].flatMap((name) => {
    const picture = finder.best(name, { density: 1, scheme: 'light', device: 'phone' });
    return picture === undefined ? [] : [{ ...picture, name }];
  });
}
