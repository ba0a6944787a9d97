import { type DragEvent, type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import { edits } from '../../../core/project';
import {
  type EntryValue,
  inputProperty,
  isBound,
  kindOfPart,
  knownId,
  type Part,
  partWithId,
  propertyOf,
  usesAround,
} from '../../../core/templates';
import { pathRead, pathText } from '../../../core/values';
import { bindRow, createRow } from '../../../render';
import { make } from '../../shared/session/editing';
import { goWithin } from '../../shared/session/route';
import { usePictures } from '../../shared/window/pictures';
import { useWindow } from '../../shared/window/window-settings';
import { useBenchItem, useTried } from './bench-item';
import { bindPath, type Place } from './binding/binding-edits';
import { insertPath } from './insert-menu';
import type { Selection } from './selection';
import { pathType, readPath } from './values-list';

const maxEnlarged = 1.6;

/** The template with the item at hand, enlarged: press a part to select it, drop a value to bind it. */
export function Bench({ selection }: { readonly selection: Selection }) {
  const { template, project, part } = selection;
  const scheme = useWindow((settings) => settings.scheme);
  const device = useWindow((settings) => settings.device);
  const host = useRef<HTMLDivElement>(null);
  const [ground, groundPx] = useWidth();
  // As wide as on the device, and as large as the bench has room for.
  const zoom = Math.min(maxEnlarged, groundPx / device.widthPx);
  const item = useBenchItem(template);
  const items = useMemo(() => (item < 0 ? [] : [item]), [item]);
  const tried = useTried(template, items);
  const pictures = usePictures(project.pictures, scheme);
  const entry = tried?.entries[0];

  useEffect(() => {
    if (tried === undefined || entry === undefined) return host.current?.replaceChildren();
    const row = createRow(tried.plan);
    bindRow(row, entry, pictures);
    host.current?.replaceChildren(row.element);
    markParts(row.element, part.id, entry.values, tried.plan.slots);
  }, [tried, entry, pictures, part.id]);

  return (
    <div className="bg-[radial-gradient(var(--rule)_1px,transparent_1px)] bg-size-[12px_12px] px-7 py-6 max-[1100px]:px-3">
      <div ref={ground} />
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the outline and the values do the same by keyboard */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: as above */}
      <div
        ref={host}
        data-testid="bench"
        className={`yc-bench scheme-${scheme} overflow-hidden rounded-md border border-ash`}
        style={{ zoom, width: device.widthPx }}
        onClick={(event) => {
          const pressed = partPressed(partAt(event.target), part.id);
          if (pressed !== undefined) goWithin({ part: pressed }, 'replace');
        }}
        onDragOver={(event) => {
          if (!event.dataTransfer.types.includes(pathType)) return;
          event.preventDefault();
          event.dataTransfer.dropEffect = 'link';
        }}
        onDrop={(event) => dropValue(event, selection)}
      />
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

function partAt(target: EventTarget): string | undefined {
  const within = target instanceof Element ? target.closest<HTMLElement>('[data-part]') : null;
  const drawn = within?.dataset['part'];
  return drawn && knownId(drawn);
}

/** First a shared part as a whole, then, once it is selected, what is in it. */
function partPressed(pressed: string | undefined, selected: string): string | undefined {
  if (pressed === undefined) return undefined;
  const around = [selected, ...usesAround(selected)];
  return usesAround(pressed).find((use) => !around.includes(use)) ?? pressed;
}

/** Binds a value to the part that it is dropped on if it takes one, else makes a new part for it at the end of the row. */
function dropValue(event: DragEvent, selection: Selection): void {
  const path = readPath(event.dataTransfer.getData(pathType));
  if (path === undefined) return;
  event.preventDefault();
  const { template } = selection;
  const target = partWithId(template.row, partAt(event.target) ?? template.row.id);
  if (target === undefined) return;
  const input = inputBehind(selection, target);
  if (input !== undefined) {
    if (make(edits.bind(input, { expr: pathText(path) })) === undefined)
      goWithin({ part: input.part }, 'replace');
    return;
  }
  const property = kindOfPart(target).shows;
  const before = property === undefined ? undefined : propertyOf(target, property);
  if (property === undefined || (!isBound(before) && typeof before !== 'string')) {
    insertPath(selection, target.id, 'after', path);
    return;
  }
  const why = make(
    bindPath({ template: template.id, part: target.id, property }, pathText(path), before),
  );
  if (why === undefined) goWithin({ part: target.id }, 'replace');
}

/** The input that a part of a shared part shows: a value of the item feeds that, not the part. */
function inputBehind({ template }: Selection, part: Part): Place | undefined {
  const use = usesAround(part.id).at(-1);
  const { shows } = kindOfPart(part);
  const shown = shows === undefined ? undefined : propertyOf(part, shows);
  const [input, ...more] = (isBound(shown) ? pathRead(shown.expr) : undefined) ?? [];
  if (use === undefined || input === undefined || more.length > 0) return undefined;
  return { template: template.id, part: use, property: inputProperty(input) };
}

/** Shows which part is selected, and where a label has no words for this item. */
function markParts(
  row: HTMLElement,
  selected: string,
  values: readonly EntryValue[],
  slots: readonly { readonly part: string }[],
): void {
  for (const element of [row, ...row.querySelectorAll<HTMLElement>('[data-part]')]) {
    const id = element.dataset['part'];
    element.classList.toggle('yc-selected', id !== undefined && knownId(id) === selected);
    const slot = slots.findIndex((each) => each.part === id);
    element.classList.toggle('yc-blank', slot >= 0 && values[slot] === undefined);
  }
}
