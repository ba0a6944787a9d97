/**
 * Texts in the order of a locale, with few questions to its collator: they are first put in an order
 * that is cheap and mostly the same, and then brought in the true one by moving what is out of place.
 */

import { inKeyOrder } from './key-order';
import type { Compare } from './letters';
import { keysOfTexts } from './text-keys';

/** More moves than this for each text: the cheap order says nothing of these texts. */
const maxMoves = 12;

/** For each text the place of it among all, the same for what the locale does not tell apart; NaN where there is none. */
export function placesOfTexts(
  texts: readonly (string | undefined)[],
  compare: Compare,
): Float64Array {
  const { distinct, of } = amongDistinct(texts) ?? asTheyAre(texts);
  const placeOf = placesIn(inOrderOf(distinct, compare));
  const places = new Float64Array(texts.length);
  for (let at = 0; at < places.length; at += 1) places[at] = placeOf[of[at] ?? none] ?? Number.NaN;
  return places;
}

const none = -1;

interface Distinct {
  readonly distinct: readonly string[];
  /** For each text its position among them. */
  readonly of: Int32Array;
}

/** So many texts tell whether it pays to look for those that are there already. */
const tried = 8192;

/** Each text once; undefined if few are there more than once. */
function amongDistinct(texts: readonly (string | undefined)[]): Distinct | undefined {
  const positions = new Map<string, number>();
  const of = new Int32Array(texts.length).fill(none);
  for (let at = 0; at < texts.length; at += 1) {
    if (at === tried && positions.size > tried / 2) return undefined;
    const text = texts[at];
    if (text === undefined) continue;
    const known = positions.get(text);
    if (known === undefined) positions.set(text, positions.size);
    of[at] = known ?? positions.size - 1;
  }
  return { distinct: [...positions.keys()], of };
}

function asTheyAre(texts: readonly (string | undefined)[]): Distinct {
  const distinct: string[] = [];
  const of = new Int32Array(texts.length).fill(none);
  for (let at = 0; at < texts.length; at += 1) {
    const text = texts[at];
    if (text === undefined) continue;
    of[at] = distinct.length;
    distinct.push(text);
  }
  return { distinct, of };
}

interface InOrder {
  /** Positions of texts. */
  readonly order: Int32Array;
  /** 1 where a text is the same to the locale as the one before it. */
  readonly isLikeBefore: Uint8Array;
}

function placesIn({ order, isLikeBefore }: InOrder): Int32Array {
  const places = new Int32Array(order.length);
  let place = -1;
  for (let at = 0; at < order.length; at += 1) {
    if (isLikeBefore[at] !== 1) place += 1;
    places[order[at] ?? 0] = place;
  }
  return places;
}

function inOrderOf(texts: readonly string[], compare: Compare): InOrder {
  const keys = keysOfTexts(texts, compare);
  const { order: cheap, begins } = inKeyOrder(keys);
  const order = cheap.slice();
  const isLikeBefore = new Uint8Array(order.length);
  const isSure = (at: number): boolean => keys.areSure[cheap[at] ?? 0] === 1;
  const compareAt = (at: number, text: string): number => {
    const other = texts[order[at] ?? 0] ?? '';
    return other === text ? 0 : compare(other, text);
  };
  let moves = maxMoves * order.length;
  for (let at = 1; at < order.length; at += 1) {
    // What keys tell apart needs no asking, as long as nothing was moved in between.
    const isUnmoved = order[at - 1] === cheap[at - 1];
    if (begins[at] === 1 && isUnmoved && isSure(at - 1) && isSure(at)) continue;
    const own = cheap[at] ?? 0;
    const text = texts[own] ?? '';
    let to = at;
    let told = compareAt(to - 1, text);
    while (told > 0) {
      order[to] = order[to - 1] ?? 0;
      isLikeBefore[to] = isLikeBefore[to - 1] ?? 0;
      to -= 1;
      told = to === 0 ? -1 : compareAt(to - 1, text);
    }
    order[to] = own;
    isLikeBefore[to] = told === 0 ? 1 : 0;
    if (to === at) continue;
    isLikeBefore[to + 1] = 0;
    moves -= at - to;
    if (moves < 0) return allAsked(texts, compare);
  }
  return { order, isLikeBefore };
}

function allAsked(texts: readonly string[], compare: Compare): InOrder {
  const textAt = (at: number): string => texts[at] ?? '';
  const order = Int32Array.from(texts.keys()).sort((one, other) =>
    compare(textAt(one), textAt(other)),
  );
  const isLike = (own: number, at: number): boolean =>
    at > 0 && compare(textAt(order[at - 1] ?? 0), textAt(own)) === 0;
  return { order, isLikeBefore: Uint8Array.from(order, (own, at) => Number(isLike(own, at))) };
}
