import type { Binding } from '../binding';

/** A picture of fixed size: one of the project's by name, or one at an http or https address. */
export interface ImagePart {
  readonly part: 'image';
  readonly id: string;
  readonly picture: Binding;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly shape: 'square' | 'rounded' | 'circle';
  readonly fit: 'contain' | 'cover';
}

export const image = {
  part: 'image',
  draft: (id: string, picture: Binding): ImagePart => ({
    part: 'image',
    id,
    picture,
    widthPx: 40,
    heightPx: 40,
    shape: 'circle',
    fit: 'cover',
  }),
} as const;
