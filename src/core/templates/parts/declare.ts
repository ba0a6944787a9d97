/** How kinds of part declare their properties. */

import { type Gesture, gestures, idsPattern } from '../../actions';
import {
  byKey,
  byKind,
  id,
  number as numberShape,
  oneOf,
  record,
  type Shape,
  text as textShape,
} from '../../shape';
import { type Constant, maxPx, type Property } from '../property';
import type { LineCount, Padding, Radius, Size } from './size';

type Content = Property<string, true, true>;

const content =
  (kind: 'text' | 'address' | 'picture') =>
  (words: string): Content => ({
    kind,
    words,
    isBindable: true,
    isRequired: true,
    default: undefined,
    shape: textShape(),
  });

export const text = content('text');
export const picture = content('picture');
export const address = content('address');

/** The same, where a part may go without it. */
export const optional = <T extends Constant, B extends boolean>(
  property: Property<T, B>,
): Property<T, B, false> => ({ ...property, isRequired: false });

/** The same, with the value that an expression gives. */
export const bindable = <T extends Constant, R extends boolean>(
  property: Property<T, boolean, R>,
): Property<T, true, R> => ({ ...property, isBindable: true });

/** The same, offered but not shown until it is set. */
export const rare = <T extends Constant, B extends boolean, R extends boolean>(
  property: Property<T, B, R>,
): Property<T, B, R> => ({ ...property, isRare: true });

/** The same, of the row alone, and not shown until it is set. */
export const ofRow = <T extends Constant, B extends boolean, R extends boolean>(
  property: Property<T, B, R>,
): Property<T, B, R> => ({ ...property, isRare: true, isOfRow: true });

/** One that a part need not say, since its kind does. */
type Settable<T extends Constant> = Property<T, false, false> & { readonly default: T };

const set = { isBindable: false, isRequired: false } as const;

export const condition = (words: string): Settable<boolean> => ({
  ...set,
  kind: 'condition',
  words,
  default: false,
  shape: oneOf([true, false]),
});

/** Whether it can be used; who adds it wants that it can't. */
export const enabled: Property<boolean, true, false> = {
  ...set,
  kind: 'condition',
  words: 'enabled',
  isBindable: true,
  isRare: true,
  default: true,
  first: false,
  shape: oneOf([true, false]),
};

/** One that who adds it wants. */
export const trait = (words: string): Settable<boolean> => ({ ...condition(words), first: true });

/** A length of the layout, in px. */
export const px = (
  words: string,
  value: number,
  max = 200,
): Settable<number> & { readonly kind: 'number' } => ({
  ...inPx,
  words,
  min: 0,
  max,
  default: value,
  shape: numberShape({ min: 0, max: maxPx }),
});

/** The same, or the name of a spacing step. */
export const stepped = (
  property: Settable<number> & { readonly kind: 'number' },
): Settable<number | string> => ({
  ...property,
  takesSteps: true,
  shape: byKind<number | string>({ number: property.shape, text: textShape(60) }),
});

/** The same, with what it begins with where that is not its default. */
export const beginning = <T extends Constant, B extends boolean, R extends boolean>(
  property: Property<T, B, R>,
  first: T,
): Property<T, B, R> => ({ ...property, first });

/** A number of what an item counts or measures; undefined: there is none. */
export const amount = (
  words: string,
  value: number | undefined,
): Property<number, true, false> => ({
  ...set,
  isBindable: true,
  kind: 'number',
  words,
  min: -maxAmount,
  max: maxAmount,
  step: 1,
  unit: '',
  default: value,
  first: value ?? 0,
  shape: numberShape({ min: -maxAmount, max: maxAmount }),
});

const maxAmount = 1e12;

/** A whole number within bounds. */
export const whole = (
  words: string,
  value: number,
  min: number,
  max: number,
): Settable<number> => ({
  ...set,
  kind: 'number',
  words,
  min,
  max,
  step: 1,
  unit: '',
  default: value,
  shape: numberShape({ min, max, isInteger: true }),
});

/** A size of letters, in px: what is smaller can't be read. */
export const textSize = (words: string, value: number): Settable<number> => ({
  ...inPx,
  words,
  min: 4,
  max: 100,
  default: value,
  shape: numberShape({ min: 4, max: 100 }),
});

const inPx = { ...set, kind: 'number', step: 1, unit: 'px' } as const;

export const fraction = (words: string, value: number): Settable<number> => ({
  ...set,
  kind: 'number',
  words,
  min: 0,
  max: 1,
  step: 0.1,
  unit: '',
  default: value,
  shape: numberShape({ min: 0, max: 1 }),
});

/** One of these words, the first unless it says another. */
export const word = <const W extends string>(
  words: string,
  among: readonly [W, ...(readonly W[])],
): Settable<W> => ({
  ...set,
  kind: 'word',
  words,
  among,
  default: among[0],
  shape: oneOf(among),
});

