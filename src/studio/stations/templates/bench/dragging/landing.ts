import {
  kindOfPart,
  type Landing,
  type Part,
  type Side,
  type StackPart,
  type StandingPart,
} from '../../../../../core/templates';
import type { Point } from '../../../../shared/pointer/pointer-drag';

/** A box of the page, in px. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Where something that is dragged would land, and what shows it. */
export type Landed =
  | {
      readonly kind: 'place';
      readonly landing: Landing;
      /** The stack that takes it. */
      readonly stack: string;
      /** As a line: as thin as one across it. */
      readonly line: Box;
    }
  /** On a part, which shows it from then on. */
  | { readonly kind: 'part'; readonly part: string };

/** What is dragged over which row. */
export interface Dragged {
  /** The row, or that of a shared part, in which it may land. */
  readonly root: StackPart;
  /** Undefined: it is not drawn now. */
  readonly boxOf: (part: string) => Box | undefined;
  readonly isFromRight: boolean;
  /** Ids of parts that are moved: nothing lands in them. */
  readonly moved: readonly string[];
  /** A value, which a part can take. */
  readonly isValue: boolean;
}

/** Where something lands that is let go at a point; undefined: outside of the row. */
export function landedAt(point: Point, dragged: Dragged): Landed | undefined {
  const { root, boxOf } = dragged;
  const box = boxOf(root.id);
  if (box === undefined || !contains(box, point)) return undefined;
  return inStack(deepest(root, point, dragged), point, dragged);
}

const contains = ({ left, top, width, height }: Box, { x, y }: Point, margin = 0): boolean =>
  x >= left + margin &&
  x <= left + width - margin &&
  y >= top + margin &&
  y <= top + height - margin;

/** The innermost stack at a point; what is close to a stack's edge is beside it, not in it. */
function deepest(stack: StackPart, point: Point, dragged: Dragged): StackPart {
  const { boxOf, moved } = dragged;
  for (const child of stack.children) {
    if (child.part !== 'stack' || moved.includes(child.id) || child.over !== undefined) continue;
    const box = boxOf(child.id);
    const margin = box === undefined ? 0 : Math.min(edgePx, box.width / 5, box.height / 5);
    if (box !== undefined && contains(box, point, margin)) return deepest(child, point, dragged);
  }
  return stack;
}

const edgePx = 4;

function inStack(stack: StackPart, point: Point, dragged: Dragged): Landed {
  const { boxOf } = dragged;
  const drawn = stack.children.flatMap((child, at) => {
    const box = boxOf(child.id);
    return box === undefined ? [] : [{ child, at, box }];
  });
  const over = drawn.find(({ box }) => contains(box, point));
  if (over !== undefined && !dragged.moved.includes(over.child.id)) {
    const on = onPart(over.child, stack, { box: over.box, point, dragged });
    if (on !== undefined) return on;
  }
  if (stack.direction === 'over') {
    const box = boxOf(stack.id) ?? { left: point.x, top: point.y, width: 0, height: 0 };
    return {
      kind: 'place',
      landing: { within: stack.id, at: stack.children.length },
      stack: stack.id,
      line: box,
    };
  }
  return between(stack, drawn, { point, dragged });
}

interface On {
  readonly box: Box;
  readonly point: Point;
  readonly dragged: Dragged;
}

/** On a part itself, or close to an edge across its stack, where the two get a stack of their own. */
function onPart(
  part: StandingPart,
  stack: StackPart,
  { box, point, dragged }: On,
): Landed | undefined {
  const along = (point.x - box.left) / Math.max(1, box.width);
  const x = dragged.isFromRight ? 1 - along : along;
  const y = (point.y - box.top) / Math.max(1, box.height);
  const isMiddle = (share: number) => share > 0.2 && share < 0.8;
  if (dragged.isValue && isMiddle(x) && isMiddle(y) && showsValue(part))
    return { kind: 'part', part: part.id };
  if (part.part === 'stack') return undefined;
  const sides: readonly (readonly [Side, boolean])[] =
    stack.direction === 'down'
      ? [
          ['before', x < 0.2],
          ['after', x > 0.8],
        ]
      : [
          ['above', y < 0.25],
          ['below', y > 0.75],
        ];
  const side = sides.find(([, is]) => is)?.[0];
  if (side === undefined || stack.direction === 'over') return undefined;
  const isAtStart = side === 'above' || (side === 'before') !== dragged.isFromRight;
  const line =
    side === 'above' || side === 'below'
      ? { ...box, top: side === 'above' ? box.top : box.top + box.height, height: 0 }
      : { ...box, left: isAtStart ? box.left : box.left + box.width, width: 0 };
  return { kind: 'place', landing: { beside: part.id, side }, stack: stack.id, line };
}

/** What is in a shared part takes a value, too. */
const showsValue = (part: Part): boolean =>
  part.part === 'shared' || kindOfPart(part).shows !== undefined;

interface Drawn {
  readonly at: number;
  readonly box: Box;
}

/** Between two parts of a stack, or at one of its ends. */
function between(
  stack: StackPart,
  drawn: readonly Drawn[],
  { point, dragged }: Pick<On, 'point' | 'dragged'>,
): Landed {
  const isDown = stack.direction === 'down';
  const isReversed = !isDown && dragged.isFromRight;
  const start = ({ box }: Drawn) =>
    isDown ? box.top : isReversed ? -box.left - box.width : box.left;
  const size = ({ box }: Drawn) => (isDown ? box.height : box.width);
  const here = isDown ? point.y : isReversed ? -point.x : point.x;
  const count = drawn.filter((each) => start(each) + size(each) / 2 < here).length;
  const [before, after] = [drawn[count - 1], drawn[count]];
  const at = after?.at ?? (before === undefined ? 0 : before.at + 1);
  const own = dragged.boxOf(stack.id) ?? { left: point.x, top: point.y, width: 0, height: 0 };
  const ends = [
    ...(before === undefined ? [] : [start(before) + size(before)]),
    ...(after === undefined ? [] : [start(after)]),
  ];
  const middle = ends.length === 0 ? here : ends.reduce((sum, end) => sum + end, 0) / ends.length;
  const line = isDown
    ? { ...own, top: middle, height: 0 }
    : { ...own, left: isReversed ? -middle : middle, width: 0 };
  return { kind: 'place', landing: { within: stack.id, at }, stack: stack.id, line };
}
