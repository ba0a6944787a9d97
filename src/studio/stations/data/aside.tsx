import { type ReactNode, useState } from 'react';
import { count, grouped } from '../../../core/base';
import { keyFields, keyReason } from '../../../core/items';
import { edits, type ItemType, ownSet } from '../../../core/project';
import { fieldNamed } from '../../../core/values';
import { Button, Heading, MenuButton } from '../../shared/controls/controls';
import { FileButton } from '../../shared/controls/file-button';
import { Renamed } from '../../shared/controls/renamed';
import { addAsSource, arrive, documentOf, isAddress, showSet } from '../../shared/opening/arrivals';
import { NewType } from '../../shared/opening/new-type';
import type { Current } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { makeForeseen } from '../../shared/session/foreseeing';
import { goWithin, useRoute } from '../../shared/session/route';
import { engine, surveyOf, useKept, useSession } from '../../shared/session/session';
import { NewComputed } from './field/expression-field';
import { makeNasty } from './make-items';
import { TypesMenu } from './types-menu';

/** Sources, then the types of the chosen one, its sets and its key. */
export function Aside({ current }: { readonly current: Current }) {
  const { project, source, types, set } = current;
  const itemCount = useSession((session) => session.view?.itemCount ?? 0);
  const { route } = useRoute();
  // The type of the item at hand: it shows what the expression gives.
  const atHand = useSession((session) => session.atHand?.type);
  const ofItem = types.find((type) => type.id === atHand) ?? types[0];
  const typeCounts = useSession((session) => session.view?.typeCounts);
  const itemCountOf = ({ id }: ItemType): number =>
    typeCounts?.find(([type]) => type === id)?.[1] ?? 0;
  const isOfPictures = route.page === 'project' && route.panel === 'pictures';
  return (
    <aside
      data-pane="sources"
      className="overflow-auto border-r border-rule px-3 py-2 max-[1000px]:row-span-2"
    >
      <Heading>Sources</Heading>
      <ul>
        {project.sources.map((each) => (
          <Line
            key={each.id}
            words={each.name}
            isChosen={each.id === source.id && !isOfPictures}
            about={each.id === source.id ? grouped(itemCount) : ''}
            onPress={() =>
              goWithin({
                source: each.id,
                panel: undefined,
                field: undefined,
                item: 0,
                template: undefined,
              })
            }
          />
        ))}
      </ul>
      <Actions>
        <FileButton words="Bring a file" label="Items for this project" />
        <AddSource />
        <NewType onMake={(document) => void addAsSource(document)} />
        {project.sources.length > 1 && (
          <Button
            title="With its types, their templates and the lists that show it; undo brings all back"
            onPress={() => {
              if (make(edits.removeSource(source.id)) === undefined)
                goWithin({ source: undefined, field: undefined, item: 0, template: undefined });
            }}
          >
            <span className="max-w-32 truncate">Remove {source.name}</span>
          </Button>
        )}
      </Actions>
      <Heading>Item types</Heading>
      <ul>
        {types.map((type) => (
          <li key={type.id} className="-ms-1 flex items-center justify-between gap-1">
            <Renamed
              key={type.name}
              label={`Name of the type ${type.name}`}
              words={type.name}
              onRename={(name) => make(edits.renameType(type.id, name))}
            />
            <span
              className="whitespace-nowrap text-ash tabular-nums"
              title={`${count(itemCountOf(type), 'item')} of ${count(type.fields.length, 'field')}`}
            >
              {grouped(itemCountOf(type))}
            </span>
          </li>
        ))}
      </ul>
      {types.length > 1 && source.discriminator !== null && (
        <p className="text-sm text-ash">
          told apart by <b className="text-ink">{source.discriminator}</b>
        </p>
      )}
      <Actions>
        {ofItem !== undefined && <NewComputed key={ofItem.id} type={ofItem} />}
        <ToldApart current={current} />
        <TypesMenu current={current} />
      </Actions>
      <Heading>Sets of {source.name}</Heading>
      <ul>
        {[{ id: ownSet, name: 'its own' }, ...(source.sets ?? [])].map((each) => (
          <Line
            key={each.id}
            words={each.name}
            isChosen={each.id === set}
            about=""
            onPress={() => void showSet(source.id, each.id)}
          />
        ))}
      </ul>
      {source.sets?.some((each) => each.id === 'nasty') !== true && (
        <Actions>
          <Button
            title="A few items of each type that are hard to show"
            onPress={() => void makeNasty(current)}
          >
            Make a nasty set
          </Button>
        </Actions>
      )}
      <Heading>Key</Heading>
      <KeyMenu current={current} />
      <KeyReason current={current} itemCount={itemCount} />
      {source.key === null && (
        <p className="pt-1 text-sm text-ash">
          Without a key a changed item counts as a new one when items come again.
        </p>
      )}
      <Heading>Pictures</Heading>
      <ul>
        <Line
          words="all pictures"
          isChosen={isOfPictures}
          about={String(project.pictures.length)}
          onPress={() => goWithin({ panel: 'pictures' })}
        />
      </ul>
    </aside>
  );
}

/** What can be done with what stands above, always as buttons. */
const Actions = ({ children }: { readonly children: ReactNode }) => (
  <div className="flex flex-col items-start gap-1.5 py-1.5">{children}</div>
);

