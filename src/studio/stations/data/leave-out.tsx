import { Popover } from '@base-ui/react/popover';
import { useState } from 'react';
import { count } from '../../../core/base';
import { Button } from '../../shared/controls';

interface LeaveOutProps {
  /** What reads the field, each in words. */
  readonly uses: readonly string[];
  readonly onLeaveOut: () => void;
}

const mostListed = 30;

/** Takes a field out; where something reads it, that is listed first, with what will become of it. */
export function LeaveOut({ uses, onLeaveOut }: LeaveOutProps) {
  const [isOpen, setOpen] = useState(false);
  if (uses.length === 0) return <Button onPress={onLeaveOut}>Leave out</Button>;
  return (
    <Popover.Root open={isOpen} onOpenChange={setOpen}>
      <Popover.Trigger className="inline-flex h-7 items-center rounded-md border border-rule bg-paper px-2.5 text-sm whitespace-nowrap hover:border-ash">
        Leave out
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Positioner sideOffset={4} align="end" className="z-50">
          <Popover.Popup
            aria-label="What reads the field"
            className="w-96 rounded-md border border-ash bg-paper p-3 text-sm text-ink outline-none"
          >
            <p>
              {count(uses.length, 'place')} will read nothing, each a finding until it is mended:
            </p>
            <ul className="max-h-40 overflow-auto py-1.5 font-mono text-xs">
              {uses.slice(0, mostListed).map((use) => (
                <li key={use}>{use}</li>
              ))}
            </ul>
            <Button
              isMain
              onPress={() => {
                setOpen(false);
                onLeaveOut();
              }}
            >
              Leave it out
            </Button>
          </Popover.Popup>
        </Popover.Positioner>
      </Popover.Portal>
    </Popover.Root>
  );
}
