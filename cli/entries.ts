import { type Entry, placesBetween } from '../src/core/lists';
import type { Engine } from '../src/engine';

const atOnce = 2_000;

/** All entries of the list that an engine shows, some at a time. */
export function* entriesOf(engine: Engine, count: number): Generator<Entry, void> {
  for (let from = 0; from < count; from += atOnce)
    yield* engine.entries(placesBetween(from, from + atOnce));
}
