import { ownValue } from '../base';
import type { Choice, Chosen, List } from './list';

/** The template that is chosen in a look; null: left out on purpose; undefined: nothing is chosen. */
export function chosenIn(chosen: Chosen | undefined, look: string | undefined) {
  if (chosen === undefined || chosen === null || typeof chosen === 'string') return chosen;
  return look === undefined ? undefined : ownValue(chosen, look);
}

/** The templates that are chosen in any look. */
export function templatesIn(chosen: Chosen | undefined): readonly string[] {
  const all =
    typeof chosen === 'object' && chosen !== null ? Object.values(chosen) : [chosen ?? null];
  return [...new Set(all.filter((template) => template !== null))];
}

/** The same with other templates. */
export function mapTemplates(
  chosen: Chosen | undefined,
  change: (template: string) => string | null,
): Chosen | undefined {
  if (chosen === undefined || chosen === null) return chosen;
  if (typeof chosen === 'string') return change(chosen);
  return Object.fromEntries(
    Object.entries(chosen).map(([look, own]) => [look, own === null ? null : change(own)]),
  );
}

/** What is chosen by each choice, and last what all others get. */
export const allChosen = ({ choices, otherwise }: List): readonly (Chosen | undefined)[] => [
  ...choices.map(({ template }) => template),
  otherwise,
];

/** The same list with what is chosen changed, in each choice and for all others. */
export const mapChosen = (
  list: List,
  change: (chosen: Chosen | undefined, choice: Choice | undefined) => Chosen | undefined,
): List =>
  withChosen(
    { ...list, choices: list.choices.map((each) => choosing(each, change(each.template, each))) },
    change(list.otherwise, undefined),
  );

/** A choice that chooses something else; undefined: nothing. */
export function choosing(choice: Choice, chosen: Chosen | undefined): Choice {
  if (chosen !== undefined) return { ...choice, template: chosen };
  const { template: _, ...rest } = choice;
  return rest;
}

/** A list that has something else for all that no choice takes. */
export function withChosen(list: List, chosen: Chosen | undefined): List {
  if (chosen !== undefined) return { ...list, otherwise: chosen };
  const { otherwise: _, ...rest } = list;
  return rest;
}

/**
 * For each type, and last for items of none, the choices that may take its items, in their order, up
 * to the first without a condition; the number of choices stands for what all others get.
 */
export function candidates(list: List, types: readonly string[]): readonly (readonly number[])[] {
  return [...types, undefined].map((type) => {
    const own: number[] = [];
    for (const [at, choice] of list.choices.entries()) {
      if (choice.type !== undefined && choice.type !== type) continue;
      own.push(at);
      if (choice.when === undefined) return own;
    }
    return [...own, list.choices.length];
  });
}

/**
 * The choice that takes each item. `types`: the position of each item's type; `holds`: whether the
 * condition of a choice holds for an item. Plain loops: this runs over all items.
 */
export function choicesOfItems(
  types: Uint16Array,
  ofTypes: readonly (readonly number[])[],
  holds: (choice: number, item: number) => boolean,
): Int16Array {
  const chosen = new Int16Array(types.length);
  for (let item = 0; item < types.length; item += 1) {
    const own = ofTypes[types[item] ?? 0] ?? [];
    // The last of them needs no condition.
    let at = 0;
    while (at < own.length - 1 && !holds(own[at] ?? 0, item)) at += 1;
    chosen[item] = own[at] ?? 0;
  }
  return chosen;
}

/** How many items each choice takes, and last how many no choice does. */
export function countsOfChoices(chosen: Int16Array, choiceCount: number): readonly number[] {
  const counts = new Array<number>(choiceCount + 1).fill(0);
  for (let item = 0; item < chosen.length; item += 1) {
    const choice = chosen[item] ?? 0;
    counts[choice] = (counts[choice] ?? 0) + 1;
  }
  return counts;
}
