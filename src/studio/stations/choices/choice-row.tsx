import GripVertical from 'lucide-react/icons/grip-vertical';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import type { Choice, List } from '../../../core/lists';
import { edits, typesOfList, withId } from '../../../core/project';
import { MenuButton } from '../../shared/controls/controls';
import { followPointer } from '../../shared/pointer/pointer-drag';
import { make } from '../../shared/session/editing';
import { Cell } from './cell';
import type { ChoiceRowProps } from './choice-props';
import { ConditionField } from './condition-field';
import { Mends } from './mends';

/** A choice: what it asks, and in each look what its items get. */
export function ChoiceRow(props: ChoiceRowProps) {
  const { list, looks, choice, at, table, findings, isTaken } = props;
  const [isDragged, setDragged] = useState(false);
  const own = findings.filter(
    ({ place }) => place.in === 'project' && place.path === `lists/${list.id}/choices/${at}`,
  );
  return (
    <tr
      data-choice={at}
      className={`border-b border-rule align-top data-[lands=above]:border-t-2 data-[lands=above]:border-t-woad data-[lands=below]:border-b-2 data-[lands=below]:border-b-woad ${isDragged ? 'opacity-50' : ''} ${isTaken ? 'bg-chosen/60' : ''}`}
    >
      <td className="py-3 ps-4 text-ash">
        {choice !== undefined && (
          <button
            type="button"
            aria-label={`Choice ${at + 1}: Alt with arrows tries it earlier or later`}
            title="Drag, or Alt with arrows: tried earlier or later"
            className="flex touch-none items-center gap-0.5 rounded-sm tabular-nums hover:text-ink"
            onPointerDown={(event) => drag(event, { list, at }, setDragged)}
            onKeyDown={(event) => moveByKey(event, { list, at })}
          >
            <GripVertical size={12} aria-hidden="true" />
            {at + 1}
          </button>
        )}
      </td>
      <td className="max-w-72 py-2 pe-3">
        {choice === undefined ? (
          <>
            <i>otherwise</i>
            <span className="block text-sm text-ash">items that no choice takes</span>
          </>
        ) : (
          <Asked {...props} choice={choice} />
        )}
        <Mends {...props} findings={own} />
      </td>
      {looks.map((look, place) => (
        <Cell
          key={look?.id ?? ''}
          {...props}
          look={look}
          itemCount={table?.counts[place]?.[at] ?? 0}
          first={table?.first[at] ?? -1}
        />
      ))}
    </tr>
  );
}

function Asked({ project, list, choice, at }: ChoiceRowProps & { readonly choice: Choice }) {
  const { type, when } = choice;
  const place = { list: list.id, at };
  const own = typesOfList(project, list);
  const name = type === undefined ? 'all types' : (withId(project.types, type)?.name ?? type);
  const withType = (next: string | undefined) =>
    make(
      edits.ask(place, {
        ...(next !== undefined && { type: next }),
        ...(when !== undefined && { when }),
      }),
    );
  return (
    <>
      <span className="flex items-center gap-1">
        <MenuButton
          label={`Type of choice ${at + 1}`}
          words={name}
          entries={[
            ...own.map((each) => ({
              words: each.name,
              isChosen: each.id === type,
              onChoose: () => withType(each.id),
            })),
            {
              words: 'all types',
              isChosen: type === undefined,
              onChoose: () => withType(undefined),
            },
          ]}
        />
        <MenuButton
          label={`Choice ${at + 1}`}
          words="…"
          entries={[
            {
              words: 'Try it earlier',
              hint: 'Alt Up',
              whyNot: at === 0 ? 'it is the first' : undefined,
              onChoose: () => make(edits.moveChoice(place, at - 1)),
            },
            {
              words: 'Try it later',
              hint: 'Alt Down',
              whyNot: at === list.choices.length - 1 ? 'it is the last' : undefined,
              onChoose: () => make(edits.moveChoice(place, at + 1)),
            },
            {
              words: 'Another one before it',
              onChoose: () =>
                make(edits.addChoice(list.id, type === undefined ? {} : { type }, at)),
            },
            { words: 'Remove it', onChoose: () => make(edits.removeChoice(place)) },
          ]}
        />
      </span>
      <ConditionField {...{ project, list, choice, at }} />
    </>
  );
}

interface Moved {
  readonly list: List;
  readonly at: number;
}

function moveByKey(event: KeyboardEvent, { list, at }: Moved): void {
  const step = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
  if (!event.altKey || step === 0) return;
  event.preventDefault();
  const to = at + step;
  if (make(edits.moveChoice({ list: list.id, at }, to)) !== undefined) return;
  // The row of that place is its own now.
  const rows = event.currentTarget.closest('tbody')?.querySelectorAll<HTMLElement>('[data-choice]');
  rows?.[to]?.querySelector<HTMLElement>('button')?.focus();
}

/** Follows a row that is dragged to another place; a line shows where it would stand. */
function drag(
  event: PointerEvent<HTMLElement>,
  { list, at }: Moved,
  setDragged: (isDragged: boolean) => void,
): void {
  const body = event.currentTarget.closest('tbody');
  const rows = [...(body?.querySelectorAll<HTMLElement>('[data-choice]') ?? [])].slice(
    0,
    list.choices.length,
  );
  const placeAt = (y: number): number => {
    const below = rows.findIndex((row) => {
      const { top, height } = row.getBoundingClientRect();
      return y < top + height / 2;
    });
    return below < 0 ? rows.length : below;
  };
  const clear = () => {
    for (const row of rows) delete row.dataset['lands'];
  };
  event.currentTarget.focus();
  followPointer(event, {
    onMove({ y }) {
      setDragged(true);
      clear();
      const before = placeAt(y);
      const row = rows[Math.min(before, rows.length - 1)];
      if (row !== undefined) row.dataset['lands'] = before < rows.length ? 'above' : 'below';
    },
    onDrop({ y }) {
      setDragged(false);
      clear();
      const before = placeAt(y);
      const to = before > at ? before - 1 : before;
      if (to !== at) make(edits.moveChoice({ list: list.id, at }, to));
    },
    onLeave() {
      setDragged(false);
      clear();
    },
  });
}
