import type { Finding } from '../../base';
import type { Checked } from '../check/checked';
import { valueFindings } from '../findings';
import { kindOf } from '../result-type';

type Template = Checked & { readonly kind: 'template' };

/** A hole with the marks that belong to it: `(${town})`. */
interface Piece {
  readonly hole: Checked;
  readonly opens: string;
  readonly closes: string;
  /** What stands between it and the piece before. */
  readonly separator: string;
}

/** Templates whose separators stay where a value beside them is missing: `Am Markt , ()`. */
export function leftSeparators(checked: Checked, text: string): readonly Finding[] {
  if (checked.kind !== 'template' || checked.holes.length < 2) return [];
  const { texts, holes } = checked;
  const isBesideMarks = (at: number) => /\S/.test(`${texts[at]}${texts[at + 1]}`);
  if (!holes.some((hole, at) => hole.mayBeMissing && isBesideMarks(at))) return [];
  // What may be of several kinds cannot be joined.
  if (holes.some(({ type }) => kindOf(type) === 'mixed')) return [];
  const pieces = piecesOf(checked);
  if (pieces === undefined) return [];
  return [valueFindings.separatorsLeft(checked, joinedText(pieces, text))];
}

/** Undefined where more than marks stands around the holes. */
function piecesOf({ texts, holes }: Template): readonly Piece[] | undefined {
  if (texts.some((each) => /[\p{L}\p{N}\\`]/u.test(each))) return undefined;
  const parted = texts.map(parts);
  return holes.map((hole, at) => ({
    hole,
    opens: (at === 0 ? texts[0] : parted[at]?.opens) ?? '',
    closes: (at === holes.length - 1 ? texts[at + 1] : parted[at + 1]?.closes) ?? '',
    separator: at === 0 ? '' : (parted[at]?.separator ?? ''),
  }));
}

/** What closes the value before, what stands between, what opens the next. */
function parts(text: string): { closes: string; separator: string; opens: string } {
  const [, closes = '', separator = '', opens = ''] =
    /^([)\]}»”"]*)(.*?)([([{«“"]*)$/su.exec(text) ?? [];
  return { closes, separator, opens };
}

function joinedText([first, ...rest]: readonly Piece[], text: string): string {
  let made = first === undefined ? '' : pieceText(first, text);
  let last: string | undefined;
  for (const piece of rest) {
    const own = pieceText(piece, text);
    const isSame = piece.separator === last;
    made = isSame
      ? `${made.slice(0, -1)}, ${own})`
      : `joined(${JSON.stringify(piece.separator)}, ${made}, ${own})`;
    last = piece.separator;
  }
  return made;
}

function pieceText({ hole, opens, closes }: Piece, text: string): string {
  const words = text.slice(hole.from, hole.to);
  if (opens === '' && closes === '') return words;
  const marked = `\`${opens}\${${words}}${closes}\``;
  const isPath = hole.kind === 'field' || hole.kind === 'member' || hole.kind === 'call';
  const asked = isPath ? words : `(${words})`;
  return hole.mayBeMissing ? `${asked} === null ? null : ${marked}` : marked;
}
