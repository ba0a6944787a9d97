import type { Item } from '../../../core/items';
import {
  candidates,
  choicesOfItems,
  countsOfChoices,
  type List,
  listSources,
} from '../../../core/lists';
import { conditionOf, type FindItem, type Project } from '../../../core/project';
import { type Expression, plainText, type RowContext, readsContext } from '../../../core/values';
import type { ItemTypes } from '../../items';

/** What the choices of items hang on. */
export interface Choosing {
  readonly project: Project;
  readonly list: List;
  readonly items: readonly Item[];
  readonly types: Pick<ItemTypes, 'types' | 'indexes'>;
  /** Id of a look of the project, if it has any. */
  readonly look: string | undefined;
  readonly now: string;
  readonly find: FindItem;
}

/** How a choice fared for an item. */
export interface ChoiceAsked {
  /** Its place; one past the last stands for all others. */
  readonly at: number;
  readonly isOfType: boolean;
  readonly isTaken: boolean;
  /** What its condition gives, in words; undefined: it has none, was not asked, or gives nothing. */
  readonly gives: string | undefined;
}

/** The conditions of a list made ready, one for each choice. */
interface Conditions {
  /** What they were made of. */
  readonly of: string;
  readonly all: readonly (Expression | undefined)[];
}

const noConditions: Conditions = { of: '', all: [] };

/** The choice of a list that takes each of its items; where nothing that they hang on changed, the same ones. */
export class ItemChoices {
  private conditions = noConditions;
  private of: readonly unknown[] = [];
  private chosen: Int16Array = new Int16Array();

  take(choosing: Choosing): Int16Array {
    this.conditions = conditionsFor(choosing, this.conditions);
    const of = whatTheyHangOn(choosing, this.conditions);
    const isSame = of.length === this.of.length && of.every((each, at) => each === this.of[at]);
    if (!isSame) this.chosen = choicesFor(choosing, this.conditions);
    this.of = of;
    return this.chosen;
  }

  /** Whether another time may give other choices. */
  get followTime(): boolean {
    return this.conditions.all.some(reading('now'));
  }

  /** How many items each choice takes in a look, and last how many no choice does. */
  countsIn(look: string | undefined, choosing: Choosing): readonly number[] {
    const shown = this.take(choosing);
    const isShown = look === choosing.look || !this.conditions.all.some(reading('look'));
    const chosen = isShown ? shown : choicesFor({ ...choosing, look }, this.conditions);
    return countsOfChoices(chosen, choosing.list.choices.length);
  }

  /** The choices that were asked for an item, in order; the last of them takes it. */
  whyFor(item: number, choosing: Choosing): readonly ChoiceAsked[] {
    const taken = this.take(choosing)[item];
    if (taken === undefined) return [];
    const { list, types, items } = choosing;
    const own = types.types[types.indexes[item] ?? 0];
    const context = contextIn(choosing);
    const asked = list.choices.slice(0, taken + 1).map(({ type, when }, at): ChoiceAsked => {
      const isOfType = type === undefined || type === own;
      const evaluate = this.conditions.all[at]?.evaluate;
      const gives =
        isOfType && when !== undefined ? evaluate?.(items[item] ?? {}, context) : undefined;
      return { at, isOfType, isTaken: at === taken, gives: plainText(gives) };
    });
    const isOther = taken === list.choices.length;
    return isOther
      ? [...asked, { at: taken, isOfType: true, isTaken: true, gives: undefined }]
      : asked;
  }
}

// A project that crossed from the page is another object each time: what counts is what it says.
function conditionsFor({ project, list, find }: Choosing, known: Conditions): Conditions {
  const asked = list.choices.map(({ type, when }) => [type, when]);
  const keys = project.sources.map(({ id, key }) => [id, key]);
  const of = JSON.stringify([listSources(list), asked, project.types, keys]);
  if (of === known.of) return known;
  return { of, all: list.choices.map((choice) => conditionOf(project, list, choice, find)) };
}

function whatTheyHangOn(
  { items, types, look, now }: Choosing,
  { of, all }: Conditions,
): readonly unknown[] {
  if (all.every((condition) => condition === undefined)) return [types.indexes, of];
  return [
    ...[types.indexes, of, items],
    all.some(reading('look')) && look,
    all.some(reading('now')) && now,
    // Other sources change without a word.
    all.some(looksUp) && {},
  ];
}

const reading = (name: 'look' | 'now') => (condition: Expression | undefined) =>
  condition?.checked !== undefined && readsContext(condition.checked, name);

const looksUp = (condition: Expression | undefined): boolean =>
  condition?.paths.some(([first]) => first?.startsWith('lookup(') === true) === true;

const contextIn = ({ look, now }: Choosing): RowContext => ({
  now,
  ...(look !== undefined && { look }),
});

function choicesFor(choosing: Choosing, { all }: Conditions): Int16Array {
  const { list, items, types } = choosing;
  const context = contextIn(choosing);
  const conditions = all.map((condition) => condition?.evaluate);
  return choicesOfItems(
    types.indexes,
    candidates(list, types.types),
    (choice, item) => conditions[choice]?.(items[item] ?? {}, context) === true,
  );
}
