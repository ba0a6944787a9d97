import type { APIRoute } from 'astro';
import { seededRandom } from '../../../core/base';
import { type Item, itemsAfter } from '../../../core/items';
import { type Wishes, wished } from './_wishes';

export const prerender = false;

/** Items of an invented shop, by page, in any order, late or not at all: whatever is wished. */
export const GET: APIRoute = async ({ request }) => {
  const own = await wished(request);
  if (own instanceof Response) return own;
  const all = ordered(itemsAfter(own, own.after), own);
  const items = all.slice(own.offset, own.offset + own.limit);
  const next = own.offset + own.limit < all.length ? pageAfter(request, own) : undefined;
  const headers = new Headers({ 'Content-Type': 'application/json', 'Cache-Control': 'no-store' });
  if (next !== undefined && own.pages === 'link') headers.set('Link', `<${next}>; rel="next"`);
  const named = own.pages === 'next' && { next: next ?? null };
  return new Response(JSON.stringify({ items, ...named }), { headers });
};

function pageAfter(request: Request, { offset, limit }: Wishes): string {
  const address = new URL(request.url);
  address.searchParams.set('offset', String(offset + limit));
  return address.pathname + address.search;
}

function ordered(items: readonly Item[], { seed, order }: Wishes): readonly Item[] {
  if (order === 'kept') return items;
  const random = seededRandom(seed);
  return items
    .map((item) => ({ item, place: random() }))
    .sort((one, other) => one.place - other.place)
    .map(({ item }) => item);
}
