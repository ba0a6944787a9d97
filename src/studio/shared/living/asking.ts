import { count, type Finding, type Result } from '../../../core/base';
import { type List, listSources } from '../../../core/lists';
import { withId } from '../../../core/project';
import type { Frame, MoreCame } from '../../../engine';
import { whyNotNow } from '../session/editing';
import { takeArrived } from '../session/following';
import { engine, useSession } from '../session/session';
import { tell } from './events';

/** A page that failed is asked for again, after longer and longer. */
const firstRetryMs = 3_000;
const longestRetryMs = 300_000;

interface Waiting {
  readonly waitMs: number;
  readonly until: number;
}

/** Sources whose last page failed, and those whose next is on its way; by project, as their ids are. */
const waiting = new Map<string, Waiting>();
const onTheWay = new Set<string>();

const placeOf = (source: string): string => `${useSession.getState().id} ${source}`;

/** The end of a list is near: its next page is asked for, unless one is on its way or just failed. */
export function wantMore(frame: Frame, list: List | undefined): void {
  // What came a moment ago may not be drawn yet: then the end is another one.
  const isNow = frame.version === useSession.getState().view?.version;
  if (frame.state !== 'more' || !isNow || whyNotNow() !== undefined) return;
  for (const source of waitingSources(list)) {
    const isWaiting = (waiting.get(placeOf(source))?.until ?? 0) > Date.now();
    if (!isWaiting) void askForPage(source);
  }
}

/** Because an action asks for it, whatever failed before; in words. */
export async function askedForMore(list: List | undefined): Promise<string> {
  const [source] = waitingSources(list);
  if (source === undefined) return 'nothing: no page of its items waits';
  return saidOf(await took(source, engine().more(source)));
}

/** All items of a list once more; in words. */
export async function refreshed(list: List | undefined): Promise<string> {
  const why = whyNotNow();
  if (why !== undefined) return `nothing: ${why}`;
  const sources = fetchedSources(list);
  if (sources.length === 0) return 'nothing: its items have no address';
  const said = await Promise.all(
    sources.map(async (source) => saidOf(await took(source, engine().refresh(source)))),
  );
  return said.join('; ');
}

/** The same by hand: told as an event of its own. */
export async function refreshList(list: List | undefined): Promise<void> {
  const did = await refreshed(list);
  tell({
    ...{ gesture: 'refresh', name: 'refresh', key: list?.name ?? '', did },
    ...{ payload: list?.id ?? '', payloadType: 'list' },
  });
}

async function askForPage(source: string): Promise<void> {
  const place = placeOf(source);
  if (onTheWay.has(place)) return;
  onTheWay.add(place);
  const came = await took(source, engine().more(source)).finally(() => onTheWay.delete(place));
  // Another project is open by now, which asked for none of it.
  if (placeOf(source) !== place) return;
  const waitMs = Math.min(longestRetryMs, 2 * (waiting.get(place)?.waitMs ?? firstRetryMs / 2));
  if (came.ok) waiting.delete(place);
  else {
    waiting.set(place, { waitMs, until: Date.now() + waitMs });
    setTimeout(() => {
      if (placeOf(source) === place && whyNotNow() === undefined) void askForPage(source);
    }, waitMs);
  }
  const again = came.ok ? '' : `; asked again in ${Math.round(waitMs / 1_000)} s`;
  tell({
    ...{ gesture: 'more', name: 'more', key: nameOf(source), did: saidOf(came) + again },
    ...{ payload: came.ok ? came.value.addedCount : 0, payloadType: 'items' },
  });
}

async function took(
  source: string,
  asking: Promise<Result<MoreCame, Finding>>,
): Promise<Result<MoreCame, Finding>> {
  const { id } = useSession.getState();
  const came = await asking;
  if (came.ok && useSession.getState().id === id) await takeArrived(source, came.value);
  return came;
}

function saidOf(came: Result<MoreCame, Finding>): string {
  if (!came.ok) return `nothing: ${came.error.message}`;
  const { addedCount, changedCount, removedCount, hasMore } = came.value;
  const said = [
    ...(addedCount > 0 ? [`${count(addedCount, 'item')} came`] : []),
    ...(changedCount > 0 ? [`${changedCount} changed`] : []),
    ...(removedCount > 0 ? [`${removedCount} went`] : []),
  ];
  const what = said.length === 0 ? 'nothing has changed' : said.join(', ');
  return hasMore ? what : `${what}; these are all`;
}

const sourcesOf = (list: List | undefined) =>
  (list === undefined ? [] : listSources(list)).flatMap((id) => {
    const source = withId(useSession.getState().history?.project.sources ?? [], id);
    return source === undefined ? [] : [source];
  });

const waitingSources = (list: List | undefined): readonly string[] =>
  sourcesOf(list).flatMap(({ id, from }) => (from.pages?.waits === true ? [id] : []));

const fetchedSources = (list: List | undefined): readonly string[] =>
  sourcesOf(list).flatMap(({ id, from }) => (/^https?:\/\//.test(from.file) ? [id] : []));

const nameOf = (source: string): string =>
  withId(useSession.getState().history?.project.sources ?? [], source)?.name ?? source;
