import * as yup from 'yup';
import { standInFails } from '../../../core/items';

const within = (min: number, max: number, usual: number) =>
  yup.number().integer().min(min).max(max).default(usual);

/** What a request wishes of the service; all of it has bounds. */
const wishes = yup.object({
  seed: within(0, 1_000_000, 1),
  count: within(0, 20_000, 60),
  /** How many events have happened. */
  after: within(0, 20_000, 0),
  offset: within(0, 20_000, 0),
  limit: within(1, 20_000, 20_000),
  /** How the next page is named: in the answer, or in its Link header (RFC 8288). */
  pages: yup.string().oneOf(['none', 'next', 'link']).default('none'),
  order: yup.string().oneOf(['kept', 'shuffled']).default('kept'),
  latency: within(0, 10_000, 0),
  /** Of a hundred requests. */
  fail: within(0, 100, 0),
  /** Whatever it is called by: the first request that says so fails, and no other. */
  failOnce: yup.string().max(40),
  /** Milliseconds from one event to the next. */
  every: within(20, 60_000, 1_000),
  /** After so many events a stream ends by itself; 0: it does not. */
  drop: within(0, 10_000, 0),
});

export type Wishes = yup.InferType<typeof wishes>;

let asked = 0;

/** What requests that failed once were called by, the latest. */
const failedOnce = new Set<string>();
const mostKept = 1_000;

function failsOnce(called: string | undefined): boolean {
  if (called === undefined || failedOnce.has(called)) return false;
  failedOnce.add(called);
  const [oldest] = failedOnce;
  if (failedOnce.size > mostKept && oldest !== undefined) failedOnce.delete(oldest);
  return true;
}

/** What a request wishes, after it has waited as long as it wished; or the answer that refuses it. */
export async function wished(request: Request): Promise<Wishes | Response> {
  const { searchParams } = new URL(request.url);
  const known = Object.keys(wishes.fields).flatMap((name) => {
    const said = searchParams.get(name);
    return said === null ? [] : [[name, said] as const];
  });
  let own: Wishes;
  try {
    own = wishes.validateSync(Object.fromEntries(known));
  } catch (error) {
    return problem(400, error instanceof Error ? error.message : 'These are no wishes.');
  }
  asked += 1;
  if (own.latency > 0) await new Promise((resolve) => setTimeout(resolve, own.latency));
  return failsOnce(own.failOnce) || standInFails(own.seed, asked, own.fail)
    ? problem(503, 'It fails as it was asked to.')
    : own;
}

/** RFC 9457. */
const problem = (status: number, title: string): Response =>
  new Response(JSON.stringify({ status, title }), {
    status,
    headers: { 'Content-Type': 'application/problem+json' },
  });
