import { Menu } from '@base-ui/react/menu';
import type { Pin, Stretch } from '../../../core/by-example';

interface StretchesProps {
  readonly stretches: readonly Stretch[];
  /** Paths that a stretch may be, with their values here. */
  readonly values: readonly { readonly expr: string; readonly shown: string }[];
  readonly onPin: (pin: Pin) => void;
}

/** The typed words in their stretches: what becomes a value, what stays; each can be settled by a press. */
export function Stretches({ stretches, values, onPin }: StretchesProps) {
  return (
    <fieldset
      className="flex flex-wrap items-baseline gap-y-0.5"
      aria-label="What becomes of the words"
    >
      {stretches.map((stretch) => (
        <Menu.Root key={stretch.from} modal={false}>
          <Menu.Trigger className={lookOf(stretch)} title={inWords(stretch)}>
            <span className="whitespace-pre">{stretch.text}</span>
          </Menu.Trigger>
          <Menu.Portal>
            <Menu.Positioner sideOffset={4} align="start" className="z-50">
              <Menu.Popup className="max-h-64 min-w-44 overflow-auto rounded-md border border-ash bg-paper py-1 text-ink outline-none">
                <p className="px-3 pb-1 text-sm text-ash">{inWords(stretch)}</p>
                <Menu.Item
                  className={entryLook}
                  onClick={() => onPin({ from: stretch.from, to: stretch.to, expr: undefined })}
                >
                  stays as it is
                </Menu.Item>
                {values.map(({ expr, shown }) => (
                  <Menu.Item
                    key={expr}
                    className={entryLook}
                    onClick={() => onPin({ from: stretch.from, to: stretch.to, expr })}
                  >
                    <span>is {expr}</span>
                    <span className="max-w-40 truncate font-mono text-sm text-ash">{shown}</span>
                  </Menu.Item>
                ))}
              </Menu.Popup>
            </Menu.Positioner>
          </Menu.Portal>
        </Menu.Root>
      ))}
    </fieldset>
  );
}

const entryLook =
  'flex cursor-default items-baseline justify-between gap-6 px-3 py-1 outline-none data-highlighted:bg-chosen';

function lookOf({ value, doubt }: Stretch): string {
  const line =
    value !== undefined
      ? 'border-b-2 border-woad'
      : doubt !== undefined
        ? 'border-b-2 border-dashed border-weld'
        : 'border-b-2 border-transparent';
  return `${line} hover:bg-chosen`;
}

const inWords = ({ value, doubt }: Stretch): string =>
  value === undefined
    ? (doubt ?? 'stays as it is')
    : value.format === undefined
      ? value.expr
      : `${value.expr}, ${value.format}`;
