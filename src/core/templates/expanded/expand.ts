import { type Bound, isBound } from '../bound';
import type { LabelPart, SharedUse, StackPart, StandingPart } from '../parts';
import type { ElementAt } from '../running/records';
import { partsOf, type Slot, slotsOf } from '../template';

/** A stack whose parts stand once for each element of a list. */
export interface Repeat {
  readonly stack: string;
  /** What gives the list. */
  readonly over: Bound;
  /** What an element is called in expressions. */
  readonly as: string;
  readonly max: number;
}

/** Where expressions see something else than the item: an element beside its fields, or inputs alone. */
export type Scope =
  | {
      readonly kind: 'element';
      readonly repeat: Repeat;
      readonly at: ElementAt;
      readonly outer: Scope | undefined;
    }
  | { readonly kind: 'inputs'; readonly use: SharedUse; readonly outer: Scope | undefined };

/** A slot as it is drawn: of a part that stands several times, once for each. */
export interface ShownSlot extends Slot {
  /** Where it is drawn; `part` and `property` are where people said it. */
  readonly drawnAt: { readonly part: string; readonly property: string };
  /** Undefined: its expressions see the item. */
  readonly scope: Scope | undefined;
}

interface Expanded {
  readonly row: StackPart;
  /** By the ids of parts as they are drawn. */
  readonly scopes: ReadonlyMap<string, Scope>;
}

/** No id that people give has it. */
const sign = '·';

/** The id that people know of a part as it is drawn. */
export const knownId = (drawn: string): string => drawn.replace(/·[^/]*/g, '');

const noScopes: ReadonlyMap<string, Scope> = new Map();
const known = new WeakMap<StackPart, Expanded>();

/** The row with every part as often as it may stand. */
export const expandedRow = (row: StackPart): StackPart => expanded(row).row;

/** What the expressions of a part see, where it stands first; of what says how many more there are, of that. */
export const scopeAt = (
  row: StackPart,
  { part, property }: { readonly part: string; readonly property: string },
): Scope | undefined => expanded(row).scopes.get(property === 'more' ? `${part}${sign}more` : part);

/** Everything that is fed in a row as it is drawn, in a fixed order: the order of an entry's values. */
export function shownSlots(row: StackPart): readonly ShownSlot[] {
  const { row: drawn, scopes } = expanded(row);
  return slotsOf(drawn).map((slot) => {
    const { part, property } = slot;
    const scope = scopes.get(part);
    const isRest = part.endsWith(`${sign}more`) && property === 'text';
    return {
      ...slot,
      part: knownId(part),
      property: isRest ? 'more' : property,
      drawnAt: { part, property },
      scope,
    };
  });
}

/** What a repeated stack repeats; undefined: it stands as it is. */
export const repeatOf = ({ id, over, as, max }: StackPart): Repeat | undefined =>
  isBound(over) ? { stack: id, over, as: as ?? 'each', max: max ?? 5 } : undefined;

/** Whether something is around it that is repeated. */
export const isRepeated = (scope: Scope | undefined): boolean =>
  scope !== undefined && (scope.kind === 'element' || isRepeated(scope.outer));

function expanded(row: StackPart): Expanded {
  const before = known.get(row);
  if (before !== undefined) return before;
  const isPlain = [...partsOf(row)].every(
    (part) => part.part !== 'shared' && (part.part !== 'stack' || repeatOf(part) === undefined),
  );
  const made = isPlain ? { row, scopes: noScopes } : new Expansion().of(row);
  known.set(row, made);
  return made;
}

/** Where a part stands: what its expressions see, and what its id ends with there. */
interface Standing {
  readonly scope: Scope | undefined;
  readonly ending: string;
}

class Expansion {
  private readonly scopes = new Map<string, Scope>();

  of(row: StackPart): Expanded {
    return { row: this.stack(row, { scope: undefined, ending: '' }), scopes: this.scopes };
  }

  private stack(stack: StackPart, standing: Standing): StackPart {
    const repeat = repeatOf(stack);
    // One within another one stands once.
    if (repeat === undefined || isRepeated(standing.scope))
      return {
        ...this.named(stack, standing),
        children: stack.children.map((child) => this.part(child, standing)),
      };
    const { more, ...own } = this.named(stack, standing);
    const scopeOf = (at: ElementAt): Scope => ({
      ...{ kind: 'element', repeat, at, outer: standing.scope },
    });
    const children = Array.from({ length: repeat.max }, (_, at) => {
      const element = { scope: scopeOf(at), ending: at === 0 ? '' : `${sign}${at + 1}` };
      return stack.children.map((child) => leaving(this.part(child, element)));
    }).flat();
    const rest = more === undefined ? [] : [this.rest(own.id, more, scopeOf('rest'))];
    return { ...own, children: [...children, ...rest] };
  }

  private part(part: StandingPart, standing: Standing): StandingPart {
    if (part.part === 'stack') return this.stack(part, standing);
    const own = this.named(part, standing);
    if (own.part === 'label' && own.runs !== undefined)
      return { ...own, runs: own.runs.map((run) => this.named(run, standing)) };
    if (own.part !== 'shared' || own.opened === undefined) return own;
    const scope: Scope = { kind: 'inputs', use: own, outer: standing.scope };
    const children = own.opened.children.map((child) => this.part(child, { ...standing, scope }));
    return { ...own, opened: { ...own.opened, children } };
  }

  private named<P extends { readonly id: string }>(part: P, { scope, ending }: Standing): P {
    const id = part.id + ending;
    if (scope !== undefined) this.scopes.set(id, scope);
    return ending === '' ? part : { ...part, id };
  }

  private rest(stack: string, text: LabelPart['text'], scope: Scope): StandingPart {
    const rest: LabelPart = { part: 'label', id: `${stack}${sign}more`, text, style: 'small' };
    this.scopes.set(rest.id, scope);
    return leaving(rest);
  }
}

/** A part that stands for an element leaves where there is none. */
const leaving = (part: StandingPart): StandingPart =>
  isBound(part.leaves) || part.leaves === true ? part : { ...part, leaves: { expr: 'false' } };
