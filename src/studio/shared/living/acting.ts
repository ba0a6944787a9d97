import { wordsOfAction } from '../../../core/actions';
import type { Json } from '../../../core/base';
import { rawPathOf } from '../../../core/items';
import type { List, SelectionMode } from '../../../core/lists';
import {
  coloursOf,
  fieldWritten,
  type Project,
  shownTemplate,
  withId,
} from '../../../core/project';
import { colourOf, partWithId } from '../../../core/templates';
import type { GestureAnswer, ItemPlace, Raised } from '../../../engine';
import type {
  ActingPorts,
  ControlValue,
  DropPlace,
  GesturePlace,
  Offered,
  Pictures,
} from '../../../render';
import { changeItems } from '../session/editing';
import { engine, useSession } from '../session/session';
import type { Hands, Scheme } from '../window/window-settings';
import { askedForMore, refreshed, refreshList } from './asking';
import { type ListEvent, tell, useTold } from './events';

/** What a window is where its rows are acted on. */
export interface ActingWindow {
  /** The view that it shows; undefined: the first. */
  readonly view: string | undefined;
  readonly lives: boolean;
  readonly scheme: Scheme;
  readonly pictures: Pictures;
  readonly list: List | undefined;
  readonly hands: Hands;
  /** Id of the template that an entry is drawn with. */
  templateOf(place: GesturePlace): string | undefined;
}

/** What becomes of gestures in a window. */
export const actingIn = (now: () => ActingWindow): ActingPorts => ({
  isLiving: () => now().lives,
  offered: async (place) => {
    const { raised } = await answerAt(now(), place);
    return raised.map((each) => offeredAs(each, now()));
  },
  act: (place, action) => inTurn(() => act(now(), place, action)),
  change: (place, value) => inTurn(() => change(now(), place, value)),
  hands: () => now().hands,
  reorders: () => now().lives && now().list?.reorders === true,
  move: (entry, to) => inTurn(() => move(now(), entry.key, to)),
  refreshes: () => now().lives && now().list?.refreshes === true,
  refresh: () => refreshList(now().list),
  say: (words) => useTold.setState({ said: words }),
});

let before: Promise<unknown> = Promise.resolve();

/** One after the other: two quick presses of “one less” are two less. */
function inTurn(act: () => Promise<void>): void {
  before = before.then(act, act);
}

const nothing: GestureAnswer = { at: undefined, raised: [] };

async function answerAt(now: ActingWindow, place: GesturePlace): Promise<GestureAnswer> {
  const template = now.templateOf(place);
  if (template === undefined) return nothing;
  const { entry, part, gesture } = place;
  return engine().answerTo({ key: entry.key, template, part, gesture }, now.view);
}

function offeredAs({ action, isAllowed }: Raised, { scheme, pictures }: ActingWindow): Offered {
  const project = projectNow();
  const { icon, colour } = action;
  const own = project && colour !== undefined && colourOf(coloursOf(project), colour)?.[scheme];
  return {
    id: action.id,
    words: wordsOfAction(action),
    colour: own || undefined,
    icon: icon === undefined ? undefined : pictures(icon),
    isAllowed,
  };
}

const projectNow = (): Project | undefined => useSession.getState().history?.project;

async function act(now: ActingWindow, place: GesturePlace, only: string | undefined) {
  const answer = await answerAt(now, place);
  for (const each of answer.raised)
    if (each.isAllowed && (only === undefined || each.action.id === only))
      await done(now, place, { raised: each, at: answer.at });
  const mode = now.list?.selects;
  if (place.gesture === 'tap' && place.entry.kind === 'row' && mode !== undefined)
    select(mode, place.entry.key, now);
}

interface RaisedAt {
  readonly raised: Raised;
  readonly at: ItemPlace | undefined;
}

async function done(now: ActingWindow, place: GesturePlace, each: RaisedAt): Promise<void> {
  const { action, payload, payloadType } = each.raised;
  const { key } = place.entry;
  const did = await affect(now, key, each);
  const event = tell({
    ...{ gesture: place.gesture, name: action.id, key, payload, payloadType, did },
    ...whereOf(now),
  });
  if (action.effect?.does === 'go') useTold.setState({ page: { to: action.effect.to, event } });
}

