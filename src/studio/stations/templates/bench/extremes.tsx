import { useMemo } from 'react';
import { grouped } from '../../../../core/base';
import { prefixOf } from '../../../../core/templates';
import type { ExtremeItem } from '../../../../engine';
import { handItem } from '../../../shared/session/at-hand';
import { useDirection } from '../../../shared/session/locale';
import { engine, useSession } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';
import { RowPicture } from '../../../shared/window/row-picture';
import { useWindow } from '../../../shared/window/window-settings';
import type { Selection } from '../selection';
import { useTried } from './bench-item';

/**
 * The same template at its true size for the items that test the selected part most, one under the
 * other, so that edges and baselines can be compared.
 */
export function Extremes({ selection }: { readonly selection: Selection }) {
  const { template, project, part } = selection;
  const scheme = useWindow((settings) => settings.scheme);
  const device = useWindow((settings) => settings.device);
  const direction = useDirection();
  const atHand = useSession((session) => session.atHand?.item);
  const extremes = useAnswer(
    { template: template.id, part: part.id },
    (asked) => engine().extremes(asked),
    'at rest',
  );
  const shown = useMemo(() => (extremes ?? []).slice(0, maxExtremes), [extremes]);
  const items = useMemo(() => shown.map(({ item }) => item), [shown]);
  const tried = useTried(template, items, 'at rest');
  if (shown.length === 0)
    return <p className="px-3 py-2 text-sm text-ash">No item is there to try the row on.</p>;
  return (
    <ul aria-label="Extremes" className="py-2 ps-3 pe-2">
      {shown.map((extreme) => {
        const entry = tried?.entries.find(({ item }) => item === extreme.item);
        const { kind, itemCount, ofCount } = extreme;
        return (
          <li key={kind}>
            <button
              type="button"
              aria-current={extreme.item === atHand ? 'true' : undefined}
              className="grid w-full grid-cols-[84px_minmax(0,1fr)] gap-2 text-start hover:bg-chosen/50 aria-[current=true]:bg-chosen max-[1100px]:grid-cols-[64px_minmax(0,1fr)]"
              title="Have this item at hand"
              onClick={() => void handItem(extreme.item)}
            >
              <span className="self-center text-sm leading-tight">
                <b className={`font-semibold ${kind === 'missing' ? 'text-madder' : ''}`}>
                  {extremeInWords(extreme)}
                </b>
                <span className="block text-ash">
                  {grouped(itemCount)} of {grouped(ofCount)}
                </span>
              </span>
              <span
                dir={direction}
                className="block overflow-hidden border-x border-b border-rule"
                style={{ width: device.widthPx, minHeight: 24 }}
              >
                {tried !== undefined && entry !== undefined && (
                  <RowPicture
                    plan={tried.plan}
                    entry={entry}
                    pictures={project.pictures}
                    scheme={scheme}
                  />
                )}
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}

const maxExtremes = 5;

/** Why an item is shown. */
export function extremeInWords({ kind, part }: ExtremeItem): string {
  const name = part.slice(prefixOf(part).length);
  if (kind === 'missing') return `no ${name}`;
  return kind === 'longest' || kind === 'shortest' ? `${kind} ${name}` : kind;
}
