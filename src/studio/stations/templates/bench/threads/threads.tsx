import { type RefObject, useEffect, useState } from 'react';
import {
  isBound,
  kindOfPart,
  type Part,
  partsOf,
  propertyOf,
  slotsOf,
  usesAround,
} from '../../../../../core/templates';
import { fieldAtPath, makeExpression, pathRead, type ValueType } from '../../../../../core/values';
import { markOf } from '../../../../shared/controls/typed';
import type { Point } from '../../../../shared/pointer/pointer-drag';
import type { Selection } from '../../selection';
import type { Box } from '../dragging/landing';
import { drawnBox, drawnRow } from '../drawn';
import { type LaidThread, ThreadEnds } from './thread-ends';
import { gatePx, threadEnd, threadPath } from './thread-paths';

interface Thread extends LaidThread {
  readonly path: string;
  readonly type: ValueType;
  readonly isStrong: boolean;
}

interface ThreadsProps {
  readonly room: RefObject<HTMLDivElement | null>;
  readonly selection: Selection;
}

const opening = ['pointerover', 'pointerout', 'focusin', 'focusout'] as const;

/** More than these are told apart by nobody: those of other parts become one bundle. */
const maxApart = 12;

/** Lines from each value to the parts that it feeds, in the colour and pattern of its type. */
export function Threads({ room, selection }: ThreadsProps) {
  const [drawn, setDrawn] = useState<Drawn>({ threads: [], loose: [] });
  // Not a layout effect: the room around is attached after those of its children ran.
  useEffect(() => {
    const element = room.current;
    if (element === null) return;
    const measure = () => setDrawn(measureThreads(element, selection));
    let frame = 0;
    const soon = () => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(measure);
    };
    // Rows come from the worker, lists are scrolled and opened: whatever moves an end is followed.
    const watched = new MutationObserver((changes) => {
      if (changes.some(({ target }) => !isOverlay(target))) soon();
    });
    watched.observe(element, { childList: true, subtree: true, attributeFilter: ['style'] });
    const resized = new ResizeObserver(soon);
    resized.observe(element);
    element.addEventListener('scroll', soon, true);
    // A folded column of values opens beneath the pointer and with the focus.
    for (const kind of opening) element.addEventListener(kind, soon);
    measure();
    return () => {
      cancelAnimationFrame(frame);
      watched.disconnect();
      resized.disconnect();
      element.removeEventListener('scroll', soon, true);
      for (const kind of opening) element.removeEventListener(kind, soon);
    };
  }, [room, selection]);
  const { threads, loose } = drawn;
  const isBundled = threads.filter(({ isStrong }) => !isStrong).length > maxApart;
  return (
    <div data-threads className="contents">
      <svg
        className="pointer-events-none absolute inset-0 size-full overflow-hidden max-[1000px]:hidden"
        aria-hidden="true"
        data-testid="threads"
        data-bundled={isBundled}
      >
        {threads.map((thread) => (
          <ThreadLine key={thread.id} thread={thread} isInBundle={isBundled && !thread.isStrong} />
        ))}
        {loose.map(({ x, y }) => (
          <path
            key={`${x} ${y}`}
            d={`M${x} ${y}q4 -5 0 -8t2 -6`}
            fill="none"
            stroke="var(--ash)"
            strokeWidth="1.4"
            strokeDasharray="2 2"
          />
        ))}
      </svg>
      <ThreadEnds threads={threads.filter(({ isStrong }) => isStrong)} selection={selection} />
    </div>
  );
}

/** Moves no end: what is drawn over the row. */
const isOverlay = (target: Node): boolean =>
  target instanceof SVGElement ||
  (target instanceof Element && target.closest('[data-threads], [data-marks]') !== null);

function ThreadLine({
  thread,
  isInBundle,
}: {
  readonly thread: Thread;
  readonly isInBundle: boolean;
}) {
  const { id, path, type, isStrong, end } = thread;
  const { colour, dash, isDouble } = markOf(type);
  const stroke = isInBundle ? 'var(--ash)' : colour;
  return (
    <g opacity={isStrong ? 1 : isInBundle ? 0.3 : 0.45} data-thread={id}>
      <path
        d={path}
        fill="none"
        stroke={stroke}
        strokeWidth={isInBundle ? 1.2 : isDouble ? 4 : 2}
        strokeDasharray={isInBundle ? undefined : dash}
      />
      {isDouble && !isInBundle && (
        <path d={path} fill="none" stroke="var(--wool)" strokeWidth={1.6} />
      )}
      <circle cx={end.x} cy={end.y} r="4" fill="var(--paper)" stroke={stroke} strokeWidth="1.6" />
    </g>
  );
}

