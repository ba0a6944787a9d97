import { type Arrangement, asKind, type List as ListShown } from '../../../core/lists';
import { edits, type Project } from '../../../core/project';
import type { Frame } from '../../../engine';
import { ChoiceChips } from '../../shared/controls/controls';
import { useCurrent } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { goWithin, type ListPiece, useRoute } from '../../shared/session/route';
import { useProject, useSession } from '../../shared/session/session';
import { FilterPiece } from './filter-piece';
import { ListMenu } from './head/list-menu';
import { SourcesOf } from './head/sources-of';
import { InsertsPiece } from './inserts-piece';
import { Ends, Footing, SeparatorPiece } from './pieces';
import { ReaderPiece } from './reader-piece';
import { RowsPiece } from './rows-piece';
import { SectionsPiece } from './sections-piece';
import { SequenceDrawing } from './sequence-drawing';
import { StatesPiece } from './states-piece';

/** The list as it is arranged: what follows what, and what is set of each piece. */
export default function List() {
  const project = useProject();
  const view = useSession((session) => session.view);
  const list = useCurrent()?.list;
  const { route } = useRoute();
  if (project === undefined || list === undefined) return null;
  const { arrangement } = list;
  const set = (next: Arrangement) => make(edits.arrangeAs(list.id, next));
  const piece = (route.page === 'project' ? route.piece : undefined) ?? 'row';
  return (
    <div className="grid h-full grid-cols-[250px_minmax(0,1fr)] in-data-[windows=two]:grid-cols-[200px_minmax(0,1fr)] grid-rows-[40px_minmax(0,1fr)] max-[1000px]:grid-cols-1">
      <div className="col-span-2 flex items-center gap-3 overflow-x-auto overflow-y-hidden border-b border-rule px-3 max-[1000px]:col-span-1">
        <ListMenu key={list.id} list={list} />
        <ChoiceChips
          label="Arrangement"
          options={['list', 'grid', 'strip']}
          chosen={arrangement.kind}
          onChoose={(kind) => kind !== arrangement.kind && set(asKind(arrangement, kind))}
        />
        <SourcesOf {...{ project, list }} />
      </div>
      <div data-pane="sequence" className="min-h-0 overflow-auto">
        <SequenceDrawing
          {...{ list, piece }}
          counts={view?.kindCounts}
          onPick={(next) => goWithin({ piece: next === 'row' ? undefined : next })}
        />
      </div>
      <div data-pane="arrangement" className="overflow-auto p-4">
        <PieceOf {...{ project, list, piece }} counts={view?.kindCounts} />
      </div>
    </div>
  );
}

interface PieceOfProps {
  readonly project: Project;
  readonly list: ListShown;
  readonly piece: ListPiece;
  readonly counts: Frame['kindCounts'] | undefined;
}

function PieceOf({ project, list, piece, counts }: PieceOfProps) {
  switch (piece) {
    case 'above':
    case 'below':
    case 'header':
    case 'footer':
      return <Ends {...{ project, list }} place={piece} />;
    case 'heading':
      return <SectionsPiece {...{ project, list }} />;
    case 'footing':
      return <Footing {...{ project, list }} />;
    case 'insert':
      return <InsertsPiece {...{ project, list, counts }} />;
    case 'filter':
      return <FilterPiece {...{ project, list }} />;
    case 'states':
      return <StatesPiece {...{ project, list }} />;
    case 'separator':
      return list.arrangement.kind === 'list' ? (
        <SeparatorPiece {...{ project, list }} />
      ) : (
        <RowsPiece {...{ project, list }} />
      );
    case 'reader':
      return <ReaderPiece {...{ list }} />;
    case 'row':
      return <RowsPiece {...{ project, list }} />;
  }
}
