import { type ReactNode, useState } from 'react';
import type { Landing } from '../../../../core/templates';
import { useTrial } from '../../../shared/session/trial';
import { ArrowChoices } from '../bench/writing/arrow-choices';
import { LineField } from '../bench/writing/line-field';
import { endWriting } from '../bench/writing/writing';
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
    const edit = part.edit(where);
    if (typeof edit === 'string' || trial.show(edit) !== undefined) return;
    trial.take();
    selectNew(selection.template);
    endWriting();
  };
  const placeOf = ({ likely }: NewPart): Landing =>
    landing ?? likely ?? { beside: selection.part.id, side: 'below' };
  const choosePlace = (part: NewPart) => {
    trial.show(undefined);
    setChosen(part);
  };
  const withKey = (key: string | undefined) => parts.find((each) => each.key === key);
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
      placeholder="kind or value; Tab: where"
      none="No kind of part begins so."
      options={(text) =>
        parts
          .filter(({ words }) => begins(words, text.trim().toLowerCase()))
          .map(({ key, words, about, hint }) => ({
            ...{ key, words, title: about },
            ...(hint !== undefined && { hint }),
          }))
      }
      onLook={(key, text) => {
        const part = withKey(key);
        const edit = text === '' ? undefined : part?.edit(placeOf(part));
        trial.show(typeof edit === 'string' ? undefined : edit);
      }}
      onTake={(key, byPress) => {
        const part = withKey(key);
        if (part === undefined) return;
        if (byPress && landing === undefined && part.likely !== undefined) choosePlace(part);
        else take(part, placeOf(part));
      }}
      onMore={(key) => {
        const part = withKey(key);
        if (part?.likely !== undefined && landing === undefined) choosePlace(part);
      }}
      onLeave={endWriting}
    />
  );
}

/** Its name, or a step of it, begins so. */
const begins = (words: string, wish: string): boolean =>
  [words, ...words.split(/ › | of /)].some((step) => step.toLowerCase().startsWith(wish));
