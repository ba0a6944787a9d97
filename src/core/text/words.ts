/** What a line of text keeps of white space: runs of it are one space, none at the ends. */
const collapsed = (line: string): string => line.replace(/[ \t\r\f]+/g, ' ').replace(/^ | $/g, '');

/** The paragraphs of words as they are drawn and measured alike: no soft hyphens, white space collapsed. */
export const paragraphsOf = (words: string): readonly string[] =>
  words.replaceAll('\u00ad', '').split(/\r?\n/).map(collapsed);

/** The same as one text: on one line, paragraphs follow each other. */
export const drawnWords = (words: string, isOneLine: boolean): string =>
  isOneLine
    ? collapsed(words.replaceAll('\u00ad', '').replaceAll('\n', ' '))
    : paragraphsOf(words).join('\n');
