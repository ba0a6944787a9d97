import type { Stretch } from '../../core/lists';
import { type Drawing, DrawnRows, type Held } from '../rows';
import { Scroller } from '../scroller';

/** A strip where it stands: its entries, and how its cells follow each other, in px. */
export interface StripPlace {
  readonly key: string;
  /** The entry of its first cell. */
  readonly first: number;
  readonly count: number;
  readonly y: number;
  /** Of its cells. */
  readonly heightPx: number;
  readonly abovePx: number;
  readonly belowPx: number;
  /** Of the box. */
  readonly widthPx: number;
  readonly cellPx: number;
  readonly gap: number;
  readonly edge: number;
  readonly isRtl: boolean;
  readonly snaps: boolean;
  /** It is told how far along one is. */
  readonly isMarked: boolean;
  /** How many entries the list has. */
  readonly entryCount: number;
}

interface Ports {
  drawing(): Drawing;
  /** It was scrolled: cells that have not come are wanted. */
  scrolled(strip: StripView): void;
  /** It came to rest. */
  rests(): void;
}

/** Drawn on both sides of what is seen, in px. */
const overscanPx = 300;
const restAfterMs = 140;

/** One line of a list that is scrolled sideways, with as many cells in the page as it shows and a few more. */
export class StripView {
  /** What stands in the list: the scrolling box, and what tells how far along it is. */
  readonly outer = document.createElement('div');
  private readonly box = document.createElement('div');
  private readonly sizer = document.createElement('div');
  private readonly bar = document.createElement('div');
  private readonly scroller: Scroller;
  readonly rows: DrawnRows;
  private place: StripPlace | undefined;
  private restTimer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    parent: HTMLElement,
    private readonly ports: Ports,
  ) {
    this.outer.className = 'yc-strip-line';
    this.outer.setAttribute('role', 'listitem');
    this.box.className = 'yc-strip';
    this.box.tabIndex = 0;
    this.sizer.className = 'yc-strip-cells';
    this.sizer.setAttribute('role', 'list');
    this.bar.className = 'yc-strip-bar';
    this.bar.append(document.createElement('div'));
    this.box.append(this.sizer);
    this.outer.append(this.box, this.bar);
    parent.append(this.outer);
    this.rows = new DrawnRows(this.sizer, ports.drawing, (index) => this.cellAt(index));
    this.scroller = new Scroller(
      sideways(this.box, () => this.isRtl),
      widthOf(this.sizer),
    );
    this.box.addEventListener('scroll', this.onScroll, { passive: true });
    this.box.addEventListener('scrollend', this.onScrollEnd, { passive: true });
  }

  get key(): string | undefined {
    return this.place?.key;
  }

  /** How far it is scrolled from where it begins, in px. */
  get offset(): number {
    return this.scroller.offset;
  }

  private get isRtl(): boolean {
    return this.place?.isRtl === true;
  }

  /** Takes a place, scrolled so far; its cells are drawn after. */
  show(place: StripPlace, offset: number): void {
    const { place: before } = this;
    this.place = place;
    const isOther = before?.key !== place.key;
    const isThere = Math.abs(this.scroller.offset - offset) < 1;
    if (!isOther && isThere && isSame(before, place)) return;
    const { style } = this.outer;
    this.outer.classList.remove('yc-spare');
    style.transform = `translate(0, ${place.y}px)`;
    style.height = `${place.abovePx + place.heightPx + place.belowPx}px`;
    style.paddingTop = `${place.abovePx}px`;
    this.box.style.height = `${place.heightPx}px`;
    this.outer.setAttribute('aria-posinset', String(place.first + 1));
    this.outer.setAttribute('aria-setsize', String(place.entryCount));
    this.scroller.setHeight(place.widthPx);
    this.scroller.setContent(contentPx(place));
    if (isOther || !isThere) this.goTo(offset);
    this.showBar();
  }

  /** No line is in sight that it could be. */
  rest(): void {
    clearTimeout(this.restTimer);
    this.rows.follow(this.rows.hold(), []);
    this.place = undefined;
    this.outer.classList.add('yc-spare');
  }

  stop(): void {
    clearTimeout(this.restTimer);
    this.outer.remove();
  }

  /** Where its cells stand now that are seen, among all entries. */
  places(): number[] {
    const { place } = this;
    if (place === undefined) return [];
    const { from, to } = stripWindow(place, this.scroller.offset);
    return Array.from({ length: to - from }, (_, at) => place.first + from + at);
  }

  draw(): void {
    this.rows.draw(this.places(), this.scroller.isScaled);
  }

  follow(held: Held): void {
    this.rows.follow(held, this.places());
  }

  /** Brings an entry of it into sight. */
  reveal(index: number): void {
    const { place } = this;
    if (place === undefined) return;
    const x = (index - place.first) * (place.cellPx + place.gap);
    const isSeen = x >= this.offset && x + place.cellPx <= this.offset + place.widthPx;
    if (!isSeen) this.goTo(x);
    this.ports.scrolled(this);
  }

  /**
   * A strip that is given to another line amid a smooth scroll would carry on: what is said at once
   * is said again in the next frame.
   */
  private goTo(offset: number): void {
    const { key } = this;
    this.scroller.scrollTo(offset);
    requestAnimationFrame(() => {
      if (this.key === key && this.box.isConnected) this.scroller.scrollTo(offset);
    });
  }

  private cellAt(index: number) {
    const { first, count, cellPx, gap, edge, heightPx, isRtl } = this.place ?? nowhere;
    const start = this.scroller.near(edge + (index - first) * (cellPx + gap));
    return {
      x: isRtl ? this.scroller.sizerPx - start - cellPx : start,
      ...{ y: 0, width: cellPx, height: heightPx, trackHeight: undefined },
      ...{ index: index - first, entryCount: count },
    };
  }

  private readonly onScroll = (): void => {
    if (this.place === undefined) return;
    this.scroller.moved();
    this.showBar();
    this.ports.scrolled(this);
    clearTimeout(this.restTimer);
    this.restTimer = setTimeout(() => {
      if (this.scroller.isScaled) {
        this.scroller.rest();
        this.rows.placeAll();
      }
      this.ports.rests();
    }, restAfterMs);
  };

  private readonly onScrollEnd = (): void => {
    const { place } = this;
    if (place?.snaps !== true) return;
    const step = place.cellPx + place.gap;
    const { offset } = this.scroller;
    const isAtEnd = offset >= contentPx(place) - place.widthPx - 1;
    const aside = Math.round(offset / step) * step - offset;
    if (isAtEnd || Math.abs(aside) < 1) return;
    const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const by = this.isRtl ? -aside : aside;
    this.box.scrollBy({ left: by, behavior: isStill ? 'instant' : 'smooth' });
  };

  private showBar(): void {
    const { place } = this;
    if (place === undefined) return;
    const all = contentPx(place);
    this.bar.hidden = !place.isMarked || all <= place.widthPx;
    const share = Math.max(leastShare, place.widthPx / all);
    const along = this.scroller.offset / Math.max(1, all - place.widthPx);
    this.bar.style.setProperty('--yc-share', String(share));
    this.bar.style.setProperty('--yc-along', String(along * (1 - share)));
  }
}

