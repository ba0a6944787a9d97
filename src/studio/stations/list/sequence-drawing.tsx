import type { Arrangement } from '../../../core/lists';

interface SequenceDrawingProps {
  readonly arrangement: Arrangement;
  readonly entryCount: number;
}

/** The arrangement as a sketch of what follows what. */
export function SequenceDrawing({ arrangement, entryCount }: SequenceDrawingProps) {
  const columns = arrangement.kind === 'grid' ? Math.min(arrangement.columns, 8) : 1;
  const lines = Math.min(7, Math.ceil(entryCount / columns));
  return (
    <div className="min-h-full overflow-hidden border-r border-rule p-4" aria-hidden="true">
      <div
        className="rounded-md border border-rule bg-paper"
        style={{ padding: Math.min(16, arrangement.edge / 2) }}
      >
        {Array.from({ length: lines }, (_, line) => `line ${line + 1}`).map((line, index) => (
          <div key={line}>
            {index > 0 && arrangement.kind === 'list' && arrangement.separators && (
              <div className="ms-3 border-t border-rule" />
            )}
            <div
              className="flex"
              style={{
                gap: Math.min(12, arrangement.gap / 2),
                marginTop: index > 0 ? Math.min(12, arrangement.gap / 2) : 0,
              }}
            >
              {Array.from({ length: columns }, (_, column) => `column ${column + 1}`).map(
                (column) => (
                  <div
                    key={column}
                    className={`grid h-11 flex-1 items-center px-2 text-sm text-ash ${arrangement.kind === 'grid' ? 'rounded-sm border border-rule' : ''}`}
                  >
                    {columns === 1 ? 'row' : ''}
                  </div>
                ),
              )}
            </div>
          </div>
        ))}
      </div>
      <p className="pt-2 text-sm text-ash">
        {entryCount} {arrangement.kind === 'grid' ? 'cells' : 'rows'}
      </p>
    </div>
  );
}
