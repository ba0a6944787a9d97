import { seededRandom } from '../../src/core/base';
import type { Item } from '../../src/core/items';

/** Trips on invented boats: the items of the targets that are kept apart. */
export function trips(count: number, seed: number): readonly Item[] {
  const random = seededRandom(seed);
  const one = <T>(of: readonly T[]): T => {
    const found = of[Math.floor(random() * of.length)];
    if (found === undefined) throw new RangeError('Nothing to choose from.');
    return found;
  };
  const whole = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const cents = (from: number, to: number) => whole(from * 100, to * 100) / 100;
  const day = (from: string, days: number) =>
    new Date(Date.parse(from) + whole(0, days) * 86_400_000).toISOString().slice(0, 10);
  return Array.from({ length: count }, (_, at): Item => {
    const boat = one(boats);
    const seats = whole(4, 60);
    return {
      ref: `tr-${String(2_000 + at)}`,
      title: `${boat} to ${one(places)}`,
      boat,
      route: `${one(places)} - ${one(places)}`,
      link: `https://${one(hosts)}/trips/${String(at)}`,
      mail: `${one(firsts).toLowerCase()}.${one(lasts).toLowerCase()}@${one(hosts)}`,
      guest: { given: one(firsts), family: one(lasts), age: whole(16, 83) },
      fare: { amount: cents(8, 320), currency: one(['EUR', 'GBP', 'SEK']), tax: cents(1, 30) },
      deposit: cents(2, 40),
      seats,
      taken: whole(0, seats),
      minutes: whole(35, 600),
      seconds: whole(20, 4_000),
      depth: whole(30, 900) / 10,
      speed: whole(300, 2_400) / 100,
      wind: whole(0, 12),
      progress: whole(0, 100) / 100,
      luggageBytes: whole(4_000, 80_000_000),
      leaves: day('2026-02-20', 70),
      booked: day('2025-11-01', 130),
      startsAt: `${day('2026-03-01', 50)}T${String(whole(6, 20)).padStart(2, '0')}:${one(['00', '15', '30', '45'])}:00Z`,
      crew: Array.from({ length: whole(1, 4) }, () => one(firsts)),
      stops: Array.from({ length: whole(1, 5) }, () => ({
        harbour: one(places),
        miles: whole(2, 60),
        fee: cents(1, 20),
        lit: random() < 0.5,
      })),
      marks: Array.from({ length: whole(2, 5) }, () => whole(1, 10)),
      dogs: random() < 0.4,
      full: random() < 0.2,
      remark: one(remarks),
      state: one(['boarding', 'at sea', 'moored', 'cancelled']),
      code: `${one(['N', 'S', 'E', 'W'])}${one(['A', 'B', 'C'])}-${String(whole(100, 999))}`,
    };
  });
}

const boats = ['Grey Heron', 'Little Auk', 'Salt Marsh', 'Ebb Tide', 'Puffin', 'Old Sedge Warbler'];
const places = ['Fenwick', 'Low Staithe', 'Marram', 'Hythe End', 'Skerry', 'Cold Quay', 'Ness'];
const firsts = ['Ines', 'Tobias', 'Maren', 'Eoin', 'Saskia', 'Jory', 'Nell', 'Anselm'];
const lasts = ['Vardy', 'Ostler', 'Kell', 'Brome', 'Tansy', 'Hurst', 'Quayle', 'Odell'];
const hosts = ['boats.example', 'quay.example.org', 'www.skerry.example', 'tides.example.net'];
const remarks = [
  'Bring something warm, the wind on the bar is stronger than it looks from the quay',
  'Short ladder at the far end',
  'Dogs stay on the lower deck until the harbour is left behind and the sails are set',
  'No card payments aboard',
];
