import { create } from 'zustand';
import type { Selection } from '../selection';

/** Parts that the bench does not show while one edits: the project knows nothing of it. */
export const useHidden = create<{ readonly hidden: ReadonlySet<string> }>()(() => ({
  hidden: new Set(),
}));

export const hiddenKey = (template: string, part: string): string => `${template}\n${part}`;

export function toggleHidden({ template, parts }: Pick<Selection, 'template' | 'parts'>): void {
  const keys = parts.map(({ id }) => hiddenKey(template.id, id));
  useHidden.setState(({ hidden }) => {
    const isAllHidden = keys.every((key) => hidden.has(key));
    const others = [...hidden].filter((key) => !keys.includes(key));
    return { hidden: new Set(isAllHidden ? others : [...hidden, ...keys]) };
  });
}

export const showAll = (): void => useHidden.setState({ hidden: new Set() });
