import { type TextStyle, textStyles } from '../../core/templates';
import { drawnWords } from '../../core/text';
import { box, type Drawn, drawHeight, drawsOfEvery, drawWidth, type PartView } from './part-view';

/** Words on so many lines. */
export const label: PartView = {
  element(_part, fed) {
    const element = fed.has('link') ? link() : box('yc-label');
    element.dir = 'auto';
    element.append(document.createTextNode(''));
    return element;
  },
  draws: {
    ...drawsOfEvery,
    width: drawWidth,
    text(element, value) {
      const { firstChild } = element;
      const words = value === undefined ? '' : drawnWords(String(value));
      if (firstChild instanceof Text && firstChild.data !== words) firstChild.data = words;
    },
    link(element, value) {
      if (element instanceof HTMLAnchorElement) leadTo(element, value);
    },
    style(element, value) {
      const style = styleNamed(value);
      if (style === undefined) return;
      element.classList.toggle('yc-ink', style.colour === 'ink');
      element.classList.toggle('yc-ash', style.colour === 'ash');
      element.style.fontSize = `calc((${style.sizePx}px - var(--yc-less, 0px)) * var(--row-text-size, 1))`;
      element.style.lineHeight = `calc(${style.linePx}px * var(--row-text-size, 1))`;
      element.style.fontWeight = String(style.weight);
    },
    language(element, value) {
      if (typeof value === 'string') element.lang = value;
      else element.removeAttribute('lang');
    },
    height: drawHeight,
    lines(element, value) {
      const isCounted = typeof value === 'number' && value > 1;
      element.classList.toggle('yc-one-line', value !== 'all' && !isCounted);
      element.classList.toggle('yc-lines', isCounted);
      element.style.webkitLineClamp = isCounted ? String(value) : '';
    },
    overflow(element, value) {
      element.classList.toggle('yc-clip', value === 'clip');
    },
    align(element, value) {
      if (typeof value !== 'string' || value === 'start') return;
      element.style.textAlign = value === 'centre' ? 'center' : value;
    },
  },
};

const styleNamed = (name: Drawn): TextStyle | undefined =>
  Object.entries(textStyles).find(([own]) => own === name)?.[1];

/** A press in the window selects; with the control key it follows the link. */
function link(): HTMLAnchorElement {
  const element = document.createElement('a');
  element.className = 'yc-label';
  element.target = '_blank';
  element.rel = 'noopener noreferrer';
  element.draggable = false;
  element.tabIndex = -1;
  element.addEventListener('click', (event) => {
    if (!event.ctrlKey && !event.metaKey) event.preventDefault();
  });
  return element;
}

/** The core gives only such addresses; nothing else may ever become one. */
const addresses = /^(?:https?:\/\/|mailto:|tel:)/i;

function leadTo(element: HTMLAnchorElement, address: Drawn): void {
  if (typeof address !== 'string' || !addresses.test(address)) element.removeAttribute('href');
  else if (element.getAttribute('href') !== address) element.href = address;
}
