import type { Entry } from '../core/lists';
import { knownId } from '../core/templates';

/** What a press was on. */
export interface PressedEntry {
  readonly index: number;
  readonly entry: Entry;
}

interface Ports {
  entryAt(target: Element): PressedEntry | undefined;
  /** `part`: what of it was pressed. */
  pressed(entry: Entry, part: string | undefined): void;
  /** A heading whose section can be folded. */
  fold(pressed: PressedEntry): void;
}

/** Presses on the entries of a list, by pointer and by key. */
export class Presses {
  constructor(
    private readonly host: HTMLElement,
    private readonly ports: Ports,
  ) {
    host.addEventListener('click', this.onClick);
    host.addEventListener('keydown', this.onKey);
  }

  stop(): void {
    this.host.removeEventListener('click', this.onClick);
    this.host.removeEventListener('keydown', this.onKey);
  }

  private readonly onClick = ({ target }: MouseEvent): void => {
    const pressed = target instanceof Element ? this.ports.entryAt(target) : undefined;
    if (!(target instanceof Element) || pressed === undefined) return;
    if (pressed.entry.isFolded !== undefined) this.ports.fold(pressed);
    const drawn = target.closest<HTMLElement>('[data-part]')?.dataset['part'];
    this.ports.pressed(pressed.entry, drawn && knownId(drawn));
  };

  private readonly onKey = (event: KeyboardEvent): void => {
    const { key, target } = event;
    if (!(target instanceof Element) || (key !== 'Enter' && key !== ' ')) return;
    if (target.getAttribute('aria-expanded') === null) return;
    const pressed = this.ports.entryAt(target);
    if (pressed === undefined) return;
    event.preventDefault();
    this.ports.fold(pressed);
  };
}