/** One of these words where a part says one; `first`: what it begins with. */
export const ownWord = <const W extends string>(
  words: string,
  among: readonly W[],
  first: W,
): Property<W, false, false> => ({
  ...set,
  kind: 'word',
  words,
  among,
  isRare: true,
  default: undefined,
  first,
  shape: oneOf(among),
});

/** A list of the item, by an expression alone. */
export const list = (words: string): Property<string, true, false> => ({
  ...set,
  isBindable: true,
  kind: 'list',
  words,
  default: undefined,
  shape: textShape(),
});

const namePattern = '^(?!item$)[A-Za-z_][A-Za-z0-9_]*$';

/** Whether expressions can call something so. */
export const isName = (text: string): boolean => new RegExp(namePattern).test(text);

/** The id of a shared part. */
export const sharedName = (words: string): Property<string, false, true> => ({
  kind: 'shared',
  words,
  isBindable: false,
  isRequired: true,
  default: undefined,
  shape: id(),
});

/** What expressions call something. */
export const name = (words: string, value: string): Settable<string> => ({
  ...set,
  kind: 'name',
  words,
  default: value,
  shape: textShape(60, {
    pattern: [namePattern, 'be a name: letters, digits and _'],
  }),
});

/** The name of a text style; undefined: that of what it stands in. */
export const style = (
  words: string,
  value: string | undefined,
): Property<string, false, false> => ({
  ...set,
  kind: 'style',
  words,
  default: value,
  first: 'body',
  shape: textShape(60),
});

/** The name of a colour of the project, or one as items have it; undefined: none of its own. */
export const colour = (
  words: string,
  first: string,
  value?: string,
): Property<string, false, false> => ({
  ...set,
  kind: 'colour',
  words,
  default: value,
  first,
  shape: textShape(60),
});

/** How bold letters are; undefined: as their style says. */
export const weight = (words: string): Property<number, false, false> => ({
  ...set,
  kind: 'number',
  words,
  min: 100,
  max: 900,
  step: 50,
  unit: '',
  default: undefined,
  first: 600,
  shape: numberShape({ min: 100, max: 900 }),
});

export const size = (
  words: string,
  value: Size,
  among: readonly ('fit' | 'share' | 'fixed')[] = ['fit', 'share', 'fixed'],
): Settable<Size> => ({
  ...set,
  kind: 'size',
  words,
  among,
  default: value,
  shape: sizeShape(among),
});

/** Lengths within the edges; the name of a spacing step stands for all of them. */
export const padding = (words: string): Settable<Padding | string> => ({
  ...set,
  kind: 'padding',
  words,
  default: { start: 0, end: 0, top: 0, bottom: 0 },
  shape: byKind<Padding | string>({
    record: record<Padding>({ start: length(), end: length(), top: length(), bottom: length() }),
    text: textShape(60),
  }),
});

export const radius = (words: string, value: Radius = 0): Settable<Radius> => ({
  ...set,
  kind: 'radius',
  words,
  max: 200,
  default: value,
  shape: byKind<Radius>({ number: length(), text: oneOf(['circle']) }),
});

/** A length that nothing limits until it is set. */
export const limit = (words: string, first: number): Property<number, false, false> =>
  rare({ ...px(words, 0, maxPx), default: undefined, first });

/** A language that words are in, as a BCP 47 tag; undefined: that of the list. */
export const language = (words: string): Property<string, false, false> => ({
  ...set,
  kind: 'language',
  words,
  default: undefined,
  first: 'en',
  shape: textShape(35),
});

/** Actions that a gesture starts; undefined: none. */
export const actions = (gesture: Gesture): Property<string, false, false> => ({
  ...set,
  kind: 'actions',
  words: gestures[gesture].words,
  max: gestures[gesture].maxActions,
  isRare: true,
  default: undefined,
  first: '',
  shape: textShape(900, {
    pattern: [idsPattern, 'be ids of actions, with a space between'],
  }),
});

/** A width ÷ a height. */
export const ratio = (words: string): Property<number, false, false> => ({
  ...set,
  kind: 'number',
  words,
  min: 0.1,
  max: 10,
  step: 0.1,
  unit: '',
  default: undefined,
  first: 1,
  shape: numberShape({ min: 0.01, max: 100 }),
});

export const lines = (words: string): Settable<LineCount> => ({
  ...set,
  kind: 'lines',
  words,
  max: maxLines,
  default: 1,
  shape: byKind<LineCount>({
    number: numberShape({ min: 1, max: maxLines }),
    text: oneOf(['all']),
  }),
});

const maxLines = 100;
const length = () => numberShape({ min: 0, max: maxPx });

function sizeShape(among: readonly ('fit' | 'share' | 'fixed')[]): Shape<Size> {
  const share = record<{ readonly share: number }>({
    share: numberShape({ moreThan: 0, max: 1_000 }),
  });
  const fixed = record<{ readonly fixed: number }>({ fixed: length() });
  const sized = among.includes('share') ? byKey<Size>([['fixed', fixed]], share) : fixed;
  return among.includes('fit') ? byKind<Size>({ text: oneOf(['fit']), record: sized }) : sized;
}
