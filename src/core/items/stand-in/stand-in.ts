import { type Json, type Random, seededRandom } from '../../base';
import { applyFeed, type FeedEvent } from '../feed';
import type { Item } from '../item';

/** What a service without a back end behind it is to be, by parameters alone: it keeps nothing. */
export interface StandIn {
  readonly seed: number;
  /** Of items, before any event. */
  readonly count: number;
}

const dyes = ['undyed', 'madder', 'woad', 'weld', 'walnut', 'moss'] as const;
const yarns = [
  'Merino lace',
  'Gotland sock',
  'Cobweb Shetland',
  'Linen slub',
  'Mohair halo',
] as const;

/** The items as they are before any event; `id` is their key. */
export const standInItems = ({ seed, count }: StandIn): readonly Item[] =>
  Array.from({ length: count }, (_, at) => itemAt(seed, `st-${at}`, at));

function itemAt(seed: number, id: string, salt: number): Item {
  const random = seededRandom(seed * 7_919 + salt * 104_729);
  const dye = pick(random, dyes);
  return {
    id,
    name: `${pick(random, yarns)}, ${dye}`,
    dye,
    grams: 25 * (1 + Math.floor(random() * 6)),
    stock: Math.floor(random() * 40),
    price: Math.round(200 + random() * 3_000) / 100,
  };
}

function pick<T>(random: Random, among: readonly [T, ...(readonly T[])]): T {
  return among[Math.floor(random() * among.length)] ?? among[0];
}

/** What happens as the `number`th thing, from 1 on: half are edits, the others add, take away and move. */
export function standInEvent({ seed, count }: StandIn, number: number): FeedEvent {
  const random = seededRandom(seed * 31 + number * 65_537);
  const kind = random();
  const at = Math.floor(random() * Math.max(1, count));
  if (kind < 0.5) {
    const item = itemAt(seed, `st-${at}`, at);
    return told('changed', { ...item, stock: Math.floor(random() * 40) });
  }
  if (kind < 0.7) return told('added', itemAt(seed, `new-${number}`, count + number));
  if (kind < 0.85) return told('removed', `st-${at}`);
  return told('moved', { key: `st-${at}`, at: Math.floor(random() * 20) });
}

const told = (name: string, value: Json): FeedEvent => ({ name, data: JSON.stringify(value) });

/** The `asked`th request of a service that fails so many times in a hundred: whether it does. */
export const standInFails = (seed: number, asked: number, percent: number): boolean =>
  seededRandom(seed * 13 + asked * 7)() * 100 < percent;

/** The items once so many things have happened. */
export function itemsAfter(standIn: StandIn, events: number): readonly Item[] {
  const items = standInItems(standIn);
  if (events === 0) return items;
  const positions = new Map(items.map(({ id }, at) => [String(id), at]));
  const keys = { key: 'id', positionOf: (key: string) => positions.get(key) ?? -1 };
  const happened = Array.from({ length: events }, (_, at) => standInEvent(standIn, at + 1));
  return applyFeed(items, keys, happened).next.items;
}
