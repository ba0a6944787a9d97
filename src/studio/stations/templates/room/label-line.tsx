import type { ReactNode } from 'react';
import { count, grouped } from '../../../../core/base';
import type { LabelFacts } from '../../../../engine';
import { handItem } from '../../../shared/session/at-hand';
import { madeAsWide, useWindow } from '../../../shared/window/window-settings';
import type { Selection } from '../selection';
import { useFacts } from './use-part-facts';

/** In how many rows the label is cut in the window's width, from where on in none, and its extremes. */
export function LabelLine({ selection }: { readonly selection: Selection }) {
  const facts = useFacts(selection);
  if (facts?.kind !== 'label' || facts.rowCount === 0) return null;
  const { cutCount, rowCount, firstCut, maxLines, longest, widestPx, widest, widthPx } = facts;
  const { smallerCount, smallerBy, smallest } = facts;
  return (
    <p className="text-sm text-ash" role="status">
      {cutCount === 0 ? (
        `whole in all ${count(rowCount, 'row')}`
      ) : (
        <To item={firstCut}>
          cut in {grouped(cutCount)} of {count(rowCount, 'row')}
        </To>
      )}
      {` at ${Math.round(widthPx)} px`}
      {cutCount > 0 && <WholeFrom facts={facts} />}
      {smallerCount > 0 && (
        <>
          {`; smaller in ${grouped(smallerCount)}, `}
          <To item={smallest}>by {smallerBy} px at most</To>
        </>
      )}
      {maxLines > 1 && (
        <>
          {'; '}
          <To item={longest}>{count(maxLines, 'line')} at most</To>
        </>
      )}
      {widest >= 0 && (
        <>
          {'; widest '}
          <To item={widest}>{grouped(Math.ceil(widestPx))} px</To>
        </>
      )}
    </p>
  );
}

/** A number that leads to the item that it is of. */
export function To({ item, children }: { readonly item: number; readonly children: ReactNode }) {
  return (
    <button type="button" className="underline" onClick={() => void handItem(item)}>
      {children}
    </button>
  );
}

/** The width from which on nothing is cut, which the window takes by a press. */
function WholeFrom({ facts }: { readonly facts: LabelFacts }) {
  const { wholeFromPx, widthPx } = facts;
  if (wholeFromPx === undefined) return ', in any width';
  const widen = () =>
    useWindow.setState(({ device }) => ({
      device: madeAsWide(device, device.widthPx + wholeFromPx - widthPx),
    }));
  return (
    <>
      {', whole from '}
      <button type="button" className="underline" title="Make the window so wide" onClick={widen}>
        {grouped(wholeFromPx)} px
      </button>
    </>
  );
}
