/**
 * The kinds of part that a template is made of: one file each, which declares the kind's properties
 * once, and this list that names them all. Slots, the file's shape, binding, renaming, the survey,
 * the fields on the screen, the insert menu and the help follow from it.
 */
import { ownValue } from '../../base';
import type { Field } from '../../values';
import { type BadgePart, badge } from './controls/badge';
import { type ButtonPart, button } from './controls/button';
import { type CheckboxPart, checkbox } from './controls/checkbox';
import { type LinkPart, link } from './controls/link';
import { type MeterPart, meter } from './controls/meter';
import { type ProgressPart, progress } from './controls/progress';
import { type RatingPart, rating } from './controls/rating';
import { type SliderPart, slider } from './controls/slider';
import { type StepperPart, stepper } from './controls/stepper';
import { type SwatchPart, swatch } from './controls/swatch';
import { type SwitchPart, switchKind } from './controls/switch';
import { type ImagePart, image } from './image';
import type { PartKind } from './kind';
import { type LabelItself, label } from './label';
import { type LinePart, line } from './line';
import { type RunPart, run } from './run';
import { type SharedUseItself, shared } from './shared';
import { type SpacePart, space } from './space';
import { type StackItself, stack } from './stack';

export { meterRegion } from './controls/meter-region';
export { ratingGap } from './controls/rating';

export { isName } from './declare';
export { draftImage } from './image';
export type { Declared, PartKind } from './kind';
export { draftLabel } from './label';
export { type Setting, settingsIn } from './setting';
export { declaredInput, type Inputs, inputNamed, inputProperty, inputsWith } from './shared';
export type { LineCount, Padding, Radius, Size } from './size';
export { draftStack } from './stack';
export type { ImagePart, RunPart };

export type LabelPart = LabelItself & { readonly runs?: readonly RunPart[] };
/** Where a shared part is used. */
export type SharedUse = SharedUseItself & {
  /** What stands there, once that is looked up: files do not have it. */
  readonly opened?: Opened;
};
export interface Opened {
  /** Undefined: the project keeps no such part. */
  readonly inputs: readonly Field[] | undefined;
  /** The shared parts that it would hold itself by, the first one again at the end. */
  readonly circle?: readonly string[];
  /** The row has more parts than a row can have. */
  readonly isTooMuch?: true;
  readonly children: readonly StandingPart[];
}
export type StackPart = StackItself & { readonly children: readonly StandingPart[] };
/** A part with a box of its own. */
export type StandingPart =
  | LabelPart
  | ImagePart
  | BadgePart
  | SwitchPart
  | CheckboxPart
  | ProgressPart
  | MeterPart
  | RatingPart
  | SwatchPart
  | SliderPart
  | StepperPart
  | ButtonPart
  | LinkPart
  | SpacePart
  | LinePart
  | SharedUse
  | StackPart;
export type Part = StandingPart | RunPart;

export const kinds = {
  ...{ label, run, image },
  ...{ badge, progress, meter, rating, swatch },
  ...{ switch: switchKind, checkbox, slider, stepper },
  ...{ button, link },
  ...{ space, line, stack, shared },
};

const byName: Readonly<Record<string, PartKind>> = kinds;

export const allKinds = (): readonly PartKind[] => Object.values(byName);

type Inserted = Exclude<
  (typeof kinds)[keyof typeof kinds],
  typeof run | typeof stack | typeof shared
>;

/** Kinds that are put into a stack by themselves; a stack comes where two parts need one, a shared part is one of the project's. */
export const insertedKinds = (): readonly Inserted[] =>
  Object.values(kinds).filter(
    (kind): kind is Inserted =>
      kind.part !== run.part && kind.part !== stack.part && kind.part !== shared.part,
  );

/** The kind of a part. */
export function kindOf({ part }: { readonly part: string }): PartKind {
  const kind = ownValue(byName, part);
  if (kind === undefined) throw new Error(`There is no kind of part ${part}.`);
  return kind;
}

export const isStanding = (part: Part): part is StandingPart => part.part !== 'run';
