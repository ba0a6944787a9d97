import { useLayoutEffect, useState } from 'react';
import { type StackPart, stackAround } from '../../../../../core/templates';
import type { Selection } from '../../selection';
import { drawnBox, drawnRow } from '../drawn';
import { startInserting } from '../writing/writing';
import { dragGap, dragPadding, dragShares, type EdgeSide, paddingOf, shareOf } from './edge-drags';
import type { Box } from './landing';

interface BandsProps {
  readonly selection: Selection;
  readonly drawn: number;
  readonly at: (box: Box) => Box;
}

interface Gap {
  readonly box: Box;
  readonly px: number;
  /** The place in the stack of the part after it. */
  readonly index: number;
}

/** The gaps of the selected stack, or of the one round the selected part, and the padding of the stack: seen on hovering. */
export function Bands({ selection, drawn, at }: BandsProps) {
  const { part, template } = selection;
  const stack = part.part === 'stack' ? part : stackAround(template.row, part.id);
  const [gaps, setGaps] = useState<readonly Gap[]>([]);
  const [edges, setEdges] = useState<readonly (readonly [EdgeSide, Box])[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is drawn changes with these
  useLayoutEffect(() => {
    setGaps(stack === undefined ? [] : gapsOf(stack));
    setEdges(part.part === 'stack' ? edgesOf(selection, part) : []);
  }, [drawn, stack, part]);
  if (stack === undefined) return null;
  const isDown = stack.direction === 'down';
  return (
    <>
      {edges.map(([side, box]) => (
        <div
          key={side}
          aria-hidden="true"
          title={`Padding, ${side}: drag; Alt: both sides; Shift: by steps`}
          data-padding={side}
          className={`pointer-events-auto absolute touch-none opacity-0 hover:opacity-100 ${hatched} ${side === 'start' || side === 'end' ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
          style={at(box)}
          onPointerDown={(event) => dragPadding(event, selection, stack, side)}
        />
      ))}
      {gaps.map(({ box, px, index }) => {
        const pair = [stack.children[index - 1], stack.children[index]] as const;
        const [one, other] = pair;
        const isShared =
          !isDown &&
          one !== undefined &&
          other !== undefined &&
          shareOf(one) !== undefined &&
          shareOf(other) !== undefined;
        return (
          <div
            key={index}
            aria-hidden="true"
            title={`Gap ${Math.round(px)} px: drag; press to insert here`}
            data-gap={index}
            className={`group/gap pointer-events-auto absolute grid touch-none place-items-center opacity-0 hover:opacity-100 ${hatched} ${isDown ? 'cursor-ns-resize' : 'cursor-ew-resize'}`}
            style={at(box)}
            onPointerDown={(event) =>
              dragGap(event, selection, {
                stack,
                gapPx: px,
                onPress: () => startInserting({ within: stack.id, at: index }),
              })
            }
          >
            <span className="rounded-full bg-woad px-1 text-sm leading-4 text-paper">+</span>
            {isShared && one !== undefined && other !== undefined && (
              <span
                title="Their shares: drag"
                data-shares={index}
                className="absolute bottom-[14%] h-[24%] min-h-3 w-full cursor-col-resize rounded-sm bg-walnut"
                onPointerDown={(event) => dragShares(event, selection, [one, other])}
              />
            )}
          </div>
        );
      })}
    </>
  );
}

const hatched = 'bg-[repeating-linear-gradient(45deg,var(--woad)_0_2px,transparent_2px_6px)]';

/** What is narrower can't be hit. */
const minBandPx = 8;

function gapsOf(stack: StackPart): readonly Gap[] {
  if (stack.direction === 'over') return [];
  const { zoom = 1, isFromRight = false } = drawnRow() ?? {};
  const own = drawnBox(stack.id);
  if (own === undefined) return [];
  const isDown = stack.direction === 'down';
  const all = stack.children.flatMap((child, index) => {
    const box = drawnBox(child.id);
    return box === undefined ? [] : [{ box, index }];
  });
  return all.slice(1).flatMap(({ box, index }, before): readonly Gap[] => {
    const previous = all[before]?.box;
    if (previous === undefined) return [];
    const [from, to] = isDown
      ? [previous.bottom, box.top]
      : isFromRight
        ? [box.right, previous.left]
        : [previous.right, box.left];
    const size = Math.max(minBandPx, to - from);
    const start = (from + to - size) / 2;
    const band = isDown
      ? { left: own.left, top: start, width: own.width, height: size }
      : { left: start, top: own.top, width: size, height: own.height };
    return [{ box: band, px: Math.max(0, (to - from) / zoom), index }];
  });
}

function edgesOf(selection: Selection, stack: StackPart): readonly (readonly [EdgeSide, Box])[] {
  const own = drawnBox(stack.id);
  const { zoom = 1, isFromRight = false } = drawnRow() ?? {};
  if (own === undefined) return [];
  const padding = paddingOf(selection, stack);
  const [left, right] = isFromRight
    ? ([padding.end, padding.start] as const)
    : ([padding.start, padding.end] as const);
  const size = (px: number) => Math.max(minBandPx, px * zoom);
  return [
    [
      isFromRight ? 'end' : 'start',
      { left: own.left, top: own.top, width: size(left), height: own.height },
    ],
    [
      isFromRight ? 'start' : 'end',
      { left: own.right - size(right), top: own.top, width: size(right), height: own.height },
    ],
    ['top', { left: own.left, top: own.top, width: own.width, height: size(padding.top) }],
    [
      'bottom',
      {
        left: own.left,
        top: own.bottom - size(padding.bottom),
        width: own.width,
        height: size(padding.bottom),
      },
    ],
  ];
}
