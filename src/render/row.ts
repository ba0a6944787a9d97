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

/** What takes the text of a slot, and the element that leaves where there is none. */
type Target = { readonly leaves: HTMLElement | undefined } & (
  | { readonly kind: 'words'; readonly node: Text }
  | { readonly kind: 'link'; readonly element: HTMLAnchorElement }
  | { readonly kind: 'picture'; readonly element: HTMLImageElement }
);

/** The elements of one row, with those that take a text in the order of the plan's slots. */
export interface RowView {
  readonly element: HTMLElement;
  readonly targets: readonly Target[];
}

/** A row's elements for a plan, still without words. `data-part` names each part. */
export function createRow(plan: RowPlan): RowView {
  const byPart: ByPart = new Map();
  const element = stackElement(plan.row, byPart);
  element.classList.add('yc-row');
  const targets = plan.slots.map((slot) => targetOf(slot, byPart.get(slot.part), plan));
  return { element, targets };
}

/** The element of each part that shows something. */
type ByPart = Map<string, HTMLElement>;

function targetOf(
  { part, property, leaves }: RowPlan['slots'][number],
  element: HTMLElement | undefined,
  plan: RowPlan,
): Target {
  const own = { leaves: leaves && property !== 'link' ? element : undefined };
  if (property === 'picture' && element instanceof HTMLImageElement)
    return { ...own, kind: 'picture', element };
  if (property === 'link' && element instanceof HTMLAnchorElement)
    return { ...own, kind: 'link', element };
  const node = element?.firstChild;
  if (property === 'text' && node instanceof Text) return { ...own, kind: 'words', node };
  throw new Error(`The plan of ${plan.template} has no ${property} of a part ${part}.`);
}

/**
 * Gives a row every bound property of an entry, also those that the entry has no value for.
 * Pictures `later`: their places stay empty until the row is bound again.
 */
export function bindRow(row: RowView, entry: Entry, pictures: Pictures | 'later'): void {
  for (let i = 0; i < row.targets.length; i += 1) {
    const target = row.targets[i];
    const text = entry.texts[i];
    if (target === undefined) continue;
    if (target.leaves !== undefined) {
      const display = text === undefined ? 'none' : '';
      if (target.leaves.style.display !== display) target.leaves.style.display = display;
    }
    if (target.kind === 'words') {
      if (target.node.data !== (text ?? '')) target.node.data = text ?? '';
    } else if (target.kind === 'link') {
      bindLink(target.element, text);
    } else if (pictures === 'later') {
      target.element.removeAttribute('src');
      delete target.element.dataset['missing'];
    } else {
      bindPicture(target.element, text === undefined ? undefined : pictures(text));
    }
  }
}

/** The core gives only such addresses; nothing else may ever become one. */
const addresses = /^(?:https?:\/\/|mailto:|tel:)/i;

function bindLink(link: HTMLAnchorElement, address: string | undefined): void {
  if (address === undefined || !addresses.test(address)) link.removeAttribute('href');
  else if (link.getAttribute('href') !== address) link.href = address;
}

function bindPicture(image: HTMLImageElement, address: string | undefined): void {
  if (address === undefined) {
    image.removeAttribute('src');
    image.dataset['missing'] = '';
  } else if (image.getAttribute('src') !== address) {
    // Until the new one has come, the browser would go on showing the former item's picture.
    image.removeAttribute('src');
    image.src = address;
    delete image.dataset['missing'];
  }
}

function partElement(part: Part, byPart: ByPart): HTMLElement {
  switch (part.part) {
    case 'label':
      return labelElement(part, byPart);
    case 'image':
      return imageElement(part, byPart);
    case 'stack':
      return stackElement(part, byPart);
  }
}

function stackElement(stack: StackPart, byPart: ByPart): HTMLElement {
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

function labelElement(label: LabelPart, byPart: ByPart): HTMLElement {
  const element = label.link === undefined ? document.createElement('div') : linkElement();
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
  element.append(document.createTextNode(''));
  byPart.set(label.id, element);
  return element;
}

/** A press in the window selects; with the control key it follows the link. */
function linkElement(): HTMLAnchorElement {
  const link = document.createElement('a');
  link.target = '_blank';
  link.rel = 'noopener noreferrer';
  link.draggable = false;
  link.tabIndex = -1;
  link.addEventListener('click', (event) => {
    if (!event.ctrlKey && !event.metaKey) event.preventDefault();
  });
  return link;
}

function imageElement(part: ImagePart, byPart: ByPart): HTMLElement {
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
