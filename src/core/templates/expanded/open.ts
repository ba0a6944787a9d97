import type { Field } from '../../values';
import type { Opened, SharedUse, StackPart, StandingPart } from '../parts';
import { mapParts, partsOf, partWithId, type Template } from '../template';

/** A part that the project keeps once: wherever it is used, it stands as it is here. */
export interface SharedPart {
  readonly id: string;
  readonly name: string;
  /** What its expressions read, in the place of an item's fields. */
  readonly inputs: readonly Field[];
  readonly row: StackPart;
}

/** No id that people give has it: it stands between a use and a part of what it uses. */
const within = '/';

/** More parts than a row can have: what would go on without end, or nearly, ends. */
const maxParts = 500;

const known = new WeakMap<StackPart, { readonly of: readonly SharedPart[]; row: StackPart }>();

/** The template with the parts of what it uses, each of an id that leads there. */
export function openedTemplate<T extends Pick<Template, 'row'>>(
  template: T,
  shared: readonly SharedPart[],
): T {
  const { row } = template;
  if (![...partsOf(row)].some(({ part }) => part === 'shared')) return template;
  const before = known.get(row);
  const opened = before?.of === shared ? before.row : new Opening(shared).row(row);
  known.set(row, { of: shared, row: opened });
  return { ...template, row: opened };
}

class Opening {
  private partCount = 0;

  constructor(private readonly shared: readonly SharedPart[]) {}

  row(row: StackPart): StackPart {
    return this.inside(row, []);
  }

  private inside(stack: StackPart, around: readonly string[]): StackPart {
    const children = stack.children.map((child) => this.standing(child, around));
    return { ...stack, children };
  }

  private standing(part: StandingPart, around: readonly string[]): StandingPart {
    this.partCount += 1;
    if (part.part === 'stack') return this.inside(part, around);
    return part.part === 'shared' ? { ...part, opened: this.opened(part, around) } : part;
  }

  private opened({ id, of }: SharedUse, around: readonly string[]): Opened {
    const own = this.shared.find((each) => each.id === of);
    if (own === undefined) return { inputs: undefined, children: [] };
    const { inputs, row } = own;
    if (around.includes(of))
      return { inputs, children: [], circle: [...around.slice(around.indexOf(of)), of] };
    if (this.partCount > maxParts) return { inputs, children: [], isTooMuch: true };
    const inner = this.inside(row, [...around, of]);
    const children = [mapParts(inner, (part) => ({ ...part, id: id + within + part.id }))];
    return { inputs, children };
  }
}

/** Where a part that is shown is written: in a template, or in what it uses, by its id there. */
export interface WrittenAt {
  /** Undefined: the template itself. */
  readonly shared: string | undefined;
  readonly part: string;
  /** The part that uses it. */
  readonly use: string | undefined;
}

/** Where a part of an opened row is written. */
export function writtenAt(row: StackPart, part: string): WrittenAt {
  const steps = part.split(within);
  const use = partWithId(row, steps.slice(0, -1).join(within));
  return {
    shared: use?.part === 'shared' ? use.of : undefined,
    part: steps.at(-1) ?? part,
    use: use?.id,
  };
}

/** What the id of a part that is shown begins with where a shared part is around it; its brothers' begin so, too. */
export const prefixOf = (part: string): string => part.slice(0, part.lastIndexOf(within) + 1);

/** The uses that a part stands in, the outermost first. */
export const usesAround = (part: string): readonly string[] =>
  part
    .split(within)
    .slice(0, -1)
    .map((_, at, all) => all.slice(0, at + 1).join(within));
