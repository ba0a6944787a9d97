/**
 * The kinds of part that a template is made of: one file each, which declares the kind's properties
 * once, and this list that names them all. Slots, the file's shape, binding, renaming, the survey,
 * the fields on the screen, the insert menu and the help follow from it.
 */
import { type ImagePart, image } from './image';
import type { PartKind } from './kind';
import { type LabelItself, label } from './label';
import { type RunPart, run } from './run';
import { type StackItself, stack } from './stack';

export { draftImage } from './image';
export type { Declared, PartKind } from './kind';
export { draftLabel } from './label';
export type { LineCount, Padding, Radius, Size } from './size';
export { draftStack } from './stack';
export type { ImagePart, RunPart };

export type LabelPart = LabelItself & { readonly runs?: readonly RunPart[] };
export type StackPart = StackItself & { readonly children: readonly StandingPart[] };
/** A part with a box of its own. */
export type StandingPart = LabelPart | ImagePart | StackPart;
export type Part = StandingPart | RunPart;

export const kinds = { label, run, image, stack };

const byName: Readonly<Record<string, PartKind>> = kinds;

export const allKinds = (): readonly PartKind[] => Object.values(byName);

/** The kinds that show something of an item and stand in a stack. */
export const contentKinds = (): readonly (typeof label | typeof image)[] =>
  Object.values(kinds).filter(
    (kind): kind is Exclude<typeof kind, typeof stack | typeof run> =>
      kind.shows !== undefined && kind.part !== run.part,
  );

/** The kind of a part. */
export function kindOf({ part }: Pick<Part, 'part'>): PartKind {
  const kind = byName[part];
  if (kind === undefined) throw new Error(`There is no kind of part ${part}.`);
  return kind;
}

export const isStanding = (part: Part): part is StandingPart => part.part !== 'run';
