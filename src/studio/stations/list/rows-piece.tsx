import { cellSum } from '../../../core/layout';
import { type Arrangement, columnsOf, type List } from '../../../core/lists';
import { edits, type Project } from '../../../core/project';
import { Row } from '../../shared/controls/controls';
import { NumberField } from '../../shared/controls/number-field';
import { make } from '../../shared/session/editing';
import { useWindow } from '../../shared/window/window-settings';
import { CheckedAt } from './checked-at';
import { SortKeys } from './sort-keys';

interface RowsPieceProps {
  readonly project: Project;
  readonly list: List;
  readonly entryCount: number;
}

/** How rows are placed: one under the other, or so many beside each other; and in which order. */
export function RowsPiece({ project, list, entryCount }: RowsPieceProps) {
  const device = useWindow((settings) => settings.device);
  const { arrangement } = list;
  const set = (next: Arrangement) => make(edits.arrangeAs(list.id, next));
  return (
    <section aria-label="rows">
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
      <h2 className="mt-4 border-t border-rule pt-3 font-semibold">How wide it comes out</h2>
      <p className="py-1 font-mono" data-testid="sum">
        {cellSum(device.widthPx, { columns: columnsOf(arrangement), ...arrangement })}
      </p>
      <p className="text-ash">
        width − edges − gaps, by {arrangement.kind === 'grid' ? 'columns' : 'one column'}
      </p>
      <p className="pt-3 text-ash">{entryCount} entries.</p>
      <SortKeys project={project} list={list} />
      <CheckedAt />
    </section>
  );
}
