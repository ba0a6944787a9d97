/**
 * The kinds of part that a template is made of: one file each, which declares the kind's properties
 * once, and this list that names them all. Slots, the file's shape, binding, renaming, the survey,
 * the fields on the screen, the insert menu and the help follow from it.
 */
import { type ImagePart, image } from './image';
import type { PartKind } from './kind';
import { type LabelPart, label } from './label';
import { type StackItself, stack } from './stack';

export { draftImage } from './image';
export type { Declared, PartKind } from './kind';
export { draftLabel } from './label';
export type { LineCount, Padding, Radius, Size } from './size';
export { draftStack } from './stack';
export type { ImagePart, LabelPart };

export type StackPart = StackItself & { readonly children: readonly Part[] };
export type Part = LabelPart | ImagePart | StackPart;

export const kinds = { label, image, stack };

const byName: Readonly<Record<string, PartKind>> = kinds;

export const allKinds = (): readonly PartKind[] => Object.values(byName);

/** The kinds that show something of an item. */
export const contentKinds = (): readonly (typeof label | typeof image)[] =>
  Object.values(kinds).filter(
    (kind): kind is Exclude<typeof kind, typeof stack> => kind.shows !== undefined,
  );

/** The kind of a part. */
export function kindOf({ part }: Pick<Part, 'part'>): PartKind {
  const kind = byName[part];
  if (kind === undefined) throw new Error(`There is no kind of part ${part}.`);
  return kind;
}
