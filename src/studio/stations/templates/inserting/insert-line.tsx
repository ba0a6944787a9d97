import { type ReactNode, useState } from 'react';
import type { Landing } from '../../../../core/templates';
import { useTrial } from '../../../shared/session/trial';
import { ArrowChoices } from '../bench/arrow-choices';
import { LineField } from '../bench/line-field';
import { endWriting } from '../bench/writing';
import { selectNew } from '../commands/does';
import type { Selection } from '../selection';
import { type NewPart, newParts } from './new-parts';
import { placesIn } from './places';

interface InsertLineProps {
  readonly selection: Selection;
  /** Undefined: it is asked. */
  readonly landing: Landing | undefined;
}

/** A new part by its first letters, then where it goes; the real rows show it meanwhile. */
export function InsertLine({ selection: now, landing }: InsertLineProps): ReactNode {
  // What is tried is not what it is tried on.
  const [selection] = useState(now);
  const [parts] = useState(() => newParts(now));
  const [chosen, setChosen] = useState<NewPart>();
  const trial = useTrial();
  const take = (part: NewPart, where: Landing) => {
    if (trial.show(part.edit(where)) !== undefined) return;
    selectNew(selection.template);
    trial.take();
    endWriting();
  };
  const first: Landing = landing ?? { beside: selection.part.id, side: 'below' };
  if (chosen !== undefined)
    return (
      <ArrowChoices
        selection={selection}
        words={`${chosen.words} goes`}
        choices={placesIn(selection).map(({ words, key, landing: where }) => ({
          ...{ words, key },
          edit: chosen.edit(where),
        }))}
      />
    );
  return (
    <LineField
      label="What comes in"
      first=""
      placeholder="label, image, badge …"
      none="No kind of part begins so."
      options={(text) =>
        parts
          .filter(({ words }) => words.toLowerCase().startsWith(text.trim().toLowerCase()))
          .map(({ key, words, about }) => ({ key, words, title: about }))
      }
      onLook={(key, text) => {
        const part = parts.find((each) => each.key === key);
        trial.show(text === '' ? undefined : part?.edit(first));
      }}
      onTake={(key) => {
        const part = parts.find((each) => each.key === key);
        if (part === undefined) return;
        if (landing !== undefined || part.hasOwnPlace) take(part, first);
        else {
          trial.show(undefined);
          setChosen(part);
        }
      }}
      onLeave={endWriting}
    />
  );
}
