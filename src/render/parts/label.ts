import { box, drawHeight, drawsOfEvery, drawWidth, type PartView } from './part-view';
import { drawsOfWords, link } from './words';

/** Words on so many lines; its runs go on after its own. */
export const label: PartView = {
  element(_part, fed) {
    const element = fed.has('link') ? link('yc-label') : box('yc-label');
    element.dir = 'auto';
    element.append(document.createTextNode(''));
    return element;
  },
  draws: {
    ...drawsOfEvery,
    ...drawsOfWords,
    width: drawWidth,
    language(element, value) {
      if (typeof value === 'string') element.lang = value;
      else element.removeAttribute('lang');
    },
    numerals(element, value) {
      element.style.fontVariantNumeric =
        value === 'tabular' || value === 'proportional' ? `${value}-nums` : '';
    },
    height: drawHeight,
    lines(element, value) {
      const isCounted = typeof value === 'number' && value > 1;
      element.classList.toggle('yc-one-line', value !== 'all' && !isCounted);
      element.classList.toggle('yc-lines', isCounted);
      element.style.webkitLineClamp = isCounted ? String(value) : '';
      element.style.setProperty('--yc-lines', isCounted ? String(value) : '');
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
