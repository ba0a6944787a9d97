import { cellSum, cellWidth, widthForColumns } from '../../../core/layout';
import { type Arrangement, columnsIn, type List } from '../../../core/lists';
import { coloursOf, edits, type Project } from '../../../core/project';
import { Check, ChoiceChips, Row } from '../../shared/controls/controls';
import { NumberField } from '../../shared/controls/number-field';
import { make } from '../../shared/session/editing';
import { useWindow } from '../../shared/window/window-settings';
import { CheckedAt } from './checked-at';
import { RowTemplates } from './row-templates';
import { SortKeys } from './sort-keys';
import { StripsAmongRows, StripsOf } from './strips-piece';

interface RowsPieceProps {
  readonly project: Project;
  readonly list: List;
}

/** How rows are placed: one under the other, or so many beside each other; and in which order. */
export function RowsPiece({ project, list }: RowsPieceProps) {
  const device = useWindow((settings) => settings.device);
  const { arrangement } = list;
  const set = (next: Arrangement) => make(edits.arrangeAs(list.id, next));
  const { edge, gap } = arrangement;
  const columns = columnsIn(arrangement, device.widthPx);
  const next =
    arrangement.kind === 'grid' && typeof arrangement.columns === 'object'
      ? widthForColumns(columns + 1, { ...arrangement.columns, edge, gap })
      : undefined;
  return (
    <section aria-label="How rows are placed">
      {arrangement.kind === 'grid' && (
        <>
          <Row words="columns">
            <ColumnsOf arrangement={arrangement} onSet={set} />
          </Row>
          <Row words="cells">
            <CellsOf {...{ project, list, arrangement }} onSet={set} />
          </Row>
        </>
      )}
      <Row words={arrangement.kind === 'strip' ? 'cells' : 'strips'}>
        {arrangement.kind === 'strip' ? (
          <StripsOf
            strips={arrangement.strips}
            around={arrangement}
            onSet={(strips) => set({ ...arrangement, strips })}
          />
        ) : (
          <StripsAmongRows {...{ project, list, arrangement }} onSet={set} />
        )}
      </Row>
      <Row words="gap">
        <NumberField
          label="Gap"
          value={arrangement.gap}
          min={0}
          max={200}
          onChange={(gap) => set({ ...arrangement, gap })}
        />
        <span className="ps-2 text-ash">px between {betweenWords[arrangement.kind]}</span>
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
        <Row words="">
          <Check
            words="each section a block of its own"
            isOn={arrangement.blocks === true}
            onChange={(isOn) => {
              const { blocks: _, ...plain } = arrangement;
              set(isOn ? { ...arrangement, blocks: true } : plain);
            }}
          />
        </Row>
      )}
      <Row words="ground">
        <ChoiceChips
          label="Ground of the list"
          options={[
            { value: '', words: 'as rows' },
            ...coloursOf(project).map(({ name }) => ({ value: name, words: name })),
          ]}
          chosen={arrangement.ground ?? ''}
          onChoose={(ground) => {
            const { ground: _, ...plain } = arrangement;
            set(ground === '' ? plain : { ...arrangement, ground });
          }}
        />
      </Row>
      {arrangement.kind !== 'strip' && (
        <>
          <h2 className="mt-4 border-t border-rule pt-3 font-semibold">How wide it comes out</h2>
          <p className="py-1 font-mono" data-testid="sum">
            {cellSum(device.widthPx, { columns, edge, gap })}
          </p>
          <p className="text-ash">
            width − edges − gaps, by {columns === 1 ? 'one column' : `${columns} columns`}
            {next !== undefined && `; ${columns + 1} from ${next} px on`}
          </p>
        </>
      )}
      <SortKeys project={project} list={list} />
      <CheckedAt />
    </section>
  );
}

const betweenWords: Readonly<Record<Arrangement['kind'], string>> = {
  ...{ list: 'rows', grid: 'rows and columns', strip: 'cells' },
};

interface ColumnsOfProps {
  readonly arrangement: Extract<Arrangement, { kind: 'grid' }>;
  readonly onSet: (next: Arrangement) => void;
}

/** So many, or as many as fit where cells are to be so wide at least. */
function ColumnsOf({ arrangement, onSet }: ColumnsOfProps) {
  const widthPx = useWindow((settings) => settings.device.widthPx);
  const { columns, edge, gap } = arrangement;
  const now = columnsIn(arrangement, widthPx);
  const least = Math.floor(cellWidth(widthPx, { columns: now, edge, gap }));
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <ChoiceChips
        label="How many columns"
        options={[
          { value: 'so many', words: 'so many' },
          { value: 'as fit', words: 'as many as fit' },
        ]}
        chosen={typeof columns === 'number' ? 'so many' : 'as fit'}
        onChoose={(how) =>
          onSet({
            ...arrangement,
            columns: how === 'so many' ? now : { least: Math.max(20, least) },
          })
        }
      />
      {typeof columns === 'number' ? (
        <NumberField
          label="Columns"
          value={columns}
          min={1}
          max={50}
          onChange={(next) => onSet({ ...arrangement, columns: next })}
        />
      ) : (
        <>
          <NumberField
            label="Least width of a cell"
            value={columns.least}
            min={20}
            max={4_000}
            onChange={(next) => onSet({ ...arrangement, columns: { least: next } })}
          />
          <span className="text-ash">px at least</span>
        </>
      )}
    </span>
  );
}

/** How high cells are, and which have a line for themselves. */
function CellsOf({ project, list, arrangement, onSet }: ColumnsOfProps & RowsPieceProps) {
  const { spans = [], ownHeights: _, ...equal } = arrangement;
  const { spans: __, ...unspanned } = arrangement;
  return (
    <div className="flex flex-col gap-1">
      <ChoiceChips
        label="Heights of a line"
        options={[
          { value: 'equal', words: 'as high as their line' },
          { value: 'own', words: 'each its own height' },
        ]}
        chosen={arrangement.ownHeights ? 'own' : 'equal'}
        onChoose={(how) =>
          onSet(
            how === 'own'
              ? { ...arrangement, ownHeights: true }
              : { ...equal, ...(spans.length > 0 && { spans }) },
          )
        }
      />
      <RowTemplates
        {...{ project, list }}
        label="Across all columns"
        words="across all columns:"
        chosen={spans}
        onChoose={(next) => onSet(next.length === 0 ? unspanned : { ...arrangement, spans: next })}
      />
    </div>
  );
}
