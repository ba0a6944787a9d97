/** What a page is given to draw: it collapses white space by itself, and hyphens are never added. */
export const drawnWords = (words: string): string => words.replaceAll('\u00ad', '');

/** What a line of text keeps of white space: runs of it are one space, none at the ends. */
const collapsed = (line: string): string => line.replace(/[ \t\r]+/g, ' ').replace(/^ | $/g, '');

const isUntidy = /[\n\t\r\u00ad]|^ | $| {2}/;

/**
 * The paragraphs of words as the page draws them: no soft hyphens, white space collapsed. The end of
 * a line at the very end begins no other one; words of which nothing is drawn have none.
 */
export function paragraphsOf(words: string): readonly string[] {
  if (words === '') return [];
  if (!isUntidy.test(words)) return [words];
  const paragraphs = drawnWords(words).split('\n').map(collapsed);
  return paragraphs.at(-1) === '' ? paragraphs.slice(0, -1) : paragraphs;
}

const graphemes = new Intl.Segmenter('en', { granularity: 'grapheme' });
/** What surely begins a grapheme, after anything. */
const beginsAnew = /^[\u0020-\u007e\u00a1-\u00a8\u00aa-\u00ad\u00af-\u02ff\u0370-\u0482]/;
/** What goes on in whatever comes (Unicode Standard Annex 29, GB9b). */
const goesOn = /[\u0600-\u0605\u06dd\u070f\u0890\u0891\u08e2]/;

/**
 * What a page is given to draw as runs of one text. A run that begins within a grapheme loses it to
 * the one before: a mark is not drawn apart from its letter.
 */
export function drawnRuns(runs: readonly string[]): readonly string[] {
  const words = runs.map(drawnWords);
  const isPlain = words.every(
    (each, at) => !goesOn.test(each) && (at === 0 || each === '' || beginsAnew.test(each)),
  );
  if (isPlain) return words;
  const text = words.join('');
  const segments = graphemes.segment(text);
  let [start, end] = [0, 0];
  return words.map((each) => {
    end += each.length;
    const around = segments.containing(end);
    const whole =
      around === undefined || around.index === end ? end : around.index + around.segment.length;
    const own = text.slice(start, Math.max(start, whole));
    start = Math.max(start, whole);
    return own;
  });
}

/** A paragraph, and where each run of it ends. */
export interface ParagraphOfRuns {
  readonly text: string;
  readonly ends: readonly number[];
}

/** The same of several runs: white space is collapsed as if they were one. */
export function paragraphsOfRuns(runs: readonly string[]): readonly ParagraphOfRuns[] {
  const paragraphs: ParagraphOfRuns[] = [];
  let text = '';
  let ends: number[] = [];
  const finish = () => {
    const length = text.endsWith(' ') ? text.length - 1 : text.length;
    paragraphs.push({
      text: text.slice(0, length),
      ends: ends.map((end) => Math.min(end, length)),
    });
    text = '';
  };
  drawnRuns(runs).forEach((words, run) => {
    const [first = '', ...others] = words.split('\n');
    const add = (line: string) => {
      const own = line.replace(/[ \t\r]+/g, ' ');
      text += text === '' || text.endsWith(' ') ? own.replace(/^ /, '') : own;
      ends[run] = text.length;
    };
    add(first);
    for (const line of others) {
      finish();
      // Runs that ended in the paragraph before have nothing of this one.
      ends = Array.from({ length: run }, () => 0);
      add(line);
    }
  });
  if (text !== '') finish();
  return paragraphs;
}
