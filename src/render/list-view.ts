import type { TextDirection } from '../core/base';
import type { Bar, Entry, KnownSequence, RowPlace, RowPlan, Sequence } from '../core/lists';
import { type AskedRange, Entries } from './entries';
import type { Pictures } from './parts';
import { identityOf, Pool, type PooledRow, place, roleOf } from './pool';
import { type PressedEntry, Presses } from './presses';
import { type Kinds, resizedKinds, resizeRow } from './resize';
import { bindRow } from './row';
import { ScrollSpeed } from './scroll-speed';
import { Scroller } from './scroller';
import { type Eye, offsetOf, rowLookedAt, type Seen, seenIn } from './seen';
import { cellIn, isSamePlaces, linesOf, noLines } from './sequence-lines';
import {
  Bars,
  drawArrangement,
  FoundWords,
  HeadingPlaces,
  SectionIndex,
  showKind,
} from './standing';

/** The page may be late by a tenth of a second at the speed of reading: so much is drawn ahead. */
const overscanPx = 400;
const restAfterMs = 140;

export interface ListViewPorts {
  /** The finished entries of a range, as of a version; fewer if the version is no more. */
  entries(version: number, range: AskedRange): Promise<readonly Entry[]>;
  pictures: Pictures;
  /** A row was pressed; `part` is what of it. */
  pressed(entry: Entry, part: string | undefined): void;
  /** A heading was pressed whose section can be folded. */
  folded?(entry: Entry): void;
  /** A person scrolled. */
  scrolled?(): void;
  /** Where rows begin: at the left, unless it says otherwise. */
  direction?(): TextDirection;
  /** How many times as large as styles say text is. */
  textSize?(): number;
  /** The box has another width: rows may be of other heights. */
  resized?(): void;
}

/** What practitioners ask of a pool: rows made so far, in use now, and bindings since the start. */
export interface PoolReadout {
  readonly made: number;
  readonly inUse: number;
  readonly bound: number;
}

/** What an update should answer first, and where it is drawn. */
export interface Wanted {
  readonly from: number;
  readonly to: number;
  readonly sequence: KnownSequence;
  readonly box: RowPlace & { readonly widthPx: number };
  readonly keep?: Eye;
}

export interface Shown {
  readonly version: number;
  /** The same as long as items alone change. */
  readonly edition: number;
  readonly sequence: Sequence;
  readonly plans: readonly RowPlan[];
  readonly entries: readonly Entry[];
  readonly entriesFrom: number;
  readonly above: Bar | undefined;
  readonly below: Bar | undefined;
  /** The heading over the first of these entries, where it is none of them. */
  readonly over: { readonly at: number; readonly entry: Entry } | undefined;
  /** Where the row stands now that was looked at, if it is another place. */
  readonly kept: number | undefined;
}

