import { useEffect, useState } from 'react';
import { type Edit, type History, makeEdit } from '../../../core/project';
import { refused, showHistory, showTried, whyNotNow } from './editing';
import { whyPastLimits } from './limits';
import { useSession } from './session';

/**
 * An edit that is being tried, by a drag say: it is shown everywhere as it would be, is one step to
 * undo once it is taken, and nothing ever happened if it is left.
 */
export interface Trial {
  /** Shows what this edit would make in the place of the last one; undefined: nothing. Why it can't be, if it can't. */
  show(edit: Edit | undefined): string | undefined;
  /** Keeps what is shown. */
  take(): void;
  /** Puts back what was there before, unless it was taken or something else happened meanwhile. */
  leave(): void;
}

export function startTrial(): Trial {
  const { history: before } = useSession.getState();
  let shown: History | undefined = before;
  let next: History | undefined;
  let isShowing = false;
  let isOver = false;
  // Undo, another tab, other items: whoever came between has the last word.
  const isMine = () => useSession.getState().history === shown;
  /** Rows of many items take longer than a frame: what was tried meanwhile is shown at its newest. */
  const put = (wanted: History | undefined) => {
    next = wanted;
    if (!isShowing) void showNext();
  };
  const showNext = async () => {
    isShowing = true;
    while (next !== undefined && next !== shown && isMine()) {
      shown = next;
      await (shown === before || before === undefined
        ? showHistory(shown)
        : showTried(shown, before.project));
    }
    isShowing = false;
  };
  /** What was tried last, without waiting for what is on its way. */
  const settle = () => {
    if (next === undefined || next === shown || !isMine()) return;
    shown = next;
    void showHistory(shown);
  };
  return {
    show(edit) {
      const why = whyNotNow();
      if (why !== undefined || before === undefined || isOver) return why;
      if (edit === undefined) {
        put(before);
        return undefined;
      }
      const made = makeEdit(before, edit);
      if (!made.ok) return made.error;
      put(made.value);
      return undefined;
    },
    take() {
      const taken = next;
      const isTaken = taken !== undefined && isMine();
      isOver = true;
      if (!isTaken || before === undefined || taken === before) return settle();
      // That takes as long as a frame, so it is asked once, of what is to stay.
      const past = whyPastLimits(before.project, taken.project);
      if (past !== undefined) refused(taken.done.at(-1)?.name ?? '', past);
      shown = past === undefined ? taken : before;
      // What is still on its way to be shown is not shown after this.
      next = shown;
      void showHistory(shown);
    },
    leave() {
      if (isOver) return;
      next = before;
      settle();
      isOver = true;
    },
  };
}

/** A trial as long as something is on screen. */
export function useTrial(): Trial {
  const [trial] = useState(startTrial);
  useEffect(() => () => trial.leave(), [trial]);
  return trial;
}
