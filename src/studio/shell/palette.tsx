import { Dialog } from '@base-ui/react/dialog';
import { Command } from 'cmdk';
import { useEffect, useState } from 'react';
import { handItem } from '../shared/at-hand';
import { useRoute } from '../shared/route';
import { engine, useSession } from '../shared/session';
import { commands } from './commands';
import { usePalette } from './palette-state';

/** One field to find an item by any of its words, or to do something by its name. */
export default function Palette() {
  const { isOpen, showsKeys } = usePalette();
  const hasProject = useSession((session) => session.history !== undefined);
  const isStart = useRoute().route.page === 'start';
  const [words, setWords] = useState('');
  const close = () => usePalette.setState({ isOpen: false, showsKeys: false });
  useEffect(() => {
    if (!isOpen) setWords('');
  }, [isOpen]);
  const shown = commands
    .filter((command) => !command.needsProject || (hasProject && !isStart))
    .filter((command) => !showsKeys || command.key !== undefined);
  return (
    // cmdk's own dialog writes a style element, which the page's policy refuses.
    <Dialog.Root open={isOpen} onOpenChange={(open) => !open && close()} modal="trap-focus">
      <Dialog.Portal>
        <Dialog.Backdrop className="fixed inset-0 z-50 bg-wool/70" />
        <Dialog.Popup
          aria-label="Find or do"
          className="fixed inset-x-0 top-14 z-50 mx-auto w-[480px] max-w-[94vw] overflow-hidden rounded-md border border-ash bg-paper outline-none"
        >
          <Command label="Find or do" loop>
            <Command.Input
              value={words}
              onValueChange={setWords}
              placeholder={showsKeys ? 'Keys' : 'Words of an item, or something to do'}
              className="h-11 w-full border-b border-rule bg-transparent px-3 text-lg outline-none placeholder:text-ash"
            />
            <Command.List className="max-h-96 overflow-auto py-1">
              <Command.Empty className="px-3 py-2 text-ash">Nothing is called that.</Command.Empty>
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
            </Command.List>
          </Command>
        </Dialog.Popup>
      </Dialog.Portal>
    </Dialog.Root>
  );
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
  readonly hint: string | undefined;
  readonly onChoose: () => void;
}

function Entry({ name, hint, onChoose }: EntryProps) {
  return (
    <Command.Item
      value={name}
      onSelect={onChoose}
      className="flex cursor-default justify-between px-3 py-1.5 data-[selected=true]:bg-chosen"
    >
      {name}
      {hint !== undefined && (
        <kbd className="font-sans text-sm text-ash">{hint.replace('Arrow', '')}</kbd>
      )}
    </Command.Item>
  );
}
