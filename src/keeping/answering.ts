/** The browser's database did not answer: it hangs, or another page holds it up. */
export class SilentDatabase extends Error {
  override readonly name = 'SilentDatabase';
}

export const readWithinMs = 5_000;
export const writeWithinMs = 20_000;

/** What is asked of the database, given up once it has been silent for so long. */
export function answering<T>(asked: PromiseLike<T>, withinMs = readWithinMs): Promise<T> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new SilentDatabase('no answer')), withinMs);
    asked.then(resolve, reject).then(() => clearTimeout(timer));
  });
}
