import type { Draw } from './part-view';

/**
 * What a part is called by those who hear the row. One that nobody could name is nothing to them,
 * where it is not words. `role`: what it is then (ARIA in HTML); `say`: how, if not by its label.
 */
export function drawName(
  role: string,
  say: (element: HTMLElement, name: string) => void = (element, name) => {
    element.role = name === '' ? null : role;
    element.ariaLabel = name === '' ? null : name;
    element.ariaHidden = name === '' ? 'true' : null;
  },
): Draw {
  return (element, value) => say(element, typeof value === 'string' ? value.trim() : '');
}
