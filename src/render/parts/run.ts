import { box, type PartView } from './part-view';
import { drawsOfWords, link } from './words';

/** Words that go on in a label. */
export const run: PartView = {
  element(_part, fed) {
    const element = fed.has('link') ? link('yc-run') : box('yc-run', 'span');
    element.append(document.createTextNode(''));
    return element;
  },
  draws: drawsOfWords,
};
