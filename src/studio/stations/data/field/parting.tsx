import { useState } from 'react';
import { count } from '../../../../core/base';
import { valueAt } from '../../../../core/items';
import {
  edits,
  type FieldPlace,
  type ItemType,
  type Separator,
  separatorsIn,
} from '../../../../core/project';
import { isShowable } from '../../../../core/values';
import { plainLook } from '../../../../engine';
import { Button, MenuButton } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { engine } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';

interface PartingProps {
  readonly type: ItemType;
  readonly place: FieldPlace;
}

/** A text field in two, or two fields in one: computed properties, so that items stay as they came. */
export function Parting({ type, place, isText }: PartingProps & { readonly isText: boolean }) {
  const [open, setOpen] = useState<'split' | 'join'>();
  const close = () => setOpen(undefined);
  if (open === 'split') return <Split {...{ type, place }} onDone={close} />;
  if (open === 'join') return <Join {...{ type, place }} onDone={close} />;
  return (
    <span className="flex flex-wrap gap-1.5">
      {isText && <Button onPress={() => setOpen('split')}>Split in two …</Button>}
      <Button onPress={() => setOpen('join')}>Join with …</Button>
    </span>
  );
}

interface OpenProps extends PartingProps {
  readonly onDone: () => void;
}

const sampleCount = 400;
const look = 'h-7 rounded-md border border-rule bg-paper px-2 text-sm';

function Split({ type, place, onDone }: OpenProps) {
  const texts = useTexts(type, place) ?? [];
  const found = separatorsIn(texts);
  const [wish, setWish] = useState<string>();
  const name = place.path.at(-1) ?? '';
  const [names, setNames] = useState<readonly [string, string]>([`${name} 1`, `${name} 2`]);
  const chosen: Separator | undefined =
    wish === undefined ? found[0] : { text: wish, textCount: 0, mostPieces: 3 };
  const split = () => {
    if (chosen !== undefined && make(edits.splitField(place, chosen, names)) === undefined)
      onDone();
  };
  return (
    <span className="flex flex-wrap items-center gap-1.5 text-sm">
      at
      <input
        aria-label="What stands between"
        className={`${look} w-12 font-mono`}
        value={chosen?.text ?? ''}
        onChange={(event) => setWish(event.target.value)}
      />
      {found.length > 1 && (
        <MenuButton
          label="What could stand between"
          words="others"
          entries={found.map(({ text, textCount }) => ({
            words: JSON.stringify(text),
            hint: `in ${count(textCount, 'text')}`,
            isChosen: text === chosen?.text,
            onChoose: () => setWish(text),
          }))}
        />
      )}
      into
      {[0, 1].map((at) => (
        <input
          key={at}
          aria-label={at === 0 ? 'Name of the first' : 'Name of the second'}
          className={`${look} w-28`}
          value={names[at]}
          onChange={({ target: { value } }) =>
            setNames(at === 0 ? [value, names[1]] : [names[0], value])
          }
        />
      ))}
      <Button isMain isDisabled={(chosen?.text ?? '') === ''} onPress={split}>
        Split it
      </Button>
      <Button onPress={onDone}>Leave</Button>
    </span>
  );
}

function Join({ type, place, onDone }: OpenProps) {
  const own = place.path.join('.');
  const others = type.fields.filter((field) => isShowable(field) && field.name !== place.path[0]);
  const [other, setOther] = useState(others[0]?.name ?? '');
  const [text, setText] = useState(' ');
  const [name, setName] = useState('');
  const wished = name === '' ? `${place.path.at(-1) ?? ''} and ${other}` : name;
  const join = () => {
    if (make(edits.joinFields(place, [other], { text, name: wished })) === undefined) onDone();
  };
  return (
    <span className="flex flex-wrap items-center gap-1.5 text-sm">
      {own} and
      <MenuButton
        label="The other field"
        words={other}
        entries={others.map((field) => ({
          words: field.name,
          isChosen: field.name === other,
          onChoose: () => setOther(field.name),
        }))}
      />
      with
      <input
        aria-label="What stands between"
        className={`${look} w-12 font-mono`}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      between, as
      <input
        aria-label="Name of both"
        className={`${look} w-28`}
        placeholder={wished}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <Button isMain isDisabled={other === ''} onPress={join}>
        Join them
      </Button>
      <Button onPress={onDone}>Leave</Button>
    </span>
  );
}

/** The first texts of the field. */
function useTexts({ source }: ItemType, { path }: FieldPlace): readonly string[] | undefined {
  return useAnswer({ source, path }, async (asked) => {
    const found = await engine().rows(asked.source, plainLook, { from: 0, to: sampleCount });
    return found.rows.flatMap(({ item }) => {
      const value = valueAt(item, asked.path);
      return typeof value === 'string' && value !== '' ? [value] : [];
    });
  });
}
