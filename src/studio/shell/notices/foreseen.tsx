import { count } from '../../../core/base';
import { type Edit, withMends } from '../../../core/project';
import { Button } from '../../shared/controls/controls';
import { make } from '../../shared/session/editing';
import { useSession } from '../../shared/session/session';

const maxListed = 40;

/** What an edit would make wrong, with the mends there are, before it is made. */
export function Foreseen() {
  const foreseen = useSession((session) => session.foreseen);
  if (foreseen === undefined) return null;
  const { edit, findings, instead, done } = foreseen;
  const mendCount = findings.filter((finding) => finding.mend !== undefined).length;
  const leave = () => useSession.setState({ foreseen: undefined });
  const act = (what: Edit) => {
    leave();
    if (make(what) === undefined) done();
  };
  return (
    <section
      aria-label="What this would change"
      className="col-span-2 border-b border-weld bg-paper px-3 py-2"
    >
      <p>
        <b>“{edit.name}”</b> would break or take away {count(findings.length, 'thing')}. One step
        takes it back.
      </p>
      <ul className="max-h-40 overflow-auto py-1 text-sm">
        {findings.slice(0, maxListed).map((finding) => (
          <li key={JSON.stringify(finding.place) + finding.message} className="py-0.5">
            {finding.place.in === 'part' && (
              <span className="text-ash">
                {finding.place.template}, {finding.place.part}:{' '}
              </span>
            )}
            {finding.message}{' '}
            {finding.mend !== undefined && (
              <span className="text-moss">Mend: {finding.mend.label}.</span>
            )}
          </li>
        ))}
        {findings.length > maxListed && <li>and {count(findings.length - maxListed, 'other')}</li>}
      </ul>
      <span className="flex flex-wrap gap-1.5">
        {instead.map((other) => (
          <Button key={other.name} isMain onPress={() => act(other)}>
            {other.name}
          </Button>
        ))}
        {mendCount > 0 && (
          <Button isMain onPress={() => act(withMends(edit))}>
            Do it with {count(mendCount, 'mend')}
          </Button>
        )}
        <Button isMain={mendCount === 0 && instead.length === 0} onPress={() => act(edit)}>
          {mendCount > 0 ? 'Do it without' : 'Do it'}
        </Button>
        <Button onPress={leave}>Leave it</Button>
      </span>
    </section>
  );
}
