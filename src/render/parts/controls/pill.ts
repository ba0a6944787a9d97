import {
  box,
  type Draw,
  drawHeight,
  drawPadding,
  drawsOfEvery,
  drawWidth,
  type PartView,
} from '../part-view';
import { stack } from '../stack';
import { drawsOfWords } from '../words';

/** Has what is drawn of words drawn in those of a pill, which are the last in it. */
export const inWords =
  (draw: Draw | undefined): Draw =>
  ({ lastElementChild: words }, value, around) => {
    if (words instanceof HTMLElement && words.classList.contains('yc-label'))
      draw?.(words, value, around);
  };

/** The same of its icon, which is the first. */
export const inIcon =
  (draw: Draw): Draw =>
  ({ firstElementChild: icon }, value, around) => {
    if (icon instanceof HTMLElement && icon.classList.contains('yc-icon'))
      draw(icon, value, around);
  };

/** The words of a pill, in one line. */
export function wordsOfPill(): HTMLElement {
  const words = box('yc-label yc-one-line', 'span');
  words.dir = 'auto';
  words.append(document.createTextNode(''));
  return words;
}

/** What every pill has: a stack, and words in it. */
export const drawsOfPills: PartView['draws'] = {
  ...drawsOfEvery,
  width: drawWidth,
  height: drawHeight,
  padding: drawPadding,
  gap: (...of) => stack.draws['gap']?.(...of),
  align: (...of) => stack.draws['align']?.(...of),
  text: inWords(drawsOfWords['text']),
  style: inWords(drawsOfWords['style']),
};