/** However many cells there are, the mark of where one is can be seen. */
const leastShare = 0.08;

const isSame = (one: StripPlace, other: StripPlace): boolean =>
  JSON.stringify(one) === JSON.stringify(other);

const nowhere: StripPlace = {
  ...{ key: '', first: 0, count: 0, y: 0, heightPx: 0, abovePx: 0, belowPx: 0 },
  ...{ widthPx: 0, cellPx: 0, gap: 0, edge: 0, isRtl: false, snaps: false, isMarked: false },
  entryCount: 0,
};

const contentPx = ({ count, cellPx, gap, edge }: StripPlace): number =>
  2 * edge + count * (cellPx + gap) - gap;

/** The cells that are drawn of a strip that is scrolled so far. */
export function stripWindow(
  { count, cellPx, gap, edge, widthPx }: Omit<StripPlace, 'key' | 'first' | 'y'>,
  offset: number,
): Stretch {
  const step = Math.max(1, cellPx + gap);
  const from = Math.floor((offset - edge - overscanPx) / step);
  const to = Math.ceil((offset - edge + widthPx + overscanPx) / step);
  return { from: Math.max(0, Math.min(from, count - 1)), to: Math.min(count, Math.max(1, to)) };
}

/** A box that scrolls sideways as one that scrolls down, from where its first cell is. */
const sideways = (box: HTMLElement, isRtl: () => boolean): { scrollTop: number } => ({
  get scrollTop() {
    return Math.abs(box.scrollLeft);
  },
  set scrollTop(offset) {
    box.scrollLeft = isRtl() ? -offset : offset;
  },
});

const widthOf = ({ style }: HTMLElement) => ({
  style: {
    get height() {
      return style.width;
    },
    set height(width) {
      style.width = width;
    },
  },
});
