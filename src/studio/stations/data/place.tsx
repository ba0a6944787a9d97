import { useEffect, useState } from 'react';
import { grouped } from '../../../core/base';
import type { PathSteps } from '../../../core/items';
import type { Source } from '../../../core/project';
import { MenuButton } from '../../shared/controls/controls';
import { readAt } from '../../shared/opening/arrivals';
import type { Current } from '../../shared/session/current';
import { engine } from '../../shared/session/session';
import { useAnswer, useLatest } from '../../shared/session/use-answer';

/** Where the items are in the document: what else is there to choose, or a path to write. */
export function Place({ current }: { readonly current: Current }) {
  const { source } = current;
  const { file, at, format } = source.from;
  const places =
    useAnswer({ source: source.id, file, at }, (asked) => engine().places(asked.source)) ?? [];
  const [text, setText] = useState(at);
  const [isWriting, setWriting] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another document has other places
  useEffect(() => setText(at), [source.id, file, at]);
  if (format === 'typed') return <span className="text-sm text-ash">typed in here</span>;
  return (
    <span className="relative">
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
        onFocus={() => setWriting(true)}
        onBlur={() => {
          setWriting(false);
          setText(at);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && text !== at) {
            event.currentTarget.blur();
            void readAt(source.id, text);
          }
          if (event.key === 'Escape') setText(at);
        }}
      />
      {isWriting && <Steps source={source} at={text} onStep={setText} />}
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
    </span>
  );
}

const afterMs = 200;

interface StepsProps {
  readonly source: Source;
  readonly at: string;
  /** A step was pressed: the path goes on from there. */
  readonly onStep: (path: string) => void;
}

/** The path on the real document, segment by segment, while it is written. */
function Steps({ source, at, onStep }: StepsProps) {
  const [found, setFound] = useState<PathSteps | 'not at hand'>();
  useLatest(
    [source.id, at],
    async (isWanted) => {
      // Whether there is a document to look at is said at once.
      await new Promise((resolve) => setTimeout(resolve, found === undefined ? 0 : afterMs));
      return isWanted() ? engine().pathSteps(source.id, at) : undefined;
    },
    setFound,
  );
  if (found === undefined) return null;
  return (
    <section
      aria-label="The path on the document"
      className="absolute start-0 top-7 z-40 w-max max-w-md rounded-md border border-ash bg-paper px-3 py-2 text-sm"
    >
      {found === 'not at hand' ? (
        <p>
          {source.from.file} is not at hand any more: this browser keeps its items, not the file.
          Bring it again to look at another place in it.
        </p>
      ) : source.from.format === 'json' ? (
        <StepList {...{ found, onStep }} />
      ) : null}
    </section>
  );
}

function StepList({ found, onStep }: Pick<StepsProps, 'onStep'> & { readonly found: PathSteps }) {
  const { steps, rest, wrong } = found;
  return (
    <>
      <ol>
        {steps.map(({ path, there }) => (
          <li key={path} className="truncate">
            <button
              type="button"
              className="font-mono text-woad underline"
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => onStep(path)}
            >
              {path}
            </button>{' '}
            <span className="text-ash">{there}</span>
          </li>
        ))}
        {rest !== '' && (
          <li className="text-madder">
            <code className="font-mono">{rest}</code> {wrong ?? 'leads no further from there'}
          </li>
        )}
      </ol>
      <p className="pt-1 text-xs text-ash">
        From the root of the document ($). Paths inside an item begin at the item. Enter reads it; a
        step that is pressed is gone back to.
      </p>
    </>
  );
}
