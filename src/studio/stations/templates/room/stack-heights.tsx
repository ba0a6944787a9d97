import { count, grouped } from '../../../../core/base';
import { edits } from '../../../../core/project';
import { Button } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import type { Selection } from '../selection';
import { To } from './label-line';
import { useFacts } from './use-part-facts';

const px = (value: number): string => `${grouped(Math.round(value * 100) / 100)} px`;

/** How high the stack is in all rows; where a fixed height cuts, how much, and what holds all. */
export function StackHeights({ selection }: { readonly selection: Selection }) {
  const facts = useFacts(selection);
  if (facts?.kind !== 'stack' || facts.rowCount === 0) return null;
  const { template, part } = selection;
  const { rowCount, lowest, highest, cutCount, fitting, widthPx } = facts;
  const what = part.id === template.row.id ? 'rows' : 'it';
  const setHeight = (height: 'fit' | { readonly fixed: number }) =>
    make(edits.set({ template: template.id, part: part.id, property: 'height' }, height));
  const whole = Math.ceil(fitting.px);
  return (
    <div role="status" className="pt-1 text-sm text-ash">
      <p>
        {what === 'rows' ? `${count(rowCount, 'row')}: ` : 'it is '}
        <To item={lowest.item}>{px(lowest.px)}</To>
        {highest.px > lowest.px && (
          <>
            {' to '}
            <To item={highest.item}>{px(highest.px)}</To>
          </>
        )}
        {` high${what === 'rows' ? '' : ` in ${count(rowCount, 'row')}`} at ${Math.round(widthPx)} px`}
      </p>
      {cutCount > 0 && (
        <>
          <p className="text-madder">
            what is in {what === 'rows' ? 'them' : 'it'} is higher in{' '}
            <To item={fitting.item}>
              {grouped(cutCount)} of {count(rowCount, 'row')}
            </To>
          </p>
          <p className="flex flex-wrap gap-2 py-1">
            <Button onPress={() => setHeight({ fixed: whole })}>{px(whole)} holds all</Button>
            <Button onPress={() => setHeight('fit')}>as high as what it holds</Button>
          </p>
        </>
      )}
    </div>
  );
}
