import { useSession } from '../session/session';

/** What fails where nobody waits for it is said, too; the answer ends that. */
export function sayWhatFails(): () => void {
  const say = (reason: unknown) =>
    useSession.setState({
      notice: {
        code: 'failed',
        severity: 'error',
        place: { in: 'project', path: '' },
        message: `Something failed: ${words(reason).slice(0, 200)}`,
        hint: 'What was kept is as it was. Undo takes back the last step; reloading the page begins anew.',
      },
    });
  const onRejection = ({ reason }: PromiseRejectionEvent) => say(reason);
  const onError = ({ message }: ErrorEvent) => say(message);
  window.addEventListener('unhandledrejection', onRejection);
  window.addEventListener('error', onError);
  return () => {
    window.removeEventListener('unhandledrejection', onRejection);
    window.removeEventListener('error', onError);
  };
}

const words = (reason: unknown): string =>
  reason instanceof Error ? reason.message : String(reason);
