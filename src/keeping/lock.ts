/**
 * One tab writes a project; whoever opens it too may look. The lock is the browser's own
 * (Web Locks API), so it goes with its tab.
 */
export interface ProjectLock {
  readonly isMine: boolean;
  release(): void;
}

export async function lockProject(id: string): Promise<ProjectLock> {
  if (!('locks' in navigator)) return { isMine: true, release: () => {} };
  return new Promise((resolve) => {
    navigator.locks
      .request(`yarn-card/${id}`, { ifAvailable: true }, (lock) => {
        if (lock === null) {
          resolve({ isMine: false, release: () => {} });
          return undefined;
        }
        return new Promise<void>((release) => resolve({ isMine: true, release }));
      })
      .catch(() => resolve({ isMine: true, release: () => {} }));
  });
}
