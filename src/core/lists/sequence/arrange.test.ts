import fc from 'fast-check';
import { expect, test } from 'vitest';
import { Lines } from '../../layout';
import { type Arranging, arrange } from './arrange';
import { breadthAt, breadths } from './breadths';
import { type EntryKind, entryKinds, kindNumber } from './entry-kinds';
import { linesOf, stripColumns } from './lines';
import { isStrip, lineAfter, placesBetween, placesIn, runsOf } from './places';
import { inSections, oneSection } from './sections';

/** Any list: some items left out, in any order, with any of what may stand beside rows. */
const lists = fc
  .record({
    plans: fc.array(fc.integer({ min: -1, max: 2 }), { maxLength: 40 }),
    sectionCount: fc.integer({ min: 0, max: 5 }),
    has: fc.record({
      heading: fc.boolean(),
      footing: fc.boolean(),
      separator: fc.boolean(),
      header: fc.boolean(),
      footer: fc.boolean(),
      inserts: fc.boolean(),
      state: fc.boolean(),
    }),
    showsEmpty: fc.boolean(),
    from: fc.integer({ min: 1, max: 6 }),
    every: fc.integer({ min: 1, max: 6 }),
    inEachSection: fc.boolean(),
    mayBeLast: fc.boolean(),
    itemCount: fc.integer({ min: 0, max: 3 }),
    seed: fc.integer({ min: 1, max: 1_000 }),
    foldedBits: fc.nat(31),
  })
  .map((of) => {
    const planOfItem = Int16Array.from(of.plans);
    const mixed = of.plans.map((_, at) => at).sort((a, b) => rank(a, of.seed) - rank(b, of.seed));
    const order = Int32Array.from(mixed);
    const sectionOfItem = Int32Array.from(of.plans, (_, at) =>
      of.sectionCount === 0 ? 0 : rank(at, of.seed + 7) % of.sectionCount,
    );
    const sections =
      of.sectionCount === 0
        ? oneSection(planOfItem, order)
        : inSections(planOfItem, order, { sectionOfItem, count: of.sectionCount });
    const places = {
      from: of.from,
      every: of.every,
      ...(of.inEachSection && { inEachSection: true as const }),
      ...(of.mayBeLast && { mayBeLast: true as const }),
    };
    const plan = (name: keyof typeof of.has, at: number) => (of.has[name] ? at : undefined);
    const arranging: Arranging = {
      ...{ planOfItem, sections, showsEmpty: of.showsEmpty },
      ...{ heading: plan('heading', 3), footing: plan('footing', 4) },
      ...{ header: plan('header', 5), footer: plan('footer', 6), separator: plan('separator', 7) },
      inserts: of.has.inserts ? { plan: 8, places, itemCount: of.itemCount } : undefined,
      state: of.has.state ? { plan: 9, count: 1 } : undefined,
      folded: Uint8Array.from({ length: sections.count }, (_, at) => (of.foldedBits >> at) & 1),
    };
    return { arranging, order, sectionOfItem, places, of };
  });

const rank = (at: number, seed: number): number => (at * 7919 + seed * 104_729) % 10_007;

/** The kinds of entries, in order. */
const kindsOf = (arranging: Arranging): readonly EntryKind[] =>
  [...arrange(arranging).kinds].map((kind) => entryKinds[kind] ?? 'row');

const runs = { numRuns: 1_000 };

test('each shown item has one row, in its section, in the order of the items; folded sections have none', () => {
  fc.assert(
    fc.property(lists, ({ arranging, order, sectionOfItem }) => {
      const arranged = arrange(arranging);
      const rows = [...arranged.kinds].flatMap((kind, entry) =>
        kind === 0 ? [{ item: arranged.items[entry], section: arranged.sections[entry] }] : [],
      );
      const expected = Array.from({ length: arranging.sections.count }, (_, section) =>
        arranging.folded?.[section] === 1
          ? []
          : [...order].flatMap((item) =>
              (arranging.planOfItem[item] ?? -1) >= 0 && sectionOfItem[item] === section
                ? [{ item, section }]
                : [],
            ),
      ).flat();
      expect(rows).toEqual(expected);
      expect(arranged.rowCount).toBe(arranging.planOfItem.filter((plan) => plan >= 0).length);
    }),
    runs,
  );
});

