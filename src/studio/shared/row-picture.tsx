import { useEffect, useRef } from 'react';
import type { Entry, RowPlan } from '../../core/lists';
import type { Picture } from '../../core/pictures';
import { bindRow, createRow } from '../../render';
import { usePictures } from './pictures';

interface RowPictureProps {
  readonly plan: RowPlan;
  readonly entry: Entry;
  readonly pictures: readonly Picture[];
  readonly scheme?: 'light' | 'dark';
  /** Whether pictures may come from addresses outside; not said: as the open project says. */
  readonly loadsOutside?: boolean | undefined;
}

/** One real row, drawn by the same renderer as the window, as wide as its surroundings. */
export function RowPicture({
  plan,
  entry,
  pictures,
  scheme = 'light',
  loadsOutside,
}: RowPictureProps) {
  const host = useRef<HTMLDivElement>(null);
  const urls = usePictures(pictures, scheme, loadsOutside);
  useEffect(() => {
    const row = createRow(plan);
    bindRow(row, entry, urls);
    host.current?.replaceChildren(row.element);
  }, [plan, entry, urls]);
  return <div ref={host} className={`scheme-${scheme} pointer-events-none overflow-hidden`} />;
}
