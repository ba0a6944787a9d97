import { freeId } from '../../../../core/base';
import { type Edit, edits } from '../../../../core/project';
import { prefixOf, type Side, stepFrom } from '../../../../core/templates';
import { whyNot } from '../../../shared/session/editing';
import { usedIds } from '../../../shared/session/session';
import type { Selection } from '../selection';
import { makeAndSelect } from './does';
import { resized } from './resizing';

/** Something that is done with the selected parts: by a button, a key, or *find or do*. */
export interface PartCommand {
  readonly name: string;
  /** As `keyOf` writes it, where rows run from the left. */
  readonly key: string | undefined;
  /** The edit; a text: why it can't be made. What is grey asks the same. */
  readonly edit: (selection: Selection) => Edit | string;
}

const placeOf = ({ template, parts }: Selection) => ({
  template: template.id,
  parts: parts.map(({ id }) => id),
});

const moveTo = (side: Side, words: string, key: string): PartCommand => ({
  name: words,
  key,
  edit: (selection) => {
    const { template, part } = selection;
    const landing = stepFrom(template.row, part.id, side);
    return typeof landing === 'string' ? landing : edits.move(placeOf(selection), landing);
  },
});

const wrapIn = (direction: 'across' | 'down' | 'over'): PartCommand => ({
  name: `Wrap ${direction}`,
  key: undefined,
  edit: (selection) => edits.wrap(placeOf(selection), direction),
});

const resize = (
  property: 'width' | 'height',
  by: 1 | -1,
  { key, inSteps }: { readonly key: string; readonly inSteps: boolean },
): PartCommand => ({
  name: `${by > 0 ? 'Larger' : 'Smaller'} ${property}${inSteps ? ', by spacing steps' : ''}`,
  key,
  edit: (selection) => resized(selection, property, { by, inSteps }),
});

const byKeys = (
  property: 'width' | 'height',
  [smaller, larger]: readonly [string, string],
): readonly PartCommand[] =>
  [false, true].flatMap((inSteps) => [
    resize(property, -1, { key: `Ctrl ${inSteps ? 'Shift ' : ''}${smaller}`, inSteps }),
    resize(property, 1, { key: `Ctrl ${inSteps ? 'Shift ' : ''}${larger}`, inSteps }),
  ]);

export const moves: readonly PartCommand[] = [
  moveTo('before', 'Move before', 'Alt ArrowLeft'),
  moveTo('after', 'Move after', 'Alt ArrowRight'),
  moveTo('above', 'Move up', 'Alt ArrowUp'),
  moveTo('below', 'Move down', 'Alt ArrowDown'),
];

export const wraps: readonly PartCommand[] = [wrapIn('down'), wrapIn('across'), wrapIn('over')];

export const unwrapIt: PartCommand = {
  name: 'Unwrap',
  key: 'Ctrl Shift G',
  edit: ({ template, part }) => edits.unwrap(template.id, part.id),
};

export const duplicateIt: PartCommand = {
  name: 'Duplicate',
  key: 'Ctrl D',
  edit: (selection) => edits.duplicate(placeOf(selection)),
};

export const removeIt: PartCommand = {
  name: 'Remove',
  key: 'Delete',
  edit: (selection) => edits.remove(placeOf(selection)),
};

export const shareIt: PartCommand = {
  name: 'Keep it once, for other places too',
  key: undefined,
  edit: ({ template, part }) => {
    const name = part.id.slice(prefixOf(part.id).length);
    const id = freeId(name, usedIds().sharedParts);
    return edits.share({ template: template.id, part: part.id }, { id, name });
  },
};

export const partCommands: readonly PartCommand[] = [
  ...moves,
  ...wraps,
  unwrapIt,
  duplicateIt,
  removeIt,
  shareIt,
  ...byKeys('width', ['ArrowLeft', 'ArrowRight']),
  ...byKeys('height', ['ArrowUp', 'ArrowDown']),
];

/** Why a command can't be done now, by the function that does it. */
export function whyNotDo({ edit }: PartCommand, selection: Selection): string | undefined {
  const made = edit(selection);
  return typeof made === 'string' ? made : whyNot(made);
}

/** Does it. Why it was not done, if it wasn't. */
export function doCommand({ edit }: PartCommand, selection: Selection): string | undefined {
  const made = edit(selection);
  return typeof made === 'string' ? made : makeAndSelect(selection, made);
}
