import { ok } from '../../core/base';
import { withId } from '../../core/project';
import type { Engine } from '../engine';
import { Reading } from '../reading';
import { Followers } from './followers';
import type { ArrivalSummary, EngineImport, FollowNews } from './import';

const nothingCame: ArrivalSummary = {
  addedCount: 0,
  changedCount: 0,
  removedCount: 0,
  isChanged: false,
  found: [],
};

/** Lets sources of the engine's project keep coming; gives what says which. */
export function following(
  engine: Engine,
  imports: EngineImport,
  tell: (news: FollowNews) => void,
): (sources: readonly string[]) => void {
  const sourceOf = (id: string) =>
    engine.project === undefined ? undefined : withId(engine.project.sources, id);

  const followers = new Followers({
    async ask(id, signal) {
      const { from } = sourceOf(id) ?? {};
      if (from === undefined) return ok(nothingCame);
      // Of its own, so that it neither gives up what a person reads nor is given up for it.
      const reading = new Reading(() => {});
      signal.addEventListener('abort', () => reading.cancel());
      const { file: address, at, pages } = from;
      const document = { address, at, ...(pages !== undefined && { pages }) };
      const all = await reading.cancellable(document, () =>
        reading.items(document, () => {}, true),
      );
      if (!all.ok) return all;
      const source = sourceOf(id);
      const { read, inference } = all.value;
      return ok(
        source === undefined
          ? nothingCame
          : imports.keepUp(source, { items: read.items, inference }),
      );
    },

    take(id, events) {
      const source = sourceOf(id);
      return ok(source === undefined ? nothingCame : imports.takeEvents(source, events));
    },

    tell,
  });

  return (sources) =>
    followers.follow(
      sources.flatMap((id) => {
        const follow = sourceOf(id)?.from.follow;
        return follow === undefined ? [] : [{ source: id, follow }];
      }),
    );
}
