/** The items of a list by sections: each once, in order. */
export interface Sections {
  readonly count: number;
  /** Where in `members` each section begins, and last where the last ends. */
  readonly starts: Int32Array;
  /** Positions of items, section by section. */
  readonly members: Int32Array;
}

/** All items that are shown as one section: what a list without sections has. */
export function oneSection(planOfItem: Int16Array, order: Int32Array | undefined): Sections {
  const members = shownItems(planOfItem, order);
  return { count: 1, starts: Int32Array.of(0, members.length), members };
}

/**
 * Items by sections, within each in their order. `sectionOfItem`: the position of each item's
 * section, among `count` of them. Counted, not compared: this runs over all items.
 */
export function inSections(
  planOfItem: Int16Array,
  order: Int32Array | undefined,
  { sectionOfItem, count }: { readonly sectionOfItem: Int32Array; readonly count: number },
): Sections {
  const shown = shownItems(planOfItem, order);
  const starts = new Int32Array(count + 1);
  for (let at = 0; at < shown.length; at += 1) {
    const next = (sectionOfItem[shown[at] ?? 0] ?? 0) + 1;
    starts[next] = (starts[next] ?? 0) + 1;
  }
  for (let section = 1; section <= count; section += 1)
    starts[section] = (starts[section] ?? 0) + (starts[section - 1] ?? 0);
  const next = starts.slice();
  const members = new Int32Array(shown.length);
  for (let at = 0; at < shown.length; at += 1) {
    const item = shown[at] ?? 0;
    const section = sectionOfItem[item] ?? 0;
    const place = next[section] ?? 0;
    members[place] = item;
    next[section] = place + 1;
  }
  return { count, starts, members };
}

/** The items that have a row, in order. */
function shownItems(planOfItem: Int16Array, order: Int32Array | undefined): Int32Array {
  const items = new Int32Array(planOfItem.length);
  let count = 0;
  for (let at = 0; at < planOfItem.length; at += 1) {
    const item = order === undefined ? at : (order[at] ?? 0);
    if ((planOfItem[item] ?? -1) < 0) continue;
    items[count] = item;
    count += 1;
  }
  return items.subarray(0, count);
}
