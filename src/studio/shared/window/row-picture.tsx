import { useEffect, useRef } from 'react';
import type { Entry, RowPlan } from '../../../core/lists';
import type { Picture } from '../../../core/pictures';
import { bindRow, createRow } from '../../../render';
import { type OtherProject, usePictures } from './pictures';

interface RowPictureProps {
  readonly plan: RowPlan;
  readonly entry: Entry;
  readonly pictures: readonly Picture[];
  readonly scheme?: 'light' | 'dark';
  /** What a project that is not the open one has. */
  readonly other?: OtherProject | undefined;
}

/** One real row, drawn by the same renderer as the window, as wide as its surroundings. */
export function RowPicture({ plan, entry, pictures, scheme = 'light', other }: RowPictureProps) {
  const host = useRef<HTMLDivElement>(null);
  const urls = usePictures(pictures, scheme, other);
  useEffect(() => {
    const row = createRow(plan);
    bindRow(row, entry, urls);
    host.current?.replaceChildren(row.element);
  }, [plan, entry, urls]);
  return <div ref={host} inert className={`scheme-${scheme} overflow-hidden`} />;
}