test('separators stand between two rows and nowhere else', () => {
  fc.assert(
    fc.property(lists, ({ arranging }) => {
      const kinds = kindsOf(arranging);
      kinds.forEach((kind, at) => {
        if (kind === 'separator') {
          expect([kinds[at - 1], kinds[at + 1]]).toEqual(['row', 'row']);
        } else if (kind === 'row' && arranging.separator !== undefined)
          expect(kinds[at + 1]).not.toBe('row');
      });
    }),
    runs,
  );
});

test('headings and footings stand at the ends of their sections, header and footer at those of the list', () => {
  fc.assert(
    fc.property(lists, ({ arranging }) => {
      const arranged = arrange(arranging);
      const kinds = kindsOf(arranging);
      for (let section = 0; section < arranging.sections.count; section += 1) {
        const own = kinds.flatMap((kind, at) =>
          arranged.sections[at] === section && !['header', 'footer', 'state'].includes(kind)
            ? [kind]
            : [],
        );
        const isShown =
          arranging.showsEmpty === true ||
          arranging.sections.starts[section] !== arranging.sections.starts[section + 1];
        expect(own.filter((kind) => kind === 'heading')).toHaveLength(
          isShown && arranging.heading !== undefined ? 1 : 0,
        );
        if (own.includes('heading')) expect(own[0]).toBe('heading');
        if (own.includes('footing')) expect(own.indexOf('footing')).toBe(own.length - 1);
      }
      expect(kinds.indexOf('header')).toBe(arranging.header === undefined ? -1 : 0);
      expect(kinds.indexOf('footer')).toBe(arranging.footer === undefined ? -1 : kinds.length - 1);
    }),
    runs,
  );
});

test('inserts come after exactly the rows that are said, whatever is folded, with their items in turn', () => {
  fc.assert(
    fc.property(lists, ({ arranging, places, of }) => {
      const arranged = arrange(arranging);
      const { sections, folded } = arranging;
      const expected: unknown[] = [];
      const starts = [...sections.starts];
      for (let section = 0; section < sections.count; section += 1) {
        const [start = 0, end = 0] = [starts[section], starts[section + 1]];
        for (let at = start; at < end; at += 1) {
          const isEach = places.inEachSection === true;
          const number = isEach ? at - start + 1 : at + 1;
          const last = isEach ? end - start : sections.members.length;
          const isDue = number >= places.from && (number - places.from) % places.every === 0;
          if (!isDue || (number === last && places.mayBeLast !== true)) continue;
          if (folded?.[section] === 1 || arranging.inserts === undefined || of.itemCount === 0)
            continue;
          const turn = (number - places.from) / places.every;
          expected.push({ after: sections.members[at], item: turn % of.itemCount });
        }
      }
      const insert = kindNumber('insert');
      const found = [...arranged.kinds].flatMap((kind, entry) =>
        kind === insert ? [{ after: arranged.items[entry - 1], item: arranged.items[entry] }] : [],
      );
      expect(found).toEqual(expected);
    }),
    runs,
  );
});

/** How rows of each plan stand, and in how many columns. */
const cells = fc.record({
  columnCount: fc.integer({ min: 1, max: 5 }),
  ofPlans: fc.option(fc.uint8Array({ minLength: 3, maxLength: 3, max: 2 }), { nil: undefined }),
});

