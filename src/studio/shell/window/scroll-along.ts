import type { ListView } from '../../../render';
import { engine } from '../../shared/session/session';
import { besideId } from '../../shared/window/window-settings';

/** The two windows, while both are there. */
export const windows: { first: ListView | undefined; second: ListView | undefined } = {
  first: undefined,
  second: undefined,
};

let isAsking = false;
let isLater = false;

/**
 * One window was scrolled: the other one follows, by the key of the row at its top. One question
 * at a time; what was scrolled meanwhile is asked once more after.
 */
export function moveAlong(scrolled: ListView): void {
  const { first, second } = windows;
  if (first === undefined || second === undefined) return;
  isLater = isAsking;
  if (isAsking) return;
  const [other, view] = scrolled === first ? [second, besideId] : [first, undefined];
  const top = scrolled.top();
  if (top === undefined) return;
  isAsking = true;
  void engine()
    .entryOfKey(top.key, view)
    .then((entry) => {
      isAsking = false;
      if (entry >= 0) other.alignTop(entry, top.offsetPx);
      if (isLater) moveAlong(scrolled);
    });
}