/** Does what an action says becomes of the list; in words. */
async function affect(now: ActingWindow, key: string, { raised, at }: RaisedAt): Promise<string> {
  const { effect } = raised.action;
  if (effect === undefined) return 'nothing: it is the app’s';
  if (effect.does === 'go') return `went to ${effect.to}`;
  if (effect.does === 'refresh') return refreshed(now.list);
  if (effect.does === 'more') return askedForMore(now.list);
  if (effect.does === 'select') return select(now.list?.selects ?? 'several', key, now);
  if (at === undefined) return 'nothing: its item is gone';
  if (effect.does === 'write') return write(key, at, [effect.field], raised.written);
  const isDone = await changeItems(at.source, `Delete ${key}`, () =>
    engine().changeOf(at, { kind: 'remove' }),
  );
  return isDone ? 'deleted the item; undo brings it back' : 'nothing: it could not be deleted';
}

/** The window beside shows a view of its own. */
const whereOf = ({ view }: ActingWindow) => view !== undefined && ({ isBeside: true } as const);

/** Gives a field of an item a value; in words. */
async function write(
  key: string,
  at: ItemPlace,
  path: readonly string[],
  value: Json | undefined,
): Promise<string> {
  const name = path.join('.');
  const fields = withId(projectNow()?.types ?? [], at.type ?? '')?.fields ?? [];
  const isDone = await changeItems(at.source, `Write ${name} of ${key}`, () =>
    engine().changeOf(at, { kind: 'value', path: rawPathOf(fields, path), value }),
  );
  return isDone ? `wrote ${name}: ${inWords(value)}` : `nothing: ${name} could not be written`;
}

/** A row was let go: its item goes there, and is given what makes it one of that section. */
async function move(now: ActingWindow, key: string, to: DropPlace): Promise<void> {
  const moved = await engine().moveTo({ key, to }, now.view);
  const told = { gesture: 'reorder', name: 'moved', key, payloadType: 'place' } as const;
  const isDone =
    moved.ok &&
    (await changeItems(moved.value.at.source, `Move ${key}`, () =>
      engine().changeOf(moved.value.at, moved.value.change),
    ));
  const why = moved.ok ? 'it could not be moved' : moved.error;
  const did = isDone ? moved.value.did : `nothing: ${why}`;
  tell({ ...told, ...whereOf(now), payload: { ...to }, did });
}

/** A control writes the field that it is bound to, and then raises what it is to raise. */
async function change(now: ActingWindow, place: GesturePlace, value: ControlValue): Promise<void> {
  const before = await answerAt(now, place);
  const { at } = before;
  const selecting = before.raised.find(({ action }) => action.effect?.does === 'select');
  if (selecting?.isAllowed) {
    await done(now, place, { raised: selecting, at });
    return;
  }
  const project = projectNow();
  const template = project && shownTemplate(project, now.templateOf(place) ?? '');
  const part = template && partWithId(template.row, place.part);
  const fields = withId(project?.types ?? [], template?.type ?? '')?.fields ?? [];
  const field = part && fieldWritten(part, fields);
  const { key } = place.entry;
  const did =
    at === undefined || field === undefined
      ? 'nothing: its item is gone'
      : field.ok
        ? await write(key, at, field.value, value)
        : `nothing: ${field.error}`;
  const { raised } = await answerAt(now, place);
  const isUnwritten = template !== undefined && field?.ok === false;
  const told = {
    ...{ gesture: place.gesture, key, did, ...whereOf(now) },
    ...(isUnwritten && { unwritten: { template: template.id, part: place.part } }),
  };
  if (raised.length === 0)
    tell({ ...told, name: 'changed', payload: value, payloadType: typeof value });
  for (const { action, isAllowed, payload, payloadType } of raised)
    if (isAllowed) tell({ ...told, name: action.id, payload, payloadType });
}

export const inWords = (value: Json | undefined): string =>
  value === undefined ? 'no value' : JSON.stringify(value);

const momentMs = 300;

/** Selects a row, or not any more: each is an event of its own. */
function select(mode: SelectionMode, key: string, now: ActingWindow): string {
  const { chosen } = useTold.getState();
  const isChosen = chosen.has(key);
  const others = mode === 'several' ? [...chosen].filter((each) => each !== key) : [];
  if (mode !== 'several')
    for (const each of chosen) if (each !== key) tellSelection('deselected', each, now);
  useTold.setState({ chosen: new Set(isChosen ? others : [...others, key]) });
  tellSelection(isChosen ? 'deselected' : 'selected', key, now);
  if (mode === 'moment') setTimeout(() => useTold.setState({ chosen: new Set() }), momentMs);
  return isChosen ? 'deselected the row' : 'selected the row';
}

const tellSelection = (
  name: 'selected' | 'deselected',
  key: string,
  now: ActingWindow,
): ListEvent =>
  tell({
    ...whereOf(now),
    ...{ gesture: 'selection', name, key, payload: key, payloadType: 'key' },
    did: name === 'selected' ? 'marked the row' : 'took the mark away',
  });
