import { inTurns, type Turns } from '../../core/base';
import { Cancelled, turns } from './turns';

/**
 * Work in turns of which only the newest is wanted: another question ends it, and its asker gets
 * undefined; whoever asks the same meanwhile, or again, gets the same answer.
 */
export function newest<T>(): (
  question: string,
  work: () => Promise<Turns<T>>,
) => Promise<T | undefined> {
  let current: { readonly question: string; readonly answer: Promise<T | undefined> } | undefined;
  let cancel = () => {};
  const run = async (work: () => Promise<Turns<T>>, pause: () => Promise<void>) => {
    try {
      return await inTurns(await work(), pause);
    } catch (error) {
      if (error instanceof Cancelled) return undefined;
      throw error;
    }
  };
  return (question, work) => {
    if (current?.question === question) return current.answer;
    cancel();
    const own = turns();
    cancel = own.cancel;
    current = { question, answer: run(work, own.pause) };
    return current.answer;
  };
}
