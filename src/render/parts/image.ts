import { drawHeight, drawRadius, drawsOfEvery, drawWidth, type PartView } from './part-view';

/** A picture by its name. */
export const image: PartView = {
  element() {
    const element = document.createElement('img');
    element.className = 'yc-image';
    element.alt = '';
    element.decoding = 'async';
    element.draggable = false;
    element.referrerPolicy = 'no-referrer';
    return element;
  },
  draws: {
    ...drawsOfEvery,
    width: drawWidth,
    aspect(element, value) {
      const hasAspect = typeof value === 'number';
      element.classList.toggle('yc-aspect', hasAspect);
      element.style.aspectRatio = hasAspect ? String(value) : '';
    },
    height(element, value, around) {
      drawHeight(element, value, around);
      // The height of a picture of some aspect follows from its width.
      if (element.style.aspectRatio !== '') element.style.height = '';
    },
    fit(element, value) {
      element.style.objectFit = value === 'cover' ? 'cover' : 'contain';
    },
    radius: drawRadius,
    picture(element, value, { pictures }) {
      if (!(element instanceof HTMLImageElement)) return;
      if (pictures === undefined) {
        element.removeAttribute('src');
        delete element.dataset['missing'];
      } else show(element, typeof value === 'string' ? pictures(value) : undefined);
    },
  },
};

function show(element: HTMLImageElement, address: string | undefined): void {
  if (address === undefined) {
    element.removeAttribute('src');
    element.dataset['missing'] = '';
  } else if (element.getAttribute('src') !== address) {
    // Until the new one has come, the browser would go on showing the former item's picture.
    element.removeAttribute('src');
    element.src = address;
    delete element.dataset['missing'];
  }
}
