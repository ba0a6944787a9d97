type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>;

/** `Ctrl Shift Z`, `Alt PageDown`, `?`: the key pressed as commands write it. */
export function keyOf(event: Pressed): string {
  const key = event.key.length === 1 ? event.key.toUpperCase() : event.key;
  const parts = [
    event.ctrlKey || event.metaKey ? 'Ctrl' : '',
    event.altKey ? 'Alt' : '',
    event.shiftKey && key.toLowerCase() !== key.toUpperCase() ? 'Shift' : '',
    key,
  ];
  return parts.filter((part) => part !== '').join(' ');
}
