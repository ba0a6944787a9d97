import { ownValue } from '../base';
import type { LineTable } from '../layout';
import {
  type Constant,
  childrenOf,
  constantsOf,
  type EntryValue,
  expandedRow,
  kindOfPart,
  knownName,
  mayLeave,
  namesOf,
  type Part,
  type PartKind,
  partWithId,
  propertyOf,
  type Slot,
  shownSlots,
  type Template,
  type Tokens,
} from '../templates';
import type { Arrangement } from './list';
import type { EntryKind } from './sequence/entry-kinds';

/**
 * A template as the renderer needs it: its parts with all that is fixed about them, and which
 * property each value of an entry goes to. There is no expression in it, so that it is the same for
 * templates that differ in their expressions alone.
 */
export interface RowPlan {
  readonly template: string;
  readonly row: PartPlan;
  readonly slots: readonly PlanSlot[];
  /** What its parts may name. */
  readonly tokens: Tokens;
  readonly heightPx: number;
}

export interface PartPlan {
  readonly part: string;
  readonly id: string;
  /** What it is laid out as; undefined: it has no box of its own. */
  readonly box: PartKind['box'];
  /** The value of each property; its default where it says nothing or an entry brings the value. */
  readonly values: Readonly<Record<string, Constant | undefined>>;
  readonly children: readonly PartPlan[];
  /** Whether a finger is to hit it. */
  readonly isTarget?: true;
  /** What a pill holds. */
  readonly pill?: { readonly hasIcon: boolean; readonly hasWords: boolean };
}

export interface PlanSlot extends Pick<Slot, 'part' | 'property'> {
  readonly kind: Slot['declared']['kind'];
  /** Without a value the part takes no room. */
  readonly leaves: boolean;
}

/** `density`: how many times as large as it says the space in it is. */
export const rowPlanOf = (
  { id, row }: Template,
  tokens: Tokens,
  density = 1,
): Omit<RowPlan, 'heightPx'> => ({
  template: id,
  tokens,
  row: partPlanOf(expandedRow(row), 'across', tokens, density),
  slots: shownSlots(row).map(({ drawnAt, declared, binding }) => ({
    ...drawnAt,
    kind: declared.kind,
    leaves: leavesAt(expandedRow(row), drawnAt, binding),
  })),
});

function leavesAt(
  row: Part,
  { part: id, property }: Pick<Slot, 'part' | 'property'>,
  binding: Slot['binding'],
) {
  const part = partWithId(row, id);
  return part !== undefined && mayLeave(part, property, binding);
}

/** `direction`: of the stack that it stands in. */
function partPlanOf(
  part: Part,
  direction: StackDirection,
  tokens: Tokens,
  density: number,
): PartPlan {
  const { box, sized, isTarget } = kindOfPart(part);
  const constants = withKnownNames(part, constantsOf(part), tokens);
  const own = part.part === 'stack' ? (part.direction ?? 'across') : 'over';
  return {
    part: part.part,
    id: part.id,
    box,
    values: spaced({ ...constants, ...sized?.(constants, direction) }, density),
    ...(isTarget && { isTarget }),
    ...(box === 'pill' && {
      pill: {
        hasIcon: propertyOf(part, 'icon') !== undefined,
        hasWords: propertyOf(part, 'text') !== undefined,
      },
    }),
    children: childrenOf(part).map((child) => partPlanOf(child, own, tokens, density)),
  };
}

/** What stands between parts and around them, in whole px. */
function spaced(values: PartPlan['values'], density: number): PartPlan['values'] {
  if (density === 1) return values;
  const scaled = (px: number) => Math.round(px * density);
  const { gap, padding } = values;
  const around =
    typeof padding === 'object' && padding !== null && 'start' in padding
      ? {
          ...{ start: scaled(padding.start), end: scaled(padding.end) },
          ...{ top: scaled(padding.top), bottom: scaled(padding.bottom) },
        }
      : undefined;
  return {
    ...values,
    ...(typeof gap === 'number' && { gap: scaled(gap) }),
    ...(around !== undefined && { padding: around }),
  };
}

