import { useState } from 'react';
import { edits, type ItemType } from '../../../core/project';
import { pathText } from '../../../core/values';
import { Button } from '../controls/controls';
import { make } from '../session/editing';

interface RenameHereProps {
  readonly type: ItemType;
  readonly path: readonly string[];
  readonly onDone: () => void;
}

/** Another name for the field at the caret: everything that reads it follows, in one step. */
export function RenameHere({ type, path, onDone }: RenameHereProps) {
  const [name, setName] = useState(path.at(-1) ?? '');
  const rename = () => {
    if (make(edits.renameField({ type: type.id, path }, name)) === undefined) onDone();
  };
  return (
    <div className="flex items-center gap-1.5 pt-1 text-sm">
      <label className="flex items-center gap-1.5">
        <span className="text-ash">{pathText(path)} becomes</span>
        <input
          // biome-ignore lint/a11y/noAutofocus: it was just asked for
          autoFocus
          aria-label={`New name of ${pathText(path)}`}
          className="h-7 w-28 rounded-md border border-rule bg-paper px-2 font-mono"
          value={name}
          onChange={(event) => setName(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') rename();
            if (event.key === 'Escape') onDone();
          }}
        />
      </label>
      <Button isMain onPress={rename}>
        Rename everywhere
      </Button>
    </div>
  );
}
