/** One thing is done after the other, however fast they are asked for; one that fails stops none. */
class Queue {
  private last: Promise<unknown> = Promise.resolve();

  take<T>(work: () => Promise<T>): Promise<T> {
    const next = this.last.then(work, work);
    this.last = next.catch(() => {});
    return next;
  }

  free(): void {
    this.last = Promise.resolve();
  }
}

/** There is one engine: one project is opened after the other. */
export const opening = new Queue();
/** Each walks all items. */
export const walks = new Queue();
/** Searches by example: what was typed over before its turn is not searched for. */
export const searches = new Queue();

/** What is waited for will never come, since the engine ended: the next thing does not wait for it. */
export function freeTurns(): void {
  for (const queue of [opening, walks, searches]) queue.free();
}
