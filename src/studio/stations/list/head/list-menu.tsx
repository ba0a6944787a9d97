import { useState } from 'react';
import { freeId, slug } from '../../../../core/base';
import type { List } from '../../../../core/lists';
import { edits } from '../../../../core/project';
import { MenuButton } from '../../../shared/controls/controls';
import { NameField } from '../../../shared/fields/name-field';
import { make, whyNot } from '../../../shared/session/editing';
import { goWithin } from '../../../shared/session/route';
import { usedIds } from '../../../shared/session/session';

/** The name of a list, and what is done with it as a whole. */
export function ListMenu({ list }: { readonly list: List }) {
  const [isNaming, setNaming] = useState(false);
  if (isNaming)
    return (
      <NameField
        label={`Name of list ${list.name}`}
        name={list.name}
        onDone={(name) => {
          setNaming(false);
          if (name !== list.name) make(edits.renameList(list.id, name));
        }}
      />
    );
  const remove = edits.removeList(list.id);
  return (
    <>
      <h1 className="truncate font-semibold">{list.name}</h1>
      <MenuButton
        words="…"
        label="This list"
        entries={[
          { words: 'Name it', onChoose: () => setNaming(true) },
          { words: 'Duplicate it', hint: 'both are shown', onChoose: () => duplicate(list) },
          {
            words: 'Remove it',
            whyNot: whyNot(remove),
            onChoose: () => {
              if (make(remove) === undefined) goWithin({ list: undefined });
            },
          },
        ]}
      />
    </>
  );
}

function duplicate({ id, name, source }: List): void {
  const next = freeId(slug(`${name} 2`), usedIds().lists);
  const made = make(edits.duplicateList(id, { id: next, name: `${name} 2` }));
  if (made === undefined) goWithin({ list: next, source });
}
