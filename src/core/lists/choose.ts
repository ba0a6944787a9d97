import type { List } from './list';

/** For an item type's id (or none), the id of the template, or null where the item is left out. */
export function chooser(list: List): (type: string | undefined) => string | null {
  const byType = new Map(list.choices.map((choice) => [choice.type, choice.template]));
  return (type) => {
    const chosen = type === undefined ? undefined : byType.get(type);
    return chosen === undefined ? list.otherwise : chosen;
  };
}
