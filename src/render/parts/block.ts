import { drawName } from './name';
import { box, drawHeight, drawsOfEvery, drawWidth, type PartView } from './part-view';

/** An element that is as large as it is told, whatever is in it. */
export function block(name: string): HTMLElement {
  const element = box('yc-block');
  element.classList.add(...`yc-${name}`.split(' '));
  return element;
}

/** What all of them have. */
export const drawsOfBlocks: PartView['draws'] = {
  ...drawsOfEvery,
  width: drawWidth,
  height: drawHeight,
  name: drawName('img'),
};
