import { type Finding, ok, type Result } from '../../core/base';
import { withId } from '../../core/project';
import type { Engine } from '../engine';
import { Asking, type MoreCame, nothingCame } from './asking';
import { Followers } from './followers';
import type { EngineImport, FollowNews } from './import';

/** How the items of an engine's sources go on coming. */
export interface Following {
  /** Lets these go on by themselves, and no others. */
  follow(sources: readonly string[]): Promise<void>;
  more(source: string): Promise<Result<MoreCame, Finding>>;
  refresh(source: string): Promise<Result<MoreCame, Finding>>;
}

export function following(
  engine: Engine,
  imports: EngineImport,
  tell: (news: FollowNews) => void,
): Following {
  const asking = new Asking(engine, imports);

  const sourceOf = (id: string) =>
    engine.project === undefined ? undefined : withId(engine.project.sources, id);

  const followers = new Followers({
    ask: (id, signal) => asking.again(id, signal),

    take(id, events) {
      const source = sourceOf(id);
      return ok(source === undefined ? nothingCame : imports.takeEvents(source, events));
    },

    tell,
  });

  return {
    async follow(sources) {
      followers.follow(
        sources.flatMap((id) => {
          const follow = sourceOf(id)?.from.follow;
          return follow === undefined ? [] : [{ source: id, follow }];
        }),
      );
    },
    more: (source) => asking.more(source),
    refresh: (source) => asking.refresh(source),
  };
}
