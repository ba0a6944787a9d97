import type { PartSpace, Space } from '../../../../core/lists';
import { goWithin } from '../../../shared/session/route';
import { engine } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';
import { useBenchItem } from '../bench-item';
import type { Selection } from '../selection';
import { usePartTask } from './use-part-facts';

/** Who takes the room of the selected stack in the row at hand: drawn, and in words. */
export function StackSpace({ selection }: { readonly selection: Selection }) {
  const item = useBenchItem(selection.template);
  const asked = usePartTask(selection);
  const space = useAnswer({ item, ...asked }, () => engine().spaceIn(item, asked.task));
  if (space === undefined || space.px === 0) return null;
  const side = space.direction === 'down' ? 'height' : 'width';
  return (
    <figure aria-label="Who takes the room" className="pt-1">
      <figcaption className="text-sm text-ash">
        {side} {round(space.px)} px in the row at hand
        {restInWords(space)}
      </figcaption>
      {space.direction !== 'over' && <Strip space={space} />}
      <ul className="text-sm">
        {space.parts.map((part) => (
          <li key={part.part}>
            <button
              type="button"
              className="underline"
              onClick={() => goWithin({ template: selection.template.id, part: part.part })}
            >
              {part.part}
            </button>{' '}
            <span className={part.isCut ? 'text-madder' : 'text-ash'}>{inWords(part)}</span>
          </li>
        ))}
      </ul>
    </figure>
  );
}

const round = (px: number): number => Math.round(px * 10) / 10;

/** Gaps, edges and what is left over, as far as there are any. */
function restInWords({ paddingPx, gapsPx, freePx }: Space): string {
  const rest = [
    ...(paddingPx > 0 ? [`${round(paddingPx)} edges`] : []),
    ...(gapsPx > 0 ? [`${round(gapsPx)} gaps`] : []),
    ...(freePx > 0.5 ? [`${round(freePx)} free`] : []),
  ];
  return rest.length === 0 ? '' : `: ${rest.join(', ')}`;
}

function inWords({ px, wantsPx, why, lines, isCut }: PartSpace): string {
  const said = {
    fixed: 'fixed',
    content: lines === undefined ? 'as large as what it holds' : 'as its words',
    share: 'a share of what is left',
    full: 'all of it',
    'gives-way': `gives way, wants ${round(wantsPx)}`,
    least: 'the least that it may',
    most: 'the most that it may',
  }[why];
  const text = [
    ...(lines !== undefined && lines > 1 ? [`${lines} lines`] : []),
    ...(isCut ? ['cut'] : []),
  ];
  return [`${round(px)} px: ${said}`, ...text].join(', ');
}

/** The room from one end to the other, a field for each part. */
function Strip({ space }: { readonly space: Space }) {
  const { px, paddingPx, gapsPx, freePx, parts } = space;
  const rest = paddingPx + gapsPx + freePx;
  const share = (part: number) => `${(100 * part) / Math.max(px, 1)}%`;
  return (
    <div aria-hidden="true" className="my-1 flex h-4 overflow-hidden rounded-sm border border-rule">
      {parts.map((part) => (
        <span
          key={part.part}
          title={part.part}
          className={`min-w-0 truncate border-e border-rule px-1 text-[10px] leading-4 ${looks[part.why]}`}
          style={{ width: share(part.px) }}
        >
          {part.part}
        </span>
      ))}
      {rest > 0 && <span className="bg-wool" style={{ width: share(rest) }} />}
    </div>
  );
}

const looks: Readonly<Record<PartSpace['why'], string>> = {
  fixed: 'bg-wool text-ash',
  content: 'bg-paper text-ink',
  share: 'bg-paper text-ink italic',
  full: 'bg-paper text-ink',
  'gives-way': 'bg-paper text-madder',
  least: 'bg-wool text-ash',
  most: 'bg-wool text-ash',
};
