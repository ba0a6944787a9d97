/** A piece of a date pattern: a field by its letter and how often it stands, or text as it is. */
export type DatePiece =
  | { readonly literal: string }
  | { readonly letter: string; readonly length: number };

/**
 * The pieces of a pattern of date fields. Letters are fields, `'…'` is text as it stands, two quotes
 * are one, inside quotes and outside. Standard: UTS 35, part 4, date format patterns.
 */
export function* piecesOf(pattern: string): Generator<DatePiece, void> {
  const piece = /''|'((?:[^']|'')*)'|([A-Za-z])\2*|[^A-Za-z']+|'/g;
  for (const [text, quoted, letter] of pattern.matchAll(piece)) {
    if (text === "''") yield { literal: "'" };
    else if (quoted !== undefined) yield { literal: quoted.replaceAll("''", "'") };
    else if (letter !== undefined) yield { letter, length: text.length };
    else yield { literal: text };
  }
}

/** The words as they stand in the pattern. */
export const wordsOf = (piece: DatePiece): string =>
  'literal' in piece ? piece.literal : piece.letter.repeat(piece.length);
