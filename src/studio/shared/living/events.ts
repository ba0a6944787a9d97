import { create } from 'zustand';
import type { Gesture } from '../../../core/actions';
import type { Json } from '../../../core/base';

/** What is done to the list as a whole. */
type ListGesture = 'selection' | 'reorder' | 'refresh' | 'more';

/** Something that the app was told, or would have been. */
export interface ListEvent {
  readonly number: number;
  /** ISO 8601, with milliseconds. */
  readonly at: string;
  readonly gesture: Gesture | ListGesture;
  readonly name: string;
  /** Key of the row. */
  readonly key: string;
  readonly payload: Json | undefined;
  readonly payloadType: string;
  /** What the window did, in words. */
  readonly did: string;
  /** The same of the same row, a moment before. */
  readonly isTwice: boolean;
  /** The control that has nothing to write; undefined: it wrote, or is none. */
  readonly unwritten?: PartPlace;
  /** Whether it was done in the window beside. */
  readonly isBeside?: true;
}

/** A part of a template, by their ids. */
interface PartPlace {
  readonly template: string;
  readonly part: string;
}

/** What a destination was handed. */
export interface Page {
  readonly to: string;
  readonly event: ListEvent;
}

interface Told {
  readonly events: readonly ListEvent[];
  readonly isPaused: boolean;
  /** The page that stands over the rows; undefined: none. */
  readonly page: Page | undefined;
  /** Keys of the rows that are selected. */
  readonly chosen: ReadonlySet<string>;
  /** What is told of a gesture that goes on, to those who don't see it. */
  readonly said: string;
}

const nothing: Told = {
  ...{ events: [], isPaused: false, page: undefined, chosen: new Set<string>(), said: '' },
};

export const useTold = create<Told>()(() => nothing);

/** Another project, or another list: it has told nothing yet. */
export const forgetTold = (): void => useTold.setState(nothing);

/** So many are kept: the latest. */
const maxEvents = 500;
const momentMs = 400;
let last = 0;

/** Adds an event, unless it is paused. */
export function tell(event: Omit<ListEvent, 'number' | 'at' | 'isTwice'>): ListEvent {
  const { events, isPaused } = useTold.getState();
  last += 1;
  const at = new Date();
  const isTwice = events.some(
    ({ name, key, at: before }) =>
      name === event.name && key === event.key && at.getTime() - Date.parse(before) < momentMs,
  );
  const told = { ...event, number: last, at: at.toISOString(), isTwice };
  useTold.setState({ said: `${event.name}: ${event.did}` });
  if (!isPaused) useTold.setState({ events: [told, ...events].slice(0, maxEvents) });
  return told;
}
