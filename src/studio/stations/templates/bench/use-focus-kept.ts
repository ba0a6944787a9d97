import { type RefObject, useEffect } from 'react';
import { focusBench } from './writing/writing';

/** Where an edit takes away what has the focus, within a room of the page, the bench gets it. */
export function useFocusKept(room: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = room.current;
    if (element === null) return;
    let last: Element | undefined;
    const onFocus = ({ target }: FocusEvent) => {
      last = target instanceof Element && element.contains(target) ? target : undefined;
    };
    const watched = new MutationObserver(() => {
      if (last === undefined || last.isConnected) return;
      last = undefined;
      if (document.activeElement === document.body) focusBench();
    });
    document.addEventListener('focusin', onFocus);
    watched.observe(element, { childList: true, subtree: true });
    return () => {
      document.removeEventListener('focusin', onFocus);
      watched.disconnect();
    };
  }, [room]);
}
