import { edits, type Source } from '../../../core/project';
import { Button, ChoiceChips } from '../../shared/controls/controls';
import { importInto } from '../../shared/opening/arrivals';
import { eventsOf, itemsOf, type StandInWishes, wishesIn } from '../../shared/opening/stand-in';
import { make } from '../../shared/session/editing';
import { followSource, pauseSource } from '../../shared/session/following';

const paces = [
  { value: '', words: 'nothing happens' },
  { value: '1000', words: 'one a second' },
  { value: '100', words: 'ten a second' },
];
const pages = [
  { value: '', words: 'all at once' },
  { value: '20', words: '20, more at the end' },
];
const latencies = [
  { value: '0', words: 'at once' },
  { value: '2000', words: '2 s late' },
];
const failures = [
  { value: '0', words: 'none fails' },
  { value: '30', words: '30 % fail' },
  { value: '100', words: 'all fail' },
];
const drops = [
  { value: '0', words: 'goes on' },
  { value: '5', words: 'cut off after 5' },
];

/** How the stand-in service behaves: each press begins what is followed anew. */
export function StandInLine({ source }: { readonly source: Source }) {
  const { file, follow } = source.from;
  const address = follow !== undefined && 'events' in follow ? follow.events : undefined;
  const wishes = wishesIn(file, address);
  const wish = async (change: Partial<StandInWishes>) => {
    const next = { ...wishes, ...change };
    const isOver = next.every === undefined;
    const pages = next.page === undefined ? undefined : ({ next: '$.next', waits: true } as const);
    const goesOn = {
      ...(pages !== undefined && { pages }),
      ...(!isOver && { follow: { events: eventsOf(file, next) } }),
    };
    const isPaged = wishes.page !== undefined || next.page !== undefined;
    const items = isPaged ? itemsOf(file, next) : file;
    const { at } = source.from;
    // What comes of another address goes on as it does there: that is said after.
    if (items !== file)
      await importInto(source.id, { address: items, at, ...(pages && { pages }) }, 'replace');
    if (make(edits.setGoesOn(source.id, goesOn)) !== undefined) return;
    if (isOver) pauseSource(source.id);
    else followSource(source.id);
  };
  return (
    <section
      aria-label="Stand-in service"
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule bg-paper px-3 py-1 text-sm"
    >
      <ChoiceChips
        label="What happens to its items"
        options={paces}
        chosen={wishes.every === undefined ? '' : String(wishes.every)}
        onChoose={(every) => wish({ every: every === '' ? undefined : Number(every) })}
      />
      <ChoiceChips
        label="How many items come at once"
        options={pages}
        chosen={wishes.page === undefined ? '' : String(wishes.page)}
        onChoose={(page) => wish({ page: page === '' ? undefined : Number(page) })}
      />
      {(wishes.every !== undefined || wishes.page !== undefined) && (
        <>
          <ChoiceChips
            label="How late it answers"
            options={latencies}
            chosen={String(wishes.latency)}
            onChoose={(latency) => wish({ latency: Number(latency) })}
          />
          <ChoiceChips
            label="How often it fails"
            options={failures}
            chosen={String(wishes.fail)}
            onChoose={(fail) => wish({ fail: Number(fail) })}
          />
          {wishes.every !== undefined && (
            <>
              <ChoiceChips
                label="Whether its stream is cut off"
                options={drops}
                chosen={String(wishes.drop)}
                onChoose={(drop) => wish({ drop: Number(drop) })}
              />
              <Button onPress={() => void wish({ failOnce: `${Date.now()}` })}>Fail next</Button>
            </>
          )}
        </>
      )}
    </section>
  );
}
