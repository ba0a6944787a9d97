import type { DrawnPicture } from './part-view';

/** A picture as a style sheet names it; addresses come from items. */
export const cssPicture = ({ address }: DrawnPicture): string =>
  `url("${address.replace(/["\\\s]/g, encodeURIComponent)}")`;

/** Shows only the shape of a picture, in the background of its element; undefined: all of that. */
export function drawAsMask({ style }: HTMLElement, picture: DrawnPicture | undefined): void {
  const mask = picture === undefined ? '' : cssPicture(picture);
  style.setProperty('mask-image', mask);
}
