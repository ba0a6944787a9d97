import { useState } from 'react';
import { edits, type Look, lookShown } from '../../../core/project';
import { Button, MenuButton } from '../../shared/controls/controls';
import { NameField } from '../../shared/fields/name-field';
import { make } from '../../shared/session/editing';
import { setWindow } from '../../shared/session/route';
import { useProject } from '../../shared/session/session';
import { useWindow } from '../../shared/window/window-settings';

/** The head of a look's column: its name, whether the window shows it, what can be done with it. */
export function LookHead({ look }: { readonly look: Look | undefined }) {
  const project = useProject();
  const wished = useWindow((settings) => settings.look);
  const [isNaming, setNaming] = useState(false);
  if (look === undefined)
    return (
      <th scope="col" className="text-start font-normal text-ash">
        template
      </th>
    );
  const isShown = project !== undefined && lookShown(project, wished)?.id === look.id;
  return (
    <th scope="col" className="py-1 pe-3 text-start">
      <span className="flex items-center gap-1.5">
        {isNaming ? (
          <NameField
            label={`Name of look ${look.name}`}
            name={look.name}
            onDone={(name) => {
              setNaming(false);
              if (name !== look.name) make(edits.renameLook(look.id, name));
            }}
          />
        ) : (
          <>
            <b className="font-semibold">{look.name}</b>
            {isShown && <span className="text-sm font-normal text-ash">shown now</span>}
            <MenuButton
              label={`Look ${look.name}`}
              words="…"
              entries={[
                {
                  words: 'Show it in the window',
                  whyNot: isShown ? 'it is shown' : undefined,
                  onChoose: () => setWindow({ look: look.id }),
                },
                { words: 'Name it', onChoose: () => setNaming(true) },
                {
                  words: 'Remove it',
                  hint: 'with what is chosen in it',
                  onChoose: () => make(edits.removeLook(look.id)),
                },
              ]}
            />
          </>
        )}
      </span>
    </th>
  );
}

/** One more look: its name is typed in the place of the button. */
export function AddLook() {
  const [isNaming, setNaming] = useState(false);
  if (!isNaming) return <Button onPress={() => setNaming(true)}>+ look</Button>;
  return (
    <NameField
      label="Name of the new look"
      name=""
      onDone={(name) => {
        setNaming(false);
        if (name !== '') make(edits.addLook(name));
      }}
    />
  );
}
