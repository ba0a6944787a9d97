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
  infer,
  joinItems,
  successionOf,
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
import type { ItemsKnown } from '../reading';

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
  /** Most items would go: nothing was done yet, a person says whether they do. */
  readonly isAsked: boolean;
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

/**
 * What becomes of items that are not among those that came: they go, or they stay. `ask`: they go,
 * unless that would be most of them; then nothing is done yet.
 */
export type ImportHow = 'ask' | 'replace' | 'add and update';

const maxListed = 100;

/** Items that come again for a source: once, again and again, or as events. */
export class EngineImport {
  constructor(private readonly engine: Engine) {}

  /** Takes up items that came again for a source, matched by its key; those that are not among them go, or stay. */
  importAgain(
    source: Source,
    file: string,
    { read, inference }: Pick<ItemsKnown, 'read' | 'inference'>,
    how: ImportHow,
  ): ImportSummary {
    const held = this.engine.held(source.id);
    const after =
      how === 'add and update'
        ? new ItemStore(this.joined(source, read.items))
        : new ItemStore(read.items, inference.unique);
    const { difference, keys, isSame } = this.compared(source, after);
    const isAsked = how === 'ask' && wouldLoseMost(difference);
    return {
      revision: isSame || isAsked ? undefined : held.change(ownSet, difference.next),
      isAsked,
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
    known: Pick<ItemsKnown, 'read' | 'inference'>,
  ): ImportSummary | undefined {
    return this.isOfShape(source, known)
      ? this.importAgain(source, file, known, 'replace')
      : undefined;
  }

  /** The items as another set of the source; undefined: they are not of its types. */
  asSet(
    source: Source,
    set: string,
    known: Pick<ItemsKnown, 'read' | 'inference'>,
  ): number | undefined {
    return this.isOfShape(source, known)
      ? this.changeSet(source, set, known.read.items)
      : undefined;
  }

  /** The items that another source has now, as a set of this one. */
  setFrom(source: Source, set: string, other: string): number {
    return this.changeSet(source, set, this.engine.held(other).set(ownSet).raw);
  }

  private changeSet(source: Source, set: string, items: readonly Item[]): number {
    return this.engine.held(source.id).change(set, successionOf([], items));
  }

  private isOfShape(source: Source, { read, inference }: Pick<ItemsKnown, 'read' | 'inference'>) {
    return isShapeKnown(this.projectNow(), source, this.typesIn(source, read.items, inference));
  }

  private joined(source: Source, items: readonly Item[]): readonly Item[] {
    const before = this.engine.held(source.id).set(ownSet);
    return joinItems(before.raw, before.rawKeys(this.projectNow(), source), items).next.items;
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

/** Fewer items are looked at by whoever imports them. */
const fewItems = 3;

/** Whether fewer than half of the items that are there come again. */
function wouldLoseMost({ removed, changed, unchangedCount }: ImportDifference): boolean {
  const keptCount = changed.length + unchangedCount;
  return removed.length > fewItems && removed.length > keptCount;
}

const counted = ({ added, changed, removed }: ImportDifference) => ({
  addedCount: added.length,
  changedCount: changed.length,
  removedCount: removed.length,
});
