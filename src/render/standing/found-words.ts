import { placesOfWords } from '../../core/lists';

/** What style sheets call words that were found. */
const highlightName = 'yc-found';

/** The words of a filter, marked in rows (CSS Custom Highlight API): no element is changed by it. */
export class FoundWords {
  private words: readonly string[] = [];
  private readonly ranges = new Set<Range>();

  /** Folded words; none: nothing is marked. */
  look(words: readonly string[]): void {
    this.words = words;
  }

  stop(): void {
    this.words = [];
    this.mark([]);
  }

  /** Marks them in these rows and nowhere else. */
  mark(rows: Iterable<HTMLElement>): void {
    if (this.words.length === 0 && this.ranges.size === 0) return;
    const all = sharedHighlight();
    for (const range of this.ranges) all.delete(range);
    this.ranges.clear();
    for (const row of this.words.length === 0 ? [] : rows)
      for (const range of rangesIn(row, this.words)) {
        this.ranges.add(range);
        all.add(range);
      }
  }
}

/** One for all lists of the page. */
function sharedHighlight(): Highlight {
  const known = CSS.highlights.get(highlightName);
  if (known !== undefined) return known;
  const made = new Highlight();
  CSS.highlights.set(highlightName, made);
  return made;
}

function* rangesIn(row: HTMLElement, words: readonly string[]): Generator<Range> {
  const texts = document.createTreeWalker(row, NodeFilter.SHOW_TEXT);
  for (let node = texts.nextNode(); node !== null; node = texts.nextNode())
    for (const [from, to] of placesOfWords(node.textContent ?? '', words)) {
      const range = document.createRange();
      range.setStart(node, from);
      range.setEnd(node, to);
      yield range;
    }
}
