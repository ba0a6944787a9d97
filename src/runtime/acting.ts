import { wordsOfAction } from '../core/actions';
import type { Item } from '../core/items';
import type { Entry, List } from '../core/lists';
import {
  type PackedProject,
  type PackedRaised,
  type PackedView,
  withValueAt,
} from '../core/packed';
import { colourOf } from '../core/templates';
import type { ActingPorts, ControlValue, DrawnPicture, DropPlace, GesturePlace } from '../render';

/** What rows act in: the element, as far as they reach it. */
export interface ActedIn {
  readonly project: PackedProject;
  readonly view: PackedView;
  readonly list: List;
  readonly pictures: (name: string) => DrawnPicture | undefined;
  itemsOf(source: string): readonly Item[];
  give(source: string, items: readonly Item[]): void;
  /** Tells the app; false: it wants no more to be done. */
  tell(name: string, detail: object): boolean;
  /** Marks rows that a reader has selected. */
  choose(keys: ReadonlySet<string>): void;
  say(words: string): void;
}

const momentMs = 300;

/** What becomes of gestures: events that the app hears of, and what the design says comes of them unless it prevents that. */
export function actingIn(own: ActedIn): ActingPorts {
  const { project, view, list } = own;
  const select = selecting(own);

  const affect = (entry: Entry, { action, written }: PackedRaised): void => {
    const does = action.effect?.does;
    if (does === 'select') select(entry.key);
    if (does === 'delete') changed(own, entry.key, () => []);
    if (does === 'write' && written !== undefined)
      changed(own, entry.key, (item) => [withValueAt(item, written.path, written.value)]);
  };

  const raise = ({ entry, gesture, part }: GesturePlace, only?: string): void => {
    for (const each of view.raised(entry, { part, gesture })) {
      const { action, isAllowed, payload } = each;
      if (!isAllowed || (only !== undefined && action.id !== only)) continue;
      const to = action.effect?.does === 'go' ? { to: action.effect.to } : {};
      if (own.tell(action.id, { key: entry.key, payload, gesture, ...to })) affect(entry, each);
    }
  };

  return {
    isLiving: () => true,
    hands: () => (matchMedia('(pointer: coarse)').matches ? 'touch' : 'pointer'),
    async offered({ entry, gesture, part }) {
      return view.raised(entry, { part, gesture }).map(({ action, isAllowed }) => {
        const colour = colourOf(project.tokens.colours, action.colour);
        return {
          id: action.id,
          words: wordsOfAction(action),
          colour: colour && `light-dark(${colour.light}, ${colour.dark})`,
          icon: action.icon === undefined ? undefined : own.pictures(action.icon),
          isAllowed,
        };
      });
    },
    act(place, action) {
      raise(place, action);
      if (place.gesture === 'tap') press(own, place, select);
    },
    change(place, value) {
      write(own, place, value);
      raise(place);
    },
    move(entry, to) {
      if (own.tell('reorder', { key: entry.key, to })) moved(own, entry.key, to);
    },
    reorders: () => list.reorders === true,
    refreshes: () => list.refreshes === true,
    async refresh() {
      const waited: Promise<unknown>[] = [];
      own.tell('refresh', { waitFor: (promise: Promise<unknown>) => void waited.push(promise) });
      await Promise.allSettled(waited);
    },
    say: (words) => own.say(words),
  };
}

type Select = (key: string) => void;

/** Selects a row, or not any more. */
function selecting({ list, tell, choose }: ActedIn): Select {
  let chosen: ReadonlySet<string> = new Set();
  const take = (next: ReadonlySet<string>) => {
    chosen = next;
    choose(chosen);
  };
  return (key) => {
    const isChosen = chosen.has(key);
    const others = list.selects === 'several' ? [...chosen].filter((each) => each !== key) : [];
    const next = new Set(isChosen ? others : [...others, key]);
    if (!tell('selection', { key, isSelected: !isChosen, keys: [...next] })) return;
    take(next);
    if (list.selects === 'moment') setTimeout(() => take(new Set()), momentMs);
  };
}

function press(own: ActedIn, { entry, part }: GesturePlace, select: Select): void {
  const place = entry.kind === 'row' ? own.view.placeOf(entry.key) : undefined;
  const item = place && own.itemsOf(place.source)[place.at];
  own.tell('press', { key: entry.key, item, part });
  if (entry.kind === 'row' && own.list.selects !== undefined) select(entry.key);
}

/** A control writes the field that it is bound to. */
function write(own: ActedIn, { entry, part }: GesturePlace, value: ControlValue): void {
  const path = own.view.written(entry, part);
  if (path === undefined) return;
  if (own.tell('change', { key: entry.key, path, value }))
    changed(own, entry.key, (item) => [withValueAt(item, path, value)]);
}

/** An item with others in its place: none, or itself as it is now. */
function changed(own: ActedIn, key: string, next: (item: Item) => readonly Item[]): void {
  const place = own.view.placeOf(key);
  if (place === undefined) return;
  const items = own.itemsOf(place.source);
  own.give(
    place.source,
    items.flatMap((item, at) => (at === place.at ? next(item) : [item])),
  );
}

/** An item next to another one of its source. */
function moved(own: ActedIn, key: string, to: DropPlace): void {
  const from = own.view.placeOf(key);
  const beside = 'key' in to ? own.view.placeOf(to.key) : undefined;
  if (from === undefined || beside === undefined || !('key' in to)) return;
  const items = own.itemsOf(from.source);
  const item = items[from.at];
  if (item === undefined || from.source !== beside.source || from.at === beside.at) return;
  own.give(
    from.source,
    items.flatMap((each, at) => {
      if (at === from.at) return [];
      if (at !== beside.at) return [each];
      return to.side === 'before' ? [item, each] : [each, item];
    }),
  );
}