/** The list on all items, with as many rows in the page as the window shows and a few more. */
export class ListView {
  private readonly sizer = document.createElement('div');
  private readonly scroller: Scroller;
  private readonly pool: Pool;
  private readonly bars: Bars;
  private readonly presses: Presses;
  private readonly index: SectionIndex;
  /** How much of the box its bars take. */
  private barsPx = 0;
  private readonly cache: Entries;
  private readonly rows = new Map<number, PooledRow>();
  private readonly resized: ResizeObserver;
  private shown: Shown | undefined;
  private kinds: readonly string[] = [];
  private lines = noLines;
  private headings = new HeadingPlaces();
  /** The heading that was pressed: it stays where it is. */
  private foldedAt: { readonly heading: number; readonly pastPx: number } | undefined;
  private selectedKey: string | undefined;
  private boundCount = 0;
  private widthPx = 0;
  private heightPx = 0;
  private readonly speed = new ScrollSpeed();
  private readonly found = new FoundWords();
  private readonly pictureless = new Set<number>();
  /** Where this scrolled by itself last: that event is nobody's wish. */
  private ownScrollTop: number | undefined;
  private isUntold = false;
  /** The row that was looked at when an update was last asked for. */
  private eye: Eye | undefined;
  private restTimer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly host: HTMLElement,
    private readonly ports: ListViewPorts,
  ) {
    host.classList.add('yc-list');
    this.sizer.className = 'yc-sizer';
    this.sizer.setAttribute('role', 'list');
    host.append(this.sizer);
    this.scroller = new Scroller(host, this.sizer);
    this.pool = new Pool(this.sizer);
    this.bars = new Bars(host);
    this.index = new SectionIndex(host, (heading) => this.goToHeading(heading));
    this.cache = new Entries({
      entries: (version, range) => this.ports.entries(version, range),
      came: () => {
        this.draw();
        if (this.isUntold) this.tellScrolled();
      },
    });
    host.addEventListener('scroll', this.onScroll, { passive: true });
    this.presses = new Presses(host, {
      entryAt: (target) => this.entryAt(target),
      pressed: (entry, part) => this.ports.pressed(entry, part),
      fold: (pressed) => this.fold(pressed),
    });
    this.measure();
    this.resized = new ResizeObserver(() => {
      const before = this.widthPx;
      const seen = this.seen();
      this.measure();
      // A window that becomes lower cuts nothing off its end.
      if (seen === 'end') this.goTo(seen);
      this.layOut();
      if (this.widthPx !== before) this.ports.resized?.();
    });
    this.resized.observe(host);
  }

  /** Draws a version of the list. A row stays with its item; every one of them is bound anew. */
  show(shown: Shown): void {
    const before = this.takeRows();
    const { sequence } = shown;
    const isPlaced = this.shown !== undefined && isSamePlaces(sequence, this.shown.sequence);
    // Other heights of the same entries move none of those that are looked at.
    const isSameEntries = this.shown?.sequence.id === sequence.id;
    const seen = isSameEntries && !isPlaced ? this.seen() : undefined;
    // Other rows around the one that is looked at leave it where it is; new items come in above it.
    const areItemsAlone =
      this.shown?.edition === shown.edition && this.shown.version !== shown.version;
    const isOther = !isSameEntries && !areItemsAlone;
    const foldedAt = isSameEntries ? undefined : this.foldedAt;
    const eye = isOther && foldedAt === undefined ? this.eye : undefined;
    const pastPx = eye && this.scroller.offset - this.lines.topPx(this.lines.of(eye.at));
    const kinds = shown.plans.map((plan) => JSON.stringify([plan.row, plan.slots, plan.tokens]));
    this.resize(before.values(), { plans: shown.plans, kinds });
    this.shown = shown;
    this.cache.begin(shown.version, sequence.entryCount);
    this.cache.put(shown.entriesFrom, shown.entries);
    if (shown.over !== undefined) this.cache.put(shown.over.at, [shown.over.entry]);
    this.kinds = kinds;
    drawArrangement({ host: this.host, sizer: this.sizer }, shown);
    this.takeBars(shown);
    if (!isPlaced) this.takeLines(sequence, seen);
    if (pastPx !== undefined && shown.kept !== undefined)
      this.goTo({ line: this.lines.of(shown.kept), offsetPx: this.inSight(shown.kept, pastPx) });
    if (foldedAt !== undefined) {
      const line = this.lines.of(this.headings.entryOf(foldedAt.heading));
      this.goTo({ line, offsetPx: foldedAt.pastPx });
      this.foldedAt = undefined;
    }
    this.index.show(this.shown.sequence.lines?.names, this.heightPx);
    this.followItems(before);
    this.draw();
  }

  private goToHeading(heading: number): void {
    this.scroller.scrollTo(this.lines.topPx(this.lines.of(this.headings.entryOf(heading))));
    this.draw();
    this.ports.scrolled?.();
  }

  private takeBars(shown: Shown): void {
    const barsPx = this.bars.show(shown, this.ports.pictures);
    if (barsPx === this.barsPx) return;
    this.barsPx = barsPx;
    this.measure();
  }

  /** Rows of templates that have got other sizes, and nothing else, stay and take them. */
  private resize(rows: Iterable<PooledRow>, now: Kinds): void {
    const resized = resizedKinds({ plans: this.shown?.plans ?? [], kinds: this.kinds }, now);
    for (const row of resized.size === 0 ? [] : rows) {
      const sizes = resized.get(row.kind);
      if (sizes === undefined) continue;
      resizeRow(row, sizes.resizes);
      row.kind = sizes.kind;
    }
  }

  private seen(): Seen | undefined {
    this.scroller.catchUp();
    return seenIn(this.lines, { offset: this.scroller.offset, heightPx: this.heightPx });
  }

  private rowLookedAt(): Eye | undefined {
    const sight = { offset: this.scroller.offset, heightPx: this.heightPx };
    const rows = [...this.rows.keys()].flatMap((at) => {
      const entry = this.cache.get(at);
      return entry?.kind === 'row' ? [{ at, key: entry.key }] : [];
    });
    return rowLookedAt(rows, this.lines, { ...sight, selectedKey: this.selectedKey });
  }

  private takeLines(sequence: Sequence, seen: Seen | undefined): void {
    this.lines = linesOf(sequence);
    const { lines } = this;
    this.headings = new HeadingPlaces(sequence.lines, { lines, stick: sequence.sticks });
    this.scroller.setContent(this.lines.heightPx);
    if (seen !== undefined) this.goTo(seen);
  }

  /** How far an entry is past the edge, so that no heading covers what was wholly in sight. */
  private inSight(entry: number, pastPx: number): number {
    return pastPx > 0 ? pastPx : Math.min(pastPx, -this.headings.coveredPx(entry));
  }

  /** Scrolls without telling anyone. */
  private goTo(seen: Seen): void {
    this.scroller.scrollTo(offsetOf(seen, this.lines));
    this.ownScrollTop = this.host.scrollTop;
  }

  /** The entries in the window now: what an update should answer first. */
  wanted(): Wanted {
    const { from, to } = this.range();
    const { id = -1, heightsId = -1 } = this.shown?.sequence ?? {};
    const textSize = this.ports.textSize?.() ?? 1;
    const box = { widthPx: this.widthPx, ratio: devicePixelRatio, textSize };
    this.eye = this.rowLookedAt();
    return {
      ...{ from, to: Math.max(to, from + 30), sequence: { id, heightsId }, box },
      ...(this.eye !== undefined && { keep: this.eye }),
    };
  }

  /** Marks the row of the item with a key, and no other. */
  select(key: string | undefined): void {
    this.selectedKey = key;
    for (const [index, row] of this.rows) this.mark(row, this.cache.get(index));
  }

  /** Marks the words of a filter in all rows. */
  find(words: readonly string[]): void {
    this.found.look(words);
    this.draw();
  }

  /** Brings an entry into the window if it is not there. */
  reveal(entry: number): void {
    if (this.shown === undefined) return;
    const line = this.lines.of(entry);
    const top = this.lines.topPx(line);
    const bottom = top + this.lines.heightPxOf(line);
    const seenTo = this.scroller.offset + this.heightPx;
    if (top >= this.scroller.offset + this.headings.coveredPx(entry) && bottom <= seenTo) return;
    this.scroller.scrollTo(top - this.heightPx / 3);
    this.draw();
  }

  /** The row at the top: its key, and how far it is scrolled past the edge. */
  top(): { readonly key: string; readonly offsetPx: number } | undefined {
    if (this.shown === undefined) return undefined;
    const first = this.lines.firstOf(this.lines.at(this.scroller.offset));
    for (let at = first; at < first + maxBetweenRows; at += 1) {
      const entry = this.cache.get(at);
      if (entry === undefined) return undefined;
      const topPx = this.lines.topPx(this.lines.of(at));
      if (entry.kind === 'row') return { key: entry.key, offsetPx: this.scroller.offset - topPx };
    }
    return undefined;
  }

  /** Brings an entry to the top, as far past the edge as its height allows; nobody is told. */
  alignTop(entry: number, offsetPx: number): void {
    if (this.shown === undefined) return;
    this.goTo({ line: this.lines.of(entry), offsetPx });
    this.draw();
  }

  readout(): PoolReadout {
    return { made: this.pool.made, inUse: this.rows.size, bound: this.boundCount };
  }

  destroy(): void {
    this.resized.disconnect();
    clearTimeout(this.restTimer);
    this.host.removeEventListener('scroll', this.onScroll);
    this.presses.stop();
    this.found.stop();
    this.bars.stop();
    this.index.stop();
    this.sizer.remove();
  }

  private readonly onScroll = (): void => {
    const isOwn = this.host.scrollTop === this.ownScrollTop;
    this.scroller.moved();
    if (!isOwn) this.tellScrolled();
    this.speed.measure(this.scroller.offset);
    this.draw();
    clearTimeout(this.restTimer);
    this.restTimer = setTimeout(() => {
      this.speed.isFast = false;
      this.showPictures();
      if (!this.scroller.isScaled) return;
      this.scroller.rest();
      this.layOut();
    }, restAfterMs);
  };

  /** Once it is known which row is at the top. */
  private tellScrolled(): void {
    this.isUntold = this.top() === undefined;
    if (!this.isUntold) this.ports.scrolled?.();
  }

  private entryAt(target: Element): PressedEntry | undefined {
    for (const [index, row] of this.rows) {
      const entry = row.element.contains(target) ? this.cache.get(index) : undefined;
      if (entry !== undefined) return { index, entry };
    }
    return undefined;
  }

  /** The heading stays where it is seen while its rows go or come. */
  private fold({ index, entry }: PressedEntry): void {
    const topPx = this.lines.topPx(this.lines.of(index));
    const pastPx = Math.min(0, this.scroller.offset - topPx);
    this.foldedAt = { heading: this.headings.over(index), pastPx };
    this.ports.folded?.(entry);
  }

  /** Entries from the first to the last that touch the window, with the overscan. */
  private range(): { readonly from: number; readonly to: number } {
    if (this.shown === undefined || this.lines.count === 0) return { from: 0, to: 0 };
    const last = this.lines.at(this.scroller.offset + this.heightPx + overscanPx);
    return {
      from: this.lines.firstOf(this.lines.at(this.scroller.offset - overscanPx)),
      to: Math.min(
        this.shown.sequence.entryCount,
        this.lines.firstOf(last) + this.lines.columnsOf(last),
      ),
    };
  }

  private draw(): void {
    const { shown } = this;
    if (shown === undefined) return;
    const range = this.range();
    const over = this.headings.stuckOver(range.from);
    for (const [index, row] of this.rows) {
      const isWanted = (index >= range.from && index < range.to) || index === over;
      if (!isWanted && !hasFocus(row)) this.release(index, row);
    }
    const max = range.to - range.from + 2 * Math.max(1, this.kinds.length);
    const drawOne = (index: number) => {
      const row = this.rows.get(index);
      if (row === undefined) this.fill(index, max);
      else if (this.scroller.isScaled) this.position(row, index);
    };
    if (over >= 0) drawOne(over);
    for (let index = range.from; index < range.to; index += 1) drawOne(index);
    this.pool.settle(new Set(this.kinds), max);
    this.found.mark([...this.rows.values()].map(({ element }) => element));
    this.cache.want(range, over);
  }

  /** All rows in use, by what they show. */
  private takeRows(): Map<string, PooledRow> {
    const taken = new Map<string, PooledRow>();
    for (const row of this.rows.values()) {
      if (taken.has(row.identity)) this.pool.give(row);
      else taken.set(row.identity, row);
    }
    this.rows.clear();
    this.pictureless.clear();
    return taken;
  }

  /** Rows go where their items are now: a press meant for a row finds it, and little is drawn anew. */
  private followItems(before: Map<string, PooledRow>): void {
    const { from, to } = this.range();
    const over = this.headings.stuckOver(from);
    const places = Array.from({ length: to - from }, (_, at) => from + at);
    for (const index of over < 0 ? places : [over, ...places]) {
      const entry = this.cache.get(index);
      const row = entry === undefined ? undefined : before.get(identityOf(entry));
      if (entry === undefined || row === undefined || row.kind !== this.kinds[entry.plan]) continue;
      before.delete(row.identity);
      this.put(row, index, entry);
    }
    for (const row of before.values()) this.pool.give(row);
  }

  /** Gives an entry a row, if the entry has come already. */
  private fill(index: number, max: number): void {
    const entry = this.cache.get(index);
    const plan = entry === undefined ? undefined : this.shown?.plans[entry.plan];
    const kind = entry === undefined ? undefined : this.kinds[entry.plan];
    if (entry === undefined || plan === undefined || kind === undefined) return;
    this.put(this.pool.take({ kind, plan, role: roleOf(entry) }, max), index, entry);
  }

  private put(row: PooledRow, index: number, entry: Entry): void {
    row.identity = identityOf(entry);
    this.rows.set(index, row);
    showKind(row, entry);
    bindRow(row, entry, this.speed.isFast ? 'later' : this.ports.pictures);
    if (this.speed.isFast) this.pictureless.add(index);
    this.boundCount += row.targets.length;
    this.mark(row, entry);
    this.position(row, index);
  }

  private release(index: number, row: PooledRow): void {
    this.rows.delete(index);
    this.pool.give(row);
  }

  private position(row: PooledRow, index: number): void {
    if (this.shown === undefined) return;
    const { arrangement, entryCount } = this.shown.sequence;
    const line = this.lines.of(index);
    const { x, width } = cellIn(this.lines, index, {
      ...{ arrangement, widthPx: this.widthPx },
      isRtl: this.ports.direction?.() === 'rtl',
    });
    const y = this.scroller.near(this.lines.topPx(line));
    const height = this.lines.heightPxOf(line);
    const trackHeight = row.role === 'heading' ? this.trackHeight(index, y, height) : undefined;
    place(row, { x, y, width, height, trackHeight, index, entryCount });
  }

  private trackHeight(index: number, y: number, height: number): number {
    const endPx = this.headings.endPx(index);
    return endPx === undefined ? height : Math.max(height, this.scroller.near(endPx) - y);
  }

  private mark(row: PooledRow, entry: Entry | undefined): void {
    row.element.classList.toggle(
      'yc-at-hand',
      entry?.kind === 'row' && entry.key === this.selectedKey,
    );
  }

  private showPictures(): void {
    for (const index of this.pictureless) {
      const row = this.rows.get(index);
      const entry = this.cache.get(index);
      if (row !== undefined && entry !== undefined) bindRow(row, entry, this.ports.pictures);
    }
    this.pictureless.clear();
  }

  /** Asked of the page only when the box changes: between writes it would lay out each time. */
  private measure(): void {
    this.widthPx = this.host.clientWidth;
    this.heightPx = this.host.clientHeight - this.barsPx;
    this.scroller.setHeight(this.heightPx);
    this.index.show(this.shown?.sequence.lines?.names, this.heightPx);
  }

  private layOut(): void {
    for (const [index, row] of this.rows) this.position(row, index);
    this.draw();
  }
}

/** Who is in a row by keyboard keeps it: given to another item, the next key would act on that. */
const hasFocus = ({ outer }: PooledRow): boolean => outer.contains(document.activeElement);

/** So many headings, inserts and separators may stand between two rows at most. */
const maxBetweenRows = 50;