/** What a kind names and the project has not is the first that it has: a control is never drawn in nothing. */
function withKnownNames(
  part: Part,
  constants: PartPlan['values'],
  tokens: Tokens,
): PartPlan['values'] {
  const withSteps = { ...constants, ...stepsIn(part, constants, tokens) };
  const replaced = Object.entries(kindOfPart(part).properties).flatMap(
    ([property, declared]): [string, string][] => {
      const names = namesOf(declared, tokens);
      const { default: own } = declared;
      return names !== undefined && typeof own === 'string' && ownValue(constants, property) === own
        ? [[property, knownName(names, own)]]
        : [];
    },
  );
  return { ...withSteps, ...Object.fromEntries(replaced) };
}

/** What names spacing steps, as lengths; a step that is not there is as the kind says. */
function stepsIn(part: Part, constants: PartPlan['values'], { spacing }: Tokens) {
  const lengths = Object.entries(kindOfPart(part).properties).flatMap(
    ([property, declared]): [string, Constant | undefined][] => {
      const said = ownValue(constants, property);
      const isStep =
        declared.kind === 'padding' || (declared.kind === 'number' && declared.takesSteps === true);
      if (!isStep || typeof said !== 'string') return [];
      const px = spacing.find(({ name }) => name === said)?.px;
      if (px === undefined) return [[property, declared.default]];
      return [
        [property, declared.kind === 'number' ? px : { start: px, end: px, top: px, bottom: px }],
      ];
    },
  );
  return Object.fromEntries(lengths);
}

type StackDirection = 'across' | 'down' | 'over';

/** A text that was made smaller until it fits. */
export interface Shrunk {
  /** By how many px, at 100 %; 0: it fits as it is. */
  readonly byPx: number;
  /** How wide it is on one line in the size that its style says, in CSS px: the room that it asks for. */
  readonly wantsPx: number;
}

export type BlockPlace = 'first' | 'middle' | 'last' | 'only';

/** One thing in the arranged sequence, finished: nothing is left to compute. */
export interface Entry {
  readonly kind: EntryKind;
  readonly key: string;
  /** Position of a row's item in the source; undefined: it is of no single item of the list. */
  readonly item?: number;
  /** Position of its plan. */
  readonly plan: number;
  /** One for each of the plan's slots; undefined: missing. */
  readonly values: readonly EntryValue[];
  /** How each label that may shrink has done so, in the order of the row; undefined: it is not known. */
  readonly shrunk?: readonly Shrunk[] | undefined;
  /** It stands for a row whose item is on its way. */
  readonly isSkeleton?: true;
  /** Where it stands in a block of its section; undefined: in none. */
  readonly block?: BlockPlace;
  /** A line stands between it and the row that follows. */
  readonly isDivided?: true;
  /** It is one of the cells of a strip. */
  readonly isInStrip?: true;
  /** Of a heading: whether the rows of its section are folded away; undefined: they can't be. */
  readonly isFolded?: boolean;
}

/** Positions of the entries that are headings, and of those at which what they head ends. */
export interface Headings {
  readonly headings: Int32Array;
  readonly ends: Int32Array;
  /** What each is called; undefined: the list has no index of them. */
  readonly names?: readonly (string | undefined)[] | undefined;
}

/** What tells each strip from the others of its list, in the order of their lines. */
export interface StripKeys {
  readonly strips: readonly string[];
}

/** What stays in sight above or below all that scrolls. */
export interface Bar {
  readonly entry: Entry;
  readonly heightPx: number;
}

/** What has to be known of the whole list to place any part of it. */
export interface Sequence {
  /** The same for the same entries in the same lines. */
  readonly id: number;
  /** The same for the same heights of them. */
  readonly heightsId: number;
  readonly arrangement: Arrangement;
  /** Headings stay in sight while what they head is. */
  readonly sticks: boolean;
  /** Rows move to where changed items put them. */
  readonly animates: boolean;
  /** What comes above the rows that are looked at waits for a press. */
  readonly holdsNew: boolean;
  /** The ground of bars goes on where the device keeps room for itself. */
  readonly coversSafeAreas: boolean;
  readonly entryCount: number;
  /** They are undefined where the asker has them. */
  readonly lines: (Pick<LineTable, 'firsts' | 'columns'> & Headings & StripKeys) | undefined;
  readonly heights: LineTable['heights'] | undefined;
}

/** Which sequence an asker has, so that it is not sent again. */
export type KnownSequence = Pick<Sequence, 'id' | 'heightsId'>;
