import { ownValue } from '../base';
import type { Item } from '../items';
import { filterWords, foldedText, hasWords, type List } from '../lists';
import { plainText } from '../values';

const nothing = new Uint8Array();

/** The items that a filter box lets through; the texts that it looks in are kept. */
export class ItemFilter {
  private ofTexts: readonly unknown[] = [];
  private texts: readonly string[] = [];
  private ofKept: readonly unknown[] = [];
  private kept = nothing;

  /** 1 for each item that stays in; undefined: all do. */
  take({ filter }: List, items: readonly Item[], typed: string): Uint8Array | undefined {
    if (filter === undefined) return undefined;
    const words = filterWords(typed);
    if (words.length === 0)
      return filter.reveals === true ? new Uint8Array(items.length) : undefined;
    const { fields } = filter;
    const ofTexts = [items, fields.join('\n')];
    if (!isSame(ofTexts, this.ofTexts))
      this.texts = items.map((item) =>
        foldedText(
          fields.map((name) => plainText(ownValue(item, name) ?? undefined) ?? '').join('\n'),
        ),
      );
    this.ofTexts = ofTexts;
    const ofKept = [this.texts, words.join(' ')];
    if (!isSame(ofKept, this.ofKept))
      this.kept = Uint8Array.from(this.texts, (text) => Number(hasWords(text, words)));
    this.ofKept = ofKept;
    return this.kept;
  }
}

const isSame = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((each, at) => each === other[at]);
