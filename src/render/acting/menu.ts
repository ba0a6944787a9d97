import { activeAround } from '../active';
import { actionButtons } from './action-buttons';
import type { Offered } from './acts';

interface MenuPlace {
  readonly x: number;
  readonly y: number;
}

/** The actions of a row, for who has no finger. */
export class ActionMenu {
  private menu: HTMLElement | undefined;
  private before: Element | null = null;

  constructor(private readonly host: HTMLElement) {}

  open({ x, y }: MenuPlace, offered: readonly Offered[], choose: (action: Offered) => void): void {
    this.close();
    const menu = document.createElement('div');
    menu.className = 'yc-menu';
    menu.setAttribute('role', 'menu');
    menu.popover = 'auto';
    const buttons = actionButtons(offered, 'menuitem', (action) => {
      this.close();
      choose(action);
    });
    menu.append(...buttons);
    this.before = activeAround(this.host);
    this.host.append(menu);
    menu.showPopover();
    const { width, height } = menu.getBoundingClientRect();
    menu.style.left = `${Math.max(4, Math.min(x, innerWidth - width - 4))}px`;
    menu.style.top = `${Math.max(4, Math.min(y, innerHeight - height - 4))}px`;
    menu.addEventListener('keydown', this.onKey);
    menu.addEventListener('toggle', (event) => {
      if (event instanceof ToggleEvent && event.newState === 'closed' && this.menu === menu)
        this.close();
    });
    this.menu = menu;
    buttons.find(({ disabled }) => !disabled)?.focus();
  }

  close(): void {
    const { menu, before } = this;
    this.menu = undefined;
    if (menu === undefined) return;
    const hadFocus = menu.contains(activeAround(menu));
    menu.remove();
    if (hadFocus && before instanceof HTMLElement) before.focus();
  }

  private readonly onKey = (event: KeyboardEvent): void => {
    const buttons = [...(this.menu?.querySelectorAll('button') ?? [])].filter(
      ({ disabled }) => !disabled,
    );
    const { activeElement } = document;
    const at = activeElement instanceof HTMLButtonElement ? buttons.indexOf(activeElement) : -1;
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: buttons.length - 1 };
    event.stopPropagation();
    if (event.key === 'Escape' || event.key === 'Tab') {
      event.preventDefault();
      this.close();
    }
    const next = Object.entries(to).find(([key]) => key === event.key)?.[1];
    if (next === undefined) return;
    event.preventDefault();
    buttons.at(next % buttons.length)?.focus();
  };
}
