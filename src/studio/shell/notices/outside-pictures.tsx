import { useMemo } from 'react';
import { isAddress } from '../../../core/pictures';
import { Button } from '../../shared/controls/controls';
import { keepSoon } from '../../shared/keeping/keep';
import { useKept, useSession } from '../../shared/session/session';

const maxNamed = 4;

/** A project from elsewhere names pictures at addresses: they are asked for only once that is meant. */
export function OutsidePictures() {
  const view = useKept((session) => session.view);
  const loadsOutside = useSession((session) => session.loadsOutside);
  const hosts = useMemo(() => {
    if (loadsOutside || view === undefined) return [];
    const names = view.entries.flatMap(({ plan, values }) =>
      (view.plans[plan]?.slots ?? []).flatMap(({ kind }, at) =>
        kind === 'picture' ? [String(values[at] ?? '')] : [],
      ),
    );
    return [...new Set(names.filter(isAddress).map(hostOf))];
  }, [view, loadsOutside]);
  if (hosts.length === 0) return null;
  return (
    <section
      aria-label="Pictures from outside"
      className="flex flex-wrap items-center gap-3 border-b border-weld bg-paper px-3 py-1.5"
    >
      <span>
        <b>This project shows pictures from elsewhere</b> ({hosts.slice(0, maxNamed).join(', ')}
        {hosts.length > maxNamed ? ' and others' : ''}). Who has them would learn that you look.
      </span>
      <Button
        isMain
        onPress={() => {
          useSession.setState({ loadsOutside: true });
          keepSoon();
        }}
      >
        Load them
      </Button>
    </section>
  );
}

const hostOf = (address: string): string =>
  URL.canParse(address) ? new URL(address).host : address.slice(0, 60);
