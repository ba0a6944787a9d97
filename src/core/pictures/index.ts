/**
 * Pictures of the project's own: what their names say, which of them is the best for a look, and
 * which are missing. Nothing here draws.
 */
export {
  isAddress,
  type PictureFinder,
  type PictureLook,
  pictureFinder,
  picturesHave,
} from './find';
export { pictureFindings, withoutContent } from './findings';
export { type DeviceFamily, pictureName, withoutExtension } from './name';
export {
  contentIdOf,
  contentsFor,
  type HasContent,
  type Picture,
  type PictureContents,
  type PictureType,
  pictureType,
  pictureTypes,
} from './picture';
export { isDrawable, isSymbol } from './svg';
