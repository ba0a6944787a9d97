/** What a page is given to draw: it collapses white space by itself, and hyphens are never added. */
export const drawnWords = (words: string): string => words.replaceAll('\u00ad', '');

/** What a line of text keeps of white space: runs of it are one space, none at the ends. */
const collapsed = (line: string): string => line.replace(/[ \t\r]+/g, ' ').replace(/^ | $/g, '');

const isUntidy = /[\n\t\r\u00ad]|^ | $| {2}/;

/** The paragraphs of words as the page draws them: no soft hyphens, white space collapsed. */
export const paragraphsOf = (words: string): readonly string[] =>
  isUntidy.test(words) ? drawnWords(words).split('\n').map(collapsed) : [words];
