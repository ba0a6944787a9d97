import type { PointerEvent } from 'react';
import { type Edit, edits, inOneStep, spacingOf } from '../../../../../core/project';
import {
  constantsOf,
  type Padding,
  type Part,
  propertyOf,
  type StackPart,
} from '../../../../../core/templates';
import { type DragKeys, followPointer, type Point } from '../../../../shared/pointer/pointer-drag';
import { startTrial } from '../../../../shared/session/trial';
import { fixedSize, nextStep, type SizeName } from '../../commands/resizing';
import { type Selection, select } from '../../selection';
import { drawnBox, drawnRow } from '../drawn';
import { clearMarks, showMarks } from './drag-marks';

/** What a length would become, and what says so. */
interface Tried {
  readonly edit: Edit | string;
  readonly words: string;
}

/** Follows the pointer with an edit that hangs on how far it went, in px of the window. */
function dragLength(
  event: PointerEvent,
  tryAt: (movedPx: Point, keys: DragKeys) => Tried,
  onPress?: () => void,
): void {
  event.stopPropagation();
  const start = { x: event.clientX, y: event.clientY };
  const { zoom = 1, isFromRight = false } = drawnRow() ?? {};
  const trial = startTrial();
  const show = (at: Point, keys: DragKeys) => {
    const x = ((at.x - start.x) / zoom) * (isFromRight ? -1 : 1);
    const { edit, words } = tryAt({ x, y: (at.y - start.y) / zoom }, keys);
    const why = typeof edit === 'string' ? edit : trial.show(edit);
    showMarks({ chip: { ...at, words: why ?? words } });
  };
  followPointer(event, {
    onMove: show,
    onDrop: (at, keys) => {
      show(at, keys);
      trial.take();
      clearMarks();
    },
    onLeave: () => {
      trial.leave();
      clearMarks();
    },
    ...(onPress !== undefined && { onPress }),
  });
}

/** The edge of a part: its size becomes fixed. With Shift by spacing steps. */
export function dragEdge(event: PointerEvent, selection: Selection, property: SizeName): void {
  const { part } = selection;
  const { zoom = 1 } = drawnRow() ?? {};
  const before = (drawnBox(part.id)?.[property] ?? 0) / zoom;
  dragLength(event, ({ x, y }, { shift }) => {
    const free = Math.max(0, Math.round(before + (property === 'width' ? x : y)));
    const px = shift ? nextStep(selection, free, 1) : free;
    return { edit: fixedSize(selection, property, px, ''), words: `${property} ${px} px` };
  });
}

/** Pressed twice, an edge lets the part be as large as what it shows. */
export const fitEdge = ({ template, part }: Selection, property: SizeName): Edit =>
  edits.set({ template: template.id, part: part.id, property }, 'fit');

interface GapDrag {
  readonly stack: StackPart;
  /** As it is drawn, in px of the window. */
  readonly gapPx: number;
  readonly onPress: () => void;
}

/** The room between the parts of a stack. With Shift the project's steps. */
export function dragGap(
  event: PointerEvent,
  selection: Selection,
  { stack, gapPx, onPress }: GapDrag,
): void {
  const place = { template: selection.template.id, part: stack.id, property: 'gap' };
  dragLength(
    event,
    ({ x, y }, { shift }) => {
      const px = Math.max(0, Math.round(gapPx + (stack.direction === 'down' ? y : x)));
      const value = shift ? nearestStep(selection, px) : { name: undefined, px };
      const edit = edits.set(place, value.name ?? value.px);
      return {
        edit,
        words: `gap ${value.px} px${value.name === undefined ? '' : ` · ${value.name}`}`,
      };
    },
    onPress,
  );
}

/** The spacing step that comes closest to a length; px alone where the project has none. */
function nearestStep(
  { project }: Selection,
  px: number,
): { readonly name: string | undefined; readonly px: number } {
  const [nearest] = spacingOf(project).toSorted(
    (a, b) => Math.abs(a.px - px) - Math.abs(b.px - px),
  );
  return nearest ?? { name: undefined, px };
}

