import type { Turns } from '../../core/base';
import { type Extreme, type Item, type Spread, spreadOf } from '../../core/items';
import { type ItemType, scopeFor, withId } from '../../core/project';
import { environmentToRun } from '../../core/templates';
import {
  anyMissing,
  Columns,
  type Environment,
  emptyEnvironment,
  fieldsBeside,
  makeExpression,
} from '../../core/values';
import type { Engine } from '../engine';

/** Expressions to look at over all items of a type. */
export interface MissingTask {
  readonly type: string;
  /** The expressions of each proposal. */
  readonly exprs: readonly (readonly string[])[];
}

/** An expression to look at over all items of a type; `without`: the computed property that it is. */
export interface SpreadTask {
  readonly type: string;
  readonly expr: string;
  readonly without?: string | undefined;
}

/** The items of a type with their columns: good as long as items and type stay. */
interface Known {
  readonly items: readonly Item[];
  /** As JSON: a project that crossed from the page is another object each time. */
  readonly of: string;
  readonly type: ItemType;
  readonly columns: Columns;
  /** Where the type's items stand in their source. */
  readonly positions: Int32Array;
}

/** What expressions give over all items of a type. */
export class AllItems {
  private known: Known | undefined;

  constructor(private readonly engine: Engine) {}

  *spread({ type: id, expr, without }: SpreadTask): Turns<Spread | undefined> {
    const known = this.knownOf(id);
    if (known === undefined) return undefined;
    const { type, positions } = known;
    const { checked } =
      without === undefined
        ? makeExpression(expr, type.fields, 'any', this.environmentOf(id))
        : makeExpression(expr, fieldsBeside(type.fields, without), 'property');
    if (checked === undefined) return undefined;
    return inSource(yield* spreadOf(checked, this.columnsOf(known)), positions);
  }

  /** For each list of expressions, how many items of the type have no value for one of them. */
  *missing({ type: id, exprs }: MissingTask): Turns<number[]> {
    const known = this.knownOf(id);
    if (known === undefined) return exprs.map(() => 0);
    const columns = this.columnsOf(known);
    const counts: number[] = [];
    for (const own of exprs) {
      const all = own.flatMap((expr) => makeExpression(expr, known.type.fields).checked ?? []);
      const { ends } = yield* spreadOf(anyMissing(all), columns);
      counts.push(ends?.measure === 'truth' ? ends.trueCount : 0);
    }
    return counts;
  }

  private columnsOf({ type, columns, positions }: Known): Columns {
    const contextOf = this.engine.contextsOf(type.source);
    return columns.within((at) => contextOf(positions[at] ?? -1), this.environmentOf(type.id));
  }

  private environmentOf(type: string): Environment {
    const { project } = this.engine;
    if (project === undefined) return emptyEnvironment;
    return environmentToRun(scopeFor(project, type, this.engine.lookUp, this.engine.localeNow()));
  }

  private knownOf(id: string): Known | undefined {
    const { project } = this.engine;
    const type = withId(project?.types ?? [], id);
    const source = withId(project?.sources ?? [], type?.source ?? '');
    if (project === undefined || type === undefined || source === undefined) return undefined;
    const items = this.engine.heldIn(source.id);
    const of = JSON.stringify(type);
    if (this.known?.items === items && this.known.of === of) return this.known;
    const { types, indexes } = this.engine.held(source.id).shown().types(project, source);
    const own = types.indexOf(id);
    const positions = Int32Array.from(
      items.flatMap((_, position) => (indexes[position] === own ? [position] : [])),
    );
    const columns = new Columns(Array.from(positions, (position) => items[position] ?? {}));
    this.known = { items, of, type, columns, positions };
    return this.known;
  }
}

/** Positions among the items of a type as those in their source. */
function inSource(spread: Spread, positions: Int32Array): Spread {
  const place = (at: number) => positions[at] ?? -1;
  const { ends } = spread;
  const extreme = ({ value, item }: Extreme): Extreme => ({ value, item: place(item) });
  return {
    ...spread,
    firstMissing: place(spread.firstMissing),
    ends:
      ends === undefined
        ? undefined
        : ends.measure === 'truth'
          ? { ...ends, firstTrue: place(ends.firstTrue), firstFalse: place(ends.firstFalse) }
          : { ...ends, smallest: extreme(ends.smallest), largest: extreme(ends.largest) },
  };
}
