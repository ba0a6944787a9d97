import type { LayoutNode } from '../layout';
import type { PartPlan } from './frame';

/** What a finger is sure to hit: so many px each way, with the room round a part. */
const fingerPx = 44;
/** Units in a CSS px at a ratio of 1. */
const unitsAPx = 64;

/** The ids of parts that a finger is to hit. */
export function targetsOf(part: PartPlan): readonly string[] {
  return [...(part.isTarget ? [part.id] : []), ...part.children.flatMap(targetsOf)];
}

interface Area {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * Targets of a solved row that a finger can hardly hit: the room of 44 px round them is not all in
 * the row, or has another one in it (after WCAG 2.2, 2.5.8, whose least size is 24 px).
 */
export function smallTargets(row: LayoutNode, targets: ReadonlySet<string>): readonly string[] {
  if (targets.size === 0) return [];
  const found = new Map<string, Area>();
  locate(row, 0, 0, (node, area) => {
    if (targets.has(node.part) && !found.has(node.part)) found.set(node.part, area);
  });
  const { width, height } = row.box;
  return [...found].flatMap(([part, area]) => {
    const { left, top, right, bottom } = withRoom(area);
    const isWithin = left >= 0 && top >= 0 && right <= width && bottom <= height;
    const isAlone = [...found].every(
      ([other, { left: x, top: y, right: toX, bottom: toY }]) =>
        other === part || toX <= left || x >= right || toY <= top || y >= bottom,
    );
    return isWithin && isAlone ? [] : [part];
  });
}

function locate(
  node: LayoutNode,
  x: number,
  y: number,
  tell: (node: LayoutNode, area: Area) => void,
): void {
  const { width, height } = node.box;
  const [left, top] = [x + node.box.x, y + node.box.y];
  tell(node, { left, top, right: left + width, bottom: top + height });
  if (node.kind !== 'stack') return;
  for (const child of node.children) locate(child, left, top, tell);
}

function withRoom({ left, top, right, bottom }: Area): Area {
  const finger = fingerPx * unitsAPx;
  const across = Math.max(0, finger - (right - left)) / 2;
  const down = Math.max(0, finger - (bottom - top)) / 2;
  return {
    left: left - across,
    top: top - down,
    right: right + across,
    bottom: bottom + down,
  };
}
