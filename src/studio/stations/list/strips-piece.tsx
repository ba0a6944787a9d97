import { stripCellWidth, stripSum } from '../../../core/layout';
import type { Arrangement, List, Strips, StripsAmong } from '../../../core/lists';
import type { Project } from '../../../core/project';
import { Check, ChoiceChips } from '../../shared/controls/controls';
import { NumberField } from '../../shared/controls/number-field';
import { useWindow } from '../../shared/window/window-settings';
import { RowTemplates } from './row-templates';

interface StripsOfProps {
  readonly strips: Strips;
  /** What is around its cells. */
  readonly around: Pick<Arrangement, 'edge' | 'gap'>;
  readonly onSet: (next: Strips) => void;
}

/** How wide the cells of strips are, and how they are scrolled. */
export function StripsOf({ strips, around: { edge, gap }, onSet }: StripsOfProps) {
  const widthPx = useWindow((settings) => settings.device.widthPx);
  const { cell, snaps, hasIndicator } = strips;
  const set = (next: {
    readonly cell?: Strips['cell'];
    snaps?: boolean;
    hasIndicator?: boolean;
  }) => {
    const now = { cell, snaps, hasIndicator, ...next };
    onSet({
      cell: now.cell,
      ...(now.snaps === true && { snaps: true }),
      ...(now.hasIndicator === true && { hasIndicator: true }),
    });
  };
  const cellPx = Math.round(stripCellWidth(widthPx, { cell, edge, gap }));
  const inSight = Math.max(1, Math.round((2 * (widthPx - edge)) / (cellPx + gap)) / 2);
  return (
    <div className="flex flex-col gap-1">
      <span className="flex flex-wrap items-center gap-1.5">
        <ChoiceChips
          label="How wide cells are"
          options={[
            { value: 'so wide', words: 'so wide' },
            { value: 'in sight', words: 'so many in sight' },
          ]}
          chosen={typeof cell === 'number' ? 'so wide' : 'in sight'}
          onChoose={(how) => set({ cell: how === 'so wide' ? cellPx : { inSight } })}
        />
        {typeof cell === 'number' ? (
          <NumberField
            label="Width of a cell"
            value={cell}
            min={20}
            max={4_000}
            onChange={(next) => set({ cell: next })}
          />
        ) : (
          <NumberField
            label="Cells in sight"
            value={cell.inSight}
            min={1}
            max={20}
            step={0.5}
            onChange={(next) => set({ cell: { inSight: next } })}
          />
        )}
      </span>
      <span className="font-mono" data-testid="strip-sum">
        {stripSum(widthPx, { cell, edge, gap })}
      </span>
      <Check
        words="rests where a cell begins"
        isOn={snaps === true}
        onChange={(isOn) => set({ snaps: isOn })}
      />
      <Check
        words="tells how far along one is"
        isOn={hasIndicator === true}
        onChange={(isOn) => set({ hasIndicator: isOn })}
      />
    </div>
  );
}

const usual: Omit<StripsAmong, 'templates'> & { readonly templates?: readonly string[] } = {
  ...{ cell: { inSight: 2.5 }, snaps: true, gap: 8, edge: 16 },
};

interface StripsAmongProps {
  readonly project: Project;
  readonly list: List;
  readonly arrangement: Exclude<Arrangement, { readonly kind: 'strip' }>;
  readonly onSet: (next: Arrangement) => void;
}

/** Which templates' rows are scrolled sideways, where they follow each other. */
export function StripsAmongRows({ project, list, arrangement, onSet }: StripsAmongProps) {
  const { strips, ...plain } = arrangement;
  const { templates = [], ...look } = strips ?? usual;
  const set = (next: Partial<StripsAmong>) =>
    onSet({ ...arrangement, strips: { ...look, templates, ...next } });
  return (
    <div className="flex flex-col gap-1">
      <RowTemplates
        {...{ project, list }}
        label="In strips"
        chosen={templates}
        onChoose={(next) => (next.length === 0 ? onSet(plain) : set({ templates: next }))}
      />
      {strips === undefined ? (
        <p className="text-ash">
          Rows of these that follow each other stand side by side, and are scrolled sideways.
        </p>
      ) : (
        <>
          <StripsOf
            strips={look}
            around={look}
            onSet={({ cell, ...how }) =>
              onSet({
                ...arrangement,
                strips: { templates, cell, gap: look.gap, edge: look.edge, ...how },
              })
            }
          />
          <span className="flex items-center gap-1.5 text-ash">
            <NumberField
              label="Gap of strips"
              value={look.gap}
              min={0}
              max={200}
              onChange={(gap) => set({ gap })}
            />
            px between them,
            <NumberField
              label="Edges of strips"
              value={look.edge}
              min={0}
              max={200}
              onChange={(edge) => set({ edge })}
            />
            px at the ends
          </span>
        </>
      )}
    </div>
  );
}
