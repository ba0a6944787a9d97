import { byKey, type Shape } from '../shape';
import type { ValueType } from '../values';
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
        | 'language'
        /** Parts stand once for each of its elements. */
        | 'list'
        /** What expressions call something. */
        | 'name'
        /** A part that the project keeps. */
        | 'shared';
    }
  /** Actions of the project by their ids, with a space between; `max`: so many of them. */
  | { readonly kind: 'actions'; readonly max: number }
  /** What a shared part is given. */
  | { readonly kind: 'input'; readonly type: ValueType; readonly mayBeMissing: boolean }
  /** Within its bounds; `step`: what an arrow key adds. */
  | {
      readonly kind: 'number';
      readonly min: number;
      readonly max: number;
      readonly step: number;
      readonly unit: 'px' | '';
      /** The name of a spacing step stands for its length. */
      readonly takesSteps?: true;
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
    /** The same, where an expression is likelier. */
    readonly firstExpr?: string;
    /** Few parts set it: it takes no room on the screen until then. */
    readonly isRare?: true;
    /** Only the outermost stack says it, the row. */
    readonly isOfRow?: true;
    readonly shape: Shape<T>;
  };

export type PropertyKindName = PropertyKind['kind'];

/** Words that a person reads in the row, or what leads to something: always fed, by words or by value. */
export const isContent = ({ kind }: Pick<PropertyKind, 'kind'>): boolean =>
  kind === 'text' || kind === 'address' || kind === 'picture';

/** No length is greater. */
export const maxPx = 2_000;

/** As the file has it: a constant or, where it may be bound, an expression with what belongs to it. */
export const storedShape = ({ kind, shape, isBindable }: Property): Shape<Constant | Bound> =>
  kind === 'list' || kind === 'input'
    ? boundShape
    : isBindable
      ? byKey<Constant | Bound>([['expr', boundShape]], shape)
      : shape;

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
