import type { Offered } from './acts';

/** A button for each action, with its colour and its picture. */
export const actionButtons = (
  offered: readonly Offered[],
  role: 'button' | 'menuitem',
  choose: (action: Offered) => void,
): readonly HTMLButtonElement[] =>
  offered.map((action) => {
    const button = document.createElement('button');
    button.type = 'button';
    button.className = 'yc-action';
    button.disabled = !action.isAllowed;
    if (role === 'menuitem') button.setAttribute('role', role);
    if (action.colour !== undefined) button.style.setProperty('--yc-action', action.colour);
    if (action.icon !== undefined) button.append(drawnIcon(action.icon));
    button.append(action.words);
    button.addEventListener('click', () => choose(action));
    return button;
  });

function drawnIcon({ address, isSymbol }: NonNullable<Offered['icon']>): HTMLElement {
  const icon = document.createElement('span');
  icon.className = isSymbol ? 'yc-action-icon yc-action-symbol' : 'yc-action-icon';
  icon.setAttribute('aria-hidden', 'true');
  icon.style.setProperty('--yc-icon', `url(${JSON.stringify(address)})`);
  return icon;
}
