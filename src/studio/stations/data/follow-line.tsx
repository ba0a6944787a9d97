import { count, grouped, ownValue } from '../../../core/base';
import type { Follow } from '../../../core/items';
import type { Source } from '../../../core/project';
import { Button } from '../../shared/controls/controls';
import { isAddress } from '../../shared/opening/arrivals';
import { isStandIn } from '../../shared/opening/stand-in';
import { followSource, pauseSource } from '../../shared/session/following';
import { type Followed, useSession } from '../../shared/session/session';
import { Fetching } from './fetching';
import { StandInLine } from './stand-in-line';

/** An address: how it is asked, what came of it so far, what is wrong. */
export function FollowLine({ source }: { readonly source: Source }) {
  const followed = useSession((session) => ownValue(session.followed, source.id));
  const { file, follow } = source.from;
  if (!isAddress(file)) return null;
  const line = (
    <section
      aria-label="How the address is asked"
      className="flex items-center gap-1.5 border-b border-rule bg-paper px-3 py-1 text-sm"
    >
      <div className="min-w-0 flex-1">
        {follow === undefined && <p className="text-ash">Fetched when you say so.</p>}
        {follow !== undefined && followed === undefined && (
          <p className="text-ash">
            {inWords(follow)}, once you say so: nothing is asked by itself.
          </p>
        )}
        {follow !== undefined && followed !== undefined && (
          <State followed={followed} words={inWords(follow)} />
        )}
      </div>
      {follow !== undefined &&
        (followed === undefined ? (
          <Button onPress={() => followSource(source.id)}>Follow</Button>
        ) : (
          <Button onPress={() => pauseSource(source.id)}>Pause</Button>
        ))}
      <Fetching source={source} />
    </section>
  );
  return isStandIn(file) ? (
    <>
      {line}
      <StandInLine source={source} />
    </>
  ) : (
    line
  );
}

function State({ followed, words }: { readonly followed: Followed; readonly words: string }) {
  const { heardAt, addedCount, changedCount, removedCount, trouble } = followed;
  if (trouble !== undefined)
    return (
      <p className="text-madder" role="status">
        {trouble.message} {trouble.hint}
      </p>
    );
  const came =
    heardAt === undefined
      ? 'nothing yet'
      : `${grouped(addedCount)} added, ${grouped(changedCount)} changed, ${grouped(removedCount)} removed; last heard at ${new Date(heardAt).toLocaleTimeString()}`;
  return (
    <p className="truncate" title={`${words}: ${came}`}>
      <span className="text-moss">{came}</span> <span className="text-ash">{words}</span>
    </p>
  );
}

const inWords = (follow: Follow): string =>
  'events' in follow
    ? `Events of ${follow.events}`
    : `Asked again every ${count(follow.everySeconds, 'second')}`;
