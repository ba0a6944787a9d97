/** How the stand-in service behaves towards a source that follows it. */
export interface StandInWishes {
  /** Milliseconds from one event to the next; undefined: nothing happens. */
  readonly every: number | undefined;
  /** Milliseconds that each answer comes late. */
  readonly latency: number;
  /** Of a hundred requests. */
  readonly fail: number;
  /** After so many events a stream is cut off; 0: it is not. */
  readonly drop: number;
}

const items = '/api/stand-in/items';
const events = '/api/stand-in/events';

/** The address of its items, on the server that this page comes from. */
export const standInAddress = (): string => `${location.origin}${items}?seed=1&count=60`;

export const isStandIn = (address: string): boolean => {
  const at = URL.parse(address, location.origin);
  return at?.origin === location.origin && at.pathname === items;
};

/** The address of what happens to the items of an address, as it is wished. */
export function eventsOf(address: string, { every, latency, fail, drop }: StandInWishes): string {
  const at = new URL(address, location.origin);
  at.pathname = events;
  const wished = { every, latency, fail, drop };
  for (const [name, value] of Object.entries(wished))
    if (value === undefined || value === 0) at.searchParams.delete(name);
    else at.searchParams.set(name, String(value));
  return at.href;
}

/** What an address of events says. */
export function wishesIn(address: string | undefined): StandInWishes {
  const query = address === undefined ? undefined : new URL(address, location.origin).searchParams;
  const said = (name: string) => Number(query?.get(name) ?? 0);
  return {
    every: query === undefined ? undefined : said('every') || 1_000,
    ...{ latency: said('latency'), fail: said('fail'), drop: said('drop') },
  };
}
