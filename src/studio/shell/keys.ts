import { useEffect } from 'react';
import { keyOf } from '../shared/controls/key-of';
import { writesText } from '../shared/controls/writes-text';
import { useSession } from '../shared/session/session';
import { commands } from './palette/commands';

/** Keys of all commands, wherever the caret is; in a field, plain keys and undo stay the field's own. */
export function useKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const key = keyOf(event);
      const command = commands.find((each) => each.key === key);
      if (command === undefined) return;
      if (writesText(event) && (key === '?' || key.endsWith(' Z'))) return;
      if (command.needsProject && useSession.getState().history === undefined) return;
      event.preventDefault();
      command.run();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
