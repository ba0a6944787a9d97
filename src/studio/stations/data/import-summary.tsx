import X from 'lucide-react/icons/x';
import { count, grouped } from '../../../core/base';
import type { Source } from '../../../core/project';
import type { ImportSummary as Summary } from '../../../engine';
import { useSession } from '../../shared/session/session';
import { Misfits } from './field/misfits';

interface ImportSummaryProps {
  readonly source: Source;
  readonly summary: Summary;
}

/** What importing again changed: counted, and by key. */
export function ImportSummary({ source, summary }: ImportSummaryProps) {
  const { addedCount, changedCount, removedCount, movedCount, unchangedCount } = summary;
  const isSame = summary.revision === undefined;
  return (
    <section
      aria-label="What the import changed"
      className="flex items-start gap-3 border-b border-rule bg-paper px-3 py-1.5 text-sm"
    >
      <div className="min-w-0 flex-1">
        {isSame ? (
          <p className="text-moss">
            Nothing changed: {count(unchangedCount, 'item')} as before. Nothing was written.
          </p>
        ) : (
          <p>
            <b className="text-moss">{grouped(addedCount)} added</b>,{' '}
            <b className="text-woad">{grouped(changedCount)} changed</b>,{' '}
            <b className="text-madder">{grouped(removedCount)} removed</b>,{' '}
            {grouped(unchangedCount)} unchanged
            {movedCount > 0 ? `, ${grouped(movedCount)} moved` : ''}
          </p>
        )}
        {!isSame && (
          <details>
            <summary className="cursor-default text-ash">which</summary>
            <div className="max-h-32 overflow-auto">
              <Keys words="added" keys={summary.added} of={addedCount} />
              <Keys
                words="changed"
                keys={summary.changed.map(({ key, fields }) => `${key} (${fields.join(', ')})`)}
                of={changedCount}
              />
              <Keys words="removed" keys={summary.removed} of={removedCount} />
              <Keys words="moved" keys={summary.moved} of={movedCount} />
            </div>
          </details>
        )}
        {summary.findings
          .filter((finding) => finding.code === 'key-repeats' || finding.code === 'key-missing')
          .map((finding) => (
            <p key={finding.message} className="text-weld">
              {finding.message}
            </p>
          ))}
        <Misfits source={source} />
        {summary.repeated.length > 1 && (
          <details>
            <summary className="cursor-default text-ash">keys that repeat</summary>
            <p className="max-h-32 overflow-auto">{summary.repeated.join(', ')}</p>
          </details>
        )}
      </div>
      <button
        type="button"
        aria-label="Put this summary away"
        className="rounded-sm p-0.5 hover:bg-chosen"
        onClick={() => useSession.setState({ imported: undefined })}
      >
        <X size={14} aria-hidden="true" />
      </button>
    </section>
  );
}

function Keys({
  words,
  keys,
  of,
}: {
  readonly words: string;
  readonly keys: readonly string[];
  readonly of: number;
}) {
  if (keys.length === 0) return null;
  return (
    <p>
      <span className="text-ash">{words}:</span> {keys.join(', ')}
      {of > keys.length ? ` and ${count(of - keys.length, 'other')}` : ''}
    </p>
  );
}
