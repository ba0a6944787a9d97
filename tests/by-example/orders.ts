import { type Random, seededRandom } from '../../src/core/base';
import type { Item } from '../../src/core/items';

/** Items of forty fields, as an invented wool shop could send them: made, not taken from anywhere. */
export function orders(count: number, seed: number): readonly Item[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, (_, at) => order(random, at));
}

const first = ['Marit', 'Tamsin', 'Ivo', 'Ada', 'Oona', 'Bram', 'Signe', 'Lorcan', 'Yara', 'Piet'];
const last = ['Oll', 'Reeve', 'Pell', 'Quill', 'Thorne', 'Vask', 'Ember', 'Lowe', 'Brandt', 'Sund'];
const towns = ['Ousby', 'Tarnside', 'Garth', 'Low Mill', 'Hagg End', 'Sourmire', 'Brackenrigg'];
const makers = [
  'Hollow Fell',
  'Upper Tarn Wool Guild',
  'Little Garth',
  'Moss & Daughters',
  'Kiln Yard',
];
const yarns = [
  'Merino lace',
  'Gotland lambswool',
  'Alpaca mist',
  'Weld and woad',
  'Linen slub',
  'Madder sock',
  'Mohair halo',
  'Cobweb Shetland',
  'Tweed ends',
  'Brushed suri',
];
const shades = ['undyed', 'slate', 'madder', 'woad', 'moss', 'walnut', 'heather', 'oatmeal'];
const tags = ['soft', 'hand-dyed', 'new', 'last one', 'local', 'heavy', 'lace'];
const sayings = [
  'Soft and even',
  'Took the dye well',
  'A little scratchy',
  'Knits up fast',
  'Lovely halo',
];

function order(random: Random, at: number): Item {
  const one = <T>(of: readonly [T, ...T[]] | readonly T[]): T => {
    const found = of[Math.floor(random() * of.length)];
    if (found === undefined) throw new RangeError('Nothing to choose from.');
    return found;
  };
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const cents = (from: number, to: number) => whole(from * 100, to * 100) / 100;
  const some = <T>(of: readonly T[], max: number) => of.filter(() => random() < max / of.length);
  const day = (from: string, days: number) =>
    new Date(Date.parse(from) + whole(0, days) * 86_400_000).toISOString().slice(0, 10);
  const isRare = random() < 0.08;
  const price = isRare ? cents(900, 4_000) : cents(2, 90);
  const name = one(yarns);
  const shade = one(shades);
  const lineCount = whole(1, 5);
  const item: Record<string, Item[string]> = {
    id: `or-${String(10_000 + at)}`,
    name: `${name}, ${shade}`,
    shade,
    code: `${name.slice(0, 2).toUpperCase()}${whole(100, 999)}`,
    maker: {
      name: one(makers),
      town: one(towns),
      since: whole(1951, 2019),
      members: whole(2, 240),
    },
    buyer: { first: one(first), last: one(last), city: one(towns) },
    price,
    oldPrice: Math.round(price * (1 + random()) * 100) / 100,
    shipping: cents(2, 14),
    currency: one(['EUR', 'EUR', 'EUR', 'GBP', 'USD']),
    grams: one([25, 50, 75, 100, 150, 250]),
    metres: whole(60, 900),
    stock: random() < 0.12 ? 1 : whole(0, 60),
    reserved: whole(0, 12),
    rating: whole(21, 50) / 10,
    reviewCount: random() < 0.15 ? 1 : random() < 0.1 ? whole(1_000, 24_000) : whole(0, 400),
    discount: whole(0, 70) / 100,
    cotton: whole(0, 100),
    views: whole(40, 2_400_000),
    fileBytes: whole(900, 90_000_000),
    dyedOn: day('2025-09-01', 200),
    due: day('2026-03-01', 60),
    packedAt: `${day('2026-02-20', 30)}T${String(whole(6, 21)).padStart(2, '0')}:${String(whole(0, 59)).padStart(2, '0')}:00Z`,
    opens: `${String(whole(7, 11)).padStart(2, '0')}:${one(['00', '15', '30', '45'])}`,
    sold: random() < 0.3,
    urgent: random() < 0.25,
    organic: random() < 0.5,
    needles: whole(20, 80) / 10,
    year: whole(2019, 2026),
    batch: whole(1, 480),
    shelf: `${one(['A', 'B', 'C', 'D'])}${whole(1, 40)}`,
    postcode: String(whole(10_000, 99_999)),
    distanceKm: whole(4, 7_000) / 10,
    celsius: whole(8, 95),
    minutes: whole(5, 240),
    status: one(['packed', 'waiting', 'on its way', 'delivered']),
    note: one(['leave at the gate', 'ring twice', 'for a friend', 'no hurry', 'by the mill door']),
    tags: some(tags, 2.4),
    reviews: Array.from({ length: random() < 0.2 ? 1 : whole(0, 6) }, () => ({
      by: one(first),
      stars: whole(1, 5),
      words: one(sayings),
      on: day('2026-01-01', 80),
    })),
    lines: Array.from({ length: lineCount }, () => ({
      what: one(yarns),
      quantity: whole(1, 6),
      each: cents(2, 60),
      gift: random() < 0.2,
    })),
  };
  for (const field of ['note', 'dyedOn', 'oldPrice', 'shelf'])
    if (random() < 0.12) delete item[field];
  return item;
}
