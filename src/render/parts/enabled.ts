import type { Draw } from './part-view';

export const drawEnabled: Draw = (element, value) => {
  element.ariaDisabled = value === false ? 'true' : null;
};
