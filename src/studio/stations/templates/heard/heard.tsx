import { useEffect, useState } from 'react';
import { count } from '../../../../core/base';
import { drawnPartCount, edits } from '../../../../core/project';
import { make } from '../../../shared/session/editing';
import { engine } from '../../../shared/session/session';
import { restMs, useAnswer } from '../../../shared/session/use-answer';
import { usePictures } from '../../../shared/window/pictures';
import { useWindow } from '../../../shared/window/window-settings';
import { useTried } from '../bench/bench-item';
import { drawnRow } from '../bench/drawn';
import { type Selection, select } from '../selection';
import { frameWork, madeOf, type RowMade } from './cost';
import { type Said, saidOf } from './said';

/** The row as it is heard, for the item at hand, in reading order; and what a row costs. */
export function Heard({ selection }: { readonly selection: Selection }) {
  const [said, setSaid] = useState<readonly Said[]>([]);
  const [made, setMade] = useState<RowMade>();
  const [isOpen, setOpen] = useState(false);
  useEffect(() => {
    const bench = document.querySelector('.yc-bench');
    if (bench === null) return;
    const look = () => {
      const row = drawnRow()?.row;
      setSaid(row === undefined ? [] : saidOf(row));
      setMade(row && madeOf(row));
    };
    look();
    // A row that is dragged is another at each frame: it is read out where it rests.
    let resting: ReturnType<typeof setTimeout> | undefined;
    const watched = new MutationObserver(() => {
      clearTimeout(resting);
      resting = setTimeout(look, restMs);
    });
    watched.observe(bench, { childList: true, subtree: true, characterData: true });
    return () => {
      clearTimeout(resting);
      watched.disconnect();
    };
  }, []);
  return (
    <details
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
      className="border-t border-rule ps-3 pe-2 text-sm in-data-[windows=two]:opacity-0 in-data-[windows=two]:group-focus-within/values:opacity-100 in-data-[windows=two]:group-hover/values:opacity-100"
    >
      <summary className="truncate py-1 text-ash">
        read aloud:{' '}
        <span className="text-ink">{said.map(({ words }) => words).join(', ') || 'nothing'}</span>
      </summary>
      <ol aria-label="The row as it is heard" className="max-h-40 overflow-y-auto pb-1">
        {said.map(({ part, words, role }, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: their order is what they are
          <li key={at}>
            <button
              type="button"
              className="w-full text-start hover:bg-paper"
              title={`Select ${part}`}
              onClick={() => select([part])}
            >
              {words} {role !== '' && <span className="text-ash">{role}</span>}
            </button>
          </li>
        ))}
      </ol>
      {isOpen && made !== undefined && <Cost selection={selection} made={made} />}
    </details>
  );
}

/** What one row is made of, and what a frame of scrolling takes, measured here and now. */
function Cost({
  selection: { template, project },
  made,
}: {
  readonly selection: Selection;
  readonly made: RowMade;
}) {
  const { widthPx } = useWindow((settings) => settings.device);
  const items = useAnswer(template.type, (type) => engine().itemsOfType(type, 24)) ?? [];
  const tried = useTried(template, items);
  const pictures = usePictures(project.pictures, 'light');
  const [workMs, setWork] = useState<number>();
  useEffect(() => {
    if (tried === undefined || tried.entries.length === 0) return;
    const idle = requestIdleCallback(() => setWork(frameWork(tried, pictures, widthPx)));
    return () => cancelIdleCallback(idle);
  }, [tried, pictures, widthPx]);
  const { elementCount, textCount, pictureCount } = made;
  const { maxParts } = project;
  return (
    <div className="pb-1 text-ash">
      <p title="A frame of scrolling that brings a screen of new rows, of 16.7 ms that there are">
        a row is {count(elementCount, 'element')}, {count(textCount, 'text')},{' '}
        {count(pictureCount, 'picture')}
        {workMs !== undefined && `; a frame of twelve new ones takes ${workMs.toFixed(1)} ms`}
      </p>
      <label className="flex items-center gap-1.5">
        {count(drawnPartCount(project, template), 'part')} of at most
        <input
          type="number"
          aria-label="Parts that a row may have"
          placeholder="any"
          min={1}
          max={500}
          className="h-6 w-16 rounded-md border border-rule bg-paper px-1.5 text-ink"
          value={maxParts ?? ''}
          onChange={({ target }) =>
            make(edits.limitParts(target.value === '' ? undefined : Number(target.value)))
          }
        />
      </label>
    </div>
  );
}
