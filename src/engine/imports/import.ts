import type { Result } from '../../core/base';
import { atOnce, type Finding } from '../../core/base';
import {
  applyFeed,
  compareContent,
  compareImport,
  type FeedEvent,
  freshPositions,
  type ImportDifference,
  type Inference,
  type Item,
  type ItemsRead,
  infer,
  joinItems,
  type TypeFound,
} from '../../core/items';
import {
  isShapeKnown,
  type Origin,
  ownSet,
  type Project,
  rawDiscriminator,
  type Source,
} from '../../core/project';
import type { Engine } from '../engine';
import { ItemStore } from '../items';

/** What came of asking or listening once more. */
export interface FollowNews {
  readonly source: string;
  readonly came: Result<ArrivalSummary, Finding>;
}

/** What changed; the types as all items are now, where they were looked at. */
export interface ArrivalSummary {
  readonly addedCount: number;
  readonly changedCount: number;
  readonly removedCount: number;
  readonly isChanged: boolean;
  readonly found: readonly TypeFound[];
}

/** What importing a source again changed. */
export interface ImportSummary {
  /** The number of the change; undefined: nothing changed. */
  readonly revision: number | undefined;
  readonly from: Origin;
  readonly found: readonly TypeFound[];
  readonly addedCount: number;
  readonly changedCount: number;
  readonly removedCount: number;
  readonly unchangedCount: number;
  /** Of the unchanged and changed: how many were taken elsewhere, at least. */
  readonly movedCount: number;
  /** A few of each, by key. */
  readonly added: readonly string[];
  readonly changed: readonly { readonly key: string; readonly fields: readonly string[] }[];
  readonly removed: readonly string[];
  readonly moved: readonly string[];
  /** Keys that several of the new items have. */
  readonly repeated: readonly string[];
  readonly findings: readonly Finding[];
}

const maxListed = 100;

/** Items that come again for a source: once, again and again, or as events. */
export class EngineImport {
  constructor(private readonly engine: Engine) {}

  /** Takes up items that came again for a source, matched by its key. */
  importAgain(source: Source, file: string, read: ItemsRead, inference: Inference): ImportSummary {
    const held = this.engine.held(source.id);
    const after = new ItemStore(read.items, inference.unique);
    const { difference, keys, isSame } = this.compared(source, after);
    return {
      revision: isSame ? undefined : held.change(ownSet, difference.next),
      from: { file, format: read.format, at: read.at },
      found: this.typesIn(source, read.items, inference),
      ...summed(difference, keys),
      repeated: keys.after.repeated,
      findings: [...read.findings, ...keys.after.findings],
    };
  }

  /** The same for items from another place, if they are of the source's types. */
  ifKnown(
    source: Source,
    file: string,
    read: ItemsRead,
    inference: Inference,
  ): ImportSummary | undefined {
    const found = this.typesIn(source, read.items, inference);
    return isShapeKnown(this.projectNow(), source, found)
      ? this.importAgain(source, file, read, inference)
      : undefined;
  }

  /** Takes up items that keep coming: they join what is there, and undo does not take them back. */
  keepUp(
    source: Source,
    { items, inference }: { items: readonly Item[]; inference: Inference },
  ): ArrivalSummary {
    const { difference, isSame } = this.compared(source, new ItemStore(items, inference.unique));
    if (!isSame) this.engine.replaceLive(source.id, difference.next);
    const { addedCount, changedCount, removedCount } = counted(difference);
    const found = isSame ? [] : this.typesIn(source, items, inference);
    return { addedCount, changedCount, removedCount, isChanged: !isSame, found };
  }

  /** The same for one page of many: what is on no page yet stays. */
  joinPage(
    source: Source,
    { items, inference }: { items: readonly Item[]; inference: Inference },
  ): ArrivalSummary {
    const before = this.engine.held(source.id).set(ownSet);
    const keys = before.rawKeys(this.projectNow(), source);
    const { next, ...counts } = joinItems(before.raw, keys, items);
    const isChanged = counts.addedCount + counts.changedCount > 0;
    if (isChanged) this.engine.replaceLive(source.id, next);
    const found = isChanged ? this.typesIn(source, items, inference) : [];
    return { ...counts, removedCount: 0, isChanged, found };
  }

  /** The same for events: only what they bring is looked at. */
  takeEvents(
    source: Source,
    events: readonly FeedEvent[],
  ): ArrivalSummary & { ignoredCount: number } {
    const before = this.engine.held(source.id).set(ownSet);
    const keys = before.rawKeys(this.projectNow(), source);
    const { next, ...counts } = applyFeed(before.raw, keys, events);
    const { addedCount, changedCount, removedCount, movedCount } = counts;
    const isChanged = addedCount + changedCount + removedCount + movedCount > 0;
    if (isChanged) this.engine.replaceLive(source.id, next);
    const fresh = freshPositions(next).map((at) => next.items[at] ?? {});
    const found = fresh.length === 0 ? [] : this.typesIn(source, fresh, undefined);
    return { ...counts, isChanged, found };
  }

  private compared(source: Source, after: ItemStore) {
    const project = this.projectNow();
    const before = this.engine.held(source.id).set(ownSet);
    const { now } = this.engine;
    const keys = {
      before: before.keys(project, source, now),
      after: after.keys(project, source, now),
    };
    const difference =
      source.key === null
        ? compareContent(before.raw, after.raw)
        : compareImport(
            { items: before.raw, keys: keys.before },
            { items: after.raw, keys: keys.after },
          );
    const { added, changed, removed, moved } = difference;
    const isSame = added.length + changed.length + removed.length + moved.length === 0;
    return { difference, keys, isSame };
  }

  /** The types of items, told apart as the source tells them apart, whatever inference would say. */
  private typesIn(
    source: Source,
    items: readonly Item[],
    inference: Inference | undefined,
  ): readonly TypeFound[] {
    // What no item is says nothing of the fields.
    if (items.length === 0) return [];
    const by = rawDiscriminator(this.projectNow(), source);
    return inference !== undefined && (inference.discriminator ?? null) === by
      ? inference.types
      : atOnce(infer(items, source.name, undefined, by)).types;
  }

  private projectNow(): Project {
    const { project } = this.engine;
    if (project === undefined) throw new Error('The engine has no project.');
    return project;
  }
}

function summed(
  difference: ImportDifference,
  keys: Record<'before' | 'after', { at(item: number): string }>,
) {
  const { added, changed, removed, moved, unchangedCount } = difference;
  return {
    ...counted(difference),
    unchangedCount,
    movedCount: moved.length,
    moved: moved.slice(0, maxListed).map((at) => keys.after.at(at)),
    added: added.slice(0, maxListed).map((at) => keys.after.at(at)),
    changed: changed
      .slice(0, maxListed)
      .map(({ after, fields }) => ({ key: keys.after.at(after), fields })),
    removed: removed.slice(0, maxListed).map((at) => keys.before.at(at)),
  };
}

const counted = ({ added, changed, removed }: ImportDifference) => ({
  addedCount: added.length,
  changedCount: changed.length,
  removedCount: removed.length,
});
