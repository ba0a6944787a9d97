/** How the stand-in service behaves towards a source that follows it. */
export interface StandInWishes {
  /** Milliseconds from one event to the next; undefined: nothing happens. */
  readonly every: number | undefined;
  /** Milliseconds that each answer comes late. */
  readonly latency: number;
  /** Of a hundred requests. */
  readonly fail: number;
  /** What the next request for its stream is called by, which fails; undefined: none has to. */
  readonly failOnce: string | undefined;
  /** After so many events a stream is cut off; 0: it is not. */
  readonly drop: number;
  /** How many items come at once, the next when a list comes near its end; undefined: all of them. */
  readonly page: number | undefined;
}

const items = '/api/stand-in/items';
const events = '/api/stand-in/events';

/** The address of its items, on the server that this page comes from. */
export const standInAddress = (): string => `${location.origin}${items}?seed=1&count=60`;

export const isStandIn = (address: string): boolean => {
  const at = URL.parse(address, location.origin);
  return at?.origin === location.origin && at.pathname === items;
};

/** The address of the items as it is wished. */
export function itemsOf(address: string, { latency, fail, page }: StandInWishes): string {
  const at = new URL(address, location.origin);
  const wished = { latency, fail, limit: page, pages: page && 'next' };
  for (const [name, value] of Object.entries(wished))
    if (value === undefined || value === 0) at.searchParams.delete(name);
    else at.searchParams.set(name, String(value));
  return at.href;
}

/** The address of what happens to the items of an address, as it is wished. */
export function eventsOf(
  address: string,
  { every, latency, fail, failOnce, drop }: StandInWishes,
): string {
  const at = new URL(address, location.origin);
  at.pathname = events;
  for (const name of ['limit', 'pages']) at.searchParams.delete(name);
  const wished = { every, latency, fail, failOnce, drop };
  for (const [name, value] of Object.entries(wished))
    if (value === undefined || value === 0) at.searchParams.delete(name);
    else at.searchParams.set(name, String(value));
  return at.href;
}

/** What the addresses of items and of events say. */
export function wishesIn(items: string, events: string | undefined): StandInWishes {
  const query = new URL(events ?? items, location.origin).searchParams;
  const said = (name: string) => Number(query.get(name) ?? 0);
  const limit = new URL(items, location.origin).searchParams.get('limit');
  return {
    every: events === undefined ? undefined : said('every') || 1_000,
    ...{ latency: said('latency'), fail: said('fail'), drop: said('drop') },
    failOnce: undefined,
    page: limit === null ? undefined : Number(limit),
  };
}
