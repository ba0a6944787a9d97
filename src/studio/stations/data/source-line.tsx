import X from 'lucide-react/icons/x';
import { count } from '../../../core/base';
import { edits } from '../../../core/project';
import type { TableLook } from '../../../engine';
import { Button } from '../../shared/controls/controls';
import { Renamed } from '../../shared/controls/renamed';
import type { Current } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { useSession } from '../../shared/session/session';
import { MakeMenu } from './make-menu';
import { Place } from './place';

interface SourceLineProps {
  readonly current: Current;
  readonly look: TableLook;
  readonly onLook: (look: TableLook) => void;
}

/** The source: its name, where its items are in which document, and what can be done with it. */
export function SourceLine({ current, look, onLook }: SourceLineProps) {
  const { source } = current;
  const itemCount = useSession((session) => session.view?.itemCount ?? 0);

  return (
    <div
      data-pane="table"
      className="col-span-2 flex min-h-10 flex-wrap items-center gap-x-2 gap-y-1 border-b border-rule px-3 py-1 max-[1000px]:col-span-1"
    >
      <h1 className="sr-only">{source.name}</h1>
      <Renamed
        key={source.name}
        label="Name of the source"
        words={source.name}
        onRename={(name) => make(edits.renameSource(source.id, name))}
      />
      <span className="max-w-40 truncate text-ash" title={source.from.file}>
        {source.from.file}
      </span>
      <Place current={current} />
      <span className="rounded-full border border-rule bg-paper px-2.5 text-sm whitespace-nowrap">
        {count(itemCount, 'item')}
      </span>
      <input
        type="search"
        aria-label="Filter items"
        placeholder="only items with …"
        className="h-7 w-32 rounded-md border border-rule bg-paper px-2 text-sm"
        value={look.filter}
        onChange={(event) => onLook({ ...look, filter: event.target.value })}
      />
      {look.only !== undefined && (
        <Button label="Show all items again" onPress={() => onLook({ ...look, only: undefined })}>
          <span className="max-w-40 truncate">only {look.only.words}</span>
          <X size={12} aria-hidden="true" />
        </Button>
      )}
      <span className="ms-auto flex gap-1.5">
        <MakeMenu current={current} />
      </span>
    </div>
  );
}
