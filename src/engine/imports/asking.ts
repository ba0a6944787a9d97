import { type Finding, ok, type Result } from '../../core/base';
import { type Source, withId } from '../../core/project';
import type { Engine } from '../engine';
import { type ItemsKnown, Reading } from '../reading';
import type { ArrivalSummary, EngineImport } from './import';

/** What came, and whether there is more to ask for. */
export interface MoreCame extends ArrivalSummary {
  readonly hasMore: boolean;
}

export const nothingCame: ArrivalSummary = {
  addedCount: 0,
  changedCount: 0,
  removedCount: 0,
  isChanged: false,
  found: [],
};

/** So many pages are asked for at most to find one that is not there yet. */
const maxPages = 1_000;

/**
 * Asks the addresses of sources for their items again, all or the next page of them. An answer that
 * is overtaken by one which was asked for later counts no more, nor does one for a project that was
 * open before: its sources may be called the same.
 */
export class Asking {
  private asked = 0;
  /** The question that was answered last with all items, by source. */
  private readonly answered = new Map<string, number>();
  private readonly pages = new Map<string, Promise<Result<MoreCame, Finding>>>();

  constructor(
    private readonly engine: Engine,
    private readonly imports: EngineImport,
  ) {}

  /** All items once more, at a pace; of a source whose pages wait, the first page joins what is there. */
  again(id: string, signal: AbortSignal): Promise<Result<ArrivalSummary, Finding>> {
    return this.all(id, signal, (source, known) =>
      source.from.pages?.waits === true
        ? this.imports.joinPage(source, arrived(known))
        : this.imports.keepUp(source, arrived(known)),
    );
  }

  /** All items once more, because somebody wants to: what waited is asked for anew, too. */
  async refresh(id: string): Promise<Result<MoreCame, Finding>> {
    const came = await this.all(id, new AbortController().signal, (source, known) => {
      const summary = this.imports.keepUp(source, arrived(known));
      this.engine.pageWaits(id, known.next);
      return summary;
    });
    return came.ok ? ok({ ...came.value, hasMore: this.engine.hasMore(id) }) : came;
  }

  /** The next page that brings anything; who asks while one is on its way gets that. */
  more(id: string): Promise<Result<MoreCame, Finding>> {
    const before = this.pages.get(id);
    if (before !== undefined) return before;
    const next = this.nextPage(id).finally(() => this.pages.delete(id));
    this.pages.set(id, next);
    return next;
  }

  private async all(
    id: string,
    signal: AbortSignal,
    take: (source: Source, known: ItemsKnown) => ArrivalSummary,
  ): Promise<Result<ArrivalSummary, Finding>> {
    this.asked += 1;
    const number = this.asked;
    const source = this.sourceOf(id);
    if (source === undefined) return ok(nothingCame);
    const held = this.engine.held(id);
    const all = await this.read(source, source.from.file, signal);
    if (!all.ok) return all;
    const now = this.sourceOf(id);
    const isOvertaken = (this.answered.get(id) ?? 0) > number;
    if (now === undefined || isOvertaken || this.engine.held(id) !== held) return ok(nothingCame);
    this.answered.set(id, number);
    return ok(take(now, all.value));
  }

  private async nextPage(id: string): Promise<Result<MoreCame, Finding>> {
    const { signal } = new AbortController();
    const held = this.engine.held(id);
    for (let page = 0; page < maxPages; page += 1) {
      const source = this.sourceOf(id);
      const waiting = held.nextPage;
      const areAllThere = waiting !== undefined && waiting.address === undefined;
      if (source?.from.pages?.waits !== true || areAllThere) break;
      // After a reload nobody knows how far it came: the pages say it.
      const known = await this.read(source, waiting?.address ?? source.from.file, signal);
      const now = this.sourceOf(id);
      if (now === undefined || this.engine.held(id) !== held) break;
      // All was asked for anew meanwhile: then another page comes next.
      if (held.nextPage !== waiting) continue;
      if (!known.ok) return known;
      const summary = this.imports.joinPage(now, arrived(known.value));
      this.engine.pageWaits(id, known.value.next);
      if (summary.addedCount > 0) return ok({ ...summary, hasMore: this.engine.hasMore(id) });
    }
    return ok({ ...nothingCame, hasMore: this.engine.hasMore(id) });
  }

  private read(source: Source, address: string, signal: AbortSignal) {
    // Of its own, so that it neither gives up what a person reads nor is given up for it.
    const reading = new Reading(() => {});
    signal.addEventListener('abort', () => reading.cancel());
    const { at, pages } = source.from;
    const document = { address, at, ...(pages !== undefined && { pages }) };
    return reading.cancellable(document, () => reading.items(document, () => {}, true));
  }

  private sourceOf(id: string): Source | undefined {
    return withId(this.engine.project?.sources ?? [], id);
  }
}

const arrived = ({ read, inference }: ItemsKnown) => ({ items: read.items, inference });
