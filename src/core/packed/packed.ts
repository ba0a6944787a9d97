import type { Action } from '../actions';
import type { NamedFormat } from '../formats';
import type { Key } from '../items';
import type { List, RowPlan } from '../lists';
import type { Constant, ElementAt, FinishName, FitTo, Tokens } from '../templates';
import type { Field } from '../values';
import type { Checked } from '../values/run';

/*
 * A project as an app's page needs it: plain data, made ahead of time. Expressions are read and
 * checked already; what was wrong with them is not here: such a one gives no value.
 */

/** Undefined: it could not be read. */
export type PackedExpression = Checked | null;

type Named<T> = readonly (readonly [name: string, value: T])[];

export interface PackedProject {
  readonly name: string;
  readonly tokens: Tokens;
  readonly sources: readonly PackedSource[];
  readonly templates: readonly PackedTemplate[];
  readonly formats: readonly NamedFormat[];
  readonly lists: readonly PackedList[];
  readonly actions: readonly Action[];
  /** Ids, the first shown first. */
  readonly looks: readonly string[];
  /** BCP 47, the first shown first. */
  readonly locales: readonly string[];
  /** The names of pictures, each with the address of its file from where the pack is. */
  readonly pictures: Named<{ readonly address: string; readonly isSymbol: boolean }>;
}

export interface PackedSource {
  readonly id: string;
  readonly name: string;
  /** In the names that items have once they are taken. */
  readonly key: Key;
  /** In those that they have as they come. */
  readonly rawKey: Key;
  /** In the name that they have as they come. */
  readonly discriminator: string | null;
  readonly types: readonly PackedType[];
}

export interface PackedType {
  readonly id: string;
  readonly value: string | null;
  /** Fields that are decoded or called otherwise. */
  readonly held: readonly Field[];
  /** In an order in which each comes after those that it reads. */
  readonly computed: Named<PackedExpression>;
}

export interface PackedTemplate {
  readonly plan: Omit<RowPlan, 'tokens'>;
  readonly slots: readonly PackedSlot[];
  readonly scopes: readonly PackedScope[];
  /** The actions that its parts name, as they are for its items. */
  readonly actions: Named<PackedReady>;
  /** By part, the field that a control writes, in the names that items have as they come. */
  readonly writes: Named<readonly string[]>;
  /** By format, the options of those that follow from the item, where expressions use them. */
  readonly formatOptions: Named<Named<PackedExpression>>;
}

/** An action as it is for the items of a template; undefined: it has no such expression. */
export interface PackedReady {
  readonly when?: PackedExpression;
  readonly payload?: PackedExpression;
  /** What its effect writes, and where, in the names that items have as they come. */
  readonly written?: { readonly expr: PackedExpression; readonly path: readonly string[] };
}

/** Where expressions see something else than the item. `outer`: position of the scope around it; -1: the item. */
export type PackedScope =
  | {
      readonly kind: 'element';
      readonly over: PackedExpression;
      readonly as: string;
      readonly max: number;
      readonly at: ElementAt;
      readonly outer: number;
    }
  | { readonly kind: 'inputs'; readonly fed: Named<PackedExpression>; readonly outer: number };

export interface PackedSlot {
  readonly takes: FitTo;
  /** Words that it knows. */
  readonly names?: readonly string[];
  /** Position of the scope that its expressions see. */
  readonly scope?: number;
  /** It is shown as it was first. */
  readonly once?: true;
  /** What it is for an element that is not there. */
  readonly gone?: true;
  /** What becomes of it where it is drawn, with the constants of its part. */
  readonly finish?: {
    readonly name: FinishName;
    readonly constants: Readonly<Record<string, Constant | undefined>>;
  };
  readonly from:
    | { readonly is: 'words'; readonly words: string }
    | {
        readonly is: 'value';
        readonly expr: PackedExpression;
        readonly instead?: string | PackedExpression;
        readonly emptyIsMissing?: true;
        /** Id of its format. */
        readonly format?: string;
        readonly options?: Named<PackedExpression>;
        /** What stands in is written by the format, too. */
        readonly writesInstead?: true;
      };
}

export interface PackedList {
  readonly list: List;
  /** The condition of each choice; undefined: it has none. */
  readonly conditions: readonly (PackedExpression | undefined)[];
  /** What it is sorted by, in the order of its keys. */
  readonly order: readonly PackedExpression[];
  /** What the items of a section have in common. */
  readonly by: PackedExpression;
}
