import { type Bit, bitsOf } from '../../core/base';
import { type Colour, isLeading, styleNamed, type TextStyle } from '../../core/templates';
import { drawnRuns, drawnWords, ownFace } from '../../core/text';
import { cssColour } from './colour';
import type { Drawn, PartView } from './part-view';

/** What a label, or a run of it, says of its words. */
interface Said {
  words: string;
  /** Undefined: that of the label. */
  style: TextStyle | undefined;
  /** Undefined: that of the style. */
  colour: Drawn;
  weight: number | undefined;
  /** Of a run: what sets it apart from the words before, which are none of its own. */
  apart: Text | undefined;
  isJoined: boolean;
  /** Signs in it stand for looks. */
  isMarked: boolean;
  /** What is drawn of its bits, where it has any. */
  bits: readonly HTMLElement[];
}

const saidBy = new WeakMap<Element, Said>();

function saidOf(element: Element): Said {
  const known = saidBy.get(element);
  if (known !== undefined) return known;
  const said: Said = {
    ...{ words: '', style: undefined, colour: undefined, weight: undefined },
    ...{ apart: undefined, isJoined: false, isMarked: false, bits: [] },
  };
  saidBy.set(element, said);
  return said;
}

/** A label with its runs, in their order. */
function runsAround(element: HTMLElement): readonly Element[] {
  const label = element.parentElement?.closest('.yc-label') ?? element;
  return label.childElementCount === 0 ? [label] : [label, ...label.querySelectorAll('.yc-run')];
}

/** What labels and their runs have of words and how they look. */
export const drawsOfWords: PartView['draws'] = {
  text(element, value) {
    saidOf(element).words = value === undefined ? '' : String(value);
    drawRuns(element);
  },
  markup(element, value) {
    saidOf(element).isMarked = value === 'inline';
    drawRuns(element);
  },
  joined(element, value) {
    saidOf(element).isJoined = value === true;
    drawRuns(element);
  },
  link(element, value) {
    if (element instanceof HTMLAnchorElement) leadTo(element, value);
  },
  style(element, value, { tokens }) {
    const said = saidOf(element);
    said.style = value === undefined ? undefined : styleNamed(tokens.styles, value);
    const { style } = said;
    element.style.fontSize =
      style === undefined
        ? ''
        : `calc((${style.size}px - var(--yc-less, 0px)) * var(--row-text-size, 1))`;
    // A style within another one takes nothing of it.
    const { family, letterSpacing } = style ?? {};
    element.style.fontFamily =
      style === undefined
        ? ''
        : `${family === undefined ? '' : `"${ownFace(family)}", `}var(--row-face)`;
    element.style.letterSpacing =
      style === undefined ? '' : `calc(${letterSpacing ?? 0}px * var(--row-text-size, 1))`;
    drawColour(element, tokens.colours);
    drawWeight(element);
    fitLines(runsAround(element));
  },
  colour(element, value, { tokens }) {
    saidOf(element).colour = value;
    drawColour(element, tokens.colours);
  },
  weight(element, value) {
    saidOf(element).weight = typeof value === 'number' ? value : undefined;
    drawWeight(element);
  },
  italic(element, value) {
    element.style.fontStyle = value === true ? 'italic' : '';
  },
  strike(element, value) {
    element.classList.toggle('yc-strike', value === true);
  },
};

/** All else is collapsed, or never drawn. */
const hasWords = /[^ \t\r\n\u00ad]/;

function drawRuns(element: HTMLElement): void {
  const runs = runsAround(element);
  runs[0]?.classList.toggle(
    'yc-wordless',
    runs.every((run) => !hasWords.test(saidOf(run).words)),
  );
  if (runs.length === 1 && !runs.some(isOfBits)) {
    show(element.firstChild, drawnWords(saidOf(element).words));
    return;
  }
  const nodes: (Node | null)[] = [];
  const words: string[] = [];
  for (const run of runs) {
    const said = saidOf(run);
    if (nodes.length > 0) {
      said.apart ??= textBefore(run);
      nodes.push(said.apart);
      words.push(said.isJoined || said.words === '' ? '' : ' ');
    }
    if (!isOfBits(run)) {
      nodes.push(run.firstChild);
      words.push(said.words);
      continue;
    }
    show(run.firstChild, '');
    const bits = said.isMarked
      ? bitsOf(said.words)
      : [{ words: said.words, look: 'plain' } as const];
    said.bits = elementsOfBits(run, bits, said.bits);
    nodes.push(...said.bits.map((bit) => bit.firstChild));
    words.push(...bits.map((bit) => bit.words));
  }
  const drawn = drawnRuns(words);
  nodes.forEach((node, at) => {
    show(node, drawn[at] ?? '');
  });
}

const isOfBits = (run: Element): boolean => saidOf(run).isMarked;

const looks = { plain: 'span', emphasis: 'em', strong: 'strong', code: 'code', link: 'a' } as const;

/** An element for each bit, after a run's own text; those that are of the same look are used again. */
function elementsOfBits(
  run: Element,
  bits: readonly Bit[],
  before: readonly HTMLElement[],
): readonly HTMLElement[] {
  for (const old of before.slice(bits.length)) old.remove();
  let last: ChildNode | null = run.firstChild;
  return bits.map(({ look, address }, at) => {
    const known = before[at];
    const element = known?.localName === looks[look] ? known : bitOf(look);
    if (element !== known) {
      known?.remove();
      last?.after(element);
    }
    if (element instanceof HTMLAnchorElement) leadTo(element, address);
    last = element;
    return element;
  });
}

function bitOf(look: Bit['look']): HTMLElement {
  const element = look === 'link' ? link('yc-bit') : document.createElement(looks[look]);
  element.className = 'yc-bit';
  element.append(document.createTextNode(''));
  return element;
}

function textBefore(element: Element): Text {
  const text = document.createTextNode('');
  element.before(text);
  return text;
}

function show(node: Node | null, words: string): void {
  if (node instanceof Text && node.data !== words) node.data = words;
}

/** A colour that nobody knows is that of the style. */
function drawColour(element: HTMLElement, colours: readonly Colour[]): void {
  const { colour, style } = saidOf(element);
  element.style.color = cssColour(colours, colour) || cssColour(colours, style?.colour);
}

function drawWeight(element: HTMLElement): void {
  const { weight, style } = saidOf(element);
  element.style.fontWeight = String(weight ?? style?.weight ?? '');
}

/** All lines of a label are as high as those of its highest run. */
function fitLines(runs: readonly Element[]): void {
  const [label] = runs;
  if (!(label instanceof HTMLElement)) return;
  const highest = Math.max(...runs.map((run) => saidOf(run).style?.lineHeight ?? 0));
  label.style.lineHeight = `calc(${highest}px * var(--row-text-size, 1))`;
}

/** A press in the window selects; with the control key it follows the link. */
export function link(className: string): HTMLAnchorElement {
  const element = document.createElement('a');
  element.className = className;
  element.target = '_blank';
  element.rel = 'noopener noreferrer';
  element.draggable = false;
  element.tabIndex = -1;
  element.addEventListener('click', (event) => {
    if (!event.ctrlKey && !event.metaKey) event.preventDefault();
  });
  return element;
}

function leadTo(element: HTMLAnchorElement, address: Drawn): void {
  if (!isLeading(address)) element.removeAttribute('href');
  else if (element.getAttribute('href') !== address) element.href = address;
}
