import { Button } from '../../shared/controls/controls';
import { addAsSource, importInto } from '../../shared/opening/arrivals';
import { bring, documentName } from '../../shared/opening/opening';
import { useCurrent } from '../../shared/session/current';
import { useSession } from '../../shared/session/session';

/** A document came while a project was open: what becomes of it. The likeliest stands first. */
export function Arrival() {
  const arrived = useSession((session) => session.arrived);
  const current = useCurrent();
  if (arrived === undefined || current === undefined) return null;
  const name = documentName(arrived);
  const { sources } = current.project;
  const same = sources.find((source) => source.from.file === name);
  const others = sources.filter((source) => source !== same).slice(0, 4);
  const done = () => useSession.setState({ arrived: undefined });
  return (
    <section
      aria-label="What becomes of it"
      className="col-span-2 flex flex-wrap items-center gap-2 border-b border-woad bg-paper px-3 py-2"
    >
      <span>
        <b className="inline-block max-w-72 truncate align-bottom">{name}</b> came. What becomes of
        it?
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
      <Button
        onPress={() => {
          done();
          void bring(arrived);
        }}
      >
        New project
      </Button>
      <span className="ms-auto">
        <Button onPress={done}>Leave it</Button>
      </span>
    </section>
  );
}
