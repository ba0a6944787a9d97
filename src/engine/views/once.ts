import {
  type BoundSlot,
  type CompiledTemplate,
  type EntryValue,
  isBound,
} from '../../core/templates';

const maxKept = 200_000;

/** What bindings that are shown once gave for each item when it was first shown. */
export class Once {
  private readonly first = new Map<string, EntryValue>();

  /** The values of a row, those that are shown once as they were first. */
  keep(
    { template, slots }: CompiledTemplate,
    key: string,
    values: EntryValue[],
    locale: string,
  ): EntryValue[] {
    for (const [at, slot] of slots.entries()) {
      if (!isOnce(slot)) continue;
      // Another binding or locale is another thing to show.
      const id = JSON.stringify([
        template.id,
        slot.drawnAt,
        slot.binding,
        slot.format,
        locale,
        key,
      ]);
      if (!this.first.has(id) && this.first.size < maxKept) this.first.set(id, values[at]);
      values[at] = this.first.has(id) ? this.first.get(id) : values[at];
    }
    return values;
  }

  clear(): void {
    this.first.clear();
  }
}

const isOnce = ({ binding }: BoundSlot): boolean => isBound(binding) && binding.once === true;
