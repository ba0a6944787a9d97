import type { List } from '../../../core/lists';

interface FilterBoxProps {
  /** What tells the boxes of two windows apart to those who hear them. */
  readonly of?: string;
  readonly list: List | undefined;
  readonly typed: string;
  readonly onType: (typed: string) => void;
}

/** The filter box of a list, as the app will have it; nothing where the list has none. */
export function FilterBox({ of = '', list, typed, onType }: FilterBoxProps) {
  if (list?.filter === undefined) return null;
  return (
    <div className="border-b border-(--row-rule) px-3 py-2">
      <input
        type="search"
        aria-label={`Filter rows${of}`}
        placeholder={`Find by ${list.filter.fields.join(', ')}`}
        autoComplete="off"
        className="h-8 w-full rounded-md border border-(--row-rule) bg-(--row-ground) px-2.5 [font-family:var(--row-face)] placeholder:text-(--row-ash)"
        value={typed}
        onChange={(event) => onType(event.target.value)}
      />
    </div>
  );
}
