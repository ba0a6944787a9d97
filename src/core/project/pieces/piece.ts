import type { NamedFormat } from '../../formats';
import type {
  Colour,
  Part,
  RunPart,
  SharedPart,
  SpacingStep,
  StackPart,
  StandingPart,
  TextStyle,
} from '../../templates';
import type { formatVersion } from '../project';

/**
 * Parts of a row as text: a piece of the project file, with what they name of the project. It can be
 * mailed, kept, and pasted in another project.
 */
export interface Piece {
  readonly yarncard: typeof formatVersion;
  readonly parts: readonly (StandingPart | RunPart)[];
  readonly textStyles?: readonly TextStyle[];
  readonly colours?: readonly Colour[];
  readonly spacing?: readonly SpacingStep[];
  readonly formats?: readonly NamedFormat[];
  readonly sharedParts?: readonly SharedPart[];
}

/** Parts in a row of their own, so that they can be looked through like one. */
export const rowOfParts = (parts: readonly Part[]): StackPart => ({
  part: 'stack',
  id: 'row',
  children: parts.map(
    (part): StandingPart =>
      part.part === 'run'
        ? { part: 'label', id: `${part.id}/label`, text: '', runs: [part] }
        : part,
  ),
});
