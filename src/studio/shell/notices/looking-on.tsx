import { useState } from 'react';
import { Button } from '../../shared/controls/controls';
import { takeOver } from '../../shared/keeping/one-writer';
import { useSession } from '../../shared/session/session';

/** Another tab writes this project: this one shows what it does, and can take over. */
export function LookingOn() {
  const isLooking = useSession((session) => session.keeping.kind === 'looking');
  const [isAsking, setAsking] = useState(false);
  if (!isLooking) return null;
  const ask = async () => {
    setAsking(true);
    await takeOver().finally(() => setAsking(false));
  };
  return (
    <section
      aria-label="Open in another tab"
      className="flex flex-wrap items-center gap-3 border-b border-weld bg-paper px-3 py-1.5"
    >
      <span>
        <b>Another tab writes this project.</b> What you see follows it; nothing can be changed
        here.
      </span>
      <Button isMain isDisabled={isAsking} onPress={() => void ask()}>
        Take over here
      </Button>
    </section>
  );
}
