import { Lines } from '../../src/core/layout';
import {
  arrange,
  inSections,
  linesOf,
  placesOf,
  sectionTable,
  sortedBy,
} from '../../src/core/lists';

/** What it costs to sort a list, to arrange it in sections and to fold some of it, in ms; medians as JSON. */
const median = (numbers: number[]) => numbers.sort((a, b) => a - b)[numbers.length >> 1] ?? 0;
const timed = (work: () => void, runs = 9): number =>
  median(
    Array.from({ length: runs }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    }),
  );

const heights = { ofPlans: Int32Array.of(60 * 64, 30 * 64, 40 * 64), ofEntries: undefined };

function arranging(itemCount: number, rowsASection: number) {
  const values = Array.from(
    { length: itemCount },
    (_, at) => `lot ${Math.floor(at / rowsASection)}`,
  );
  const planOfItem = new Int16Array(itemCount);
  const made = () => {
    const table = sectionTable({ values, locale: 'en' });
    return inSections(planOfItem, undefined, { ...table, count: table.keys.length });
  };
  const sections = made();
  const inserts = { plan: 2, places: { from: 3, every: 6 }, itemCount: 5 };
  const lay = (folded?: Uint8Array) => {
    const arranged = arrange({ planOfItem, sections, heading: 1, inserts, folded });
    return new Lines(linesOf(arranged, heights, { columnCount: 1 }), 0, 0);
  };
  return { made, lay, sections };
}

const million = arranging(1_000_000, 10_000);
const folding = arranging(200_000, 100_000);
const first = Uint8Array.of(1, 0);

const words = ['madder', 'Weld', 'woad', 'élan', 'moss', 'Walnut', 'heather', 'lichen', 'oak gall'];
const texts = (kind: 'words' | 'numbered') =>
  Array.from({ length: 100_000 }, (_, at) => {
    const mixed = (at * 7_919) % 99_991;
    return kind === 'numbered'
      ? `Skein ${mixed}`
      : `${words[mixed % 9]} ${words[(mixed >> 3) % 9]} ${String.fromCharCode(97 + (mixed % 26))}${words[(mixed >> 5) % 9]}`;
  });
const sorts = (['words', 'numbered'] as const).map((kind) => {
  const own = texts(kind);
  const { compare } = new Intl.Collator('en', { numeric: true });
  const column = { isDescending: false, isMissingFirst: false };
  return {
    kind,
    ours: timed(
      () => sortedBy(own.length, [{ places: placesOf(own, 'other', compare), ...column }]),
      5,
    ),
    collator: timed(() => own.toSorted(compare), 5),
  };
});

console.log(
  JSON.stringify({
    sections: timed(million.made),
    arranged: timed(() => million.lay()),
    folded: timed(() => folding.lay(first)),
    sorts,
  }),
);
