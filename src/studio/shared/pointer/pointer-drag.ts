import type { PointerEvent } from 'react';

/** In px of the page. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** What is told of a drag, once a frame at most. */
export interface DragListener {
  readonly onMove: (at: Point, keys: DragKeys) => void;
  readonly onDrop: (at: Point, keys: DragKeys) => void;
  /** Let go with Escape, or by the system. */
  readonly onLeave: () => void;
  /** Let go where it was taken up: a press. */
  readonly onPress?: (keys: DragKeys) => void;
}

export interface DragKeys {
  readonly alt: boolean;
  readonly shift: boolean;
}

/** So far a press wanders. */
const thresholdPx = 4;

/** Follows a pointer, mouse or finger, from where it went down. */
export function followPointer(event: PointerEvent, listener: DragListener): void {
  // Nothing is selected as text on the way.
  event.preventDefault();
  const { pointerId } = event;
  const start: Point = { x: event.clientX, y: event.clientY };
  let isDragging = false;
  let frame = 0;
  let last: readonly [Point, DragKeys] = [start, keysOf(event)];
  const ended = new AbortController();
  const end = () => {
    cancelAnimationFrame(frame);
    ended.abort();
  };
  const onMove = (moved: globalThis.PointerEvent) => {
    if (moved.pointerId !== pointerId) return;
    last = [{ x: moved.clientX, y: moved.clientY }, keysOf(moved)];
    const [at] = last;
    isDragging ||= Math.hypot(at.x - start.x, at.y - start.y) > thresholdPx;
    if (!isDragging) return;
    moved.preventDefault();
    cancelAnimationFrame(frame);
    frame = requestAnimationFrame(() => listener.onMove(...last));
  };
  const onUp = (up: globalThis.PointerEvent) => {
    if (up.pointerId !== pointerId) return;
    end();
    if (isDragging) listener.onDrop({ x: up.clientX, y: up.clientY }, keysOf(up));
    else listener.onPress?.(keysOf(up));
  };
  const onLeave = () => {
    end();
    listener.onLeave();
  };
  const onKey = (key: KeyboardEvent) => {
    if (key.key !== 'Escape' || !isDragging) return;
    key.preventDefault();
    key.stopPropagation();
    onLeave();
  };
  const { signal } = ended;
  window.addEventListener('pointermove', onMove, { signal });
  window.addEventListener('pointerup', onUp, { signal });
  window.addEventListener('pointercancel', (event) => event.pointerId === pointerId && onLeave(), {
    signal,
  });
  window.addEventListener('keydown', onKey, { signal, capture: true });
}

const keysOf = ({
  altKey,
  shiftKey,
}: {
  readonly altKey: boolean;
  readonly shiftKey: boolean;
}): DragKeys => ({
  alt: altKey,
  shift: shiftKey,
});
