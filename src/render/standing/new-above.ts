/** Tells of rows that came above those that are looked at, until they are seen. */
export class NewAbove {
  private readonly sign = document.createElement('div');
  private readonly button = document.createElement('button');
  private count = 0;

  constructor(
    private readonly host: HTMLElement,
    go: () => void,
  ) {
    this.sign.className = 'yc-new-above';
    this.sign.setAttribute('role', 'status');
    this.button.type = 'button';
    this.button.addEventListener('click', (event) => {
      // It is no row's.
      event.stopPropagation();
      go();
    });
    this.sign.append(this.button);
  }

  /** So many more stand above now; less than 0: fewer. */
  add(count: number): void {
    this.count = Math.max(0, this.count + count);
    this.show();
  }

  /** Another list is shown: nothing came to it yet. */
  forget(): void {
    this.count = 0;
    this.show();
  }

  /** The first entry in sight: what is below it, and came, is seen. */
  seen(first: number): void {
    if (this.count === 0 || first >= this.count) return;
    this.count = first;
    this.show();
  }

  stop(): void {
    this.sign.remove();
  }

  private show(): void {
    if (this.count === 0) {
      this.sign.remove();
      return;
    }
    this.button.textContent = `${this.count} new above`;
    if (this.sign.parentElement === null) this.host.prepend(this.sign);
  }
}
