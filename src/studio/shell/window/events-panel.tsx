import Copy from 'lucide-react/icons/copy';
import Pause from 'lucide-react/icons/pause';
import Play from 'lucide-react/icons/play';
import Trash2 from 'lucide-react/icons/trash-2';
import { useState } from 'react';
import { gestures, isGesture } from '../../../core/actions';
import { count } from '../../../core/base';
import { Button } from '../../shared/controls/controls';
import { inWords } from '../../shared/living/acting';
import { type ListEvent, useTold } from '../../shared/living/events';
import { handItem } from '../../shared/session/at-hand';
import { goWithin } from '../../shared/session/route';
import { engine } from '../../shared/session/session';

/** What the app was told, the latest first. */
export default function EventsPanel() {
  const { events, isPaused } = useTold();
  const [filter, setFilter] = useState('');
  const wanted = filter.trim().toLowerCase();
  const shown = events.filter((event) => wordsOf(event).toLowerCase().includes(wanted));
  const copy = () => void navigator.clipboard.writeText(JSON.stringify(shown, undefined, 2));
  return (
    <section
      aria-label="Events"
      className="flex h-44 shrink-0 flex-col border-t border-rule bg-paper"
    >
      <div className="flex items-center gap-1 border-b border-rule px-2 py-1">
        <h2 className="text-sm font-semibold text-ash">Events</h2>
        <input
          type="search"
          aria-label="Filter events"
          placeholder="filter"
          className="h-7 min-w-0 flex-1 rounded-md border border-rule bg-wool px-2 text-sm"
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
        />
        <Button
          isIcon
          label={isPaused ? 'Go on taking events' : 'Take no more events'}
          isPressed={isPaused}
          onPress={() => useTold.setState({ isPaused: !isPaused })}
        >
          {isPaused ? (
            <Play size={14} aria-hidden="true" />
          ) : (
            <Pause size={14} aria-hidden="true" />
          )}
        </Button>
        <Button isIcon label="Copy events as JSON" onPress={copy} isDisabled={shown.length === 0}>
          <Copy size={14} aria-hidden="true" />
        </Button>
        <Button
          isIcon
          label="Clear events"
          onPress={() => useTold.setState({ events: [] })}
          isDisabled={events.length === 0}
        >
          <Trash2 size={14} aria-hidden="true" />
        </Button>
      </div>
      <div
        className="min-h-0 flex-1 overflow-y-auto"
        role="log"
        aria-live="off"
        aria-label="Events told"
      >
        {shown.length === 0 && (
          <p className="p-2 text-sm text-ash">
            {events.length === 0
              ? 'Presses are the app user’s now. What rows tell the app stands here.'
              : `None of ${count(events.length, 'event')} has these words.`}
          </p>
        )}
        {shown.map((event) => (
          <EventLine key={event.number} event={event} />
        ))}
      </div>
    </section>
  );
}

/** As the reader's clock has it, with milliseconds. */
const clockOf = (at: string): string => {
  const time = new Date(at);
  return `${time.toTimeString().slice(0, 8)}.${String(time.getMilliseconds()).padStart(3, '0')}`;
};

const gestureOf = ({ gesture }: ListEvent): string =>
  isGesture(gesture) ? gestures[gesture].words : gesture;

const wordsOf = (event: ListEvent): string =>
  [gestureOf(event), event.name, event.key, inWords(event.payload), event.did].join(' ');

function EventLine({ event }: { readonly event: ListEvent }) {
  const { at, name, key, payload, payloadType, did, isTwice, isBeside, unwritten } = event;
  const isMissing = payload === undefined;
  return (
    <details className="border-b border-rule px-2 py-1 text-sm">
      <summary className="flex cursor-pointer flex-wrap items-baseline gap-x-2">
        <span className="text-ash tabular-nums">{clockOf(at)}</span>
        <b className="font-semibold">{name}</b>
        <span className="text-ash">{gestureOf(event)}</span>
        {isBeside && <span className="text-ash">beside</span>}
        {isTwice && <span className="text-madder">twice</span>}
        {isMissing && <span className="text-madder">nothing handed over</span>}
        <span className="w-full truncate text-ash">
          {key} · {payloadType} · {did}
        </span>
      </summary>
      <pre className="mt-1 max-h-40 overflow-auto rounded-md bg-wool p-2 font-mono text-xs whitespace-pre-wrap">
        {payload === undefined ? 'no value' : JSON.stringify(payload, undefined, 2)}
      </pre>
      <Button onPress={() => void show(key)}>Show its row</Button>
      {unwritten !== undefined && (
        <Button onPress={() => goWithin({ station: 'templates', ...unwritten })}>
          Choose what it writes
        </Button>
      )}
    </details>
  );
}

async function show(key: string): Promise<void> {
  const item = await engine().itemOfKey(key);
  if (item >= 0) await handItem(item);
}
