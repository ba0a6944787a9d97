import { useMemo } from 'react';
import type { Action, Effect } from '../../../../core/actions';
import {
  type ActionChange,
  coloursOf,
  edits,
  environmentOf,
  type ItemType,
  type Project,
  readyAction,
} from '../../../../core/project';
import { fieldsOfAll } from '../../../../core/values';
import { ChoiceChips, MenuButton, Row } from '../../../shared/controls/controls';
import { Renamed } from '../../../shared/controls/renamed';
import { inWords } from '../../../shared/living/acting';
import { make } from '../../../shared/session/editing';
import { useSession } from '../../../shared/session/session';
import { ActionExpression } from './action-expression';

interface ActionEditorProps {
  readonly project: Project;
  readonly action: Action;
  /** What its expressions see; undefined: the fields of all types. */
  readonly type: ItemType | undefined;
  readonly onRenamed: (id: string) => void;
}

/** All that an action is. */
export function ActionEditor({ project, action, type, onRenamed }: ActionEditorProps) {
  const fields = type?.fields ?? fieldsOfAll(project.types);
  const set = (change: ActionChange) => make(edits.changeAction(action.id, change));
  const expression = { fields, environment: environmentOf(project) };
  const { id, words, colour, icon, when, payload, effect } = action;
  return (
    <div className="my-1 columns-2 gap-x-6 rounded-md border border-rule bg-paper p-2 max-[1100px]:columns-1 in-data-[windows=two]:columns-1">
      <Row words="named">
        <Renamed
          key={id}
          label="Name of the action"
          words={id}
          onRename={(next) => {
            const why = make(edits.renameAction(id, next));
            if (why === undefined) onRenamed(next.trim());
            return why;
          }}
        />
      </Row>
      <Row words="says">
        <Renamed
          key={`${id} ${words ?? ''}`}
          label="Words of the action"
          words={words ?? ''}
          onRename={(next) => set({ words: next.trim() === '' ? undefined : next.trim() })}
        />
      </Row>
      <Row words="looks">
        <span className="flex flex-wrap gap-1">
          <MenuButton
            label="Colour of the action"
            words={colour ?? 'plain'}
            entries={[
              {
                words: 'plain',
                isChosen: colour === undefined,
                onChoose: () => set({ colour: undefined }),
              },
              ...coloursOf(project).map(({ name }) => ({
                words: name,
                isChosen: name === colour,
                onChoose: () => set({ colour: name }),
              })),
            ]}
          />
          <MenuButton
            label="Picture of the action"
            words={icon ?? 'no picture'}
            entries={[
              {
                words: 'no picture',
                isChosen: icon === undefined,
                onChoose: () => set({ icon: undefined }),
              },
              ...project.pictures.map(({ name }) => ({
                words: name,
                isChosen: name === icon,
                onChoose: () => set({ icon: name }),
              })),
            ]}
          />
        </span>
      </Row>
      <Row words="if">
        <ActionExpression
          label="Condition of the action"
          {...expression}
          use="condition"
          expr={when ?? ''}
          onChange={(next) => set({ when: next === '' ? undefined : next })}
        />
      </Row>
      <Row words="hands over">
        <ChoiceChips
          label="What it hands over"
          options={[
            { value: 'item', words: 'the item' },
            { value: 'key', words: 'its key' },
            { value: 'expr', words: 'a value' },
          ]}
          chosen={typeof payload === 'object' ? 'expr' : (payload ?? 'item')}
          onChoose={(kind) =>
            set({
              payload:
                kind === 'item'
                  ? undefined
                  : kind === 'key'
                    ? 'key'
                    : { expr: fields[0]?.name ?? 'null' },
            })
          }
        />
        {typeof payload === 'object' && (
          <ActionExpression
            label="Value that is handed over"
            {...expression}
            use="any"
            expr={payload.expr}
            onChange={(expr) => set({ payload: { expr } })}
          />
        )}
        <HandsOver {...{ project, action, type }} />
      </Row>
      <Row words="does">
        <MenuButton
          label="What becomes of the list"
          words={effectWords(effect)}
          entries={[
            {
              words: effectWords(undefined),
              isChosen: effect === undefined,
              onChoose: () => set({ effect: undefined }),
            },
            ...effectsToBegin(fields[0]?.name ?? '').map((begun) => ({
              words: effectWords(begun),
              isChosen: effect?.does === begun.does,
              onChoose: () => set({ effect: begun }),
            })),
          ]}
        />
        {effect?.does === 'go' && (
          <Renamed
            key={effect.to}
            label="Page that it goes to"
            words={effect.to}
            onRename={(to) => set({ effect: { does: 'go', to: to.trim() || 'Details' } })}
          />
        )}
        {effect?.does === 'write' && (
          <>
            <MenuButton
              label="Field that it writes"
              words={effect.field}
              entries={fields
                .filter(({ expr }) => expr === undefined)
                .map(({ name }) => ({
                  words: name,
                  isChosen: name === effect.field,
                  onChoose: () => set({ effect: { ...effect, field: name } }),
                }))}
            />
            <ActionExpression
              label="Value that it writes"
              {...expression}
              use="any"
              expr={effect.value}
              onChange={(value) => set({ effect: { ...effect, value } })}
            />
          </>
        )}
      </Row>
    </div>
  );
}

/** What the window can do, each as one begins with it. */
const effectsToBegin = (field: string): readonly Effect[] => [
  { does: 'go', to: 'Details' },
  { does: 'delete' },
  { does: 'write', field, value: 'null' },
  { does: 'select' },
  { does: 'refresh' },
  { does: 'more' },
];

const wordsOfEffects: Readonly<Record<Effect['does'], string>> = {
  go: 'goes to a page',
  delete: 'deletes the item',
  write: 'writes a field',
  select: 'selects the row, or not',
  refresh: 'asks for the items anew',
  more: 'asks for the next page',
};

const effectWords = (effect: Effect | undefined): string =>
  effect === undefined ? 'nothing: the app does' : wordsOfEffects[effect.does];

/** What the item at hand would hand over. */
function HandsOver({ project, action, type }: Omit<ActionEditorProps, 'onRenamed'>) {
  const atHand = useSession((session) => session.atHand);
  const handed = useMemo(() => {
    if (atHand === undefined || typeof action.payload !== 'object') return undefined;
    const fields = type?.fields ?? fieldsOfAll(project.types);
    return readyAction(project, action, fields).payload?.evaluate?.(atHand.value);
  }, [project, action, type, atHand]);
  if (atHand === undefined) return null;
  if (type !== undefined && atHand.type !== undefined && atHand.type !== type.id)
    return <p className="text-sm text-ash">now: the item at hand is of another type</p>;
  const words =
    action.payload === 'key'
      ? inWords(atHand.key)
      : typeof action.payload === 'object'
        ? inWords(handed)
        : inWords(atHand.value);
  return (
    <p className="truncate text-sm text-ash" title={words.slice(0, 2_000)}>
      now: {words.slice(0, 200)}
    </p>
  );
}
