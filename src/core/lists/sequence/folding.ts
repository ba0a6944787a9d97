import type { List } from '../list';

/** What a section is called among those of all lists. */
const sectionOf = (list: string, key: string): string => `${list}/${key}`;

/** Sections that are folded otherwise than at first, when one more of a list is folded or shown again. */
export function toggledWith(
  list: string,
  key: string,
  toggled: readonly string[],
): readonly string[] {
  const section = sectionOf(list, key);
  const others = toggled.filter((each) => each !== section);
  return others.length < toggled.length ? others : [...others, section];
}

/** Tells whether the rows of a section are folded away; undefined: they can't be. */
export function foldedIn(
  { id, sections }: List,
  toggled: readonly string[] | undefined,
): ((key: string) => boolean) | undefined {
  const { folds } = sections ?? {};
  if (folds === undefined) return undefined;
  const others = new Set(toggled);
  return (key) => (folds === 'folded') !== others.has(sectionOf(id, key));
}
