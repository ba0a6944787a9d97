import { useEffect, useState } from 'react';
import type { Selection } from '../../selection';
import { type DrawnBox, drawnBox, drawnRow, partAt } from '../drawn';
import type { Box } from './landing';

interface MeasuresProps {
  readonly selection: Selection;
  readonly drawn: number;
  readonly at: (box: Box) => Box;
}

interface Distance {
  readonly line: Box;
  readonly px: number;
}

/** With Alt held over another part: how far it is from the selected one, in px of the window. */
export function Measures({ selection: { part }, drawn, at }: MeasuresProps) {
  const [distances, setDistances] = useState<readonly Distance[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew where another row is drawn
  useEffect(() => {
    const look = (event: PointerEvent) => {
      const other = event.altKey && event.buttons === 0 ? partAt(event.target) : undefined;
      const [one, two] = [drawnBox(part.id), other === undefined ? undefined : drawnBox(other)];
      const next =
        one === undefined || two === undefined || other === part.id ? [] : distancesOf(one, two);
      setDistances((before) => (before.length === 0 && next.length === 0 ? before : next));
    };
    const clear = (event: KeyboardEvent) => event.key === 'Alt' && setDistances([]);
    window.addEventListener('pointermove', look);
    window.addEventListener('keyup', clear);
    return () => {
      window.removeEventListener('pointermove', look);
      window.removeEventListener('keyup', clear);
    };
  }, [part.id, drawn]);
  return distances.map(({ line, px }) => (
    <div
      key={`${line.left} ${line.top} ${line.width}`}
      className={`absolute flex items-center justify-center border-madder ${line.width > line.height ? 'border-t' : 'border-s'}`}
      style={at(line)}
    >
      <span className="bg-madder px-1 text-sm leading-4 text-paper">{px}</span>
    </div>
  ));
}

/** The distances between two boxes: between them where they stand apart, of their edges where one holds the other. */
function distancesOf(one: DrawnBox, other: DrawnBox): readonly Distance[] {
  const zoom = drawnRow()?.zoom ?? 1;
  const y = (Math.max(one.top, other.top) + Math.min(one.bottom, other.bottom)) / 2;
  const x = (Math.max(one.left, other.left) + Math.min(one.right, other.right)) / 2;
  const across = (from: number, to: number): Distance => ({
    line: { left: from, top: y, width: to - from, height: 1 },
    px: rounded((to - from) / zoom),
  });
  const down = (from: number, to: number): Distance => ({
    line: { left: x, top: from, width: 1, height: to - from },
    px: rounded((to - from) / zoom),
  });
  const apart = [
    ...(one.right <= other.left ? [across(one.right, other.left)] : []),
    ...(other.right <= one.left ? [across(other.right, one.left)] : []),
    ...(one.bottom <= other.top ? [down(one.bottom, other.top)] : []),
    ...(other.bottom <= one.top ? [down(other.bottom, one.top)] : []),
  ];
  if (apart.length > 0) return apart;
  const [outer, inner] =
    one.width * one.height > other.width * other.height ? [one, other] : [other, one];
  return [
    across(outer.left, inner.left),
    across(inner.right, outer.right),
    down(outer.top, inner.top),
    down(inner.bottom, outer.bottom),
  ].filter(({ px }) => px > 0);
}

const rounded = (px: number): number => Math.round(px * 10) / 10;
