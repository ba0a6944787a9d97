import { type RefObject, useEffect, useState } from 'react';
import { slotsOf, usesAround } from '../../../../core/templates';
import { fieldAtPath, makeExpression, type ValueType } from '../../../../core/values';
import { markOf } from '../../../shared/controls/typed';
import type { Selection } from '../selection';

interface Thread {
  readonly id: string;
  readonly path: string;
  readonly type: ValueType;
  readonly isStrong: boolean;
  readonly end: { readonly x: number; readonly y: number };
}

interface ThreadsProps {
  readonly room: RefObject<HTMLDivElement | null>;
  readonly selection: Selection;
}

const opening = ['pointerover', 'pointerout', 'focusin', 'focusout'] as const;

/** Lines from each value to the parts that it feeds, in the colour and pattern of its type. */
export function Threads({ room, selection }: ThreadsProps) {
  const [threads, setThreads] = useState<readonly Thread[]>([]);
  // Not a layout effect: the room around is attached after those of its children ran.
  useEffect(() => {
    const element = room.current;
    if (element === null) return;
    const measure = () => setThreads(measureThreads(element, selection));
    const soon = () => requestAnimationFrame(measure);
    // Rows come from the worker, lists are scrolled and opened: whatever moves an end is followed.
    const watched = new MutationObserver((changes) => {
      if (changes.some((change) => !(change.target instanceof SVGElement))) soon();
    });
    watched.observe(element, { childList: true, subtree: true, attributeFilter: ['style'] });
    const resized = new ResizeObserver(soon);
    resized.observe(element);
    element.addEventListener('scroll', soon, true);
    // A folded column of values opens beneath the pointer and with the focus.
    for (const kind of opening) element.addEventListener(kind, soon);
    measure();
    return () => {
      watched.disconnect();
      resized.disconnect();
      element.removeEventListener('scroll', soon, true);
      for (const kind of opening) element.removeEventListener(kind, soon);
    };
  }, [room, selection]);

  return (
    <svg
      className="pointer-events-none absolute inset-0 size-full overflow-hidden max-[1000px]:hidden"
      aria-hidden="true"
      data-testid="threads"
    >
      {threads.map(({ id, path, type, isStrong, end }) => {
        const { colour, dash, isDouble } = markOf(type);
        return (
          <g key={id} opacity={isStrong ? 1 : 0.45} data-thread={id}>
            <path
              d={path}
              fill="none"
              stroke={colour}
              strokeWidth={isDouble ? 4 : 2}
              strokeDasharray={dash}
            />
            {isDouble && <path d={path} fill="none" stroke="var(--wool)" strokeWidth={1.6} />}
            <circle
              cx={end.x}
              cy={end.y}
              r="4"
              fill="var(--paper)"
              stroke={colour}
              strokeWidth="1.6"
            />
          </g>
        );
      })}
    </svg>
  );
}

function measureThreads(room: HTMLElement, { template, type, part }: Selection): Thread[] {
  const origin = room.getBoundingClientRect();
  const fields = type?.fields ?? [];
  const row = room.querySelector('.yc-bench .yc-row')?.getBoundingClientRect();
  if (row === undefined) return [];
  const threads: Thread[] = [];
  for (const slot of slotsOf(template.row)) {
    // What is in a shared part reads its inputs, not the item.
    if (typeof slot.binding === 'string' || usesAround(slot.part).length > 0) continue;
    const drawn = room.querySelector(`.yc-bench [data-part="${slot.part}"]`);
    // What has left is nowhere.
    if (drawn === null || drawn.getClientRects().length === 0) continue;
    const target = drawn.getBoundingClientRect();
    const { paths } = makeExpression(slot.binding.expr, fields);
    for (const [index, path] of paths.entries()) {
      const from = dotOf(room, path);
      const valueType = fieldAtPath(fields, path);
      if (from === undefined || valueType === undefined) continue;
      const start = { x: from.x - origin.x, y: from.y - origin.y };
      const fromBelow = target.top + target.bottom > row.top + row.bottom + 2;
      const end = {
        x: target.left - origin.x + Math.min(target.width - 6, 22 + index * 18),
        y: (fromBelow ? target.bottom : target.top) - origin.y,
      };
      threads.push({
        id: `${slot.part}/${path.join('.')}`,
        path: curve(start, end, {
          x: row.left - origin.x + 4,
          y: fromBelow ? row.bottom - origin.y + 12 : row.top - origin.y - 12,
        }),
        type: valueType,
        isStrong: slot.part === part.id,
        end,
      });
    }
  }
  return threads.sort((a, b) => Number(a.isStrong) - Number(b.isStrong));
}

/** The dot of a value, or of the record around it where that is closed; undefined: scrolled away. */
function dotOf(
  room: HTMLElement,
  path: readonly string[],
): { readonly x: number; readonly y: number } | undefined {
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

interface Point {
  readonly x: number;
  readonly y: number;
}

/** A curve past the row's corner (the gate), along its edge, and onto the part, so that it crosses few words. */
function curve(start: Point, end: Point, gate: Point): string {
  const half = (gate.x - start.x) / 2;
  const toGate = `C${start.x + half} ${start.y} ${gate.x - half} ${gate.y} ${gate.x} ${gate.y}`;
  const run = (end.x - gate.x) * 0.6;
  return `M${start.x} ${start.y}${toGate}C${gate.x + run} ${gate.y} ${end.x} ${gate.y} ${end.x} ${end.y}`;
}
