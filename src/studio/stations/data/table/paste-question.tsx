import { useState } from 'react';
import { count } from '../../../../core/base';
import { Button, Check } from '../../../shared/controls/controls';
import { type Paste, paste } from './pasting';

interface PasteQuestionProps {
  readonly what: Paste;
  readonly onDone: () => void;
}

/** What a paste would do besides filling cells: asked before it is done. */
export function PasteQuestion({ what, onDone }: PasteQuestionProps) {
  const [changesKeys, setChangesKeys] = useState(what.startsAtKey);
  const [addsFields, setAddsFields] = useState(false);
  const { cells, keyChangeCount, surplusCount, computed } = what;
  return (
    <section
      aria-label="What the paste would do"
      className="flex flex-wrap items-center gap-x-4 gap-y-1.5 border-b border-weld bg-paper px-3 py-2"
    >
      <b>Paste {count(cells.length, 'row')}</b>
      {keyChangeCount > 0 && (
        <Check
          isOn={changesKeys}
          onChange={setChangesKeys}
          words={`change the key of ${count(keyChangeCount, 'item')}`}
        />
      )}
      {surplusCount > 0 && (
        <Check
          isOn={addsFields}
          onChange={setAddsFields}
          words={`make ${count(surplusCount, 'field')} of the columns past the last`}
        />
      )}
      {computed.length > 0 && (
        <span className="text-ash">
          {computed.join(', ')} {computed.length === 1 ? 'is' : 'are'} computed: not written
        </span>
      )}
      <span className="flex gap-1.5">
        <Button
          isMain
          onPress={() => {
            onDone();
            void paste(what, { changesKeys, addsFields });
          }}
        >
          Paste
        </Button>
        <Button onPress={onDone}>Leave it</Button>
      </span>
    </section>
  );
}
