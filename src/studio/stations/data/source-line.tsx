import { useEffect, useState } from 'react';
import { count, grouped } from '../../../core/base';
import type { ListPlace } from '../../../core/items';
import { edits } from '../../../core/project';
import type { TableLook } from '../../../engine';
import { importInto, readAt } from '../../shared/arrivals';
import { Button, MenuButton } from '../../shared/controls';
import type { Current } from '../../shared/current';
import { make } from '../../shared/editing';
import { engine, useSession } from '../../shared/session';
import { MakeMenu } from './make-menu';
import { Renamed } from './renamed';

interface SourceLineProps {
  readonly current: Current;
  readonly look: TableLook;
  readonly onLook: (look: TableLook) => void;
}

/** The source: its name, where its items are in which document, and what can be done with it. */
export function SourceLine({ current, look, onLook }: SourceLineProps) {
  const { source } = current;
  const itemCount = useSession((session) => session.view?.itemCount ?? 0);
  const isAddress = /^https?:/.test(source.from.file);
  return (
    <div className="col-span-2 flex min-h-10 flex-wrap items-center gap-x-2 gap-y-1 border-b border-rule px-3 py-1">
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
      <span className="ms-auto flex gap-1.5">
        {isAddress && (
          <Button
            onPress={() =>
              void importInto(source.id, { address: source.from.file, at: source.from.at })
            }
          >
            Fetch again
          </Button>
        )}
        <MakeMenu current={current} />
      </span>
    </div>
  );
}

/** Where the items are in the document: what else is there to choose, or a path to write. */
function Place({ current }: { readonly current: Current }) {
  const { source } = current;
  const { file, at, format } = source.from;
  const [places, setPlaces] = useState<readonly ListPlace[]>([]);
  const [text, setText] = useState(at);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another document has other places
  useEffect(() => {
    setText(at);
    void engine().places(source.id).then(setPlaces);
  }, [source.id, file, at]);
  if (format === 'typed') return <span className="text-sm text-ash">typed in here</span>;
  return (
    <>
      <input
        aria-label={format === 'sqlite' ? 'Table or SELECT' : 'JSONPath of the items'}
        title={
          format === 'sqlite'
            ? 'A table, or a SELECT'
            : 'From the root of the document ($). Paths inside an item begin at the item.'
        }
        className="h-7 max-w-56 rounded-md border border-transparent bg-transparent px-1.5 font-mono text-sm hover:border-rule hover:bg-paper focus:bg-paper"
        style={{ width: `${Math.max(6, text.length + 3)}ch` }}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => setText(at)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && text !== at) void readAt(source.id, text);
          if (event.key === 'Escape') setText(at);
        }}
      />
      {places.length > 1 && (
        <MenuButton
          label="Other places in the document"
          words={`${places.length} lists`}
          entries={places.map((place) => ({
            words: place.at,
            hint: grouped(place.count),
            isChosen: place.at === at,
            onChoose: () => void readAt(source.id, place.at),
          }))}
        />
      )}
    </>
  );
}
