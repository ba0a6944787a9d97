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

const within =
  (name: string) =>
  (draw: Draw | undefined): Draw =>
  (element, value, around) => {
    const inner = element.querySelector(`:scope > .${name}`);
    if (inner instanceof HTMLElement) draw?.(inner, value, around);
  };

/** Has what is drawn of words drawn in those of a pill. */
export const inWords = within('yc-label');
export const inIcon = within('yc-icon');

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
