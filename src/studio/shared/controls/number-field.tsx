import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { makeExpression } from '../../../core/values';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  /** What an arrow key adds with Shift. */
  readonly stride?: number;
  readonly onChange: (value: number) => void;
}

/** So far the pointer goes, in px, before it drags, and from step to step. */
const dragPx = 4;

/**
 * A number, whole unless it steps by less: typed, also as a sum (`48/3`), by arrow keys, or dragged
 * sideways. Every keystroke that gives one counts at once.
 */
export function NumberField({
  label,
  value,
  min,
  max,
  step = 1,
  stride = step * 8,
  onChange,
}: NumberFieldProps) {
  const [typed, setTyped] = useState<string>();
  const drag = useRef<{ readonly fromX: number; readonly from: number; isMoving: boolean }>(null);
  const fitted = (next: number) =>
    Math.max(min, Math.min(max, Math.round(Math.round(next / step) * step * 1_000) / 1_000));
  const take = (text: string) => {
    setTyped(text);
    const next = sumIn(text);
    const isOne = next !== undefined && (step < 1 ? Number.isFinite(next) : Number.isInteger(next));
    if (isOne && next >= min && next <= max) onChange(next);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const way = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (event.key === 'Enter' || event.key === 'Escape') setTyped(undefined);
    if (way === 0) return;
    event.preventDefault();
    setTyped(undefined);
    onChange(fitted(value + way * (event.shiftKey ? stride : step)));
  };
  const onPointerMove = (event: PointerEvent<HTMLInputElement>) => {
    const begun = drag.current;
    if (begun === null) return;
    const steps = Math.trunc((event.clientX - begun.fromX) / dragPx);
    if (steps === 0 && !begun.isMoving) return;
    if (!begun.isMoving) event.currentTarget.setPointerCapture(event.pointerId);
    begun.isMoving = true;
    setTyped(undefined);
    const next = fitted(begun.from + steps * step);
    if (next !== value) onChange(next);
  };
  return (
    <input
      type="text"
      inputMode="decimal"
      role="spinbutton"
      aria-label={label}
      aria-valuenow={value}
      aria-valuemin={min}
      aria-valuemax={max}
      title={`${label}: ${min} to ${max}. Arrow keys, a sum, or drag sideways`}
      autoComplete="off"
      className="h-6 w-14 touch-none cursor-ew-resize rounded-md border border-rule bg-paper px-2 tabular-nums focus:cursor-text"
      value={typed ?? String(value)}
      onChange={(event) => take(event.target.value)}
      onBlur={() => setTyped(undefined)}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        // Within what is being typed, the pointer marks words.
        if (document.activeElement !== event.currentTarget)
          drag.current = { fromX: event.clientX, from: value, isMoving: false };
      }}
      onPointerMove={onPointerMove}
      onPointerUp={() => {
        drag.current = null;
      }}
      onPointerCancel={() => {
        drag.current = null;
      }}
    />
  );
}

/** What a sum of numbers gives; undefined: it is none. */
function sumIn(text: string): number | undefined {
  const sum = text.trim().replace(/,/g, '.');
  if (sum === '' || sum.length > 100 || !/^[\d.\s()*/+-]+$/.test(sum)) return undefined;
  const value = makeExpression(sum, [], 'any').evaluate?.({});
  return typeof value === 'number' ? value : undefined;
}
