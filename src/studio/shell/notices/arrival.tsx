import type { ReactNode } from 'react';
import { count } from '../../../core/base';
import { Button, MenuButton } from '../../shared/controls/controls';
import { addAsSource, answered, bringAsSet, importInto } from '../../shared/opening/arrivals';
import { bring, documentName } from '../../shared/opening/opening';
import { useCurrent } from '../../shared/session/current';
import { type DoubtedImport, useSession } from '../../shared/session/session';

/** A document came while a project was open: what becomes of it. The likeliest stands first. */
export function Arrival() {
  const [arrived, ...later] = useSession((session) => session.arrived);
  const doubted = useSession((session) => session.doubted);
  const current = useCurrent();
  if (current === undefined) return null;
  const { sources } = current.project;
  // Its source may be gone by now.
  if (doubted !== undefined && sources.some(({ id }) => id === doubted.source))
    return <Doubted doubted={doubted} />;
  if (arrived === undefined) return null;
  const name = documentName(arrived);
  const same = sources.find((source) => source.from.file === name);
  const others = sources.filter((source) => source !== same).slice(0, 4);
  return (
    <Question label="What becomes of it">
      <span>
        <FileName name={name} /> came. What becomes of it?
      </span>
      {same !== undefined && (
        <Button isMain onPress={() => void importInto(same.id, arrived)}>
          Import again into {same.name}
        </Button>
      )}
      <Button isMain={same === undefined} onPress={() => void addAsSource(arrived)}>
        Add as a source
      </Button>
      {others.map((source) => (
        <Button key={source.id} onPress={() => void importInto(source.id, arrived)}>
          Import again into {source.name}
        </Button>
      ))}
      <MenuButton
        label="As a set of"
        words="As a set of"
        entries={sources.map((source) => ({
          words: source.name,
          hint: 'in the place of its items',
          onChoose: () => void bringAsSet(source.id, arrived),
        }))}
      />
      <Button
        onPress={() => {
          answered(arrived);
          void bring(arrived);
        }}
      >
        New project
      </Button>
      <span className="ms-auto flex items-center gap-2">
        {later.length > 0 && (
          <span className="text-ash">then {count(later.length, 'more file')}</span>
        )}
        <Button onPress={() => answered(arrived)}>Leave it</Button>
      </span>
    </Question>
  );
}

/** An import would take most items away: whether that is meant. */
function Doubted({ doubted }: { readonly doubted: DoubtedImport }) {
  const { source, document, summary } = doubted;
  const { project } = useCurrent() ?? {};
  const name = project?.sources.find(({ id }) => id === source)?.name ?? source;
  const keptCount = summary.changedCount + summary.unchangedCount;
  const leave = () => useSession.setState({ doubted: undefined });
  const had = count(keptCount + summary.removedCount, 'item');
  return (
    <Question label="Whether the import is meant">
      <span>
        {keptCount === 0 ? 'None' : `Only ${keptCount}`} of the {had} of {name}{' '}
        {keptCount > 1 ? 'are' : 'is'} in <FileName name={documentName(document)} />.
      </span>
      <Button isMain onPress={() => void importInto(source, document, 'add and update')}>
        Add and update only
      </Button>
      <Button onPress={() => void importInto(source, document, 'replace')}>
        {keptCount === 0 ? 'Replace all' : 'Remove the other'} {count(summary.removedCount, 'item')}
      </Button>
      <Button
        onPress={() => {
          leave();
          void addAsSource(document);
        }}
      >
        Add as a source
      </Button>
      <span className="ms-auto">
        <Button onPress={leave}>Leave it</Button>
      </span>
    </Question>
  );
}

interface QuestionProps {
  readonly label: string;
  readonly children: ReactNode;
}

const Question = ({ label, children }: QuestionProps) => (
  <section
    aria-label={label}
    className="col-span-2 flex flex-wrap items-center gap-2 border-b border-woad bg-paper px-3 py-2"
  >
    {children}
  </section>
);

const FileName = ({ name }: { readonly name: string }) => (
  <b className="inline-block max-w-72 truncate align-bottom">{name}</b>
);
