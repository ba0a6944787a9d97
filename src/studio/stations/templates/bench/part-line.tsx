import ArrowDown from 'lucide-react/icons/arrow-down';
import ArrowLeft from 'lucide-react/icons/arrow-left';
import ArrowRight from 'lucide-react/icons/arrow-right';
import ArrowUp from 'lucide-react/icons/arrow-up';
import CopyPlus from 'lucide-react/icons/copy-plus';
import EyeOff from 'lucide-react/icons/eye-off';
import Group from 'lucide-react/icons/group';
import Plus from 'lucide-react/icons/plus';
import Stamp from 'lucide-react/icons/stamp';
import Trash2 from 'lucide-react/icons/trash-2';
import Ungroup from 'lucide-react/icons/ungroup';
import { type ComponentType, type ReactNode, useEffect } from 'react';
import { prefixOf } from '../../../../core/templates';
import { Button, MenuButton } from '../../../shared/controls/controls';
import { refused } from '../../../shared/session/editing';
import { useOffering, useStationKeys } from '../../../shared/session/offers';
import { pasteText, textOf } from '../commands/clipboard';
import { hiddenKey, toggleHidden, useHidden } from '../commands/hiding';
import {
  doCommand,
  duplicateIt,
  moves,
  type PartCommand,
  partCommands,
  removeIt,
  shareIt,
  unwrapIt,
  waysToShare,
  whyNotDo,
  wraps,
} from '../commands/part-commands';
import { useWhyNots } from '../commands/use-why-nots';
import { InsertLine } from '../inserting/insert-line';
import type { Selection } from '../selection';
import { ArrowChoices } from './writing/arrow-choices';
import { BindLine } from './writing/bind-line';
import { startInserting, startWrapping, useWriting } from './writing/writing';

/** What keys do on the bench and in the outline. */
const benchKeys = [
  { name: 'Bench: the part beside', key: 'Arrows' },
  { name: 'Bench: into a part, out of it', key: 'Enter, Escape' },
  { name: 'Bench: the next part in reading order', key: 'Tab' },
  { name: 'Bench: select one more', key: 'Shift Arrows' },
  { name: 'Bench: what the part shows', key: 'letters, = or "' },
  { name: 'Bench: a new part', key: 'Insert, Ctrl Enter' },
  { name: 'Bench: wrap', key: 'Ctrl G' },
  { name: 'Bench: larger, smaller, as it fits', key: '+ − 0' },
  { name: 'Bench: hide while editing', key: 'Shift H' },
  { name: 'Bench: copy, cut, paste as text', key: 'Ctrl C, X, V' },
  ...partCommands.flatMap(({ name, key }) => (key === undefined ? [] : [{ name, key }])),
];

const moveIcons = [ArrowLeft, ArrowRight, ArrowUp, ArrowDown] as const;

/** What can be done with the selected parts; while one writes on the bench, what is written. */
export function PartLine({ selection }: { readonly selection: Selection }) {
  const { writing } = useWriting();
  const { parts, part } = selection;
  const whyNots = useWhyNots(selection);
  useOffering('parts', (words) => offersFor(selection, words));
  useEffect(() => {
    useStationKeys.setState({ keys: benchKeys });
    return () => useStationKeys.setState({ keys: [] });
  }, []);
  const isWriting = writing !== undefined;
  return (
    <div className="sticky top-0 z-20 flex min-h-9 items-center gap-1 border-b border-rule bg-wool px-3 max-[1100px]:px-1">
      {writing?.kind === 'binding' && <BindLine selection={selection} first={writing.first} />}
      {writing?.kind === 'inserting' && (
        <InsertLine selection={selection} landing={writing.landing} />
      )}
      {writing?.kind === 'wrapping' && (
        <ArrowChoices
          selection={selection}
          words={`wrap ${parts.length === 1 ? part.id : `${parts.length} parts`}`}
          choices={wraps.map((command, at) => ({
            words: command.name.replace('Wrap ', ''),
            key: wrapKeys[at] ?? '',
            edit: command.edit(selection),
          }))}
        />
      )}
      {writing?.kind === 'sharing' && (
        <ArrowChoices
          selection={selection}
          words="its inputs are"
          choices={waysToShare(selection).map((way, at) => ({ ...way, key: String(at + 1) }))}
        />
      )}
      {!isWriting && (
        <>
          <span className="max-w-28 shrink-0 truncate text-sm font-semibold" title={part.id}>
            {parts.length === 1 ? part.id.slice(prefixOf(part.id).length) : `${parts.length} parts`}
          </span>
          <span className="ms-auto flex items-center gap-1 overflow-x-auto">
            <Button
              label="Insert"
              title="Insert a part (Insert, or Ctrl Enter)"
              onPress={() => startInserting()}
            >
              <Plus size={14} aria-hidden="true" /> Insert
            </Button>
            {moves.map((command, at) => (
              <CommandButton
                key={command.name}
                {...{ command, selection, whyNots }}
                icon={moveIcons[at] ?? ArrowUp}
              />
            ))}
            <WrapButton whyNots={whyNots} />
            <CommandButton command={unwrapIt} icon={Ungroup} {...{ selection, whyNots }} />
            <CommandButton command={duplicateIt} icon={CopyPlus} {...{ selection, whyNots }} />
            <HideButton selection={selection} />
            <CommandButton
              command={shareIt}
              name={`Share ${part.id}: keep it once, for other places too`}
              whyNots={whyNots}
              icon={Stamp}
              selection={selection}
            />
            <CommandButton
              command={removeIt}
              name={`Remove ${part.id}`}
              whyNots={whyNots}
              icon={Trash2}
              selection={selection}
            />
            <ClipboardMenu {...{ selection, whyNots }} />
          </span>
        </>
      )}
    </div>
  );
}

