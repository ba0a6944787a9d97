import type { ReactNode } from 'react';

/** What the button of a popup is, before the popup's code is there and after. */
export interface Trigger {
  readonly className: string;
  readonly title?: string | undefined;
  readonly 'aria-label'?: string | undefined;
  readonly children: ReactNode;
}

/** How the button was met before the popup's code was there. */
export interface Met {
  readonly isPressed: boolean;
  readonly isFocused: boolean;
}

export interface MenuEntry {
  readonly words: string;
  readonly hint?: string | undefined;
  /** Why it can't be chosen now. */
  readonly whyNot?: string | undefined;
  readonly isChosen?: boolean;
  readonly onChoose: () => void;
}
