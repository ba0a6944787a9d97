import { cssColour } from './colour';
import { drawName } from './name';
import {
  type Draw,
  type DrawnPicture,
  drawHeight,
  drawRadius,
  drawsOfEvery,
  drawWidth,
  type PartView,
} from './part-view';
import { cssPicture, drawAsMask } from './picture';

/** What an image says, and how far its picture has come. */
interface Said {
  picture: DrawnPicture | undefined;
  /** Rows move too fast for pictures. */
  isLater: boolean;
  instead: DrawnPicture | undefined;
  tint: string;
  ringPx: number;
  fit: 'contain' | 'cover';
  whileLoading: 'nothing' | 'colour' | 'picture';
  broken: 'picture' | 'nothing';
  state: 'coming' | 'there' | 'broken';
}

const saidBy = new WeakMap<Element, Said>();

function saidOf(element: Element): Said {
  const known = saidBy.get(element);
  if (known !== undefined) return known;
  const said: Said = {
    ...{
      picture: undefined,
      isLater: true,
      instead: undefined,
      tint: '',
      ringPx: 0,
      fit: 'contain',
    },
    ...{ whileLoading: 'nothing', broken: 'picture', state: 'coming' },
  };
  saidBy.set(element, said);
  return said;
}

/** A picture by its name. */
export const image: PartView = {
  element() {
    const element = document.createElement('img');
    element.className = 'yc-image';
    element.alt = '';
    element.decoding = 'async';
    element.draggable = false;
    element.referrerPolicy = 'no-referrer';
    element.addEventListener('load', () => came(element, 'there'));
    element.addEventListener('error', () => came(element, 'broken'));
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
    fit: says((said, value) => {
      said.fit = value === 'cover' ? 'cover' : 'contain';
    }),
    radius: drawRadius,
    tint: says((said, value, { tokens }) => {
      said.tint = cssColour(tokens.colours, value);
    }),
    ring: says((said, value) => {
      said.ringPx = typeof value === 'number' ? value : 0;
    }),
    ringGap(element, value) {
      element.style.setProperty('--yc-ring-gap', typeof value === 'number' ? `${value}px` : '');
    },
    ringColour(element, value, { tokens }) {
      element.style.setProperty('--yc-ring', cssColour(tokens.colours, value));
    },
    whileLoading: says((said, value) => {
      said.whileLoading = value === 'colour' || value === 'picture' ? value : 'nothing';
    }),
    broken: says((said, value) => {
      said.broken = value === 'picture' || value === undefined ? 'picture' : 'nothing';
    }),
    instead: says((said, value, { pictures }) => {
      said.instead = typeof value === 'string' ? pictures?.(value) : undefined;
    }),
    picture: says((said, value, { pictures }) => {
      said.isLater = pictures === undefined;
      said.picture = typeof value === 'string' ? pictures?.(value) : undefined;
    }),
    name: drawName('img', (element, name) => {
      if (element instanceof HTMLImageElement) element.alt = name;
    }),
  },
};

function says(
  say: (said: Said, value: Parameters<Draw>[1], around: Parameters<Draw>[2]) => void,
): Draw {
  return (element, value, around) => {
    if (!(element instanceof HTMLImageElement)) return;
    say(saidOf(element), value, around);
    draw(element);
  };
}

function came(element: HTMLImageElement, state: Said['state']): void {
  if (!element.hasAttribute('src')) return;
  saidOf(element).state = state;
  draw(element);
}

function draw(element: HTMLImageElement): void {
  const said = saidOf(element);
  const { picture, isLater, tint, ringPx, fit, style } = { ...said, style: element.style };
  // One that is drawn in the colour of words has no colours of its own.
  const isMask = picture !== undefined && (picture.isSymbol || tint !== '');
  show(element, isMask ? undefined : picture?.address, said);
  drawAsMask(element, isMask ? picture : undefined);
  const isRinged = ringPx > 0;
  style.borderWidth = isRinged ? `${ringPx}px` : '';
  style.borderStyle = isRinged ? 'solid' : '';
  element.classList.toggle('yc-ringed', isRinged);
  // The ring around it is seen whole: what is within its border, but not what is within its gap.
  if (isMask && isRinged)
    style.maskImage += ', linear-gradient(#000 0 0), linear-gradient(#000 0 0)';
  style.objectFit = fit;
  style.setProperty('mask-size', isMask ? `${fit}, auto, auto` : '');
  const isMissing = !isLater && picture === undefined;
  const isComing = !isMask && picture !== undefined && said.state === 'coming';
  const isBroken = isMissing || (!isMask && picture !== undefined && said.state === 'broken');
  const standsIn =
    (isBroken && said.broken === 'picture') || (isComing && said.whileLoading === 'picture')
      ? said.instead
      : undefined;
  style.backgroundImage = standsIn === undefined ? '' : cssPicture(standsIn);
  style.backgroundSize = standsIn === undefined ? '' : fit;
  style.backgroundColor = isMask ? tint || 'var(--row-ink)' : '';
  element.classList.toggle('yc-coming', isComing && said.whileLoading === 'colour');
  element.classList.toggle('yc-broken', isBroken);
  if (isMissing && said.broken === 'picture' && standsIn === undefined)
    element.dataset['missing'] = '';
  else delete element.dataset['missing'];
}

function show(element: HTMLImageElement, address: string | undefined, said: Said): void {
  if (element.getAttribute('src') === (address ?? null)) return;
  // Until the new one has come, the browser would go on showing the former item's picture.
  element.removeAttribute('src');
  said.state = 'coming';
  if (address !== undefined) element.src = address;
}
