import { ownValue } from '../../../core/base';
import { edits } from '../../../core/project';
import type { ArrivalSummary, FollowNews } from '../../../engine';
import { keepInTime } from '../keeping/keep';
import { handAgain } from './at-hand';
import { make } from './editing';
import { engine, type Followed, onNews, showFrame, useSession, wantedRange } from './session';

const justBegun: Followed = {
  heardAt: undefined,
  addedCount: 0,
  changedCount: 0,
  removedCount: 0,
  trouble: undefined,
};

/** Lets a source's items keep coming, as its origin says how; nothing is asked that nobody asked for. */
export function followSource(id: string): void {
  follow({ ...useSession.getState().followed, [id]: justBegun });
}

export function pauseSource(id: string): void {
  const { [id]: _, ...others } = useSession.getState().followed;
  follow(others);
}

/** Follows every source that says how: right after they were fetched. */
export function followAll(): void {
  const sources = useSession.getState().history?.project.sources ?? [];
  const following = sources.filter((source) => source.from.follow !== undefined);
  if (following.length > 0) follow(Object.fromEntries(following.map(({ id }) => [id, justBegun])));
}

export function followNothing(): void {
  if (Object.keys(useSession.getState().followed).length > 0) follow({});
}

function follow(followed: Readonly<Record<string, Followed>>): void {
  useSession.setState({ followed });
  onNews(heard);
  void engine().follow(Object.keys(followed));
}

function heard({ source, came }: FollowNews): void {
  const before = ownValue(useSession.getState().followed, source);
  if (before === undefined) return;
  const now = came.ok
    ? { ...summed(before, came.value), heardAt: Date.now(), trouble: undefined }
    : { ...before, trouble: came.error };
  useSession.setState(({ followed }) => ({ followed: { ...followed, [source]: now } }));
  if (came.ok && came.value.isChanged) void takeArrived(source, came.value);
}

const summed = (before: Followed, came: ArrivalSummary): Followed => ({
  ...before,
  addedCount: before.addedCount + came.addedCount,
  changedCount: before.changedCount + came.changedCount,
  removedCount: before.removedCount + came.removedCount,
});

/** New fields are an edit like any other; new items are shown and kept. */
export async function takeArrived(source: string, { found }: ArrivalSummary): Promise<void> {
  const { history, reading } = useSession.getState();
  if (reading === undefined) make(edits.typesGrow(source, found));
  keepInTime();
  if (useSession.getState().history !== history) return;
  showFrame(await engine().look(wantedRange()));
  await handAgain();
}
