import type { PointerEvent } from 'react';
import { copied, edits } from '../../../../../core/project';
import {
  childrenOf,
  type Landing,
  type Part,
  partWithId,
  prefixOf,
  type StackPart,
  usesAround,
} from '../../../../../core/templates';
import { followPointer, type Point } from '../../../../shared/pointer/pointer-drag';
import { make, refused } from '../../../../shared/session/editing';
import { startTrial } from '../../../../shared/session/trial';
import { shownInstead } from '../../commands/binding';
import { makeAndSelect, selectNew } from '../../commands/does';
import { newForPath } from '../../inserting/new-parts';
import { type Selection, select } from '../../selection';
import { drawnBox, drawnRow } from '../drawn';
import { clearMarks, showMarks } from './drag-marks';
import { type Box, type Dragged, type Landed, landedAt } from './landing';
import { takerAt } from './takers';

/** The stack in which parts of that prefix stand: the row, or that of a shared part. */
function rootOf(row: StackPart, prefix: string): StackPart {
  if (prefix === '') return row;
  const [inner] = childrenOf(partWithId(row, prefix.slice(0, -1)) ?? row);
  return inner?.part === 'stack' ? inner : row;
}

/** Boxes as they are now: what is moved meanwhile does not change where things land. */
function boxesNow(): (part: string) => Box | undefined {
  const boxes = new Map<string, Box | undefined>();
  return (part) => {
    if (!boxes.has(part)) boxes.set(part, drawnBox(part));
    return boxes.get(part);
  };
}

function draggedIn(
  { template }: Selection,
  { prefix, moved, isValue }: { prefix: string; moved: readonly string[]; isValue: boolean },
): Dragged {
  const root = rootOf(template.row, prefix);
  return { root, boxOf: boxesNow(), isFromRight: drawnRow()?.isFromRight ?? false, moved, isValue };
}

/** Moves the selected parts with the pointer; with Alt, copies of them. The real rows follow. */
export function dragParts(event: PointerEvent, selection: Selection, onPress: () => void): void {
  const { template, project } = selection;
  const parts = selection.parts.map(({ id }) => id);
  const dragged = draggedIn(selection, {
    prefix: prefixOf(parts[0] ?? ''),
    moved: parts,
    isValue: false,
  });
  const trial = startTrial();
  const place = { template: template.id, parts };
  const editFor = (landing: Landing, isCopy: boolean) => {
    const piece = isCopy ? copied(project, place) : undefined;
    return piece === undefined
      ? edits.move(place, landing)
      : edits.paste(template.id, landing, piece);
  };
  const show = (at: Point, isCopy: boolean): string | undefined => {
    const landed = landedAt(at, dragged);
    const edit = landed?.kind === 'place' ? editFor(landed.landing, isCopy) : undefined;
    const why = edit === undefined ? 'Let go outside: nothing happens.' : trial.show(edit);
    if (why !== undefined) trial.show(undefined);
    const words = why ?? (isCopy ? 'a copy here' : 'here');
    showMarks({
      landed: why === undefined ? landed : undefined,
      chip: { ...at, words },
      isMoving: true,
    });
    return why;
  };
  followPointer(event, {
    onMove: (at, { alt }) => void show(at, alt),
    onDrop: (at, { alt }) => {
      const why = show(at, alt);
      clearMarks();
      if (why === undefined) trial.take();
      else trial.leave();
      if (alt) selectNew(template);
      else select(parts);
    },
    onLeave: () => {
      trial.leave();
      clearMarks();
    },
    onPress,
  });
}

/** A value is carried to a part, which shows it from then on, to a gap, where a part is made for it, or to a property. */
export function dragValue(
  event: PointerEvent,
  selection: Selection,
  path: readonly string[],
  expr: string,
): void {
  const dragged = draggedIn(selection, { prefix: '', moved: [], isValue: true });
  const trial = startTrial();
  const show = (at: Point): void => {
    const taker = takerAt(at);
    const landed = taker === undefined ? landedAt(at, dragged) : undefined;
    const edit = editFor(selection, landed, { path, expr, at });
    trial.show(typeof edit === 'string' ? undefined : edit);
    const words = taker?.words ?? (landed === undefined ? '' : wordsFor(landed));
    showMarks({ landed, chip: { ...at, words: `${path.join(' › ')} ${words}` }, isMoving: true });
  };
  followPointer(event, {
    onMove: show,
    onDrop: (at) => {
      const taker = takerAt(at);
      trial.leave();
      clearMarks();
      if (taker !== undefined) {
        make(taker.edit(path));
        return;
      }
      const landed = landedAt(at, dragged);
      const edit = editFor(selection, landed, { path, expr, at });
      if (edit === undefined) return;
      if (typeof edit === 'string') refused('Drop a value', edit);
      else if (landed?.kind === 'part') {
        if (make(edit) === undefined) afterBinding(selection, landed.part, at);
      } else makeAndSelect(selection, edit);
    },
    onLeave: () => {
      trial.leave();
      clearMarks();
    },
  });
}

const wordsFor = (landed: Landed): string =>
  landed.kind === 'part' ? `→ ${landed.part}` : 'as a new part here';

function editFor(
  selection: Selection,
  landed: Landed | undefined,
  { path, expr, at }: { path: readonly string[]; expr: string; at: Point },
) {
  if (landed === undefined) return undefined;
  if (landed.kind === 'place') return newForPath(selection, path, landed.landing);
  const part = innermostAt(selection, landed.part, at);
  return part && shownInstead(selection, part, { expr });
}

/** In a shared part, the part at the point: what it reads is fed. */
function innermostAt(
  { template: { row } }: Selection,
  part: string,
  { x, y }: Point,
): Part | undefined {
  const own = partWithId(row, part);
  if (own?.part !== 'shared') return own;
  const inside = [...childrenOf(own)].flatMap((child) => leavesOf(child));
  return (
    inside.find(({ id }) => {
      const box = drawnBox(id);
      return (
        box !== undefined && x >= box.left && x <= box.right && y >= box.top && y <= box.bottom
      );
    }) ?? own
  );
}

const leavesOf = (part: Part): readonly Part[] =>
  part.part === 'stack' ? part.children.flatMap((child) => leavesOf(child)) : [part];

function afterBinding(selection: Selection, part: string, at: Point): void {
  const inner = innermostAt(selection, part, at);
  const use = inner === undefined ? undefined : usesAround(inner.id).at(-1);
  select([use ?? part]);
  selectNew(selection.template);
}