export type EdgeSide = keyof Padding;

/** The room inside an edge of a stack; with Alt, of the one across from it too. */
export function dragPadding(
  event: PointerEvent,
  selection: Selection,
  stack: StackPart,
  side: EdgeSide,
): void {
  const before = paddingOf(selection, stack);
  const place = { template: selection.template.id, part: stack.id, property: 'padding' };
  const way = side === 'start' || side === 'top' ? 1 : -1;
  dragLength(event, ({ x, y }, { alt, shift }) => {
    const moved = (side === 'start' || side === 'end' ? x : y) * way;
    const free = Math.max(0, Math.round(before[side] + moved));
    const px = shift ? nextStep(selection, free, 1) : free;
    const next = { ...before, [side]: px, ...(alt && { [across[side]]: px }) };
    return {
      edit: edits.set(place, next),
      words: `padding ${alt ? `${side}, ${across[side]}` : side} ${px} px`,
    };
  });
}

const across = { start: 'end', end: 'start', top: 'bottom', bottom: 'top' } as const;

export function paddingOf({ project }: Pick<Selection, 'project'>, stack: StackPart): Padding {
  const { padding } = constantsOf(stack);
  if (typeof padding === 'object' && 'top' in padding) return padding;
  const px = spacingOf(project).find(({ name }) => name === padding)?.px ?? 0;
  return { start: px, end: px, top: px, bottom: px };
}

/** The border between two parts that share the rest of their stack: their shares. */
export function dragShares(
  event: PointerEvent,
  selection: Selection,
  [one, other]: readonly [Part, Part],
): void {
  const { zoom = 1 } = drawnRow() ?? {};
  const [first, second] = [one, other].map(({ id }) => (drawnBox(id)?.width ?? 0) / zoom);
  const whole = (first ?? 0) + (second ?? 0);
  const total = (shareOf(one) ?? 1) + (shareOf(other) ?? 1);
  const { template } = selection;
  dragLength(event, ({ x }) => {
    const width = Math.min(whole, Math.max(0, (first ?? 0) + x));
    const share = Math.min(
      total - 0.05,
      Math.max(0.05, round((total * width) / Math.max(1, whole))),
    );
    const edit = inOneStep(`Shares of ${one.id} and ${other.id}`, [
      edits.set({ template: template.id, part: one.id, property: 'width' }, { share }),
      edits.set(
        { template: template.id, part: other.id, property: 'width' },
        { share: round(total - share) },
      ),
    ]);
    return { edit, words: `shares ${share} : ${round(total - share)}` };
  });
}

const round = (share: number): number => Math.round(share * 20) / 20;

/** The share of the rest that a part takes; undefined: none. */
export function shareOf(part: Part): number | undefined {
  const width = propertyOf(part, 'width');
  return typeof width === 'object' && 'share' in width ? width.share : undefined;
}

/** Draws a frame and selects what is in it. */
export function dragFrame(
  event: PointerEvent,
  { template }: Selection,
  ids: readonly string[],
): void {
  const start = { x: event.clientX, y: event.clientY };
  const frameTo = (at: Point) => ({
    left: Math.min(start.x, at.x),
    top: Math.min(start.y, at.y),
    width: Math.abs(at.x - start.x),
    height: Math.abs(at.y - start.y),
  });
  followPointer(event, {
    onMove: (at) => showMarks({ frame: frameTo(at) }),
    onDrop: (at) => {
      const frame = frameTo(at);
      clearMarks();
      const inside = ids.filter((id) => {
        const box = id === template.row.id ? undefined : drawnBox(id);
        return (
          box !== undefined &&
          box.left >= frame.left &&
          box.right <= frame.left + frame.width &&
          box.top >= frame.top &&
          box.bottom <= frame.top + frame.height
        );
      });
      if (inside.length > 0) select(inside);
    },
    onLeave: clearMarks,
  });
}
