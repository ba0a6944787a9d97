/** What drawing took in one frame of the page. */
export interface FrameWork {
  /** Of the page, in ms. */
  readonly at: number;
  readonly ms: number;
  /** Values that were bound in it. */
  readonly bound: number;
}

const mostFrames = 120;

/** The work of the last frames in which anything was drawn. */
export class WorkLog {
  private readonly frames: FrameWork[] = [];

  /** Does some of a frame's work; `boundCount`: bindings so far. */
  during(boundCount: () => number, work: () => void): void {
    const [begun, before] = [performance.now(), boundCount()];
    work();
    this.add(performance.now() - begun, boundCount() - before);
  }

  /** The latest last. */
  get latest(): readonly FrameWork[] {
    return [...this.frames];
  }

  private add(ms: number, bound: number): void {
    const now = document.timeline.currentTime;
    const at = typeof now === 'number' ? now : performance.now();
    const last = this.frames.at(-1);
    if (last?.at === at)
      this.frames[this.frames.length - 1] = { at, ms: last.ms + ms, bound: last.bound + bound };
    else this.frames.push({ at, ms, bound });
    if (this.frames.length > mostFrames) this.frames.shift();
  }
}
