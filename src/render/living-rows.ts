import type { Entry, RowPlan } from '../core/lists';
import type { Living, LivingList } from './acting';
import type { Shown } from './ports';
import type { PressedEntry } from './presses';
import type { DrawnRows } from './rows';

/** What rows that live need to know of their list. */
interface ListOfRows {
  readonly host: HTMLElement;
  readonly sizer: HTMLElement;
  allRows(): Iterable<DrawnRows>;
  /** As far as it has come. */
  entry(at: number): Entry | undefined;
  entries(version: number, places: readonly number[]): Promise<readonly Entry[]>;
  shown(): Shown | undefined;
  /** The place of the first entry in sight. */
  first(): number;
  reveal(at: number): void;
  living(): Living | undefined;
}

/** So many headings, inserts and separators may stand between two rows at most. */
export const maxBetweenRows = 50;

/** The rows of a list as gestures find them. */
export class LivingRows implements LivingList {
  readonly lift: LivingList['lift'];

  constructor(private readonly of: ListOfRows) {
    const { host, sizer } = of;
    this.lift = {
      ...{ host, sizer, entryAt: (at) => this.entrySoon(at), drawn: () => this.drawn() },
      reveal: (at) => of.reveal(at),
      entryCount: () => of.shown()?.sequence.entryCount ?? 0,
    };
  }

  entryAt(target: Element): PressedEntry | undefined {
    for (const rows of this.of.allRows()) {
      const index = rows.at(target);
      const entry = this.of.entry(index);
      if (entry !== undefined) return { index, entry };
    }
    return undefined;
  }

  planOf({ entry }: PressedEntry): RowPlan | undefined {
    return this.of.shown()?.plans[entry.plan];
  }

  preview(index: number, entry: Entry | undefined): void {
    for (const rows of this.of.allRows()) rows.preview(index, entry ?? this.of.entry(index));
  }

  /** Gives the focus to the next row after a place, or before it; from -1: to the first in sight. */
  focusFrom(index: number, by: 1 | -1): void {
    const { of } = this;
    const begin = index < 0 ? of.first() : index + by;
    for (let at = begin; Math.abs(at - begin) < maxBetweenRows; at += by) {
      const entry = of.entry(at);
      if (entry?.kind !== 'row') continue;
      of.reveal(at);
      const row = [...of.allRows()].map((rows) => rows.elementOf(at)).find(Boolean);
      const plan = of.shown()?.plans[entry.plan];
      if (row === undefined || plan === undefined) return;
      of.living()?.enter(row, plan);
      row.focus({ preventScroll: true });
      return;
    }
  }

  /** An entry anywhere, asked for where it is not near. */
  private async entrySoon(at: number): Promise<Entry | undefined> {
    const { version, sequence } = this.of.shown() ?? {};
    if (version === undefined || sequence === undefined || at < 0 || at >= sequence.entryCount)
      return undefined;
    return this.of.entry(at) ?? (await this.of.entries(version, [at]))[0];
  }

  /** Rows and headings in the page. */
  private *drawn(): Generator<readonly [number, HTMLElement]> {
    for (const rows of this.of.allRows())
      for (const at of rows.places) {
        const kind = this.of.entry(at)?.kind;
        const element = rows.elementOf(at);
        if (element !== undefined && (kind === 'row' || kind === 'heading')) yield [at, element];
      }
  }
}