interface LineProps {
  readonly words: string;
  readonly about: string;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

function Line({ words, about, isChosen, onPress }: LineProps) {
  return (
    <li className="-mx-3">
      <button
        type="button"
        aria-current={isChosen ? 'true' : undefined}
        className={`flex w-full justify-between gap-2 px-3 py-0.5 text-start ${isChosen ? 'bg-chosen font-semibold' : 'hover:bg-paper'}`}
        onClick={onPress}
      >
        <span className="truncate">{words}</span>
        <span className="font-normal text-ash tabular-nums">{about}</span>
      </button>
    </li>
  );
}

/** Another source: typed here, from an address, or dropped and pasted anywhere. */
function AddSource() {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  if (!isOpen) {
    return <Button onPress={() => setOpen(true)}>Paste or type more</Button>;
  }
  const add = () => {
    setOpen(false);
    setText('');
    const document = documentOf(text, 'typed');
    if ('address' in document) void arrive(document);
    else void addAsSource(document);
  };
  return (
    <div className="pb-2">
      <textarea
        // biome-ignore lint/a11y/noAutofocus: it was just asked for
        autoFocus
        aria-label="Items, or an address to fetch them from"
        className="h-24 w-full rounded-md border border-rule bg-paper p-1.5 font-mono text-xs"
        placeholder={'[{ "name": "…" }], rows of CSV, a JSON Schema, or https://…'}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setOpen(false);
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && text.trim() !== '')
            add();
        }}
      />
      <span className="flex gap-1.5">
        <Button isMain isDisabled={text.trim() === ''} onPress={add}>
          {isAddress(text) ? 'Fetch' : 'Add'}
        </Button>
        <Button onPress={() => setOpen(false)}>Leave</Button>
      </span>
    </div>
  );
}

/** What tells the types apart: split by a field, or merged into one. */
function ToldApart({ current }: { readonly current: Current }) {
  const { source, types } = current;
  if (types.length > 1)
    return (
      <Button onPress={() => makeForeseen(edits.mergeTypes(source.id))}>Merge into one</Button>
    );
  const fields = (types[0]?.fields ?? []).filter(
    ({ type, expr }) => expr === undefined && /^(?:text|integer|boolean)$/.test(type),
  );
  if (fields.length === 0) return null;
  return (
    <MenuButton
      label="Tell types apart"
      words="Split by a field"
      entries={fields.map((field) => ({
        words: field.name,
        hint: field.required ? '' : 'some have none',
        onChoose: () => void splitBy(source.id, field.name),
      }))}
    />
  );
}

const maxTypes = 40;

async function splitBy(source: string, field: string): Promise<void> {
  const found = await engine().foundBy(source, field);
  if (found.length > maxTypes) {
    useSession.setState({
      notice: {
        code: 'too-many-types',
        severity: 'note',
        place: { in: 'items', source, field },
        message: `${field} has ${found.length} values: too many to be types.`,
        hint: 'Choose a field with few values, such as a kind.',
      },
    });
    return;
  }
  makeForeseen(edits.splitTypes(source, field, found));
}

/** The fields that tell items apart: one, several, or none. */
function KeyMenu({ current }: { readonly current: Current }) {
  const { source, types } = current;
  const chosen = keyFields(source.key);
  const set = (fields: readonly string[]) => {
    const [first, ...others] = fields;
    const key = first === undefined ? null : others.length === 0 ? first : fields;
    make(edits.setKey(source.id, key));
  };
  return (
    <MenuButton
      label="Key"
      words={chosen.length === 0 ? 'position' : chosen.join(' · ')}
      entries={[
        {
          words: 'position',
          hint: 'no key',
          isChosen: chosen.length === 0,
          onChoose: () => set([]),
        },
        ...possibleKeys(types).map((name) => ({
          words: name,
          isChosen: chosen.length === 1 && chosen[0] === name,
          onChoose: () => set([name]),
        })),
        ...(chosen.length === 0
          ? []
          : possibleKeys(types)
              .filter((name) => !chosen.includes(name))
              .map((name) => ({
                words: `${chosen.join(' · ')} · ${name}`,
                hint: 'together',
                onChoose: () => set([...chosen, name]),
              }))),
      ]}
    />
  );
}

/** Why the key is one; what repeats is a finding and says so itself. */
function KeyReason({
  current,
  itemCount,
}: {
  readonly current: Current;
  readonly itemCount: number;
}) {
  const { key, id } = current.source;
  const repeats = useKept((session) =>
    surveyOf(session).findings.some(
      ({ code, place }) => code === 'key-repeats' && place.in === 'items' && place.source === id,
    ),
  );
  if (key === null || repeats || itemCount === 0) return null;
  return <p className="pt-1 text-sm text-ash">{keyReason(key, itemCount)}</p>;
}

/** Fields that every item has and that can tell items apart. */
function possibleKeys(types: readonly ItemType[]): string[] {
  const [first, ...rest] = types;
  return (first?.fields ?? [])
    .filter((field) => field.required && /^(?:text|integer|date|datetime)$/.test(field.type))
    .map((field) => field.name)
    .filter((name) => rest.every((type) => fieldNamed(type.fields, name)?.required === true));
}