interface Drawn {
  readonly threads: readonly Thread[];
  /** Where parts that no value feeds have their loose ends. */
  readonly loose: readonly Point[];
}

function measureThreads(room: HTMLElement, selection: Selection): Drawn {
  const { template, type, part } = selection;
  const shown = drawnRow();
  if (shown === undefined) return { threads: [], loose: [] };
  const origin = room.getBoundingClientRect();
  const fields = type?.fields ?? [];
  const inRoom = ({ left, top, width, height }: Box): Box => ({
    ...{ left: left - origin.left, top: top - origin.top, width, height },
  });
  const row = inRoom(shown.row.getBoundingClientRect());
  const boxes = boxesWithWords(template.row, inRoom);
  const threads: Thread[] = [];
  for (const slot of slotsOf(template.row)) {
    // What is in a shared part reads its inputs, not the item.
    if (typeof slot.binding === 'string' || usesAround(slot.part).length > 0) continue;
    const drawn = drawnBox(slot.part);
    // What has left is nowhere.
    if (drawn === undefined) continue;
    const { paths } = makeExpression(slot.binding.expr, fields);
    for (const [at, path] of paths.entries()) {
      const from = dotOf(room, path);
      const valueType = fieldAtPath(fields, path);
      if (from === undefined || valueType === undefined) continue;
      const start = { x: from.x - origin.x, y: from.y - origin.y };
      const words = boxes.flatMap(({ id, box }) => (id === slot.part ? [] : [box]));
      const end = threadEnd(inRoom(drawn), {
        row,
        words,
        index: at,
        isFromRight: shown.isFromRight,
      });
      const gateY = end.from === 'below' ? row.top + row.height + gatePx : row.top - gatePx;
      threads.push({
        id: `${slot.part}/${slot.property}/${path.join('.')}`,
        path: threadPath(start, end, { x: row.left + 4, y: gateY }, threads.length),
        type: valueType,
        isStrong: slot.part === part.id,
        end,
        value: path,
        place: { template: template.id, part: slot.part, property: slot.property },
        isAlone: pathRead(slot.binding.expr) !== undefined,
      });
    }
  }
  const sorted = threads.sort((a, b) => Number(a.isStrong) - Number(b.isStrong));
  return { threads: sorted, loose: looseEnds(template.row, inRoom) };
}

/** Words that no thread goes over. */
const boxesWithWords = (row: Part, inRoom: (box: Box) => Box) =>
  [...partsOf(row)].flatMap((part) => {
    const box = part.part === 'stack' || part.part === 'run' ? undefined : drawnBox(part.id);
    return box === undefined ? [] : [{ id: part.id, box: inRoom(box) }];
  });

const looseEnds = (row: Part, inRoom: (box: Box) => Box): readonly Point[] =>
  [...partsOf(row)].flatMap((part) => {
    const { shows } = kindOfPart(part);
    const isFed = shows === undefined || isBound(propertyOf(part, shows));
    const box = isFed || usesAround(part.id).length > 0 ? undefined : drawnBox(part.id);
    if (box === undefined) return [];
    const { left, top, width } = inRoom(box);
    return [{ x: left + Math.min(10, width / 2), y: top }];
  });

/** The dot of a value, or of the record around it where that is closed; undefined: scrolled away. */
function dotOf(room: HTMLElement, path: readonly string[]): Point | undefined {
  for (let length = path.length; length > 0; length -= 1) {
    const dot = room.querySelector(
      `[data-thread-from="${CSS.escape(path.slice(0, length).join('.'))}"]`,
    );
    if (dot === null) continue;
    const box = dot.getBoundingClientRect();
    const list = dot.closest('section')?.getBoundingClientRect();
    const y = box.top + box.height / 2;
    if (list !== undefined && (y < list.top || y > list.bottom)) return undefined;
    return { x: box.left + box.width / 2, y };
  }
  return undefined;
}
