import { Dialog } from '@base-ui/react/dialog';
import { Command as Menu } from 'cmdk';
import { useEffect, useState } from 'react';
import { handItem } from '../../shared/session/at-hand';
import { useOffers, useStationKeys } from '../../shared/session/offers';
import { useRoute } from '../../shared/session/route';
import { engine, useSession } from '../../shared/session/session';
import { type Command, commands, stationNow } from './commands';
import { usePalette } from './palette-state';

/** One field to find an item by any of its words, or to do something by its name. */
export default function Palette() {
  const { isOpen, showsKeys } = usePalette();
  const hasProject = useSession((session) => session.history !== undefined);
  const isStart = useRoute().route.page === 'start';
  const { by } = useOffers();
  const { keys } = useStationKeys();
  const [words, setWords] = useState('');
  const close = () => usePalette.setState({ isOpen: false, showsKeys: false });
  useEffect(() => {
    if (!isOpen) setWords('');
  }, [isOpen]);
  const shown = showsKeys
    ? commands.filter((command) => command.key !== undefined)
    : offered(hasProject && !isStart);
  return (
    // cmdk's own dialog writes a style element, which the page's policy refuses.
    <Dialog.Root open={isOpen} onOpenChange={(open) => !open && close()} modal="trap-focus">
      <Dialog.Portal>
        <Dialog.Backdrop className="fixed inset-0 z-50 bg-wool/70" />
        <Dialog.Popup
          aria-label="Find or do"
          className="fixed inset-x-0 top-14 z-50 mx-auto w-[480px] max-w-[94vw] overflow-hidden rounded-md border border-ash bg-paper outline-none"
        >
          <Menu label="Find or do" loop>
            <Menu.Input
              value={words}
              onValueChange={setWords}
              placeholder={showsKeys ? 'Keys' : 'Words of an item, or something to do'}
              className="h-11 w-full border-b border-rule bg-transparent px-3 text-lg outline-none placeholder:text-ash"
            />
            <Menu.List className="max-h-96 overflow-auto py-1">
              <Menu.Empty className="px-3 py-2 text-ash">Nothing is called that.</Menu.Empty>
              {shown.map((command) => (
                <Entry
                  key={command.name}
                  name={command.name}
                  hint={command.key}
                  onChoose={() => {
                    close();
                    command.run();
                  }}
                />
              ))}
              {showsKeys &&
                keys.map(({ name, key }) => (
                  <Entry key={`${name} ${key}`} name={name} hint={key} onChoose={close} />
                ))}
              {words.trim().length > 1 &&
                [...by.values()]
                  .flatMap((offersFor) => offersFor(words))
                  .map((offer) => (
                    <Entry
                      key={offer.name}
                      name={offer.name}
                      value={`${words} ${offer.name}`}
                      hint={offer.hint}
                      onChoose={() => {
                        close();
                        offer.run();
                      }}
                    />
                  ))}
              {hasProject && !isStart && words.trim() !== '' && (
                <Entry
                  name={`Find the item with “${words}”`}
                  hint="in all fields"
                  onChoose={() => {
                    close();
                    void findItem(words);
                  }}
                />
              )}
            </Menu.List>
          </Menu>
        </Dialog.Popup>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** What can be done here and now: first what fits the place, never the list that is open. */
function offered(isInProject: boolean): readonly Command[] {
  const station = stationNow();
  const all = commands.filter(
    ({ name, needsProject, whyNot }) =>
      name !== 'Find or do' && (!needsProject || isInProject) && whyNot?.() === undefined,
  );
  const fits = ({ fits = [] }: Command) => station !== undefined && fits.includes(station);
  return [...all.filter(fits), ...all.filter((command) => !fits(command))];
}

async function findItem(words: string): Promise<void> {
  const found = await engine().find(words, useSession.getState().atHand?.item ?? -1);
  if (found >= 0) await handItem(found);
  else {
    useSession.setState({
      notice: {
        code: 'item-not-found',
        severity: 'note',
        place: { in: 'items', source: 'all' },
        message: `No item holds “${words}”.`,
        hint: 'Every field of every item was looked through.',
      },
    });
  }
}

interface EntryProps {
  readonly name: string;
  /** What it is found by; its name, if that is not said. */
  readonly value?: string;
  readonly hint: string | undefined;
  readonly onChoose: () => void;
}

function Entry({ name, value = name, hint, onChoose }: EntryProps) {
  return (
    <Menu.Item
      value={value}
      onSelect={onChoose}
      className="flex cursor-default justify-between px-3 py-1.5 data-[selected=true]:bg-chosen"
    >
      {name}
      {hint !== undefined && (
        <kbd className="font-sans text-sm text-ash">{hint.replace('Arrow', '')}</kbd>
      )}
    </Menu.Item>
  );
}
