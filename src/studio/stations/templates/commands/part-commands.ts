import { freeId } from '../../../../core/base';
import { type Edit, edits, wholeValuesOf } from '../../../../core/project';
import { isStanding, type Part, prefixOf, type Side, stepFrom } from '../../../../core/templates';
import { whyNot } from '../../../shared/session/editing';
import { usedIds } from '../../../shared/session/session';
import { startSharing } from '../bench/writing/writing';
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
  /** Asks first, where there is something to ask; undefined: there is not. */
  readonly ask?: (selection: Selection) => (() => void) | undefined;
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
  edit: (selection) => sharing(selection),
  ask: ({ part }) => (wholeIn(part).length === 0 ? undefined : startSharing),
};

const wholeIn = (part: Part) => (isStanding(part) ? wholeValuesOf(part) : []);

/** `whole`: values that are one input each. */
function sharing({ template, part }: Selection, whole?: ReturnType<typeof wholeIn>): Edit {
  const name = part.id.slice(prefixOf(part.id).length);
  const id = freeId(name, usedIds().sharedParts);
  return edits.share({ template: template.id, part: part.id }, { id, name }, whole);
}

/** What the inputs of a shared part may be: the fields that it reads, or what its values give. */
export function waysToShare(
  selection: Selection,
): readonly { readonly words: string; readonly edit: Edit }[] {
  const whole = wholeIn(selection.part);
  const inWords = ({ part, property }: (typeof whole)[number]) =>
    `${property} of ${part.slice(prefixOf(part).length)}`;
  return [
    { words: 'the fields that it reads', edit: sharing(selection) },
    ...whole.map((one) => ({ words: inWords(one), edit: sharing(selection, [one]) })),
    ...(whole.length > 1 ? [{ words: 'all of these', edit: sharing(selection, whole) }] : []),
  ];
}

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
export function doCommand({ edit, ask }: PartCommand, selection: Selection): string | undefined {
  const made = edit(selection);
  const asking = typeof made === 'string' ? undefined : ask?.(selection);
  if (asking !== undefined) {
    asking();
    return undefined;
  }
  return typeof made === 'string' ? made : makeAndSelect(selection, made);
}
