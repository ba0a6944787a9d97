let turn: Promise<unknown> = Promise.resolve();

/** What is waited for will never come: the next thing does not wait for it. */
export function freeTurn(): void {
  turn = Promise.resolve();
}

/** One thing is opened after the other, however fast they are asked for: there is one engine. */
export function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const next = turn.then(work, work);
  turn = next.catch(() => {});
  return next;
}
