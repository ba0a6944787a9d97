import { grouped } from '../../../core/base';
import { columnsIn, type List, type ListHabit, listHabits } from '../../../core/lists';
import type { Frame } from '../../../engine';
import { type ListPiece, listPieces } from '../../shared/session/route';
import { useWindow } from '../../shared/window/window-settings';

interface SequenceDrawingProps {
  readonly list: List;
  readonly counts: Frame['kindCounts'] | undefined;
  readonly piece: ListPiece;
  readonly onPick: (piece: ListPiece) => void;
}

/** The arrangement as a drawing of what follows what, whose pieces are pressed to be edited. */
export function SequenceDrawing({ list, counts, piece, onPick }: SequenceDrawingProps) {
  const { arrangement } = list;
  const pieces = listPieces.filter((each) => each !== 'separator' || arrangement.kind === 'list');
  return (
    <div className="min-h-full border-r border-rule p-3">
      <ol aria-label="What follows what" className="flex flex-col gap-1">
        {pieces.map((each) => (
          <li key={each}>
            <Piece
              words={each}
              said={saidOf(list, each, counts)}
              isChosen={each === piece}
              onPress={() => onPick(each)}
            />
            {each === 'row' && <MoreRows {...{ arrangement }} />}
          </li>
        ))}
      </ol>
    </div>
  );
}

interface PieceProps {
  readonly words: ListPiece;
  /** Undefined: there is none. */
  readonly said: string | undefined;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

/** A separator is a line in the drawing, too. */
function Piece({ words, said, isChosen, onPress }: PieceProps) {
  const isThere = said !== undefined;
  const height = words === 'row' ? 'min-h-11' : words === 'separator' ? 'min-h-6' : 'min-h-8';
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      className={`flex w-full items-center justify-between gap-2 rounded-md border px-2.5 py-0.5 text-start text-sm hover:border-ash aria-pressed:border-woad aria-pressed:outline aria-pressed:outline-woad ${height} ${isThere ? 'border-rule bg-paper' : 'border-dashed border-rule text-ash'}`}
      onClick={onPress}
    >
      <span className="shrink-0">{isThere ? called(words) : `+ ${called(words)}`}</span>
      <span className="truncate text-xs text-ash">{said}</span>
    </button>
  );
}

const called = (piece: ListPiece): string =>
  piece === 'above' || piece === 'below'
    ? `bar ${piece}`
    : piece === 'filter'
      ? 'filter box'
      : piece;

/** The cells of a line, drawn small, so that a grid is seen to be one. */
function MoreRows({ arrangement }: Pick<List, 'arrangement'>) {
  const widthPx = useWindow((settings) => settings.device.widthPx);
  const columns = Math.min(columnsIn(arrangement, widthPx), 8);
  if (arrangement.kind === 'strip')
    return (
      <div aria-hidden="true" className="flex gap-1 overflow-hidden pt-1">
        {['first', 'second', 'third', 'fourth'].map((cell) => (
          <div
            key={cell}
            className="h-11 w-20 shrink-0 rounded-md border border-rule bg-paper/60"
          />
        ))}
      </div>
    );
  return (
    <div
      aria-hidden="true"
      className="grid gap-1 pt-1"
      style={{ gridTemplateColumns: `repeat(${columns}, 1fr)` }}
    >
      {Array.from({ length: columns }, (_, column) => `column ${column + 1}`).map((column) => (
        <div key={column} className="h-7 rounded-md border border-rule bg-paper/60" />
      ))}
    </div>
  );
}

/** What there is to say of a piece in a few words; undefined: the list has none. */
function saidOf(
  list: List,
  piece: ListPiece,
  counts: SequenceDrawingProps['counts'],
): string | undefined {
  const { sections, inserts, header, footer, arrangement } = list;
  switch (piece) {
    case 'row':
      return grouped(counts?.row ?? 0);
    case 'header':
      return header && 'scrolls along';
    case 'footer':
      return footer && 'scrolls along';
    case 'heading':
      if (sections === undefined) return undefined;
      return `${grouped(counts?.heading ?? 0)} by ${sections.part === undefined ? '' : `${sections.part} of `}${sections.by ?? 'source'}${sections.sticks ? ', sticks' : ''}`;
    case 'above':
    case 'below':
      return list[piece] && 'pinned';
    case 'filter':
      return (
        list.filter && `${list.filter.fields.join(', ')}${list.filter.reveals ? ', reveals' : ''}`
      );
    case 'states': {
      const said = Object.keys(list.states ?? {});
      return said.length === 0 ? 'as they are' : said.join(', ');
    }
    case 'reader':
      return readerSaid(list);
    case 'footing':
      return sections?.footing && 'ends a section';
    case 'insert':
      return inserts && `${grouped(counts?.insert ?? 0)}, after every ${inserts.every}`;
    case 'separator':
      return separatorSaid(arrangement);
  }
}

const habitsSaid: Readonly<Record<ListHabit, string>> = {
  ...{ reorders: 'moves rows', refreshes: 'pulls to refresh' },
  ...{ animates: 'sees rows move', holdsNew: 'asks for new ones' },
};

function readerSaid(list: List): string {
  const selects = list.selects === undefined ? [] : [`selects ${list.selects}`];
  const habits = listHabits.filter((habit) => list[habit] === true);
  const said = [...selects, ...habits.map((habit) => habitsSaid[habit])];
  return said.length === 0 ? 'looks on' : said.join(', ');
}

function separatorSaid(arrangement: List['arrangement']): string | undefined {
  if (arrangement.kind !== 'list' || arrangement.separators === false) return undefined;
  const said = arrangement.separators === true ? {} : arrangement.separators;
  if (said.template !== undefined) return 'a template';
  return `${said.thickness ?? 1} px, from ${said.inset ?? 16} px`;
}
