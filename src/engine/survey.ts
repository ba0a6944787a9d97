import type { Turns } from '../core/base';
import type { Item } from '../core/items';
import type { Arranged } from '../core/lists';
import type { CompiledTemplate } from '../core/templates';
import type { TemplateSurvey } from './protocol';

const entriesATurn = 2_000;

interface Count {
  itemCount: number;
  longest: number;
  longestChars: number;
  shortest: number;
  shortestChars: number;
  readonly missing: { count: number; first: number }[];
}

/** For each template: what is missing in how many items, and the items at its extremes. */
export function* surveyTemplates(
  templates: readonly CompiledTemplate[],
  arranged: Arranged,
  items: readonly Item[],
): Turns<readonly TemplateSurvey[]> {
  const counts = templates.map(emptyCount);
  const titleSlots = templates.map(({ slots }) =>
    slots.findIndex((slot) => slot.property === 'text'),
  );
  for (let entry = 0; entry < arranged.items.length; entry += 1) {
    const item = arranged.items[entry] ?? 0;
    const plan = arranged.plans[entry] ?? 0;
    const count = counts[plan];
    const template = templates[plan];
    if (count === undefined || template === undefined) continue;
    add(count, item, template.texts(items[item] ?? {}), titleSlots[plan] ?? -1);
    if (entry % entriesATurn === entriesATurn - 1) yield entry / arranged.items.length;
  }
  return templates.map(({ template, slots }, index) => {
    const count = counts[index];
    return {
      template: template.id,
      itemCount: count?.itemCount ?? 0,
      longest: count?.longest ?? -1,
      shortest: count?.shortest ?? -1,
      slots: slots.map(({ part, property }, slot) => ({
        part,
        property,
        missingCount: count?.missing[slot]?.count ?? 0,
        firstMissing: count?.missing[slot]?.first ?? -1,
      })),
    };
  });
}

const emptyCount = (template: CompiledTemplate): Count => ({
  itemCount: 0,
  longest: -1,
  longestChars: -1,
  shortest: -1,
  shortestChars: Number.POSITIVE_INFINITY,
  missing: template.slots.map(() => ({ count: 0, first: -1 })),
});

function add(
  count: Count,
  item: number,
  texts: readonly (string | undefined)[],
  titleSlot: number,
): void {
  count.itemCount += 1;
  for (let slot = 0; slot < texts.length; slot += 1) {
    const missing = count.missing[slot];
    if (texts[slot] !== undefined || missing === undefined) continue;
    missing.count += 1;
    if (missing.first < 0) missing.first = item;
  }
  const chars = texts[titleSlot]?.length;
  if (chars === undefined) return;
  if (chars > count.longestChars) {
    count.longest = item;
    count.longestChars = chars;
  }
  if (chars < count.shortestChars) {
    count.shortest = item;
    count.shortestChars = chars;
  }
}
