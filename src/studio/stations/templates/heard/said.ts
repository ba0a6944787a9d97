import { ownValue } from '../../../../core/base';
import { knownId } from '../../../../core/templates';

/** What is said of a part to those who hear the row. */
export interface Said {
  readonly part: string;
  readonly words: string;
  /** What it is, and its state: nothing for plain words. */
  readonly role: string;
}

/** What a screen reader says of a drawn row, in reading order (ARIA names, roles and states as they are drawn). */
export function saidOf(row: HTMLElement): readonly Said[] {
  return [...partsHeard(row, row.dataset['part'] ?? '')];
}

function* partsHeard(element: HTMLElement, around: string): Generator<Said, void> {
  if (element.ariaHidden === 'true' || element.hidden || isGone(element)) return;
  const part = knownId(element.dataset['part'] ?? around);
  const { role, ariaLabel: label } = element;
  const picture = element instanceof HTMLImageElement ? element.alt : undefined;
  if (picture !== undefined) {
    if (picture !== '') yield { part, words: picture, role: 'picture' };
    return;
  }
  if (label !== null && role !== 'group' && role !== 'listitem') {
    yield {
      part,
      words: label,
      role: [ownValue(roles, role ?? '') ?? role ?? '', ...statesOf(element)].join(', '),
    };
    return;
  }
  if (label !== null && role === 'group') yield { part, words: label, role: 'together' };
  for (const child of element.childNodes) {
    const words = child instanceof Text ? child.data.trim() : '';
    if (words !== '')
      yield { part, words, role: element.closest('a[href]') === null ? '' : 'link' };
    if (child instanceof HTMLElement) yield* partsHeard(child, part);
  }
}

const isGone = (element: HTMLElement): boolean => {
  const { display, visibility } = getComputedStyle(element);
  return display === 'none' || visibility === 'hidden';
};

const roles: Readonly<Record<string, string>> = {
  img: 'picture',
  switch: 'switch',
  checkbox: 'checkbox',
  button: 'button',
  link: 'link',
  slider: 'slider',
  spinbutton: 'stepper',
  progressbar: 'progress',
  meter: 'meter',
};

function statesOf(element: HTMLElement): readonly string[] {
  const { ariaChecked, ariaValueNow, ariaValueText, ariaValueMax, ariaDisabled } = element;
  return [
    ...(ariaChecked === null ? [] : [ariaChecked === 'true' ? 'on' : 'off']),
    ...(ariaValueText !== null
      ? [ariaValueText]
      : ariaValueNow === null
        ? []
        : [ariaValueMax === null ? ariaValueNow : `${ariaValueNow} of ${ariaValueMax}`]),
    ...(ariaDisabled === 'true' ? ['can’t be used'] : []),
  ];
}
