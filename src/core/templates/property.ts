import {
  byKey,
  byKind,
  number as numberShape,
  oneOf,
  record,
  type Shape,
  text as textShape,
} from '../shape';
import { type Binding, type Bound, boundShape } from './bound';
import type { LineCount, Padding, Radius, Size } from './parts/size';

/** What a property takes where nothing feeds it. */
export type Constant = string | number | boolean | Size | Padding | Radius | LineCount;

/** What people read, in front of it and in the list of what may be added. */
interface Words {
  readonly words: string;
}

/** What the values of a property are, and within which bounds. */
export type PropertyKind =
  | {
      readonly kind:
        | 'text'
        | 'address'
        | 'picture'
        | 'condition'
        | 'style'
        | 'colour'
        | 'padding'
        | 'language';
    }
  /** Within its bounds; `step`: what an arrow key adds. */
  | {
      readonly kind: 'number';
      readonly min: number;
      readonly max: number;
      readonly step: number;
      readonly unit: 'px' | '';
    }
  | { readonly kind: 'word'; readonly among: readonly string[] }
  | { readonly kind: 'size'; readonly among: readonly ('fit' | 'share' | 'fixed')[] }
  | { readonly kind: 'radius'; readonly max: number }
  /** A number of lines of text, or all that it takes. */
  | { readonly kind: 'lines'; readonly max: number };

/**
 * A property of a kind of part, declared once: its slot, its place in the file, what binds it, its
 * field on the screen and its line in the help follow from it.
 */
export type Property<
  T extends Constant = Constant,
  IsBindable extends boolean = boolean,
  IsRequired extends boolean = boolean,
> = PropertyKind &
  Words & {
    readonly isBindable: IsBindable;
    /** Every part of the kind has it; the others are their default until they are set. */
    readonly isRequired: IsRequired;
    readonly default: T | undefined;
    /** What it begins with where that is not its default. */
    readonly first?: T;
    /** Few parts set it: it takes no room on the screen until then. */
    readonly isRare?: true;
    readonly shape: Shape<T>;
  };

export type PropertyKindName = PropertyKind['kind'];

/** Words that a person reads in the row, or what leads to something: always fed, by words or by value. */
export const isContent = ({ kind }: Pick<PropertyKind, 'kind'>): boolean =>
  kind === 'text' || kind === 'address' || kind === 'picture';

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

/** One that who adds it wants. */
export const trait = (words: string): Settable<boolean> => ({ ...condition(words), first: true });

/** A length of the layout, in px. */
export const px = (words: string, value: number, max = 200): Settable<number> => ({
  ...inPx,
  words,
  min: 0,
  max,
  default: value,
  shape: numberShape({ min: 0, max: maxPx }),
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

export const padding = (words: string): Settable<Padding> => ({
  ...set,
  kind: 'padding',
  words,
  default: { start: 0, end: 0, top: 0, bottom: 0 },
  shape: record<Padding>({ start: length(), end: length(), top: length(), bottom: length() }),
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
/** No length is greater. */
export const maxPx = 2_000;
const length = () => numberShape({ min: 0, max: maxPx });

function sizeShape(among: readonly ('fit' | 'share' | 'fixed')[]): Shape<Size> {
  const share = record<{ readonly share: number }>({
    share: numberShape({ moreThan: 0, max: 1_000 }),
  });
  const fixed = record<{ readonly fixed: number }>({ fixed: length() });
  const sized = among.includes('share') ? byKey<Size>([['fixed', fixed]], share) : fixed;
  return among.includes('fit') ? byKind<Size>({ text: oneOf(['fit']), record: sized }) : sized;
}

/** As the file has it: a constant or, where it may be bound, an expression with what belongs to it. */
export const storedShape = ({ shape, isBindable }: Property): Shape<Constant | Bound> =>
  isBindable ? byKey<Constant | Bound>([['expr', boundShape]], shape) : shape;

export type Stored<P> =
  P extends Property<infer T, infer IsBindable, boolean>
    ? IsBindable extends true
      ? T extends string
        ? string extends T
          ? Binding
          : T | Bound
        : T | Bound
      : T
    : never;
