import type { Spread } from '../../../core/items';
import type { SpreadTask } from '../../../engine';
import { engine } from '../session/session';
import { useAnswer } from '../session/use-answer';

/** What an expression gives over all items of a type. */
export const useSpread = (asked: SpreadTask | undefined): Spread | undefined =>
  useAnswer(asked, (own) => engine().spread(own));
