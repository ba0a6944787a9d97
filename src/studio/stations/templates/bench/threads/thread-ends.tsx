import { ownValue } from '../../../../../core/base';
import { type Edit, edits, inOneStep } from '../../../../../core/project';
import { kindOfPart, partWithId } from '../../../../../core/templates';
import { pathText } from '../../../../../core/values';
import { followPointer, type Point } from '../../../../shared/pointer/pointer-drag';
import { make, refused } from '../../../../shared/session/editing';
import type { Place } from '../../binding/binding-edits';
import { shownInstead } from '../../commands/binding';
import { type Selection, select } from '../../selection';
import { clearMarks, showMarks } from '../dragging/drag-marks';
import { landedAt } from '../dragging/landing';
import { type Taker, takerAt } from '../dragging/takers';
import { drawnBox, drawnRow } from '../drawn';

/** A thread as it lies: from a value to a property of a part. */
export interface LaidThread {
  readonly id: string;
  readonly end: Point;
  readonly value: readonly string[];
  readonly place: Place;
  /** The property is this value and nothing else. */
  readonly isAlone: boolean;
}

interface ThreadEndsProps {
  /** Those of the selected part. */
  readonly threads: readonly LaidThread[];
  readonly selection: Selection;
}

/** The ends of the selected part's threads: pulled off with Delete or by dragging them away, or laid to another part or property. */
export function ThreadEnds({ threads, selection }: ThreadEndsProps) {
  return threads.map((thread) => {
    const { id, end, value, place } = thread;
    const name = `Thread from ${value.join(' › ')} to ${place.property} of ${place.part}`;
    return (
      <button
        key={id}
        type="button"
        aria-label={`${name}: Delete takes it off`}
        title={`${name}: drag it away, or Delete, takes it off; laid to another part it feeds that`}
        className="absolute z-20 size-5 -translate-1/2 cursor-grab touch-none rounded-full hover:bg-chosen max-[1000px]:hidden"
        style={{ left: end.x, top: end.y }}
        onPointerDown={(event) => pullThread(event, thread, selection)}
        onKeyDown={(event) => {
          if (event.key === 'Delete' || event.key === 'Backspace')
            makeOrSay(pulledOff(thread, selection));
        }}
      />
    );
  });
}

const makeOrSay = (edit: Edit | string): void => {
  if (typeof edit === 'string') refused('Pull a thread off', edit);
  else make(edit);
};

/** The property without its value; a text: why that can't be. */
function pulledOff({ place, isAlone, value }: LaidThread, { template }: Selection): Edit | string {
  const part = partWithId(template.row, place.part);
  if (part === undefined) return 'There is no such part.';
  if (!isAlone)
    return `${value.join(' › ')} is one of several that “${place.property}” reads: change the expression.`;
  const declared = ownValue(kindOfPart(part).properties, place.property);
  const edit = declared?.isRequired === true ? edits.bind(place, '') : edits.set(place, undefined);
  return { ...edit, name: `Pull ${value.join('.')} off ${place.part}` };
}

/** A property has the value of the thread from now on, in one step; the one before has it no more. */
function layTo({ words, edit }: Taker, thread: LaidThread, selection: Selection): void {
  const off = pulledOff(thread, selection);
  if (typeof off === 'string') makeOrSay(off);
  else make(inOneStep(`Lay ${thread.value.join('.')} ${words}`, [off, edit(thread.value)]));
}

function pullThread(event: React.PointerEvent, thread: LaidThread, selection: Selection): void {
  const root = selection.template.row;
  const targetAt = (at: Point): string | undefined => {
    const landed = landedAt(at, {
      ...{ root, boxOf: drawnBox, moved: [], isValue: true },
      isFromRight: drawnRow()?.isFromRight ?? false,
    });
    return landed?.kind === 'part' ? landed.part : undefined;
  };
  followPointer(event, {
    onMove: (at) => {
      const taker = takerAt(at);
      const part = taker === undefined ? targetAt(at) : undefined;
      showMarks({
        landed: part === undefined ? undefined : { kind: 'part', part },
        chip: { ...at, words: taker?.words ?? (part === undefined ? 'off' : `→ ${part}`) },
      });
    },
    onDrop: (at) => {
      clearMarks();
      const taker = takerAt(at);
      if (taker !== undefined) return layTo(taker, thread, selection);
      const id = targetAt(at);
      if (id === thread.place.part) return;
      const off = pulledOff(thread, selection);
      const other = id === undefined ? undefined : partWithId(root, id);
      if (other === undefined || typeof off === 'string') {
        makeOrSay(off);
        return;
      }
      const on = shownInstead(selection, other, { expr: pathText(thread.value) });
      if (typeof on === 'string') refused('Lay a thread', on);
      else if (
        make(inOneStep(`Lay ${thread.value.join('.')} to ${other.id}`, [off, on])) === undefined
      )
        select([other.id]);
    },
    onLeave: clearMarks,
  });
}
