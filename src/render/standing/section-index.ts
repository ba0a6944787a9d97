import { activeAround } from '../active';

/** A heading that the index leads to: its number, and what it is called there. */
interface Mark {
  readonly heading: number;
  readonly words: string;
}

/** A mark takes so much room, in px. */
const markPx = 14;
const maxLetters = 3;

/** The sections of a long list at its side: a press, a drag or an arrow key leads to one at once. */
export class SectionIndex {
  private readonly element = document.createElement('div');
  private readonly marks = document.createElement('div');
  private drawn = '';

  /** `go`: brings a heading to the top. */
  constructor(
    private readonly host: HTMLElement,
    private readonly go: (heading: number) => void,
  ) {
    this.element.className = 'yc-index';
    this.marks.setAttribute('role', 'toolbar');
    this.marks.setAttribute('aria-orientation', 'vertical');
    this.marks.setAttribute('aria-label', 'Sections');
    this.element.append(this.marks);
    this.marks.addEventListener('click', ({ target }) => this.goTo(target));
    this.marks.addEventListener('pointermove', ({ buttons, clientX, clientY }) => {
      if (buttons === 1) this.goTo(document.elementFromPoint(clientX, clientY));
    });
    this.marks.addEventListener('keydown', this.onKey);
  }

  /** `names`: of all headings, in order; undefined: the list has no index. `heightPx`: of the box. */
  show(names: readonly (string | undefined)[] | undefined, heightPx: number): void {
    const wanted = names === undefined ? '' : JSON.stringify([names, heightPx]);
    if (wanted === this.drawn) return;
    this.drawn = wanted;
    if (names === undefined) {
      this.element.remove();
      return;
    }
    this.host.prepend(this.element);
    this.marks.style.height = `${heightPx}px`;
    this.marks.replaceChildren(...marksOf(names, heightPx).map(buttonOf));
  }

  stop(): void {
    this.element.remove();
  }

  private goTo(target: EventTarget | null): void {
    const heading = target instanceof HTMLElement ? target.dataset['heading'] : undefined;
    if (heading !== undefined) this.go(Number(heading));
  }

  private readonly onKey = (event: KeyboardEvent): void => {
    const way = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const all = [...this.marks.querySelectorAll('button')];
    const focused = activeAround(this.marks);
    const at = focused instanceof HTMLButtonElement ? all.indexOf(focused) : -1;
    const next = at < 0 ? undefined : all[at + way];
    if (way === 0 || next === undefined) return;
    event.preventDefault();
    for (const each of all) each.tabIndex = each === next ? 0 : -1;
    next.focus({ preventScroll: true });
    this.goTo(next);
  };
}

/** As many as there is room for, evenly: the first and the last are among them. */
function marksOf(names: readonly (string | undefined)[], heightPx: number): readonly Mark[] {
  const room = Math.max(2, Math.floor(heightPx / markPx));
  const step = Math.max(1, (names.length - 1) / (room - 1));
  const count = Math.min(names.length, room);
  return Array.from({ length: count }, (_, at): Mark => {
    const heading = Math.round(at * step);
    const words = [...(names[heading] ?? '—')].slice(0, maxLetters).join('');
    return { heading, words };
  });
}

function buttonOf({ heading, words }: Mark, at: number): HTMLElement {
  const button = document.createElement('button');
  button.type = 'button';
  button.tabIndex = at === 0 ? 0 : -1;
  button.dataset['heading'] = String(heading);
  button.textContent = words;
  return button;
}