test('all entries stand in lines, each once: cells in columns, strips as long as their rows follow each other, the rest alone', () => {
  fc.assert(
    fc.property(lists, cells, ({ arranging }, { columnCount, ofPlans }) => {
      const arranged = arrange({ ...arranging, breadths: ofPlans });
      const { kinds, plans, sections } = arranged;
      const heightOf = Int32Array.from({ length: 10 }, (_, plan) => 10 + plan);
      const lines = linesOf(
        arranged,
        { ofPlans: heightOf, ofEntries: undefined },
        { columnCount, ofPlans, aroundStrips: 5 },
      );
      const breadth = (entry: number) => breadthAt(arranged, ofPlans, entry);
      let entry = 0;
      lines.firsts.forEach((first, line) => {
        expect(first).toBe(entry);
        const next = lines.firsts[line + 1] ?? kinds.length;
        const own = Array.from({ length: next - first }, (_, at) => first + at);
        const isStrip = breadth(first) === breadths.strip;
        const isCell = breadth(first) === breadths.cell;
        expect(new Set(own.map(breadth)).size).toBe(1);
        expect(lines.columns[line]).toBe(isStrip ? stripColumns : isCell ? columnCount : 1);
        if (!isStrip) expect(own.length).toBeLessThanOrEqual(lines.columns[line] ?? 0);
        if (isStrip) expect(new Set(own.map((each) => sections[each])).size).toBe(1);
        const highest = Math.max(...own.map((each) => heightOf[plans[each] ?? 0] ?? 0));
        expect(lines.heights[line]).toBe(highest + (isStrip ? 5 : 0));
        // A line that is not full is the last of its run, a strip in its section.
        const isRunOn = next < kinds.length && breadth(next) === breadth(first);
        if (isRunOn && isCell) expect(own.length).toBe(columnCount);
        if (isRunOn && isStrip) expect(sections[next]).not.toBe(sections[first]);
        entry = next;
      });
      expect(entry).toBe(kinds.length);
    }),
    runs,
  );
});

test('no separator stands beside a row of a strip', () => {
  fc.assert(
    fc.property(lists, cells, ({ arranging }, { ofPlans }) => {
      const arranged = arrange({ ...arranging, breadths: ofPlans });
      arranged.kinds.forEach((kind, entry) => {
        if (kind !== kindNumber('separator')) return;
        for (const beside of [entry - 1, entry + 1])
          expect(breadthAt(arranged, ofPlans, beside)).not.toBe(breadths.strip);
      });
    }),
    runs,
  );
});

test('the places of lines are those of all their entries, of a strip those that are seen', () => {
  fc.assert(
    fc.property(
      lists,
      cells,
      fc.nat(30),
      fc.nat(9),
      ({ arranging }, { columnCount, ofPlans }, first, seen) => {
        const arranged = arrange({ ...arranging, breadths: ofPlans });
        const entryCount = arranged.kinds.length;
        const heights = { ofPlans: new Int32Array(10).fill(64), ofEntries: undefined };
        const lines = new Lines(linesOf(arranged, heights, { columnCount, ofPlans }), 0, 0);
        const windowOf = () => ({ from: seen - 4, to: seen });
        const last = lineAfter(lines, first, 1, 12);
        const places = placesIn({ first, last }, { lines, entryCount, windowOf });
        const expected = placesBetween(0, entryCount).filter((entry) => {
          const line = lines.of(entry);
          const at = entry - lines.firstOf(line);
          return (
            line >= first &&
            line <= last &&
            (!isStrip(lines, line) || (at >= seen - 4 && at < seen))
          );
        });
        expect(places).toEqual(expected);
        expect(runsOf(places).flatMap(({ from, to }) => placesBetween(from, to))).toEqual(places);
      },
    ),
    runs,
  );
});

test('in place of rows stands the state alone, between header and footer', () => {
  const planOfItem = Int16Array.of(0, 0, 1);
  const arranging: Arranging = {
    ...{
      planOfItem,
      sections: oneSection(planOfItem, undefined),
      header: 2,
      heading: 3,
      footer: 4,
    },
    ...{ state: { plan: 5, count: 2 }, hidesRows: true },
  };
  expect(kindsOf(arranging)).toEqual(['header', 'state', 'state', 'footer']);
});
