import type { Finding, Turns } from '../../core/base';
import type { Item } from '../../core/items';
import type { Arranged } from '../../core/lists';
import {
  type BoundSlot,
  type CompiledTemplate,
  type EntryValue,
  leftOut,
} from '../../core/templates';
import type { RowContext } from '../../core/values';
import { ContrastCount } from './low-contrast';

/** How the bound properties of a template fare over all items that it shows. */
export interface SlotSurvey {
  readonly part: string;
  readonly property: string;
  readonly missingCount: number;
  /** Position of the first item without a value, or -1. */
  readonly firstMissing: number;
  /** The words of all items that have words there, if those are the same. */
  readonly same: EntryValue;
  /** For a picture: the names that the project has no picture for, the most frequent first. */
  readonly unknown: readonly UnknownPicture[];
  /** Items whose value the property can't take, and the first of them with why. */
  readonly unfit: UnfitValues | undefined;
}

export interface UnfitValues {
  readonly itemCount: number;
  readonly first: number;
  readonly why: string;
}

export interface UnknownPicture {
  readonly name: string;
  readonly itemCount: number;
  /** Position of the first item that names it. */
  readonly first: number;
}

export interface TemplateSurvey {
  readonly template: string;
  readonly itemCount: number;
  readonly slots: readonly SlotSurvey[];
  /** Items with the longest and shortest words in the first label; -1: no item. */
  readonly longest: number;
  readonly shortest: number;
  /** Texts that are hard to read. */
  readonly contrast: readonly Finding[];
}

/** What was counted over all items of a version. */
export interface Survey {
  readonly templates: readonly TemplateSurvey[];
  /** Where items are not what their types say. */
  readonly findings: readonly Finding[];
}

/** About a millisecond: so long an edit may have to wait. */
const entriesATurn = 500;
/** Names of missing pictures that are told apart; the rest would be read by nobody. */
const maxUnknown = 1_000;

interface Count {
  itemCount: number;
  longest: number;
  longestChars: number;
  shortest: number;
  shortestChars: number;
  readonly missing: { count: number; first: number }[];
  /** For each slot the words of the first item that has any, and whether all that have any have the same. */
  readonly same: { value: EntryValue; isSame: boolean }[];
  /** The unknown names of each slot; undefined for what is no picture. */
  readonly unknown: (Map<string, Unknown> | undefined)[];
  readonly unfit: (UnfitValues | undefined)[];
}

interface Unknown {
  itemCount: number;
  readonly first: number;
}

/** What is counted: the entries of a list, each with its template and its item. */
export interface SurveyTask {
  readonly templates: readonly CompiledTemplate[];
  readonly arranged: Arranged;
  readonly itemAt: (entry: number) => Item;
  /** Position of the item of an entry in the source of the list; -1: it has none there. */
  readonly positionAt: (entry: number) => number;
  readonly contextAt: (entry: number) => RowContext;
  readonly hasPicture: (name: string) => boolean;
}

/** For each template: what is missing in how many items, and the items at its extremes. */
export function* surveyTemplates({
  templates,
  arranged,
  itemAt,
  positionAt,
  contextAt,
  hasPicture,
}: SurveyTask): Turns<readonly TemplateSurvey[]> {
  const counts = templates.map(emptyCount);
  const contrasts = templates.map((template) => new ContrastCount(template));
  const titleSlots = templates.map(({ slots }) =>
    slots.findIndex(({ declared }) => declared.kind === 'text'),
  );
  for (let entry = 0; entry < arranged.items.length; entry += 1) {
    const item = positionAt(entry);
    const plan = arranged.plans[entry] ?? 0;
    const count = counts[plan];
    const template = templates[plan];
    if (count === undefined || template === undefined) continue;
    const own = itemAt(entry);
    const context = contextAt(entry);
    const values = template.values(own, context);
    const isAbsent = (at: number) => {
      const slot = template.slots[at];
      const isOptional = slot?.declared.kind === 'input' && slot.declared.mayBeMissing;
      return isOptional || slot?.seen(own, context) === undefined;
    };
    add(count, item, { values, isAbsent, titleSlot: titleSlots[plan] ?? -1 });
    addUnknown(count, item, values, hasPicture);
    contrasts[plan]?.add(item, values);
    const whyOf = (slot: BoundSlot, at: number) =>
      cutIn(slot, values[at]) ?? slot.unfit(own, context);
    addUnfit(count, item, whyOf, template);
    if (entry % entriesATurn === entriesATurn - 1) yield entry / arranged.items.length;
  }
  return templates.map(({ template, slots }, index) => {
    const count = counts[index];
    return {
      template: template.id,
      itemCount: count?.itemCount ?? 0,
      longest: count?.longest ?? -1,
      shortest: count?.shortest ?? -1,
      contrast: contrasts[index]?.findings(count?.itemCount ?? 0) ?? [],
      slots: withOthers(
        slots.map(({ part, property }, slot) => ({
          part,
          property,
          missingCount: count?.missing[slot]?.count ?? 0,
          firstMissing: count?.missing[slot]?.first ?? -1,
          same: count?.same[slot]?.isSame ? count.same[slot]?.value : undefined,
          unknown: mostFrequent(count?.unknown[slot]),
          unfit: count?.unfit[slot],
        })),
      ),
    };
  });
}

