import { type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import {
  type EntryValue,
  knownId,
  partIds,
  partWithId,
  usesAround,
} from '../../../../core/templates';
import { bindRow, createRow } from '../../../../render';
import { useDirection } from '../../../shared/session/locale';
import { usePictures } from '../../../shared/window/pictures';
import { useWindow } from '../../../shared/window/window-settings';
import { hiddenKey, showAll, useHidden } from '../commands/hiding';
import { type Selection, select, selectAlso } from '../selection';
import { useBenchItem, useTried } from './bench-item';
import { dragParts } from './dragging/carrying';
import { useDragMarks } from './dragging/drag-marks';
import { dragFrame } from './dragging/edge-drags';
import { Marks } from './dragging/marks';
import { drawnRow, partAt } from './drawn';
import { partEvents } from './part-events';
import { focusBench } from './writing/writing';
import { useBenchZoom, zoomBench } from './zoom';

const maxEnlarged = 2;

/** The template with the item at hand, enlarged: parts are selected, moved and sized here. */
export function Bench({ selection }: { readonly selection: Selection }) {
  const { template, project, part, parts } = selection;
  const scheme = useWindow((settings) => settings.scheme);
  const device = useWindow((settings) => settings.device);
  const host = useRef<HTMLDivElement>(null);
  const room = useRef<HTMLDivElement>(null);
  const [ground, groundPx] = useWidth();
  // As wide as on the device, and as large as the bench has room for.
  const { wish } = useBenchZoom();
  const zoom = wish ?? Math.min(maxEnlarged, groundPx / device.widthPx);
  const item = useBenchItem(template);
  const items = useMemo(() => (item < 0 ? [] : [item]), [item]);
  const tried = useTried(template, items, 'tried');
  const pictures = usePictures(project.pictures, scheme);
  const { hidden } = useHidden();
  const direction = useDirection();
  const isMoving = useDragMarks((marks) => marks.isMoving);
  const [drawn, setDrawn] = useState(0);
  const entry = tried?.entries[0];
  const selected = parts.map(({ id }) => id).join(' ');

  useEffect(() => {
    // What is moved stays where it was taken up: what it would do is seen in the window.
    if (isMoving) return;
    setDrawn((before) => before + 1);
    if (tried === undefined || entry === undefined) return host.current?.replaceChildren();
    const row = createRow(tried.plan);
    bindRow(row, entry, pictures);
    host.current?.replaceChildren(row.element);
    markParts(row.element, {
      selected: selected.split(' '),
      values: entry.values,
      slots: tried.plan.slots,
    });
    hideParts(row.element, (id) => hidden.has(hiddenKey(template.id, id)));
  }, [tried, entry, pictures, selected, hidden, template.id, isMoving]);

  useEffect(() => {
    const element = room.current;
    // React's own listener could not keep the page from being zoomed.
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey || event.deltaY === 0) return;
      event.preventDefault();
      zoomBench(event.deltaY < 0 ? 1 : -1, drawnRow()?.zoom ?? 1);
    };
    element?.addEventListener('wheel', onWheel, { passive: false });
    return () => element?.removeEventListener('wheel', onWheel);
  }, []);

  const onDown = (event: React.PointerEvent) => {
    if (event.button !== 0) return;
    // Links and buttons of the row are parts here.
    event.preventDefault();
    focusBench();
    const at = partAt(event.target);
    if (at === undefined || (at === template.row.id && part.id !== at)) {
      dragFrame(event, selection, partIds(template.row));
      if (at !== undefined && event.pointerType === 'mouse') select([at]);
      return;
    }
    const isSelected = parts.some(({ id }) => id === at || usesAround(at).includes(id));
    const pressed = partPressed(at, part.id);
    const press = () => {
      if (event.shiftKey) selectAlso(selection, pressed);
      else select([pressed]);
    };
    if (isSelected && !event.shiftKey) dragParts(event, selection, press);
    else {
      press();
      if (!event.shiftKey) dragParts(event, selectionOf(selection, pressed), () => {});
    }
  };
  const hiddenHere = partIds(template.row).filter((id) => hidden.has(hiddenKey(template.id, id)));
  return (
    <div
      ref={room}
      className="relative touch-pan-y bg-[radial-gradient(var(--rule)_1px,transparent_1px)] bg-size-[12px_12px] px-7 py-6 max-[1100px]:px-3"
      onPointerDown={(event) => {
        if (event.target === event.currentTarget)
          dragFrame(event, selection, partIds(template.row));
      }}
    >
      <div ref={ground} />
      <div
        // biome-ignore lint/a11y/noNoninteractiveTabindex: keys go from part to part here
        tabIndex={0}
        role="application"
        aria-label={`The row on the bench. Selected: ${parts.map(({ id }) => id).join(', ')}`}
        data-keys="bench"
        className="rounded-md"
        {...partEvents(selection)}
      >
        <div
          ref={host}
          data-testid="bench"
          dir={direction}
          className={`yc-bench scheme-${scheme} overflow-hidden rounded-md border border-ash`}
          style={{ zoom, width: device.widthPx }}
          onPointerDown={onDown}
          onClickCapture={(event) => event.preventDefault()}
        />
      </div>
      <Marks selection={selection} ground={room} drawn={drawn} />
      {hiddenHere.length > 0 && (
        <button
          type="button"
          className="absolute bottom-1 start-7 rounded-full border border-weld bg-paper px-2 text-sm text-weld"
          title="Show all again"
          onClick={showAll}
        >
          hidden here: {hiddenHere.join(', ')}
        </button>
      )}
      {item < 0 && (
        <p className="pt-2 text-ash">No item of the type “{template.type}” is there to fill it.</p>
      )}
    </div>
  );
}

/** The width of an element, as it changes. */
function useWidth(): readonly [RefObject<HTMLDivElement | null>, number] {
  const element = useRef<HTMLDivElement>(null);
  const [widthPx, setWidth] = useState(500);
  useEffect(() => {
    if (element.current === null) return;
    const watched = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? 500));
    watched.observe(element.current);
    return () => watched.disconnect();
  }, []);
  return [element, widthPx];
}

/** First a shared part as a whole, then, once it is selected, what is in it. */
function partPressed(pressed: string, selected: string): string {
  const around = [selected, ...usesAround(selected)];
  return usesAround(pressed).find((use) => !around.includes(use)) ?? pressed;
}

/** The selection as it is with one part, before the page has drawn it. */
function selectionOf(selection: Selection, id: string): Selection {
  const part = partWithId(selection.template.row, id) ?? selection.part;
  return { ...selection, part, parts: [part] };
}

interface Marked {
  readonly selected: readonly string[];
  readonly values: readonly EntryValue[];
  readonly slots: readonly { readonly part: string }[];
}

/** Shows which parts are selected, and where a label has no words for this item. */
function markParts(row: HTMLElement, { selected, values, slots }: Marked): void {
  for (const element of [row, ...row.querySelectorAll<HTMLElement>('[data-part]')]) {
    const id = element.dataset['part'];
    element.classList.toggle('yc-selected', id !== undefined && selected.includes(knownId(id)));
    const slot = slots.findIndex((each) => each.part === id);
    element.classList.toggle('yc-blank', slot >= 0 && values[slot] === undefined);
  }
}

function hideParts(row: HTMLElement, isHidden: (part: string) => boolean): void {
  for (const element of row.querySelectorAll<HTMLElement>('[data-part]'))
    element.classList.toggle('yc-hidden-here', isHidden(knownId(element.dataset['part'] ?? '')));
}
