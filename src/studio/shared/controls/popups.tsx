import { Menu } from '@base-ui/react/menu';
import { Popover } from '@base-ui/react/popover';
import { type ReactNode, type RefObject, useLayoutEffect, useRef } from 'react';
import type { MenuEntry, Met, Trigger } from './popup';

/** The button took the place of another one, which perhaps had the focus. */
function useFocusOf({ isFocused }: Met): RefObject<HTMLButtonElement | null> {
  const button = useRef<HTMLButtonElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only how it began counts
  useLayoutEffect(() => {
    if (isFocused) button.current?.focus();
  }, []);
  return button;
}

interface MenuPopupProps extends Met {
  readonly trigger: Trigger;
  readonly entries: readonly MenuEntry[];
}

export function MenuPopup({ trigger, entries, ...met }: MenuPopupProps) {
  const button = useFocusOf(met);
  return (
    <Menu.Root modal={false} defaultOpen={met.isPressed}>
      <Menu.Trigger ref={button} {...trigger} />
      <Menu.Portal>
        <Menu.Positioner sideOffset={4} align="start" className="z-50">
          <Menu.Popup className="max-h-[min(26rem,70vh)] min-w-44 overflow-auto rounded-md border border-ash bg-paper py-1 text-ink outline-none">
            {entries.map((entry) => (
              <Menu.Item
                key={entry.words}
                disabled={entry.whyNot !== undefined}
                onClick={entry.onChoose}
                title={entry.whyNot}
                className="flex cursor-default items-baseline justify-between gap-6 px-3 py-1 outline-none data-disabled:text-ash data-highlighted:bg-chosen"
              >
                <span className={entry.isChosen ? 'font-semibold' : ''}>{entry.words}</span>
                <span className="text-sm text-ash">{entry.whyNot ?? entry.hint}</span>
              </Menu.Item>
            ))}
          </Menu.Popup>
        </Menu.Positioner>
      </Menu.Portal>
    </Menu.Root>
  );
}

interface PanelPopupProps extends Met {
  readonly label: string;
  readonly trigger: Trigger;
  readonly children: ReactNode;
}

export function PanelPopup({ label, trigger, children, ...met }: PanelPopupProps) {
  const button = useFocusOf(met);
  return (
    <Popover.Root defaultOpen={met.isPressed}>
      <Popover.Trigger ref={button} {...trigger} />
      <Popover.Portal>
        <Popover.Positioner sideOffset={6} align="end" className="z-50">
          <Popover.Popup
            aria-label={label}
            className="max-h-96 w-96 overflow-auto rounded-md border border-ash bg-paper text-ink outline-none"
          >
            {children}
          </Popover.Popup>
        </Popover.Positioner>
      </Popover.Portal>
    </Popover.Root>
  );
}
