import type { KeyboardEvent } from 'react';
import {
  childrenOf,
  labelAround,
  type Part,
  partsOf,
  stackAround,
} from '../../../../core/templates';
import { keyOf } from '../../../shared/controls/key-of';
import { refused } from '../../../shared/session/editing';
import { toggleHidden } from '../commands/hiding';
import { startNaming } from '../commands/naming';
import { doCommand, partCommands } from '../commands/part-commands';
import { type Selection, select, selectAlso } from '../selection';
import { drawnRow } from './drawn';
import { startInserting, startWrapping, startWriting } from './writing/writing';
import { fitBench, zoomBench } from './zoom';

/** Keys of the bench and the outline: they go from part to part, and do what buttons do. */
export function onPartKey(event: KeyboardEvent, selection: Selection): void {
  const pressed = keyOf(event);
  const key = pressed === 'Backspace' ? 'Delete' : mirrored(pressed);
  const command = partCommands.find((each) => each.key === key);
  if (command !== undefined) {
    event.preventDefault();
    const why = doCommand(command, selection);
    if (why !== undefined) refused(command.name, why);
    return;
  }
  const done = otherKey(key, event, selection);
  if (done) event.preventDefault();
}

/** As it is where rows run from the left. */
function mirrored(key: string): string {
  if (drawnRow()?.isFromRight !== true) return key;
  if (key.endsWith('ArrowLeft')) return key.replace('ArrowLeft', 'ArrowRight');
  return key.replace('ArrowRight', 'ArrowLeft');
}

function otherKey(key: string, event: KeyboardEvent, selection: Selection): boolean {
  const { template, part } = selection;
  const goTo = (next: Part | undefined) => {
    if (next !== undefined) select([next.id]);
    return next !== undefined;
  };
  switch (key) {
    case 'ArrowLeft':
    case 'ArrowUp':
      return goTo(brother(selection, -1)) || true;
    case 'ArrowRight':
    case 'ArrowDown':
      return goTo(brother(selection, 1)) || true;
    case 'Enter':
      return goTo(childrenOf(part)[0]);
    case 'Escape':
      return goTo(around(selection));
    case 'F2':
      startNaming(part.id);
      return true;
    case 'Shift H':
      toggleHidden(selection);
      return true;
    case 'Ctrl G':
      startWrapping();
      return true;
    case '+':
    case '-':
      zoomBench(key === '+' ? 1 : -1, drawnRow()?.zoom ?? 1);
      return true;
    case '0':
      fitBench();
      return true;
    case 'Insert':
    case 'Ctrl Enter':
      startInserting();
      return true;
  }
  if (event.shiftKey && /^Arrow/.test(event.key)) {
    const isBack = event.key === 'ArrowLeft' || event.key === 'ArrowUp';
    const next = brother(selection, isBack ? -1 : 1);
    if (next !== undefined) selectAlso(selection, next.id);
    return true;
  }
  if (event.key === 'Tab' && !event.ctrlKey && !event.altKey) {
    const all = [...partsOf(template.row)];
    return goTo(all[all.findIndex(({ id }) => id === part.id) + (event.shiftKey ? -1 : 1)]);
  }
  const isTyped = event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey;
  if (isTyped && event.key !== ' ') startWriting(event.key);
  return isTyped && event.key !== ' ';
}

const around = ({ template: { row }, part }: Selection): Part | undefined =>
  labelAround(row, part.id) ?? stackAround(row, part.id) ?? sharedAround(row, part);

/** The use of a shared part that a part of it stands in. */
const sharedAround = (row: Part, { id }: Part): Part | undefined =>
  [...partsOf(row)].find((each) => childrenOf(each).some((child) => child.id === id));

/** The part so many places on among its brothers, seen from the last that is selected. */
function brother(selection: Selection, by: 1 | -1): Part | undefined {
  const last = selection.parts.at(-1) ?? selection.part;
  const parent = around({ ...selection, part: last });
  if (parent === undefined) return undefined;
  const all = childrenOf(parent);
  return all[all.findIndex(({ id }) => id === last.id) + by];
}
