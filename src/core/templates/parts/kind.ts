import type { Binding } from '../bound';
import type { Property, Stored } from '../property';
import type { FinishName } from '../running/finishes';
import {
  actions,
  bindable,
  fraction,
  limit,
  optional,
  ownWord,
  rare,
  text,
  trait,
} from './declare';
import type { Padding, Size } from './size';

/** A kind of part: its properties, and what people call it. */
export interface PartKind<Name extends string = string, Properties extends Declared = Declared> {
  readonly part: Name;
  /** What it is laid out as (a pill is a stack round its words); undefined: it has no box of its own. */
  readonly box: 'stack' | 'label' | 'block' | 'pill' | undefined;
  /** What becomes of what it shows where it is drawn. */
  readonly finish?: FinishName;
  /** Whether it may leave though its words say nothing of that. */
  mayLeave?(constants: Constants<Properties>): boolean;
  /** Sizes that follow from its constants and the direction of its stack. */
  sized?(
    constants: Constants<Properties>,
    direction: 'across' | 'down' | 'over',
  ): {
    readonly direction?: 'over';
    readonly width?: Size;
    readonly height?: Size;
    readonly padding?: Padding;
    readonly gap?: number;
    readonly align?: 'centre' | 'stretch';
  };
  /** Whether a finger is to hit it. */
  readonly isTarget?: true;
  /** What names it for those who hear the row, any of them; undefined: it needs no name. */
  readonly isNamedBy?: readonly (keyof Properties & string)[];
  /** One line for people who choose among kinds. */
  readonly about: string;
  /** The property that a value dropped on the part feeds; undefined: it shows nothing of its own. */
  readonly shows: (keyof Properties & string) | undefined;
  readonly properties: Properties;
  /** What it has in it: parts that stand in a row, runs of words, what feeds inputs. */
  readonly holds?: 'children' | 'runs' | 'inputs';
}

/** With what makes new parts of the kind. */
export interface DraftedKind<Name extends string, Properties extends Declared>
  extends PartKind<Name, Properties> {
  /** A new part that shows a value, beside others or under them. */
  draft(id: string, value: Binding, where: 'beside' | 'under'): PartOf<Name, Properties>;
}

/** What properties are where nothing feeds them. */
export type Constants<Properties extends Declared> = {
  readonly [P in keyof Properties]?: Properties[P] extends Property<infer T> ? T : never;
};

export type Declared = Readonly<Record<string, Property>>;

/** What every part may say. */
export const ofEveryPart = {
  minWidth: limit('least width', 40),
  maxWidth: limit('greatest width', 200),
  minHeight: limit('least height', 40),
  maxHeight: limit('greatest height', 200),
  alignSelf: ownWord('aligned', ['start', 'centre', 'end', 'stretch'], 'centre'),
  opacity: rare(bindable(fraction('opacity', 1))),
  unseen: rare(bindable(trait('unseen'))),
  leaves: rare(bindable(trait('leaves'))),
  name: optional(text('read aloud as')),
  tap: actions('tap'),
};

/** A part of a kind, as the file has it. */
export type PartOf<Name extends string, Properties extends Declared> = {
  readonly part: Name;
  readonly id: string;
} & { readonly [P in RequiredOf<Properties>]: Stored<Properties[P]> } & {
  readonly [P in Exclude<keyof Properties, RequiredOf<Properties>>]?: Stored<Properties[P]>;
};

type RequiredOf<Properties> = {
  [P in keyof Properties]: Properties[P] extends { readonly isRequired: true } ? P : never;
}[keyof Properties];
