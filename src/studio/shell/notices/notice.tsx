import X from 'lucide-react/icons/x';
import { Button } from '../../shared/controls/controls';
import { keepNow } from '../../shared/keeping/keep';
import { useNewerBuild } from '../../shared/keeping/offline';
import { beginAnew } from '../../shared/opening/opening';
import { engine, useSession } from '../../shared/session/session';

/** What went wrong or takes a while, in one place below the screen. */
export function Notice() {
  const notice = useSession((session) => session.notice);
  const reading = useSession((session) => session.reading);
  const keeping = useSession((session) => session.keeping);
  const isEngineSilent = useSession((session) => session.isEngineSilent);
  const { take } = useNewerBuild();
  return (
    <div
      aria-live="polite"
      className="fixed inset-x-0 bottom-10 z-40 flex flex-col items-center gap-2"
    >
      {reading !== undefined && reading.file !== '' && (
        <div className="flex items-center gap-3 rounded-md border border-ash bg-paper px-3 py-1.5">
          <span>
            Reading {reading.file}, {Math.round(reading.share * 100)} %
          </span>
          <progress className="h-1.5 w-40 accent-woad" value={reading.share} aria-label="Reading" />
          <Button onPress={() => void engine().cancel()}>Cancel</Button>
        </div>
      )}
      {notice !== undefined && (
        <div
          role="alert"
          data-finding={notice.code}
          className="flex max-w-2xl items-start gap-3 rounded-md border border-madder bg-paper px-3 py-2"
        >
          <div>
            <p className="font-semibold text-madder">{notice.message}</p>
            <p>{notice.hint}</p>
          </div>
          <button
            type="button"
            aria-label="Put this message away"
            className="rounded-sm p-0.5 hover:bg-chosen"
            onClick={() => useSession.setState({ notice: undefined })}
          >
            <X size={14} aria-hidden="true" />
          </button>
        </div>
      )}
      {isEngineSilent && (
        <div
          role="alert"
          className="flex max-w-2xl items-center gap-3 rounded-md border border-madder bg-paper px-3 py-2"
        >
          <span>
            <b className="text-madder">What works on the items does not answer.</b> What is kept is
            safe; beginning anew reads it again.
          </span>
          <Button isMain onPress={() => void beginAnew()}>
            Begin anew
          </Button>
        </div>
      )}
      {take !== undefined && (
        <div
          role="status"
          className="flex max-w-2xl items-center gap-3 rounded-md border border-moss bg-paper px-3 py-2"
        >
          <span>A newer Yarn Card is there. What is open is kept before the page begins anew.</span>
          <Button isMain onPress={() => void take()}>
            Take it
          </Button>
        </div>
      )}
      {keeping.kind === 'failed' && (
        <div
          role="alert"
          className="flex max-w-2xl items-center gap-3 rounded-md border border-weld bg-paper px-3 py-2"
        >
          <span>{keeping.reason}</span>
          <Button onPress={() => void keepNow()}>Try again</Button>
        </div>
      )}
    </div>
  );
}
