import { label } from '../label';
import type { PartView } from '../part-view';
import { drawsOfWords, link as linkElement } from '../words';

/** Words that lead somewhere. */
export const link: PartView = {
  element() {
    const element = linkElement('yc-label');
    element.dir = 'auto';
    element.append(document.createTextNode(''));
    return element;
  },
  draws: {
    ...label.draws,
    address: (...of) => drawsOfWords['link']?.(...of),
    underlined(element, value) {
      element.classList.toggle('yc-bare', value === false);
    },
  },
};
