import type { Lines } from '../../core/layout';
import {
  isStrip,
  type LineRange,
  roomOfStrips,
  type Sequence,
  type Stretch,
  stripMeasures,
  widthsIn,
} from '../../core/lists';
import { activeAround } from '../active';
import type { Drawing, Held } from '../rows';
import { type StripPlace, StripView, stripWindow } from './strip-view';

interface Ports {
  drawing(): Drawing;
  /** Where a place of the list's content stands in its sizer. */
  near(y: number): number;
  /** Cells that have not come are wanted. */
  wants(): void;
}

/** The list that strips are in. */
interface Around {
  readonly sequence: Sequence;
  readonly lines: Lines;
  readonly widthPx: number;
  readonly isRtl: boolean;
}

/** A strip that had rows before, until it is known where it stands now. */
interface HeldStrip {
  readonly view: StripView;
  readonly rows: Held;
}

/** The lines of a list that are scrolled sideways: one box for each in sight, given to others when it is gone. */
export class Strips {
  private readonly views = new Map<number, StripView>();
  private readonly spare: StripView[] = [];
  /** How far each is scrolled, by its key, also while it is out of sight. */
  private readonly offsets = new Map<string, number>();
  private keys: ReadonlyMap<number, string> = new Map();
  private around: Around | undefined;

  constructor(
    private readonly sizer: HTMLElement,
    private readonly ports: Ports,
  ) {}

  get all(): Iterable<StripView> {
    return this.views.values();
  }

  /** What stands in the list for each, by the entry of its first cell. */
  *standing(): Generator<{ readonly index: number; readonly element: HTMLElement }> {
    for (const [line, { outer }] of this.views)
      yield { index: this.around?.lines.firstOf(line) ?? 0, element: outer };
  }

  /** The box is of another size, or the list has other lines. */
  take(around: Around): void {
    const isOther = this.around?.lines !== around.lines;
    this.around = around;
    if (isOther) this.keys = keysOf(around);
  }

  /** Another list is shown: its strips are where they begin. */
  forget(): void {
    this.offsets.clear();
  }

  /** Before another version is drawn: strips keep their rows until it is known where they are. */
  hold(): readonly HeldStrip[] {
    const held = [...this.views.values()].map((view) => ({ view, rows: view.rows.hold() }));
    this.views.clear();
    return held;
  }

  follow(held: readonly HeldStrip[], range: LineRange): void {
    const byKey = new Map(held.map((each) => [each.view.key, each]));
    for (const line of this.linesIn(range)) {
      const own = byKey.get(this.keys.get(line));
      if (own === undefined) continue;
      byKey.delete(own.view.key);
      this.put(own.view, line);
      own.view.follow(own.rows);
    }
    for (const { view, rows } of byKey.values()) {
      view.rows.follow(rows, []);
      this.free(view);
    }
  }

  /** Draws those of some lines, and no others. */
  draw(range: LineRange): void {
    for (const [line, view] of this.views) {
      const isInSight = line >= range.first && line <= range.last;
      if (isInSight || view.outer.contains(activeAround(view.outer))) continue;
      this.views.delete(line);
      this.free(view);
    }
    for (const line of this.linesIn(range)) {
      const view = this.views.get(line) ?? this.spare.pop() ?? this.make();
      this.put(view, line);
      view.draw();
    }
  }

  /** The cells of a strip that are seen, or will be once it is in sight. */
  readonly windowOf = (line: number): Stretch => {
    const place = this.placeOf(line);
    if (place === undefined) return { from: 0, to: 0 };
    return stripWindow(place, this.offsets.get(place.key) ?? 0);
  };

  /** The first cell in sight of each strip that is scrolled, by its key. */
  firstCells({ first, last }: LineRange): ReadonlyMap<string, number> {
    const cells = new Map<string, number>();
    for (const line of this.linesIn({ first, last })) {
      const place = this.placeOf(line);
      const offset = place && this.offsets.get(place.key);
      if (place === undefined || offset === undefined || offset <= 0) continue;
      cells.set(place.key, Math.floor(offset / Math.max(1, place.cellPx + place.gap)));
    }
    return cells;
  }

  /** Brings an entry into sight, where it is of a strip. */
  reveal(entry: number): void {
    const line = this.around?.lines.of(entry) ?? -1;
    this.views.get(line)?.reveal(entry);
  }

  stop(): void {
    for (const view of [...this.views.values(), ...this.spare]) view.stop();
  }

  private *linesIn({ first, last }: LineRange): Generator<number> {
    const { lines } = this.around ?? {};
    if (lines === undefined || this.keys.size === 0) return;
    for (let line = first; line <= last && line < lines.count; line += 1)
      if (isStrip(lines, line)) yield line;
  }

  private put(view: StripView, line: number): void {
    const place = this.placeOf(line);
    if (place === undefined) return;
    this.views.set(line, view);
    view.show(place, this.offsets.get(place.key) ?? 0);
  }

  private free(view: StripView): void {
    view.rest();
    this.spare.push(view);
  }

  private make(): StripView {
    return new StripView(this.sizer, {
      drawing: this.ports.drawing,
      scrolled: (view) => {
        if (view.key !== undefined) this.offsets.set(view.key, view.offset);
        view.draw();
        this.ports.wants();
      },
      rests: () => this.ports.wants(),
    });
  }

  private placeOf(line: number): StripPlace | undefined {
    const key = this.keys.get(line);
    if (this.around === undefined || key === undefined) return undefined;
    const { sequence, lines, widthPx, isRtl } = this.around;
    const { arrangement, entryCount } = sequence;
    const { gap, edge } = stripMeasures(arrangement);
    const room = roomOfStrips(arrangement);
    const first = lines.firstOf(line);
    return {
      ...{ key, first, count: lines.endOf(line, entryCount) - first },
      y: this.ports.near(lines.topPx(line)),
      heightPx: lines.heightPxOf(line) - room.above - room.below,
      ...{ abovePx: room.above, belowPx: room.below, widthPx, isRtl, entryCount },
      cellPx: widthsIn(arrangement, widthPx).strip,
      ...{ gap, edge },
      snaps: arrangement.strips?.snaps === true,
      isMarked: arrangement.strips?.hasIndicator === true,
    };
  }
}

function keysOf({ sequence, lines }: Around): ReadonlyMap<number, string> {
  const keys = new Map<number, string>();
  const { strips = [] } = sequence.lines ?? {};
  for (let line = 0; keys.size < strips.length && line < lines.count; line += 1)
    if (isStrip(lines, line)) keys.set(line, strips[keys.size] ?? '');
  return keys;
}
