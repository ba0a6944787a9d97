/**
 * Pictures of the project's own: what their names say, which of them is the best for a look, and
 * which are missing. Nothing here draws.
 */
export { isAddress, type PictureFinder, type PictureLook, pictureFinder } from './find';
export { pictureFindings } from './findings';
export { type DeviceFamily, pictureName, withoutExtension } from './name';
export { contentOf, type Picture, type PictureKept, pictureType } from './picture';
export { isDrawable } from './svg';
