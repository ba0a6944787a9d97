import { useEffect } from 'react';
import { writesText } from '../shared/controls/writes-text';
import { useSession } from '../shared/session/session';
import { commands } from './palette/commands';

/** `Ctrl Shift Z`, `Alt ArrowDown`, `?`: the key pressed as commands write it. */
function keyOf(event: KeyboardEvent): string {
  const key = event.key.length === 1 ? event.key.toUpperCase() : event.key;
  const parts = [
    event.ctrlKey || event.metaKey ? 'Ctrl' : '',
    event.altKey ? 'Alt' : '',
    event.shiftKey && key.toLowerCase() !== key.toUpperCase() ? 'Shift' : '',
    key,
  ];
  return parts.filter((part) => part !== '').join(' ');
}

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
