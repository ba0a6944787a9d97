import { useState } from 'react';
import { edits, type ItemType, ownSet, type Source } from '../../../../core/project';
import { type ScalarName, scalarNames } from '../../../../core/values';
import { Button, MenuButton } from '../../../shared/controls/controls';
import { handItem } from '../../../shared/session/at-hand';
import { changeItems, make } from '../../../shared/session/editing';
import { engine, useSession } from '../../../shared/session/session';

interface TypingBarProps {
  readonly source: Source;
  readonly types: readonly ItemType[];
  readonly set: string;
}

/** Under a table whose items are typed in: more items and fields, or fewer. */
export function TypingBar({ source, types, set }: TypingBarProps) {
  const item = useSession((session) => session.atHand?.item);
  const itemCount = useSession((session) => session.view?.itemCount ?? 0);
  return (
    <div className="sticky start-0 flex w-max flex-wrap items-center gap-1.5 px-2 py-1.5">
      <Button onPress={() => void addItem(source, types, set)}>Add an item</Button>
      {item !== undefined && item < itemCount && (
        <Button onPress={() => void removeItem(source, set, item)}>Remove item {item + 1}</Button>
      )}
      {types[0] !== undefined && <NewField type={types[0]} />}
    </div>
  );
}

async function addItem(source: Source, types: readonly ItemType[], set: string): Promise<void> {
  const { discriminator } = source;
  const value = types[0]?.value;
  const item = discriminator !== null && value != null ? { [discriminator]: value } : {};
  const at = useSession.getState().view?.itemCount ?? 0;
  const isMade = await changeItems(source.id, 'Add an item', () =>
    engine().change(source.id, set, { kind: 'add', at, items: [item] }),
  );
  if (isMade && set === ownSet) void handItem(at);
}

async function removeItem(source: Source, set: string, position: number): Promise<void> {
  const isMade = await changeItems(source.id, `Remove item ${position + 1}`, () =>
    engine().change(source.id, set, { kind: 'remove', positions: [position] }),
  );
  if (isMade) void handItem(Math.max(0, position - 1));
}

function NewField({ type }: { readonly type: ItemType }) {
  const [name, setName] = useState('');
  const [kind, setKind] = useState<ScalarName>('text');
  const add = () => {
    if (make(edits.addField(type.id, name, kind)) === undefined) setName('');
  };
  return (
    <span className="flex items-center gap-1.5">
      <input
        aria-label="Name of a new field"
        placeholder="a new field"
        className="h-7 w-32 rounded-md border border-rule bg-paper px-2 text-sm"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
      />
      <MenuButton
        label="Type of the new field"
        words={kind}
        entries={scalarNames.map((each) => ({ words: each, onChoose: () => setKind(each) }))}
      />
      <Button isDisabled={name.trim() === ''} onPress={add}>
        Add the field
      </Button>
    </span>
  );
}
