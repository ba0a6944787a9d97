import { cellSum } from '../../../core/layout';
import { type Arrangement, columnsOf } from '../../../core/lists';
import { edits } from '../../../core/project';
import { ChoiceChips, Row } from '../../shared/controls/controls';
import { NumberField } from '../../shared/controls/number-field';
import { useCurrent } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { useProject, useSession } from '../../shared/session/session';
import { useWindow } from '../../shared/window/window-settings';
import { CheckedAt } from './checked-at';
import { ListMenu } from './list-menu';
import { SequenceDrawing } from './sequence-drawing';
import { SortKeys } from './sort-keys';

/** How entries are placed: one under the other, or so many beside each other. */
export default function List() {
  const project = useProject();
  const view = useSession((session) => session.view);
  const device = useWindow((settings) => settings.device);
  const list = useCurrent()?.list;
  if (project === undefined || list === undefined) return null;
  const { arrangement } = list;
  const set = (next: Arrangement) => make(edits.arrangeAs(list.id, next));
  const entryCount = view?.sequence.entryCount ?? 0;
  return (
    <div className="grid h-full grid-cols-[250px_minmax(0,1fr)] in-data-[windows=two]:grid-cols-[200px_minmax(0,1fr)] grid-rows-[40px_minmax(0,1fr)] max-[1000px]:grid-cols-1">
      <div className="col-span-2 flex items-center gap-3 overflow-x-auto overflow-y-hidden border-b border-rule px-3 max-[1000px]:col-span-1">
        <ListMenu key={list.id} list={list} />
        <ChoiceChips
          label="Arrangement"
          options={['list', 'grid']}
          chosen={arrangement.kind}
          onChoose={(kind) => kind !== arrangement.kind && set(asKind(arrangement, kind))}
        />
        <span className="ms-auto text-ash">source: {list.source}</span>
      </div>
      <div data-pane="sequence" className="min-h-0 overflow-auto">
        <SequenceDrawing arrangement={arrangement} entryCount={entryCount} />
      </div>
      <div data-pane="arrangement" className="overflow-auto p-4">
        {arrangement.kind === 'grid' && (
          <Row words="columns">
            <NumberField
              label="Columns"
              value={arrangement.columns}
              min={1}
              max={50}
              onChange={(columns) => set({ ...arrangement, columns })}
            />
          </Row>
        )}
        <Row words="gap">
          <NumberField
            label="Gap"
            value={arrangement.gap}
            min={0}
            max={200}
            onChange={(gap) => set({ ...arrangement, gap })}
          />
          <span className="ps-2 text-ash">
            px between {arrangement.kind === 'grid' ? 'rows and columns' : 'rows'}
          </span>
        </Row>
        <Row words="edges">
          <NumberField
            label="Edges"
            value={arrangement.edge}
            min={0}
            max={200}
            onChange={(edge) => set({ ...arrangement, edge })}
          />
          <span className="ps-2 text-ash">px all round</span>
        </Row>
        {arrangement.kind === 'list' && (
          <Row words="separators">
            <ChoiceChips
              label="Separators"
              options={[{ value: 'between', words: 'between rows' }, 'none']}
              chosen={arrangement.separators ? 'between' : 'none'}
              onChoose={(value) => set({ ...arrangement, separators: value === 'between' })}
            />
          </Row>
        )}
        <h2 className="mt-4 border-t border-rule pt-3 font-semibold">How wide it comes out</h2>
        <p className="py-1 font-mono" data-testid="sum">
          {cellSum(device.widthPx, {
            columns: arrangement.kind === 'grid' ? arrangement.columns : 1,
            ...arrangement,
          })}
        </p>
        <p className="text-ash">
          width − edges − gaps, by {arrangement.kind === 'grid' ? 'columns' : 'one column'}
        </p>
        <p className="pt-3 text-ash">
          {entryCount} entries in {Math.ceil(entryCount / columnsOf(arrangement))} lines.
        </p>
        <SortKeys project={project} list={list} />
        <CheckedAt />
      </div>
    </div>
  );
}

function asKind(from: Arrangement, kind: Arrangement['kind']): Arrangement {
  return kind === 'grid'
    ? { kind, columns: 2, gap: Math.max(from.gap, 8), edge: Math.max(from.edge, 12) }
    : { kind, gap: 0, edge: 0, separators: true };
}
