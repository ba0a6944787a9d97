import type { Turns } from '../../core/base';
import { compileFor } from '../../core/project';
import {
  type BoundSlot,
  isBound,
  kindOfPart,
  partWithId,
  propertyOf,
  replacePart,
  type Template,
  withProperty,
} from '../../core/templates';
import type { Scene } from '../scene';

/** Why an item tests a part: its words are the longest, say. */
export type ExtremeKind = 'longest' | 'shortest' | 'missing' | 'from the right' | 'other script';

/** An item that tests what a part shows. */
export interface ExtremeItem {
  readonly kind: ExtremeKind;
  /** The part whose words they are. */
  readonly part: string;
  /** The first of those that are so. */
  readonly item: number;
  /** How many items are like it, of how many of the type. */
  readonly itemCount: number;
  readonly ofCount: number;
}

const itemsATurn = 500;

/** The items of a template's type that test most what a part shows; that of its first words where it shows none. */
export function* extremesOf(
  scene: Scene,
  { template: id, part }: { readonly template: string; readonly part: string },
): Turns<readonly ExtremeItem[]> {
  const compiled = scene.compiled(id);
  const { project } = scene;
  if (compiled === undefined || project === undefined) return [];
  const { template } = compiled;
  const wanted = shownBy(template, part) ?? firstWords(compiled.slots);
  if (wanted === undefined) return [];
  // What stands in for a value is no value.
  const bare = compileFor(
    project,
    withoutStandIn(template, wanted),
    scene.lookUp,
    scene.localeNow(),
  );
  const slot = bare.slots.find(
    (each) => each.part === wanted.part && each.property === wanted.property,
  );
  if (slot === undefined) return [];
  const found = new Found();
  const typeOf = scene.typesShown();
  const items = scene.shownItems();
  for (let item = 0; item < items.length; item += 1) {
    if (item % itemsATurn === itemsATurn - 1) yield item / items.length;
    const own = items[item];
    if (own === undefined || typeOf(item) !== template.type) continue;
    found.add(item, slot.value(own, scene.contextOf(item)));
  }
  return found.all(wanted.part);
}

interface Wanted {
  readonly part: string;
  readonly property: string;
}

function shownBy({ row }: Template, id: string): Wanted | undefined {
  const part = partWithId(row, id);
  const { shows } = part === undefined ? { shows: undefined } : kindOfPart(part);
  if (part === undefined || shows === undefined) return undefined;
  return isBound(propertyOf(part, shows)) ? { part: id, property: shows } : undefined;
}

const firstWords = (slots: readonly BoundSlot[]): Wanted | undefined =>
  slots.find(({ declared, binding }) => declared.kind === 'text' && isBound(binding));

function withoutStandIn(template: Template, { part, property }: Wanted): Template {
  const row = replacePart(template.row, part, (own) => {
    const said = propertyOf(own, property);
    if (!isBound(said) || said.else === undefined) return own;
    const { else: _, ...bare } = said;
    return withProperty(own, property, bare);
  });
  return { ...template, row };
}

interface First {
  item: number;
  count: number;
}

/** Hebrew, Arabic and the other scripts that run from right to left (Unicode bidi classes R and AL). */
const fromRight =
  /[\u0590-\u08FF\uFB1D-\uFDFF\uFE70-\uFEFF]|[\u{10800}-\u{10FFF}\u{1E800}-\u{1EFFF}]/u;
const letter = /\p{L}/u;
const latin = /\p{Script=Latin}/u;

class Found {
  private count = 0;
  private longestChars = -1;
  private shortestChars = Number.POSITIVE_INFINITY;
  private readonly longest: First = { item: -1, count: 0 };
  private readonly shortest: First = { item: -1, count: 0 };
  private readonly missing: First = { item: -1, count: 0 };
  private readonly right: First = { item: -1, count: 0 };
  private readonly other: First = { item: -1, count: 0 };

  add(item: number, value: unknown): void {
    this.count += 1;
    if (value === undefined || value === '') seen(this.missing, item);
    if (typeof value !== 'string' || value === '') return;
    const chars = [...value].length;
    if (chars > this.longestChars) restart(this.longest);
    if (chars >= this.longestChars) seen(this.longest, item);
    if (chars < this.shortestChars) restart(this.shortest);
    if (chars <= this.shortestChars) seen(this.shortest, item);
    this.longestChars = Math.max(this.longestChars, chars);
    this.shortestChars = Math.min(this.shortestChars, chars);
    if (fromRight.test(value)) seen(this.right, item);
    else if (letter.test(value) && !latin.test(value)) seen(this.other, item);
  }

  all(part: string): readonly ExtremeItem[] {
    const kinds: readonly (readonly [ExtremeKind, First])[] = [
      ['longest', this.longest],
      ['missing', this.missing],
      ['shortest', this.shortest],
      ['from the right', this.right],
      ['other script', this.other],
    ];
    const isAllSame = this.longestChars === this.shortestChars;
    return kinds.flatMap(([kind, { item, count }]): readonly ExtremeItem[] =>
      item < 0 || (kind === 'shortest' && isAllSame)
        ? []
        : [{ kind, part, item, itemCount: count, ofCount: this.count }],
    );
  }
}

function restart(first: First): void {
  first.item = -1;
  first.count = 0;
}

function seen(first: First, item: number): void {
  if (first.item < 0) first.item = item;
  first.count += 1;
}
