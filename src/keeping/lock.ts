/**
 * One tab writes a project; whoever opens it too looks on until that tab is gone. The lock is the
 * browser's own (Web Locks API), so it goes with its tab.
 */
export interface ProjectLock {
  readonly isMine: boolean;
  release(): void;
}

/** `gained`: called once if the lock was another tab's and came free. */
export async function lockProject(id: string, gained: () => void): Promise<ProjectLock> {
  if (!('locks' in navigator)) return { isMine: true, release: () => {} };
  const name = `yarn-card/${id}`;
  let release = () => {};
  const held = () =>
    new Promise<void>((resolve) => {
      release = resolve;
    });
  const waiting = new AbortController();
  return new Promise((resolve) => {
    const asked = navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      const isMine = lock !== null;
      resolve({
        isMine,
        release() {
          waiting.abort();
          release();
        },
      });
      if (isMine) return held();
      const later = navigator.locks.request(name, { signal: waiting.signal }, () => {
        gained();
        return held();
      });
      // Given up when the project is left.
      later.catch(() => {});
      return undefined;
    });
    asked.catch(() => resolve({ isMine: true, release: () => {} }));
  });
}