/** What stands several times is counted where it stands first. */
function withOthers(slots: readonly SlotSurvey[]): readonly SlotSurvey[] {
  const places = new Map<string, number[]>();
  slots.forEach(({ part, property }, at) => {
    const key = `${part} ${property}`;
    places.set(key, [...(places.get(key) ?? []), at]);
  });
  return slots.map((slot, at) => {
    const all = places.get(`${slot.part} ${slot.property}`) ?? [];
    if (all.length < 2) return slot;
    if (all[0] !== at)
      return { ...slot, missingCount: 0, firstMissing: -1, same: undefined, ...noOdds };
    const each = all.flatMap((place) => slots[place] ?? []);
    return {
      ...slot,
      missingCount: each.reduce((sum, { missingCount }) => sum + missingCount, 0),
      firstMissing: each.find(({ firstMissing }) => firstMissing >= 0)?.firstMissing ?? -1,
      same: each.every(({ same }) => same === slot.same) ? slot.same : undefined,
      unknown: each.flatMap(({ unknown }) => unknown),
      unfit: each.find(({ unfit }) => unfit !== undefined)?.unfit,
    };
  });
}

const noOdds = { unknown: [], unfit: undefined } as const;

const emptyCount = (template: CompiledTemplate): Count => ({
  itemCount: 0,
  longest: -1,
  longestChars: -1,
  shortest: -1,
  shortestChars: Number.POSITIVE_INFINITY,
  missing: template.slots.map(() => ({ count: 0, first: -1 })),
  same: template.slots.map(() => ({ value: undefined, isSame: true })),
  unknown: template.slots.map((slot) => (slot.declared.kind === 'picture' ? new Map() : undefined)),
  unfit: template.slots.map(() => undefined),
});

interface Counted {
  readonly values: readonly EntryValue[];
  /** Whether a slot needs no value: it stands for an element that is not there, or may be missing. */
  readonly isAbsent: (slot: number) => boolean;
  readonly titleSlot: number;
}

function add(count: Count, item: number, { values, isAbsent, titleSlot }: Counted): void {
  count.itemCount += 1;
  for (let slot = 0; slot < values.length; slot += 1) {
    const missing = count.missing[slot];
    const same = count.same[slot];
    const value = values[slot];
    if (same !== undefined && value !== undefined) {
      if (same.value === undefined) same.value = value;
      else if (same.isSame && same.value !== value) same.isSame = false;
    }
    if (value !== undefined || missing === undefined || isAbsent(slot)) continue;
    missing.count += 1;
    if (missing.first < 0) missing.first = item;
  }
  const title = values[titleSlot];
  if (typeof title !== 'string') return;
  const chars = title.length;
  if (chars > count.longestChars) {
    count.longest = item;
    count.longestChars = chars;
  }
  if (chars < count.shortestChars) {
    count.shortest = item;
    count.shortestChars = chars;
  }
}

/** Pictures at addresses are not asked for: nobody wanted that request. */
function addUnknown(
  count: Count,
  item: number,
  values: readonly EntryValue[],
  hasPicture: (name: string) => boolean,
): void {
  for (let slot = 0; slot < values.length; slot += 1) {
    const unknown = count.unknown[slot];
    const name = values[slot];
    if (unknown === undefined || typeof name !== 'string' || name === '' || hasPicture(name))
      continue;
    const known = unknown.get(name);
    if (known !== undefined) known.itemCount += 1;
    else if (unknown.size < maxUnknown) unknown.set(name, { itemCount: 1, first: item });
  }
}

const cutIn = ({ declared }: BoundSlot, value: EntryValue): string | undefined =>
  declared.kind === 'text' && typeof value === 'string' ? leftOut(value) : undefined;

function addUnfit(
  count: Count,
  item: number,
  whyOf: (slot: BoundSlot, at: number) => string | undefined,
  { slots }: CompiledTemplate,
): void {
  for (const [slot, each] of slots.entries()) {
    const why = whyOf(each, slot);
    if (why === undefined) continue;
    const { itemCount = 0, ...first } = count.unfit[slot] ?? { first: item, why };
    count.unfit[slot] = { ...first, itemCount: itemCount + 1 };
  }
}

const mostFrequent = (unknown: ReadonlyMap<string, Unknown> = new Map()): UnknownPicture[] =>
  [...unknown]
    .map(([name, { itemCount, first }]) => ({ name, itemCount, first }))
    .sort((a, b) => b.itemCount - a.itemCount);
