import { count, grouped } from '../../../../core/base';
import type { PartSpace, Space } from '../../../../core/lists';
import { type Edit, edits } from '../../../../core/project';
import { kindOfPart, prefixOf, stackAround } from '../../../../core/templates';
import type { LabelFacts } from '../../../../engine';
import { make } from '../../../shared/session/editing';
import { engine } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';
import { useBenchItem } from '../bench/bench-item';
import { type Selection, select } from '../selection';
import { useFacts, usePartTask } from './use-part-facts';

/** Who takes the room of the stack that is selected, or of the one round the part: the solver's own answer, drawn. */
export function SpaceBar({ selection }: { readonly selection: Selection }) {
  const { template, part } = selection;
  const stack = part.part === 'stack' ? part : stackAround(template.row, part.id);
  const item = useBenchItem(template);
  const ofStack = usePartTask({ ...selection, part: stack ?? template.row });
  const space = useAnswer(
    { item, ...ofStack },
    () => engine().spaceIn(item, ofStack.task),
    'at rest',
  );
  const facts = useFacts(selection);
  if (space === undefined || space.px === 0 || space.direction === 'over')
    return <div className="h-8 border-t border-rule" />;
  const own = space.parts.find((each) => each.part === part.id);
  const label = facts?.kind === 'label' ? facts : undefined;
  return (
    <figure
      aria-label="Who takes the room"
      className="flex h-8 min-w-0 items-center gap-2 border-t border-rule px-3 text-sm max-[1100px]:px-2"
    >
      <figcaption className="shrink-0 text-ash" title={restInWords(space)}>
        {space.direction === 'down' ? 'height' : 'width'} {round(space.px)}
      </figcaption>
      <Strip space={space} selected={part.id} label={label} />
      {own !== undefined && <Mends selection={selection} own={own} label={label} />}
    </figure>
  );
}

interface StripProps {
  readonly space: Space;
  readonly selected: string;
  readonly label: LabelFacts | undefined;
}

/** The room from one end to the other: edges, parts with what they wanted, gaps. */
function Strip({ space, selected, label }: StripProps) {
  const { px, paddingPx, gapsPx, freePx, parts } = space;
  const share = (part: number) => `${(100 * part) / Math.max(px, 1)}%`;
  const gap = parts.length > 1 ? gapsPx / (parts.length - 1) : 0;
  const words = (own: PartSpace) =>
    own.part === selected && label !== undefined && label.cutCount > 0
      ? `${inWords(own)}, cut in ${grouped(label.cutCount)} of ${count(label.rowCount, 'row')}`
      : inWords(own);
  return (
    <div className="flex h-5 min-w-0 flex-1 overflow-hidden rounded-sm border border-rule">
      <span
        className={hatched}
        style={{ width: share(paddingPx / 2) }}
        title={`edges ${round(paddingPx)} px`}
      />
      {parts.map((own, at) => (
        <span key={own.part} className="contents">
          {at > 0 && (
            <span
              className={hatched}
              style={{ width: share(gap) }}
              title={`gap ${round(gap)} px`}
            />
          )}
          <button
            type="button"
            aria-current={own.part === selected ? 'true' : undefined}
            aria-label={`${own.part}: ${words(own)}`}
            title={`${own.part}: ${words(own)}`}
            className={`min-w-0 truncate px-1 text-start leading-[18px] aria-[current=true]:bg-chosen aria-[current=true]:font-semibold ${tones[at % tones.length]} ${own.isCut ? 'text-madder' : ''}`}
            style={{ width: share(own.px) }}
            onClick={() => select([own.part])}
          >
            {own.part.slice(prefixOf(own.part).length)} {round(own.px)}
            {own.wantsPx > own.px + 1 && ` of ${round(own.wantsPx)}`}
          </button>
        </span>
      ))}
      {freePx > 0.5 && (
        <span
          className="truncate px-1 text-ash"
          style={{ width: share(freePx) }}
          title={`${round(freePx)} px free`}
        >
          free
        </span>
      )}
      <span
        className={hatched}
        style={{ width: share(paddingPx / 2) }}
        title={`edges ${round(paddingPx)} px`}
      />
    </div>
  );
}

const hatched =
  'shrink-0 bg-[repeating-linear-gradient(45deg,var(--rule)_0_1px,transparent_1px_4px)]';
const tones = ['bg-paper', 'bg-[color-mix(in_srgb,var(--rule)_45%,var(--paper))]'] as const;

interface MendsProps {
  readonly selection: Selection;
  readonly own: PartSpace;
  readonly label: LabelFacts | undefined;
}

/** What is usually done where a part has less than it wants: each is one edit. */
function Mends({ selection, own, label }: MendsProps) {
  const { template, part } = selection;
  const isShort = own.wantsPx > own.px + 1 || (label?.cutCount ?? 0) > 0;
  if (!isShort) return null;
  const place = (property: string, id = part.id) => ({ template: template.id, part: id, property });
  const mends: readonly (readonly [words: string, edit: Edit])[] = [
    ...(part.part === 'label' ? [['2 lines', edits.set(place('lines'), 2)] as const] : []),
    ...(part.part === 'label'
      ? [['shrink it', edits.set(place('overflow'), 'shrink')] as const]
      : []),
    ...('width' in kindOfPart(part).properties && own.why !== 'share'
      ? [['take the rest', edits.set(place('width'), { share: 1 })] as const]
      : []),
  ];
  return (
    <span className="flex shrink-0 gap-1">
      {mends.map(([words, edit]) => (
        <button
          key={words}
          type="button"
          title={edit.name}
          className="h-6 rounded-full border border-rule bg-paper px-2 whitespace-nowrap hover:border-ash"
          onClick={() => make(edit)}
        >
          {words}
        </button>
      ))}
    </span>
  );
}

const round = (px: number): number => Math.round(px * 10) / 10;

/** Gaps, edges and what is left over, as far as there are any. */
function restInWords({ px, paddingPx, gapsPx, freePx }: Space): string {
  const rest = [
    `${round(px)} px in the row at hand`,
    ...(paddingPx > 0 ? [`${round(paddingPx)} edges`] : []),
    ...(gapsPx > 0 ? [`${round(gapsPx)} gaps`] : []),
    ...(freePx > 0.5 ? [`${round(freePx)} free`] : []),
  ];
  return rest.join(', ');
}

function inWords({ px, wantsPx, why, lines, isCut }: PartSpace): string {
  const said = {
    fixed: 'fixed',
    content: lines === undefined ? 'as large as what it holds' : 'takes what its words need first',
    share: 'gets what is left',
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
