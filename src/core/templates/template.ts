import type { Binding } from './binding';
import type { Part, SlotProperty, StackPart } from './parts';

/** What a row or cell of one item type looks like. Its outermost part is always a stack. */
export interface Template {
  readonly id: string;
  readonly name: string;
  /** Id of the item type whose fields it reads. */
  readonly type: string;
  readonly row: StackPart;
}

/** All parts, each before those inside it. */
export function* partsOf(part: Part): Generator<Part, void> {
  yield part;
  if (part.part === 'stack') for (const child of part.children) yield* partsOf(child);
}

export function partWithId(row: Part, id: string): Part | undefined {
  for (const part of partsOf(row)) if (part.id === id) return part;
  return undefined;
}

/** The stack that directly holds a part. */
export function stackAround(row: StackPart, id: string): StackPart | undefined {
  for (const part of partsOf(row)) {
    if (part.part === 'stack' && part.children.some((child) => child.id === id)) return part;
  }
  return undefined;
}

/** What feeds a property of a part, if the part has that property. */
export function bindingOf(part: Part, property: SlotProperty): Binding | undefined {
  if (part.part === 'label' && property === 'text') return part.text;
  if (part.part === 'label' && property === 'link') return part.link;
  return part.part === 'image' && property === 'picture' ? part.picture : undefined;
}

/** The part, and all parts inside it, with each binding changed. */
export function mapBindings(
  part: Part,
  change: (binding: Binding, property: SlotProperty) => Binding,
): Part {
  switch (part.part) {
    case 'label':
      return {
        ...part,
        text: change(part.text, 'text'),
        ...(part.link !== undefined && { link: change(part.link, 'link') }),
      };
    case 'image':
      return { ...part, picture: change(part.picture, 'picture') };
    case 'stack':
      return { ...part, children: part.children.map((child) => mapBindings(child, change)) };
  }
}

export interface Slot {
  readonly part: string;
  readonly property: SlotProperty;
  readonly binding: Binding;
}

/** Every bound property of a template in a fixed order: the order of an entry's texts. */
export function slotsOf(row: StackPart): readonly Slot[] {
  const slots: Slot[] = [];
  for (const part of partsOf(row)) {
    if (part.part === 'label') slots.push({ part: part.id, property: 'text', binding: part.text });
    if (part.part === 'label' && part.link !== undefined)
      slots.push({ part: part.id, property: 'link', binding: part.link });
    if (part.part === 'image')
      slots.push({ part: part.id, property: 'picture', binding: part.picture });
  }
  return slots;
}
