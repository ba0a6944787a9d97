import type { PartFacts, PartTask } from '../../../../engine';
import { engine, useSession, wantedRange } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';
import { useWindow } from '../../../shared/window/window-settings';
import type { Selection } from '../selection';

/** The selected part in the box that the window is, and what else an answer about it hangs on. */
export function usePartTask({ template, part }: Selection) {
  const { widthPx } = useWindow((settings) => settings.device);
  const locale = useWindow((settings) => settings.locale);
  const textSize = useWindow((settings) => settings.textSize);
  const measuredCount = useSession((session) => session.measuredCount);
  const box = { ...wantedRange().box, widthPx, ratio: devicePixelRatio, textSize };
  const task: PartTask = { template: template.id, part: part.id, box };
  return { task, locale, measuredCount };
}

/** How the selected part fares in all rows, in the window's width; undefined: it is not known yet. */
export const useFacts = (selection: Selection): PartFacts | undefined =>
  useAnswer(usePartTask(selection), async ({ task }) => engine().partFacts(task));
