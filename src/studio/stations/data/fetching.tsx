import { Popover } from '@base-ui/react/popover';
import ChevronDown from 'lucide-react/icons/chevron-down';
import { useState } from 'react';
import type { Follow, Paging } from '../../../core/items';
import { edits, type Source } from '../../../core/project';
import { Button, Check, ChoiceChips, Row } from '../../shared/controls/controls';
import { NumberField } from '../../shared/controls/number-field';
import { importInto } from '../../shared/opening/arrivals';
import { make } from '../../shared/session/editing';
import { followSource, pauseSource } from '../../shared/session/following';
import { engine } from '../../shared/session/session';
import { useAnswer } from '../../shared/session/use-answer';

type Again = 'when asked' | 'at a pace' | 'as events';
type Pages = 'one answer' | 'Link header' | 'a field says';

const fieldLook = 'h-7 w-full rounded-md border border-rule bg-paper px-2 font-mono text-sm';

/** How an address is asked: again and again or as events, and page after page. */
export function Fetching({ source }: { readonly source: Source }) {
  const { file, at, pages, follow } = source.from;
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button
        onPress={() =>
          void importInto(
            source.id,
            { address: file, at, ...(pages !== undefined && { pages }) },
            // Of pages that wait, the first comes alone.
            pages?.waits === true ? 'replace' : 'ask',
          )
        }
      >
        Fetch again
      </Button>
      <Popover.Root open={isOpen} onOpenChange={setOpen}>
        <Popover.Trigger className="inline-flex h-7 items-center gap-1.5 rounded-md border border-rule bg-paper px-2.5 text-sm whitespace-nowrap hover:border-ash">
          Fetching <ChevronDown size={12} aria-hidden="true" />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Positioner sideOffset={4} align="end" className="z-40">
            <Popover.Popup
              aria-label="Fetching"
              className="w-96 rounded-md border border-ash bg-paper p-3 text-ink outline-none"
            >
              <How
                address={file}
                before={{ pages, follow }}
                onTake={(how) => {
                  setOpen(false);
                  take(source, how);
                }}
              />
            </Popover.Popup>
          </Popover.Positioner>
        </Popover.Portal>
      </Popover.Root>
    </>
  );
}

interface GoesOn {
  readonly pages?: Paging | undefined;
  readonly follow?: Follow | undefined;
}

function How({
  address,
  before,
  onTake,
}: {
  readonly address: string;
  readonly before: GoesOn;
  readonly onTake: (how: GoesOn) => void;
}) {
  const [again, setAgain] = useState<Again>(againOf(before.follow));
  const [seconds, setSeconds] = useState(
    before.follow !== undefined && 'everySeconds' in before.follow
      ? before.follow.everySeconds
      : 30,
  );
  const [events, setEvents] = useState(
    before.follow !== undefined && 'events' in before.follow ? before.follow.events : address,
  );
  const [pages, setPages] = useState<Pages>(pagesOf(before.pages));
  const [next, setNext] = useState(before.pages?.next ?? '$.next');
  const [parameter, setParameter] = useState(before.pages?.parameter ?? '');
  const [waits, setWaits] = useState(before.pages?.waits === true);
  const fault = useAnswer(pages === 'a field says' ? next : undefined, (at) =>
    engine().pathFault(at),
  );
  const isAddress = again !== 'as events' || /^https?:\/\//.test(events);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        onTake({
          follow: followOf(again, seconds, events),
          pages: pagingOf(pages, { next, parameter, waits }),
        });
      }}
    >
      <Row words="again">
        <ChoiceChips
          label="Asked again"
          options={['when asked', 'at a pace', 'as events']}
          chosen={again}
          onChoose={setAgain}
        />
        {again === 'at a pace' && (
          <p className="flex items-center gap-1.5 pt-1.5 text-sm">
            every
            <NumberField
              label="Seconds between"
              value={seconds}
              min={1}
              max={86_400}
              onChange={setSeconds}
            />
            seconds
          </p>
        )}
        {again === 'as events' && (
          <>
            <input
              aria-label="Address of the events"
              className={`${fieldLook} mt-1.5`}
              value={events}
              onChange={(event) => setEvents(event.target.value)}
            />
            {!isAddress && (
              <p className="pt-1 text-sm text-madder">An address begins with https:// or http://</p>
            )}
            <p className="pt-1 text-xs text-ash">
              Server-sent events: <code>removed</code> with keys, <code>moved</code> with key and
              at; any other brings items.
            </p>
          </>
        )}
      </Row>
      <Row words="pages">
        <ChoiceChips
          label="Pages"
          options={['one answer', 'Link header', 'a field says']}
          chosen={pages}
          onChoose={setPages}
        />
        {pages === 'a field says' && (
          <div className="flex items-center gap-1.5 pt-1.5 text-sm">
            <input
              aria-label="JSONPath of the next page"
              className={fieldLook}
              value={next}
              onChange={(event) => setNext(event.target.value)}
            />
            for
            <input
              aria-label="Parameter that takes it"
              placeholder="the address"
              title="Leave it empty where the field holds an address"
              className={fieldLook}
              value={parameter}
              onChange={(event) => setParameter(event.target.value)}
            />
          </div>
        )}
        {fault !== undefined && (
          <p className="pt-1 text-sm text-madder" role="status">
            <code>{next}</code> is no JSONPath: {fault}.
          </p>
        )}
        {pages !== 'one answer' && (
          <Check
            words="the next page only when a list comes near its end"
            isOn={waits}
            onChange={setWaits}
          />
        )}
      </Row>
      <div className="pt-2">
        <button
          type="submit"
          disabled={!isAddress || fault !== undefined}
          className="h-7 rounded-md border border-ink bg-ink px-2.5 text-sm text-paper disabled:opacity-55"
        >
          Fetch so
        </button>
      </div>
    </form>
  );
}

/** Keeps how it goes on, follows it, and fetches all of it where the pages are others. */
function take(source: Source, { pages, follow }: GoesOn): void {
  const goesOn = {
    ...(pages !== undefined && { pages }),
    ...(follow !== undefined && { follow }),
  };
  if (make(edits.setGoesOn(source.id, goesOn)) !== undefined) return;
  if (follow === undefined) pauseSource(source.id);
  else followSource(source.id);
  if (JSON.stringify(pages) === JSON.stringify(source.from.pages)) return;
  const { file: address, at } = source.from;
  void importInto(source.id, { address, at, ...(pages !== undefined && { pages }) }, 'replace');
}

function againOf(follow: Follow | undefined): Again {
  if (follow === undefined) return 'when asked';
  return 'events' in follow ? 'as events' : 'at a pace';
}

function followOf(again: Again, everySeconds: number, events: string): Follow | undefined {
  if (again === 'when asked') return undefined;
  return again === 'at a pace' ? { everySeconds } : { events };
}

function pagesOf(pages: Paging | undefined): Pages {
  if (pages === undefined) return 'one answer';
  return pages.next === undefined ? 'Link header' : 'a field says';
}

function pagingOf(
  pages: Pages,
  {
    next,
    parameter,
    waits,
  }: { readonly next: string; readonly parameter: string; readonly waits: boolean },
): Paging | undefined {
  if (pages === 'one answer') return undefined;
  return {
    ...(pages === 'a field says' && { next }),
    ...(pages === 'a field says' && parameter !== '' && { parameter }),
    ...(waits && { waits: true }),
  };
}
