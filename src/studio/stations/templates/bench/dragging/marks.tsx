import { type RefObject, useLayoutEffect, useState } from 'react';
import { make } from '../../../../shared/session/editing';
import { canBeFixed } from '../../commands/resizing';
import type { Selection } from '../../selection';
import { drawnBox } from '../drawn';
import { Bands } from './bands';
import { useDragMarks } from './drag-marks';
import { dragEdge, fitEdge } from './edge-drags';
import type { Box } from './landing';
import { Measures } from './measures';

interface MarksProps extends OnGround {
  readonly selection: Selection;
  /** Changes whenever the row on the bench is another. */
  readonly drawn: number;
}

/** What can be taken hold of on the bench, and what a drag shows: drawn over the row, in its place. */
export function Marks({ selection, ground, drawn }: MarksProps) {
  const { part, template, parts } = selection;
  const isMoving = useDragMarks((marks) => marks.isMoving);
  const [origin, setOrigin] = useState<Box>({ left: 0, top: 0, width: 0, height: 0 });
  const [size, setSize] = useState(0);
  useLayoutEffect(() => {
    if (ground.current === null) return;
    const measure = () => setSize((before) => before + 1);
    const watched = new ResizeObserver(measure);
    watched.observe(ground.current);
    return () => watched.disconnect();
  }, [ground]);
  const [box, setBox] = useState<Box>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is drawn changes with these
  useLayoutEffect(() => {
    const own = ground.current?.getBoundingClientRect();
    if (own === undefined) return;
    setOrigin((before) => (isSame(before, own) ? before : own));
    const next = drawnBox(part.id);
    setBox((before) => (isSame(before, next) ? before : next));
  }, [ground, drawn, size, part.id]);
  const at = (where: Box) => within(origin, where);
  const isOne = parts.length === 1 && !isMoving;
  return (
    <div className="pointer-events-none absolute inset-0 z-10" data-marks data-testid="marks">
      {isOne && <Bands {...{ selection, drawn: drawn + size, at }} />}
      {isOne && box !== undefined && part.id !== template.row.id && canBeFixed(part, 'width') && (
        <Edge
          words={`Width of ${part.id}`}
          side="end"
          box={at(box)}
          onDown={(event) => dragEdge(event, selection, 'width')}
          onTwice={() => make(fitEdge(selection, 'width'))}
        />
      )}
      {isOne && box !== undefined && canBeFixed(part, 'height') && (
        <Edge
          words={`Height of ${part.id}`}
          side="bottom"
          box={at(box)}
          onDown={(event) => dragEdge(event, selection, 'height')}
          onTwice={() => make(fitEdge(selection, 'height'))}
        />
      )}
      {isOne && <Measures {...{ selection, at, drawn }} />}
      <Landing ground={ground} />
      <Frame ground={ground} />
      <Chip />
    </div>
  );
}

interface OnGround {
  readonly ground: RefObject<HTMLElement | null>;
}

const within = (origin: Box | undefined, { left, top, width, height }: Box): Box => ({
  left: left - (origin?.left ?? 0),
  top: top - (origin?.top ?? 0),
  width,
  height,
});

const isSame = (one: Box | undefined, other: Box | undefined): boolean =>
  one?.left === other?.left &&
  one?.top === other?.top &&
  one?.width === other?.width &&
  one?.height === other?.height;

function Frame({ ground }: OnGround) {
  const frame = useDragMarks((marks) => marks.frame);
  if (frame === undefined) return null;
  const style = within(ground.current?.getBoundingClientRect(), frame);
  return <div className="absolute border border-dashed border-woad bg-chosen/40" style={style} />;
}

/** What a drag would do, in words beside the pointer. */
function Chip() {
  const chip = useDragMarks((marks) => marks.chip);
  return (
    chip !== undefined && (
      <span
        role="status"
        className="fixed top-3.5 left-3 z-50 rounded-md bg-ink px-2 py-0.5 text-sm whitespace-nowrap text-paper"
        style={{ transform: `translate(${chip.x}px, ${chip.y}px)` }}
      >
        {chip.words}
      </span>
    )
  );
}

interface EdgeProps {
  readonly words: string;
  readonly side: 'end' | 'bottom';
  readonly box: Box;
  readonly onDown: (event: React.PointerEvent) => void;
  readonly onTwice: () => void;
}

/** An edge that can be dragged; keys with Ctrl do the same. */
function Edge({ words, side, box, onDown, onTwice }: EdgeProps) {
  const place =
    side === 'end'
      ? { left: box.left + box.width - 4, top: box.top, width: 9, height: box.height }
      : { left: box.left, top: box.top + box.height - 4, width: box.width, height: 9 };
  return (
    <div
      aria-hidden="true"
      title={`${words}: drag; twice fits it`}
      data-edge={side}
      className={`pointer-events-auto absolute touch-none after:absolute after:rounded-full after:bg-woad ${
        side === 'end'
          ? 'cursor-ew-resize after:inset-y-1/4 after:left-[3px] after:w-[3px]'
          : 'cursor-ns-resize after:inset-x-[35%] after:top-[3px] after:h-[3px]'
      }`}
      style={place}
      onPointerDown={onDown}
      onDoubleClick={onTwice}
    />
  );
}

/** Where what is dragged lands: a line, and the stack that takes it; or the part that shows it. */
function Landing({ ground }: OnGround) {
  const landed = useDragMarks((marks) => marks.landed);
  if (landed === undefined) return null;
  const at = (box: Box) => within(ground.current?.getBoundingClientRect(), box);
  const around = drawnBox(landed.kind === 'place' ? landed.stack : landed.part);
  return (
    <>
      {around !== undefined && (
        <div
          className={`absolute rounded-sm border ${landed.kind === 'part' ? 'border-2 border-woad bg-chosen/40' : 'border-dashed border-woad'}`}
          style={at(around)}
        />
      )}
      {landed.kind === 'place' && (
        <div
          data-testid="landing"
          className="absolute min-h-[3px] min-w-[3px] rounded-full bg-woad"
          style={thinned(at(landed.line))}
        />
      )}
    </>
  );
}

/** A line stands in the middle of where it is. */
const thinned = ({ left, top, width, height }: Box): Box => ({
  left: width === 0 ? left - 1.5 : left,
  top: height === 0 ? top - 1.5 : top,
  width,
  height,
});
