import { useMemo } from 'react';
import { count } from '../../../core/base';
import { handItem } from '../../shared/session/at-hand';
import { surveysOf, useSession } from '../../shared/session/session';
import { RowPicture } from '../../shared/window/row-picture';
import { useWindow } from '../../shared/window/window-settings';
import { useTried } from './bench-item';
import type { Selection } from './selection';

interface Extreme {
  readonly words: string;
  readonly item: number;
  readonly isBad: boolean;
}

/** The same template at its true size for the items that test it most. */
export function Extremes({ selection }: { readonly selection: Selection }) {
  const { template, project } = selection;
  const scheme = useWindow((settings) => settings.scheme);
  const device = useWindow((settings) => settings.device);
  const survey = useSession((session) =>
    surveysOf(session).find((each) => each.template === template.id),
  );
  const extremes = useMemo(() => {
    if (survey === undefined) return [];
    const blanks = survey.slots
      .filter((slot) => slot.firstMissing >= 0)
      .map((slot) => ({
        words: `no ${slot.part} · 1 of ${slot.missingCount}`,
        item: slot.firstMissing,
        isBad: true,
      }));
    const all: Extreme[] = [
      {
        words: `longest · 1 of ${count(survey.itemCount, 'item')}`,
        item: survey.longest,
        isBad: false,
      },
      { words: 'shortest', item: survey.shortest, isBad: false },
      ...blanks,
    ];
    return all.filter((each) => each.item >= 0).slice(0, 4);
  }, [survey]);
  const items = useMemo(() => extremes.map((each) => each.item), [extremes]);
  const tried = useTried(template, items);
  if (tried === undefined || extremes.length === 0)
    return <div className="h-24 border-t border-rule" />;
  return (
    <div className="flex min-h-24 gap-2 overflow-x-auto border-t border-rule ps-5 pe-3 pt-2 pb-3">
      {extremes.map((extreme, index) => {
        const entry = tried.entries[index];
        return (
          <button
            key={extreme.words}
            type="button"
            className="shrink-0 text-start"
            style={{ width: Math.min(device.widthPx, 420) }}
            title="Have this item at hand"
            onClick={() => void handItem(extreme.item)}
          >
            <span className={`block pb-1 text-sm ${extreme.isBad ? 'text-madder' : 'text-ash'}`}>
              {extreme.words}
            </span>
            <span className="block overflow-hidden rounded-md ring-1 ring-rule">
              {entry !== undefined && entry.item === extreme.item && (
                <RowPicture
                  plan={tried.plan}
                  entry={entry}
                  pictures={project.pictures}
                  scheme={scheme}
                />
              )}
            </span>
          </button>
        );
      })}
    </div>
  );
}
