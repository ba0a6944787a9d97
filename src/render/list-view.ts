import { cellIn } from '../core/layout';
import { type DrawnLines, type LineRange, lineAfter, placesIn, type Sequence } from '../core/lists';
import { Living } from './acting';
import { Entries } from './entries';
import { LivingRows, maxBetweenRows } from './living-rows';
import type { Pictures } from './parts';
import type { ListViewPorts, PoolReadout, Shown, Wanted } from './ports';
import { type PressedEntry, Presses } from './presses';
import {
  type Drawing,
  DrawnRows,
  moveRows,
  type Place,
  resizedKinds,
  resizeHeld,
  type Standing,
  standingOf,
} from './rows';
import { ScrollSpeed } from './scroll-speed';
import { Scroller } from './scroller';
import { type Eye, offsetOf, rowsLookedAt, type Seen, seenIn } from './seen';
import { entriesIn, isSamePlaces, linesOf, noLines, noSequence } from './sequence-lines';
import {
  Bars,
  drawArrangement,
  FoundWords,
  groupBySections,
  HeadingPlaces,
  NewAbove,
  SectionIndex,
} from './standing';
import { Strips } from './strips';
import { WorkLog } from './work-log';

/** The page may be late by a tenth of a second at the speed of reading: so much is drawn ahead. */
const overscanPx = 400;
const restAfterMs = 140;