interface CommandButtonProps {
  readonly command: PartCommand;
  /** Its own name, unless one is said. */
  readonly name?: string;
  readonly whyNots: ReadonlyMap<PartCommand, string>;
  readonly icon: ComponentType<{ size: number; 'aria-hidden': 'true' }>;
  readonly selection: Selection;
}

function CommandButton({ command, name = command.name, ...props }: CommandButtonProps): ReactNode {
  const { icon: Icon, selection, whyNots } = props;
  const { key } = command;
  return (
    <Button
      isIcon
      label={name}
      title={key === undefined ? name : `${name} (${key.replace('Arrow', '')})`}
      whyNot={whyNots.get(command)}
      onPress={() => {
        const why = doCommand(command, selection);
        if (why !== undefined) refused(name, why);
      }}
    >
      <Icon size={14} aria-hidden="true" />
    </Button>
  );
}

const wrapKeys = ['ArrowDown', 'ArrowRight', 'o'] as const;

function WrapButton({ whyNots }: Pick<CommandButtonProps, 'whyNots'>) {
  const [first] = wraps;
  return (
    <Button
      isIcon
      label="Wrap"
      title="Wrap in a stack (Ctrl G)"
      whyNot={first && whyNots.get(first)}
      onPress={startWrapping}
    >
      <Group size={14} aria-hidden="true" />
    </Button>
  );
}

function HideButton({ selection }: { readonly selection: Selection }) {
  const { hidden } = useHidden();
  const { template, parts } = selection;
  return (
    <Button
      isIcon
      label="Hide while editing"
      title="Hide while editing (Shift H)"
      isPressed={parts.every(({ id }) => hidden.has(hiddenKey(template.id, id)))}
      onPress={() => toggleHidden(selection)}
    >
      <EyeOff size={14} aria-hidden="true" />
    </Button>
  );
}

/** For fingers, and for who looks for it: keys do the same. */
function ClipboardMenu({ selection, whyNots }: Pick<CommandButtonProps, 'selection' | 'whyNots'>) {
  const copy = (how: 'copy' | 'cut') => {
    const text = textOf(selection);
    if (text === undefined) return;
    navigator.clipboard.writeText(text).then(
      () => how === 'cut' && doCommand(removeIt, selection),
      () => refused('Copy', 'This browser does not let the page write to the clipboard.'),
    );
  };
  const paste = () =>
    navigator.clipboard.readText().then(
      (text) => pasteText(text, selection),
      () => refused('Paste', 'This browser does not let the page read the clipboard: Ctrl V does.'),
    );
  return (
    <MenuButton
      words="…"
      label="Copy, cut, paste"
      entries={[
        { words: 'Copy as text', hint: 'Ctrl C', onChoose: () => copy('copy') },
        {
          words: 'Cut',
          hint: 'Ctrl X',
          whyNot: whyNots.get(removeIt),
          onChoose: () => copy('cut'),
        },
        { words: 'Paste', hint: 'Ctrl V', onChoose: () => void paste() },
      ]}
    />
  );
}

/** Commands by name, for *find or do*. */
function offersFor(selection: Selection, words: string) {
  const wish = words.trim().toLowerCase();
  return partCommands
    .filter(({ name }) => name.toLowerCase().includes(wish))
    .filter((command) => whyNotDo(command, selection) === undefined)
    .map((command) => ({
      name: command.name,
      hint: command.key ?? selection.part.id,
      run: () => void doCommand(command, selection),
    }));
}
