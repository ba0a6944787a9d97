/** Work over many items that can stop anywhere; what it yields is how far it has come, from 0 to 1. */
export type Turns<T> = Generator<number, T>;

/** Does all of it now. */
export function atOnce<T>(work: Turns<T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** Does it with a pause after each turn, so that others are answered; a rejected pause ends it. */
export async function inTurns<T>(
  work: Turns<T>,
  pause: () => Promise<void>,
  progress: (share: number) => void = () => {},
): Promise<T> {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    progress(step.value);
    await pause();
  }
}
