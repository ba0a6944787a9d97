import { type ReactNode, useRef, useState } from 'react';
import { create } from 'zustand';
import { fetched } from './on-demand';
import type { Met, Trigger } from './popup';
import type * as Popups from './popups';

const usePopups = create<{ readonly loaded: typeof Popups | undefined }>(() => ({
  loaded: undefined,
}));

/** Menus and panels are a third of the page's script: they come after the first rows. */
export async function loadPopups(): Promise<void> {
  usePopups.setState({ loaded: await fetched(() => import('./popups')) });
}

interface LaterProps {
  readonly kind: 'menu' | 'dialog';
  readonly trigger: Trigger;
  /** The same button with its popup. */
  readonly children: (popups: typeof Popups, met: Met) => ReactNode;
}

/** A button that looks and reads as what it becomes once the popup's code has come. */
export function Later({ kind, trigger, children }: LaterProps) {
  const popups = usePopups((state) => state.loaded);
  const [isPressed, setPressed] = useState(false);
  const isFocused = useRef(false);
  if (popups !== undefined) return children(popups, { isPressed, isFocused: isFocused.current });
  return (
    <button
      type="button"
      aria-haspopup={kind}
      aria-expanded={false}
      onFocus={() => {
        isFocused.current = true;
      }}
      onBlur={() => {
        isFocused.current = false;
      }}
      onClick={() => {
        setPressed(true);
        void loadPopups();
      }}
      {...trigger}
    />
  );
}
