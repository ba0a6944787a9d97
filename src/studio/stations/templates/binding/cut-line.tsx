import { count, grouped } from '../../../../core/base';
import { handItem } from '../../../shared/session/at-hand';
import { engine, useSession, wantedRange } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';
import { useWindow } from '../../../shared/window/window-settings';
import type { Selection } from '../selection';

/** In how many rows the label is cut in the window's width, and where it takes most lines. */
export function CutLine({ selection }: { readonly selection: Selection }) {
  const device = useWindow((settings) => settings.device);
  const locale = useWindow((settings) => settings.locale);
  const textSize = useWindow((settings) => settings.textSize);
  const measuredCount = useSession((session) => session.measuredCount);
  const { widthPx: ofWindow } = device;
  const box = { widthPx: ofWindow, ratio: devicePixelRatio, textSize, ...wantedRange().box };
  const asked = { template: selection.template.id, part: selection.part.id, box };
  const cuts = useAnswer({ ...asked, device, locale, textSize, measuredCount }, () =>
    engine().labelCuts(asked),
  );
  if (cuts === undefined || cuts.rowCount === 0) return null;
  const { cutCount, rowCount, firstCut, maxLines, longest, widthPx } = cuts;
  return (
    <p className="text-sm text-ash" role="status">
      {cutCount === 0 ? (
        `whole in all ${count(rowCount, 'row')}`
      ) : (
        <button type="button" className="underline" onClick={() => void handItem(firstCut)}>
          cut in {grouped(cutCount)} of {count(rowCount, 'row')}
        </button>
      )}
      {` at ${Math.round(widthPx)} px`}
      {maxLines > 1 && (
        <>
          {'; '}
          <button type="button" className="underline" onClick={() => void handItem(longest)}>
            {count(maxLines, 'line')} at most
          </button>
        </>
      )}
    </p>
  );
}
