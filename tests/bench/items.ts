import type { Item } from '../../src/core/items';

const makers = ['Hollow Fell', 'Upper Tarn Wool Guild', 'Little Garth'];
const yarns = [
  'Merino lace',
  'Gotland sock',
  'Shetland cobweb',
  'Alpaca mist',
  'Linen slub',
  'Mohair halo',
];
const dyes = ['undyed', 'madder', 'woad', 'weld', 'walnut', 'moss'];

/** Items of 22 fields and three kinds like the demo's, the same for the same seed. */
export function benchItems(count: number): Item[] {
  let state = 7;
  const random = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
  const pick = (from: readonly string[]) => from[Math.floor(random() * from.length)] ?? '';
  return Array.from({ length: count }, (_, i) => {
    const kind = random() < 0.6 ? 'skein' : random() < 0.6 ? 'tool' : 'class';
    return {
      id: `it-${String(i).padStart(6, '0')}`,
      kind,
      name: `${pick(yarns)}, ${pick(dyes)} ${Math.floor(random() * 9_999)}`,
      price: Math.round(random() * 9_000) / 100,
      currency: 'EUR',
      grams: Math.floor(random() * 300),
      stock: Math.floor(random() * 80),
      ...(random() < 0.9 && {
        dyedOn: `2026-0${1 + Math.floor(random() * 9)}-1${Math.floor(random() * 9)}`,
      }),
      maker: { name: pick(makers), town: pick(['Ousby', 'Garth', 'Tarnside']) },
      lot: Math.floor(random() * 1e6),
      shade: pick(dyes),
      width: Math.round(random() * 1_000) / 10,
      note: `Spun on a ${pick(dyes)} day, plied with ${pick(yarns)} and left to rest for ${Math.floor(random() * 20)} days`,
      supplier: `sup-${Math.floor(random() * 500)}`,
      shelf: `${pick(['A', 'B', 'C'])}${Math.floor(random() * 90)}`,
      weightNet: random() * 10,
      checked: random() < 0.5,
      barcode: String(Math.floor(random() * 1e12)),
      updated: `2026-03-${10 + Math.floor(random() * 20)}T1${Math.floor(random() * 9)}:00:00Z`,
      tags: [pick(dyes), pick(yarns)],
      rank: i,
      ...(kind === 'tool'
        ? { material: 'ash' }
        : kind === 'class'
          ? { teacher: 'Marit Oll' }
          : { picture: 'skein' }),
    };
  });
}