/** The list on all items, with as many rows in the page as the window shows and a few more. */
export class ListView {
  private readonly sizer = document.createElement('div');
  private readonly scroller: Scroller;
  private readonly rows: DrawnRows;
  private readonly strips: Strips;
  private readonly bars: Bars;
  private readonly presses: Presses;
  private readonly index: SectionIndex;
  private readonly newAbove: NewAbove;
  private readonly living: Living | undefined;
  /** How much of the box its bars take. */
  private barsPx = 0;
  private readonly cache: Entries;
  private readonly resized: ResizeObserver;
  private shown: Shown | undefined;
  private lines = noLines;
  private headings = new HeadingPlaces();
  /** The heading that was pressed: it stays where it is. */
  private foldedAt: { readonly heading: number; readonly pastPx: number } | undefined;
  private widthPx = 0;
  private heightPx = 0;
  private readonly speed = new ScrollSpeed();
  private readonly work = new WorkLog();
  private readonly boundCount = () =>
    [...this.allRows()].reduce((sum, { counts }) => sum + counts.bound, 0);
  private readonly found = new FoundWords();
  private readonly drawing: Changing<Drawing>;
  /** Where this scrolled by itself last: that event is nobody's wish. */
  private ownScrollTop: number | undefined;
  private isUntold = false;
  /** The rows that were looked at when an update was last asked for. */
  private eyes: readonly Eye[] = [];
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
    const pictures: Pictures = (name) => this.ports.pictures(name);
    this.drawing = {
      ...{ plans: [], kinds: [], pictures, isFast: false, selectedKey: undefined },
      chosen: new Set(),
      marksBound: false,
      entry: (index) => this.cache.get(index),
    };
    this.rows = new DrawnRows(
      this.sizer,
      () => this.drawing,
      (index, role) => this.placeOf(index, role === 'heading'),
    );
    this.strips = new Strips(this.sizer, {
      drawing: () => this.drawing,
      near: (y) => this.scroller.near(y),
      wants: () => this.wantEntries(),
    });
    this.bars = new Bars(host);
    this.newAbove = new NewAbove(host, () => this.goToPx(0));
    this.index = new SectionIndex(host, (heading) =>
      this.goToPx(this.lines.topPx(this.lines.of(this.headings.entryOf(heading)))),
    );
    this.cache = new Entries({
      entries: (version, places) => this.ports.entries(version, places),
      came: () => {
        this.draw();
        if (this.isUntold) this.tellScrolled();
      },
    });
    host.addEventListener('scroll', this.onScroll, { passive: true });
    const living = new LivingRows({
      ...{ host, sizer: this.sizer, entries: ports.entries, reveal: (at) => this.reveal(at) },
      ...{ allRows: () => this.allRows(), entry: (at) => this.cache.get(at) },
      ...{ shown: () => this.shown, living: () => this.living },
      first: () => this.lines.firstOf(this.lines.at(this.scroller.offset)),
    });
    this.presses = new Presses(host, {
      entryAt: (target) => living.entryAt(target),
      pressed: (entry, part) => this.ports.pressed(entry, part),
      fold: (pressed) => this.fold(pressed),
    });
    this.living = ports.acting && new Living(host, living, ports.acting);
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
    this.work.during(this.boundCount, () => this.take(shown));
  }

  private take(shown: Shown): void {
    // Who scrolls at this moment goes on from there; that its event is still to come tells nobody.
    const isScrolled = this.scroller.catchUp();
    const { sequence } = shown;
    const areItemsAlone =
      this.shown?.edition === shown.edition && this.shown.version !== shown.version;
    if (!areItemsAlone) this.living?.leave();
    const standing = sequence.animates && areItemsAlone ? this.standing() : undefined;
    const before = this.rows.hold();
    const strips = this.strips.hold();
    if (shown.list !== this.shown?.list) {
      this.strips.forget();
      this.newAbove.forget();
    }
    const isPlaced = this.shown !== undefined && isSamePlaces(sequence, this.shown.sequence);
    // Other heights of the same entries move none of those that are looked at.
    const isSameEntries = this.shown?.sequence.id === sequence.id;
    const seen = isSameEntries && !isPlaced ? this.seen() : undefined;
    // Other rows around the one that is looked at leave it where it is; at the beginning one sees
    // what comes, unless it waits.
    const isKept = !areItemsAlone || this.scroller.offset > 0 || sequence.holdsNew;
    const foldedAt = isSameEntries ? undefined : this.foldedAt;
    const isOther = !isSameEntries && isKept && foldedAt === undefined;
    const eye = isOther ? this.eyes.find(({ key }) => key === shown.kept?.key) : undefined;
    const pastPx = eye && this.scroller.offset - this.lines.topPx(this.lines.of(eye.at));
    const kinds = shown.plans.map((plan) => JSON.stringify([plan.row, plan.slots, plan.tokens]));
    const resized = resizedKinds(this.drawing, { plans: shown.plans, kinds });
    for (const held of [before, ...strips.map(({ rows }) => rows)]) resizeHeld(held, resized);
    this.shown = shown;
    this.cache.begin(shown.version);
    this.cache.put(shown.places, shown.entries);
    if (shown.over !== undefined) this.cache.put([shown.over.at], [shown.over.entry]);
    this.drawing.plans = shown.plans;
    this.drawing.kinds = kinds;
    drawArrangement({ host: this.host, sizer: this.sizer }, shown);
    this.takeBars(shown);
    if (!isPlaced) this.takeLines(sequence, seen);
    this.placeStrips();
    if (pastPx !== undefined && shown.kept !== undefined)
      this.goTo({
        line: this.lines.of(shown.kept.at),
        offsetPx: this.inSight(shown.kept.at, pastPx),
      });
    if (eye !== undefined && shown.kept !== undefined && areItemsAlone && sequence.holdsNew)
      this.newAbove.add(shown.kept.at - eye.at);
    if (foldedAt !== undefined) {
      const line = this.lines.of(this.headings.entryOf(foldedAt.heading));
      this.goTo({ line, offsetPx: foldedAt.pastPx });
      this.foldedAt = undefined;
    }
    this.index.show(this.shown.sequence.lines?.names, this.heightPx);
    const range = this.range();
    this.rows.follow(before, this.placesInList(range));
    this.strips.follow(strips, range);
    this.drawRows();
    // What is open on a row is placed by where the row will be.
    this.living?.drawn();
    if (standing !== undefined) moveRows(this.rows.inUse, standing, this.sight);
    if (isScrolled) this.tellScrolled();
    this.restLater();
  }

  private get sight() {
    return { top: this.scroller.near(this.scroller.offset), heightPx: this.heightPx };
  }

  /** Where each row is seen now; while it is scrolled fast nobody would see it move. */
  private standing(): Standing | undefined {
    const isSeen = !this.drawing.isFast && !this.scroller.isScaled;
    return isSeen ? standingOf(this.rows.inUse, this.sight) : undefined;
  }

  private goToPx(y: number): void {
    this.scroller.scrollTo(y);
    this.draw();
    this.ports.scrolled?.();
  }

  private takeBars(shown: Shown): void {
    const barsPx = this.bars.show(shown, this.ports.pictures, this.ports.safeBelow?.() ?? 0);
    if (barsPx === this.barsPx) return;
    this.barsPx = barsPx;
    this.measure();
  }

  private seen(): Seen | undefined {
    this.scroller.catchUp();
    return seenIn(this.lines, { offset: this.scroller.offset, heightPx: this.heightPx });
  }

  private rowsLookedAt(): readonly Eye[] {
    const sight = { offset: this.scroller.offset, heightPx: this.heightPx };
    const rows = this.drawnPlaces().flatMap((at) => {
      const entry = this.cache.get(at);
      return entry?.kind === 'row' ? [{ at, key: entry.key }] : [];
    });
    const { selectedKey } = this.drawing;
    const holdsNew = this.shown?.sequence.holdsNew === true;
    return rowsLookedAt(rows, this.lines, { ...sight, selectedKey, holdsNew });
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
    const range = this.range();
    const from = this.lines.firstOf(range.first);
    const to = from + entriesIn(this.lines, range);
    const { id = -1, heightsId = -1 } = this.shown?.sequence ?? {};
    const textSize = this.ports.textSize?.() ?? 1;
    const density = this.ports.density?.() ?? 1;
    const box = { widthPx: this.widthPx, ratio: devicePixelRatio, textSize, density };
    this.eyes = this.rowsLookedAt();
    return {
      ...{ from, to: Math.max(to, from + 30), sequence: { id, heightsId }, box },
      strips: this.strips.firstCells(range),
      keep: this.eyes,
    };
  }

  /** Marks the row of the item with a key, and no other. */
  select(key: string | undefined): void {
    this.drawing.selectedKey = key;
    for (const rows of this.allRows()) rows.markAll();
  }

  /** Marks the rows that a reader has selected, by their keys. */
  choose(keys: ReadonlySet<string>): void {
    this.drawing.chosen = keys;
    for (const rows of this.allRows()) rows.markAll();
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
    const isSeen = top >= this.scroller.offset + this.headings.coveredPx(entry);
    if (!isSeen || bottom > seenTo) {
      this.scroller.scrollTo(top - this.heightPx / 3);
      this.draw();
    }
    this.strips.reveal(entry);
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
    const counts = { made: 0, inUse: 0, bound: 0 };
    for (const { counts: own } of this.allRows()) {
      counts.made += own.made;
      counts.inUse += own.inUse;
      counts.bound += own.bound;
    }
    return { ...counts, work: this.work.latest };
  }

  /** Whether each row lights up as it is bound. */
  markBound(isOn: boolean): void {
    this.drawing.marksBound = isOn;
  }

  destroy(): void {
    this.resized.disconnect();
    clearTimeout(this.restTimer);
    this.host.removeEventListener('scroll', this.onScroll);
    this.presses.stop();
    this.living?.stop();
    this.newAbove.stop();
    this.found.stop();
    this.bars.stop();
    this.index.stop();
    this.strips.stop();
    this.sizer.remove();
  }

  private readonly onScroll = (): void => {
    const isOwn = this.host.scrollTop === this.ownScrollTop;
    this.scroller.moved();
    if (!isOwn) this.tellScrolled();
    this.drawing.isFast = this.speed.isFast(this.scroller.offset);
    this.draw();
    this.restLater();
  };

  private restLater(): void {
    clearTimeout(this.restTimer);
    this.restTimer = setTimeout(() => {
      this.drawing.isFast = false;
      for (const rows of this.allRows()) rows.showPictures();
      if (this.scroller.isScaled) {
        this.scroller.rest();
        this.layOut();
      }
      const standing = [...this.rows.standing(), ...this.strips.standing()];
      groupBySections(standing, (heading) => this.headings.endOf(heading));
    }, restAfterMs);
  }

  /** Once it is known which row is at the top. */
  private tellScrolled(): void {
    this.isUntold = this.top() === undefined;
    if (!this.isUntold) this.ports.scrolled?.();
  }

  /** The heading stays where it is seen while its rows go or come. */
  private fold({ index, entry }: PressedEntry): void {
    const topPx = this.lines.topPx(this.lines.of(index));
    const pastPx = Math.min(0, this.scroller.offset - topPx);
    this.foldedAt = { heading: this.headings.over(index), pastPx };
    this.ports.folded?.(entry);
  }

  /** Lines from the first to the last that touch the window, with the overscan. */
  private range(): LineRange {
    if (this.shown === undefined || this.lines.count === 0) return { first: 0, last: -1 };
    const { offset } = this.scroller;
    return {
      first: this.lines.at(offset - overscanPx),
      last: this.lines.at(offset + this.heightPx + overscanPx),
    };
  }

  private get drawnLines(): DrawnLines {
    const { windowOf } = this.strips;
    return { lines: this.lines, entryCount: this.shown?.sequence.entryCount ?? 0, windowOf };
  }

  /** Where entries stand that are drawn in the list itself, that which sticks over them with them. */
  private placesInList(range: LineRange): readonly number[] {
    const own = placesIn(range, { ...this.drawnLines, windowOf: () => nothing });
    const over = this.headings.stuckOver(this.lines.firstOf(range.first));
    return over < 0 ? own : [over, ...own];
  }

  private draw(): void {
    this.work.during(this.boundCount, () => this.drawRows());
  }

  private drawRows(): void {
    if (this.shown === undefined) return;
    const range = this.range();
    this.rows.draw(this.placesInList(range), this.scroller.isScaled);
    this.strips.draw(range);
    this.found.mark([...this.allRows()].flatMap(({ elements }) => elements));
    this.wantEntries();
    this.newAbove.seen(this.lines.firstOf(this.lines.at(this.scroller.offset)));
    if (range.last >= this.lines.count - 1) this.ports.nearsEnd?.();
  }

  private wantEntries(): void {
    const range = this.range();
    const { lines, drawnLines } = this;
    const over = this.headings.stuckOver(lines.firstOf(range.first));
    this.cache.want({
      places: [...(over < 0 ? [] : [over]), ...placesIn(range, drawnLines)],
      around: (entries) => {
        const first = lineAfter(lines, range.first, -1, entries);
        return placesIn({ first, last: lineAfter(lines, range.last, 1, entries) }, drawnLines);
      },
    });
  }

  private *allRows(): Generator<DrawnRows> {
    yield this.rows;
    for (const { rows } of this.strips.all) yield rows;
  }

  private drawnPlaces(): readonly number[] {
    return [...this.allRows()].flatMap(({ places }) => [...places]);
  }

  private placeStrips(): void {
    if (this.shown === undefined) return;
    const isRtl = this.ports.direction?.() === 'rtl';
    const { sequence } = this.shown;
    this.strips.take({ sequence, lines: this.lines, widthPx: this.widthPx, isRtl });
  }

  private placeOf(index: number, isHeading: boolean): Place {
    const { arrangement, entryCount } = this.shown?.sequence ?? noSequence;
    const { edge, gap } = arrangement;
    const line = this.lines.of(index);
    const isRtl = this.ports.direction?.() === 'rtl';
    const { x, width } = cellIn(this.lines, index, { edge, gap, widthPx: this.widthPx, isRtl });
    const y = this.scroller.near(this.lines.topPx(line));
    const height = this.lines.heightPxOf(line);
    const trackHeight = isHeading ? this.trackHeight(index, y, height) : undefined;
    return { x, y, width, height, trackHeight, index, entryCount };
  }

  private trackHeight(index: number, y: number, height: number): number {
    const endPx = this.headings.endPx(index);
    return endPx === undefined ? height : Math.max(height, this.scroller.near(endPx) - y);
  }

  /** Asked of the page only when the box changes: between writes it would lay out each time. */
  private measure(): void {
    this.widthPx = this.host.clientWidth;
    this.heightPx = this.host.clientHeight - this.barsPx;
    this.scroller.setHeight(this.heightPx);
    this.index.show(this.shown?.sequence.lines?.names, this.heightPx);
  }

  private layOut(): void {
    this.placeStrips();
    this.rows.placeAll();
    this.draw();
    for (const { rows } of this.strips.all) rows.placeAll();
  }
}

const nothing = { from: 0, to: 0 };
type Changing<T> = { -readonly [Name in keyof T]: T[Name] };
