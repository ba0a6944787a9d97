import type { BoundSlot, CompiledTemplate } from '../../core/templates';

const most = 200_000;

/** What bindings that are shown once gave for each item when it was first shown. */
export class Once {
  private readonly first = new Map<string, string | undefined>();

  /** The texts of a row, those that are shown once as they were first. */
  keep(
    { template, slots }: CompiledTemplate,
    key: string,
    texts: (string | undefined)[],
    locale: string,
  ): (string | undefined)[] {
    for (const [at, slot] of slots.entries()) {
      if (!isOnce(slot)) continue;
      // Another binding or locale is another thing to show.
      const id = JSON.stringify([template.id, slot.part, slot.binding, slot.format, locale, key]);
      if (!this.first.has(id) && this.first.size < most) this.first.set(id, texts[at]);
      texts[at] = this.first.has(id) ? this.first.get(id) : texts[at];
    }
    return texts;
  }

  clear(): void {
    this.first.clear();
  }
}

const isOnce = ({ binding }: BoundSlot): boolean =>
  typeof binding !== 'string' && binding.once === true;
