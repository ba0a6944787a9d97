import type { Pane } from './stations';

interface PaneTabsProps {
  readonly panes: readonly Pane[];
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
}

/** Where there is no room for all panes one stands at a time: each is a press away. */
export function PaneTabs({ panes, chosen, onChoose }: PaneTabsProps) {
  return (
    <nav
      aria-label="Panes"
      className="hidden items-center gap-1 overflow-x-auto px-2 max-[1000px]:flex"
    >
      {panes.map(({ id, words }) => (
        <button
          key={id}
          type="button"
          aria-pressed={id === chosen}
          className="h-7 shrink-0 rounded-full border border-rule bg-paper px-2.5 text-sm whitespace-nowrap hover:border-ash aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
          onClick={() => onChoose(id)}
        >
          {words}
        </button>
      ))}
    </nav>
  );
}
