import { edits, inOneStep } from '../../../../core/project';
import ExamplePanel from '../../../shared/by-example/example-panel';
import type { Taken } from '../../../shared/by-example/proposal-line';
import { make } from '../../../shared/session/editing';
import { useBenchItem, useTried } from '../bench/bench-item';
import type { Selection } from '../selection';
import type { Place } from './binding-edits';

interface ByExampleProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly onDone: () => void;
}

/** The words that a label should show for the item at hand, and the bindings that would give them. */
export default function ByExample({ selection, place, onDone }: ByExampleProps) {
  const { template, type } = selection;
  const item = useBenchItem(template);
  const tried = useTried(template, [item]);
  if (type === undefined || item < 0 || tried === undefined) return null;
  const slot = tried.plan.slots.findIndex(
    (each) => each.part === place.part && each.property === place.property,
  );
  const take = ({ expr, words, format, newFormats }: Taken) => {
    const binding = expr === undefined ? words : { expr, ...(format !== undefined && { format }) };
    const made = [...newFormats.map(edits.addFormat), edits.bind(place, binding)];
    if (make(inOneStep(`${place.part} by example`, made)) === undefined) onDone();
  };
  return (
    <ExamplePanel
      key={`${place.template} ${place.part}`}
      {...{ type, item }}
      now={String(tried.entries[0]?.values[slot] ?? '')}
      onTake={take}
    />
  );
}
