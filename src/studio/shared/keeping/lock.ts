/**
 * One tab writes a project; whoever opens it too looks on until that tab is gone, or takes it over.
 * The lock is the browser's own (Web Locks API), so it goes with its tab.
 */
export interface ProjectLock {
  readonly isMine: boolean;
  /** Gets the lock from the tab that has it, once that has kept all or does not answer. */
  takeOver(): Promise<void>;
  /** Resolves once the browser has given it to whoever waits: asked again at once, it is free. */
  release(): Promise<void>;
}

export interface LockEvents {
  /** The lock was another tab's and is this one's now. */
  gained(): void;
  /** Another tab has it now. */
  lost(): void;
  /** Another tab is about to take it: what is not kept yet is kept now. */
  isWanted(): Promise<void>;
}

const answerWithinMs = 2_000;
const wanted = 'wanted';
const allKept = 'all kept';

export async function lockProject(id: string, events: LockEvents): Promise<ProjectLock> {
  if (!('locks' in navigator))
    return { isMine: true, takeOver: () => Promise.resolve(), release: () => Promise.resolve() };
  const lock = new Lock(`yarn-card/${id}`, events);
  await lock.ask();
  return lock;
}

class Lock implements ProjectLock {
  isMine = false;
  private isOver = false;
  private letGo = () => {};
  /** The browser's answer to what was asked of it last; it comes when the lock is given back. */
  private asked: Promise<unknown> = Promise.resolve();
  private waiting = new AbortController();
  private readonly channel: BroadcastChannel;

  constructor(
    private readonly name: string,
    private readonly events: LockEvents,
  ) {
    this.channel = new BroadcastChannel(name);
    this.channel.addEventListener('message', ({ data }) => {
      if (data === wanted && this.isMine) void this.answer();
    });
  }

  /** Takes the lock if it is free; waits for it otherwise. */
  ask(): Promise<void> {
    return new Promise((resolve) => {
      const asked = navigator.locks.request(this.name, { ifAvailable: true }, (lock) => {
        if (lock === null) this.wait();
        else this.isMine = true;
        resolve();
        return lock === null ? undefined : this.hold();
      });
      this.asked = asked;
      asked.catch(() => {
        this.wasLost();
        resolve();
      });
    });
  }

  async takeOver(): Promise<void> {
    if (this.isMine || this.isOver) return;
    await this.askToKeepAll();
    if (this.isMine || this.isOver) return;
    this.waiting.abort();
    this.asked = navigator.locks
      .request(this.name, { steal: true }, () => this.have())
      .catch(() => this.wasLost());
  }

  async release(): Promise<void> {
    this.isOver = true;
    this.isMine = false;
    this.waiting.abort();
    this.channel.close();
    this.letGo();
    await this.asked.catch(() => {});
  }

  private wait(): void {
    this.waiting = new AbortController();
    const { signal } = this.waiting;
    this.asked = navigator.locks
      .request(this.name, { signal }, () => this.have())
      .catch(() => {
        if (!signal.aborted) this.wasLost();
      });
  }

  private have(): Promise<void> {
    this.isMine = true;
    this.events.gained();
    return this.hold();
  }

  private hold(): Promise<void> {
    return new Promise((resolve) => {
      this.letGo = resolve;
    });
  }

  /** Stolen: this tab looks on from now on, and waits for its turn like any other. */
  private wasLost(): void {
    if (this.isOver || !this.isMine) return;
    this.isMine = false;
    this.wait();
    this.events.lost();
  }

  private async answer(): Promise<void> {
    await this.events.isWanted();
    if (!this.isOver) this.channel.postMessage(allKept);
  }

  private askToKeepAll(): Promise<void> {
    return new Promise((resolve) => {
      const timer = setTimeout(done, answerWithinMs);
      const listen = ({ data }: MessageEvent) => data === allKept && done();
      this.channel.addEventListener('message', listen);
      const channel = this.channel;
      function done() {
        clearTimeout(timer);
        channel.removeEventListener('message', listen);
        resolve();
      }
      this.channel.postMessage(wanted);
    });
  }
}
