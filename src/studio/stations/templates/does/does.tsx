import X from 'lucide-react/icons/x';
import { useState } from 'react';
import {
  actionsNamed,
  type Gesture,
  gestures,
  isGesture,
  wordsOfAction,
} from '../../../../core/actions';
import { freeId } from '../../../../core/base';
import { actionWithId, edits, inOneStep, isChanged } from '../../../../core/project';
import { kindOfPart, propertyOf } from '../../../../core/templates';
import { Button, Heading, MenuButton } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { setAll } from '../binding/binding-edits';
import type { Selection } from '../selection';
import { ActionEditor } from './action-editor';
import { Written } from './written';

/** What the selected part does: the gestures that it answers, and the actions that they raise. */
export default function Does({ selection }: { readonly selection: Selection }) {
  const { part, parts, template } = selection;
  const [open, setOpen] = useState<string>();
  const isRow = part.id === template.row.id;
  const offered = Object.entries(kindOfPart(part).properties).flatMap(
    ([name, { isOfRow }]): readonly Gesture[] =>
      isGesture(name) && (isRow || !isOfRow) ? [name] : [],
  );
  const set = offered.filter((gesture) => propertyOf(part, gesture) !== undefined);
  const unset = offered.filter((gesture) => !set.includes(gesture));
  if (parts.length > 1) return null;
  const raised = set.flatMap((gesture) => actionsNamed(propertyOf(part, gesture)));
  const { project, type } = selection;
  const shown =
    open === undefined || !raised.includes(open) ? undefined : actionWithId(project, open);
  return (
    <section aria-label="Does">
      <div className="flex items-center gap-3">
        <Heading>Does</Heading>
        {unset.length > 0 && (
          <MenuButton
            words="Add a gesture"
            entries={unset.map((gesture) => ({
              words: gestures[gesture].words,
              onChoose: () => make(setAll(selection, gesture, '')),
            }))}
          />
        )}
      </div>
      {isChanged(part) && <Written {...selection} />}
      {set.map((gesture) => (
        <GestureField key={gesture} {...{ selection, gesture, open }} onOpen={setOpen} />
      ))}
      {shown !== undefined && (
        <ActionEditor key={shown.id} {...{ project, type }} action={shown} onRenamed={setOpen} />
      )}
    </section>
  );
}

interface GestureFieldProps {
  readonly selection: Selection;
  readonly gesture: Gesture;
  readonly open: string | undefined;
  readonly onOpen: (action: string | undefined) => void;
}

function GestureField({ selection, gesture, open, onOpen }: GestureFieldProps) {
  const { project, part } = selection;
  const { words, maxActions } = gestures[gesture];
  const named = actionsNamed(propertyOf(part, gesture));
  const actions = project.actions ?? [];
  // A gesture without actions is none.
  const write = (ids: readonly string[]) =>
    make(setAll(selection, gesture, ids.length === 0 ? undefined : ids.join(' ')));
  return (
    <div className="grid grid-cols-[132px_1fr] items-start gap-2 py-0.5">
      <span className="pt-0.5 text-ash">{words}</span>
      <span className="flex flex-wrap items-center gap-1">
        {named.map((id) => {
          const action = actionWithId(project, id);
          return (
            <span key={id} className="flex items-center">
              <Button
                isPressed={open === id}
                onPress={() => onOpen(open === id ? undefined : id)}
                whyNot={action === undefined ? 'It is no action of this project.' : undefined}
              >
                {action === undefined ? id : wordsOfAction(action)}
              </Button>
              <Button
                isIcon
                label={`${words}: not ${id}`}
                onPress={() => write(named.filter((each) => each !== id))}
              >
                <X size={12} aria-hidden="true" />
              </Button>
            </span>
          );
        })}
        {named.length < maxActions && (
          <MenuButton
            label={`Action for ${words}`}
            words={named.length === 0 ? 'choose an action' : 'and'}
            entries={[
              {
                words: 'New action',
                onChoose: () => onOpen(addNew(selection, gesture, named)),
              },
              ...actions
                .filter(({ id }) => !named.includes(id))
                .map((action) => ({
                  words: wordsOfAction(action),
                  hint: action.id,
                  onChoose: () => write([...named, action.id]),
                })),
            ]}
          />
        )}
        {named.length === 0 && (
          <Button isIcon label={`No ${words}`} onPress={() => write([])}>
            <X size={14} aria-hidden="true" />
          </Button>
        )}
      </span>
    </div>
  );
}

/** A new action under a free name, named by the gesture in the same step; its id. */
function addNew(
  { project, template, part }: Selection,
  gesture: Gesture,
  named: readonly string[],
): string {
  const id = freeId(
    firstName(gesture),
    (project.actions ?? []).map((action) => action.id),
  );
  const place = { template: template.id, part: part.id, property: gesture };
  make(
    inOneStep(`Add the action ${id}`, [
      edits.addAction({ id }),
      edits.set(place, [...named, id].join(' ')),
    ]),
  );
  return id;
}

const firstName = (gesture: Gesture): string =>
  ({
    tap: 'open',
    press: 'hold',
    swipeStart: 'mark',
    swipeEnd: 'remove',
    menu: 'more',
    change: 'change',
  })[gesture];
