import type { Entry, RowPlan } from '../core/lists';
import {
  type ImagePart,
  type LabelPart,
  type Part,
  type Size,
  type StackPart,
  textStyles,
} from '../core/templates';

/** Where a picture's name leads: an address that the page may load, or undefined: there is none. */
export type Pictures = (name: string) => string | undefined;

/** The elements of one row, with those that take a text in the order of the plan's slots. */
export interface RowView {
  readonly element: HTMLElement;
  readonly targets: readonly (Text | HTMLImageElement)[];
}

/** A row's elements for a plan, still without words. `data-part` names each part. */
export function createRow(plan: RowPlan): RowView {
  const byPart = new Map<string, Text | HTMLImageElement>();
  const element = stackElement(plan.row, byPart);
  element.classList.add('yc-row');
  const targets = plan.slots.map((slot) => {
    const target = byPart.get(slot.part);
    if (target === undefined)
      throw new Error(`The plan of ${plan.template} has no part ${slot.part}.`);
    return target;
  });
  return { element, targets };
}

/**
 * Gives a row every bound property of an entry, also those that the entry has no value for.
 * Pictures `later`: their places stay empty until the row is bound again.
 */
export function bindRow(row: RowView, entry: Entry, pictures: Pictures | 'later'): void {
  for (let i = 0; i < row.targets.length; i += 1) {
    const target = row.targets[i];
    const text = entry.texts[i];
    if (target instanceof Text) {
      if (target.data !== (text ?? '')) target.data = text ?? '';
    } else if (target !== undefined && pictures === 'later') {
      target.removeAttribute('src');
      delete target.dataset['missing'];
    } else if (target !== undefined && pictures !== 'later') {
      bindPicture(target, text === undefined ? undefined : pictures(text));
    }
  }
}

function bindPicture(image: HTMLImageElement, address: string | undefined): void {
  if (address === undefined) {
    image.removeAttribute('src');
    image.dataset['missing'] = '';
  } else if (image.getAttribute('src') !== address) {
    image.src = address;
    delete image.dataset['missing'];
  }
}

function partElement(part: Part, byPart: Map<string, Text | HTMLImageElement>): HTMLElement {
  switch (part.part) {
    case 'label':
      return labelElement(part, byPart);
    case 'image':
      return imageElement(part, byPart);
    case 'stack':
      return stackElement(part, byPart);
  }
}

function stackElement(stack: StackPart, byPart: Map<string, Text | HTMLImageElement>): HTMLElement {
  const element = document.createElement('div');
  element.className = `yc-stack yc-${stack.direction}`;
  element.dataset['part'] = stack.id;
  element.style.gap = `${stack.gap}px`;
  element.style.alignItems = {
    start: 'flex-start',
    centre: 'center',
    end: 'flex-end',
    stretch: 'stretch',
  }[stack.align];
  if (stack.padding !== undefined) {
    const { start, end, top, bottom } = stack.padding;
    element.style.paddingInline = `${start}px ${end}px`;
    element.style.paddingBlock = `${top}px ${bottom}px`;
  }
  for (const child of stack.children) {
    const inner = partElement(child, byPart);
    if (child.part !== 'image') setWidth(inner, child.width, stack.direction);
    element.append(inner);
  }
  return element;
}

/** The size of a child by its stack's direction; in a stack that runs down every width is its own. */
function setWidth(element: HTMLElement, width: Size, direction: StackPart['direction']): void {
  if (width === 'fit') {
    element.style.flex = direction === 'across' ? '0 1 auto' : '0 0 auto';
    if (direction === 'down') element.style.maxWidth = '100%';
  } else if ('fixed' in width) {
    element.style.flex = '0 0 auto';
    element.style.width = `${width.fixed}px`;
  } else if (direction === 'across') {
    element.style.flex = `${width.share} ${width.share} 0px`;
  } else {
    element.style.flex = '0 0 auto';
    element.style.alignSelf = 'stretch';
  }
}

function labelElement(label: LabelPart, byPart: Map<string, Text | HTMLImageElement>): HTMLElement {
  const element = document.createElement('div');
  const style = textStyles[label.style];
  element.className = `yc-label yc-${style.colour}`;
  element.dataset['part'] = label.id;
  element.dir = 'auto';
  element.style.fontSize = `${style.sizePx}px`;
  element.style.lineHeight = `${style.linePx}px`;
  element.style.height = `${style.linePx}px`;
  element.style.fontWeight = String(style.weight);
  if (label.align !== undefined)
    element.style.textAlign = label.align === 'centre' ? 'center' : label.align;
  const text = document.createTextNode('');
  element.append(text);
  byPart.set(label.id, text);
  return element;
}

function imageElement(part: ImagePart, byPart: Map<string, Text | HTMLImageElement>): HTMLElement {
  const element = document.createElement('img');
  element.className = `yc-image yc-${part.shape}`;
  element.dataset['part'] = part.id;
  element.alt = '';
  element.decoding = 'async';
  element.draggable = false;
  element.referrerPolicy = 'no-referrer';
  element.style.width = `${part.widthPx}px`;
  element.style.height = `${part.heightPx}px`;
  element.style.objectFit = part.fit;
  byPart.set(part.id, element);
  return element;
}
