import type { Binding } from '../bound';
import { bindable, picture, radius, rare, ratio, size, word } from '../property';
import { type DraftedKind, ofEveryPart, type PartOf } from './kind';

const properties = {
  picture: picture('picture'),
  width: bindable(size('width', { fixed: 40 }, ['fixed', 'share'])),
  aspect: rare(ratio('aspect')),
  height: bindable(size('height', { fixed: 40 }, ['fixed'])),
  fit: word('fit', ['contain', 'cover']),
  radius: radius('corners'),
  ...ofEveryPart,
};

export type ImagePart = PartOf<'image', typeof properties>;

/** A picture: one of the project's by name, or one at an http or https address. */
export const image: DraftedKind<'image', typeof properties> = {
  part: 'image',
  about: 'A picture of the project, or at an address',
  shows: 'picture',
  box: 'block',
  properties,
  draft: (id, value) => draftImage(id, value),
};

export const draftImage = (id: string, from: Binding): ImagePart => ({
  part: 'image',
  id,
  picture: from,
  fit: 'cover',
  radius: 'circle',
});
