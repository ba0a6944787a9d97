import { plainText } from '../../values';
import { folded } from '../fold';
import type { Source } from '../sources';
import type { Cut, Wanted } from '../wanted';
import { byFormat, plain, type Writing } from './writing';

/** A step of the expression that changes a text. */
const byStep = (
  cost: number,
  step: string,
  change: (text: string) => string,
  isNumber = false,
): Writing => ({
  id: step,
  cost,
  isNumber,
  wrap: (expr) => `${expr}${step}`,
  write: (value) => change(plainText(value) ?? ''),
});

const wholes = [
  plain(0),
  byStep(0.4, '.toUpperCase()', (own) => own.toUpperCase()),
  byStep(0.5, '.toLowerCase()', (own) => own.toLowerCase()),
  byStep(0.3, '.trim()', (own) => own.trim()),
];
const parts = [
  byStep(1, '.slice(0, 1)', (own) => own.slice(0, 1)),
  byStep(1.2, '.slice(0, 1).toUpperCase()', (own) => own.slice(0, 1).toUpperCase()),
];

export function textWritings(text: string, { locale, fields, lower, cuts }: Wanted): Writing[] {
  const byChange = (change: 'sentence' | 'title' | 'initials', cost: number) =>
    byFormat({ as: 'text', change }, cost, { locale, fields });
  const isThere = lower.includes(folded(text).toLowerCase().trim());
  const initials = text
    .split(/[^\p{L}\p{N}]+/u)
    .map((word) => word.slice(0, 1))
    .join('');
  const hasInitials = initials.length > 1 && lower.includes(folded(initials).toLowerCase());
  return [
    ...(isThere ? [...wholes, byChange('sentence', 0.9), byChange('title', 1)] : []),
    ...(hasInitials ? [byChange('initials', 1.2)] : []),
    ...(/^\p{L}/u.test(text) ? parts : []),
    ...pieceWritings(text, lower),
    ...sliceWritings(text, lower),
    ...cutWritings(cuts),
  ];
}

/** Marks that texts are put together with; the longer before those that are in them. */
const marks = [' - ', ' – ', ' / ', ' | ', ' · ', ', ', ': ', ' ', '-', '/', '@', '.', '_', ':'];
const maxPieces = 5;

/** What stands between marks: a word, the host of an address, one end of a route. */
function pieceWritings(text: string, lower: string): Writing[] {
  const made: Writing[] = [];
  const seen = new Set<string>();
  for (const [rank, mark] of marks.entries()) {
    const pieces = text.split(mark);
    if (pieces.length < 2 || pieces.length > 12) continue;
    const at = (index: number) => (own: string) => own.split(mark).at(index) ?? '';
    const places = [...Array(Math.min(maxPieces, pieces.length)).keys(), -1];
    for (const place of places) {
      const piece = pieces.at(place) ?? '';
      const isKnown = seen.has(`${place} ${piece}`);
      if (isKnown || piece.trim() !== piece || !stands(piece, lower)) continue;
      seen.add(`${place} ${piece}`);
      const step = `.split(${JSON.stringify(mark)})${place < 0 ? '.at(-1)' : `[${place}]`}`;
      const cost = (place === 0 ? 1.2 : place < 0 ? 1.3 : 1.5) + (mark === ' ' ? 0 : rank * 0.02);
      const ofPiece = at(place);
      made.push(
        byStep(cost, step, ofPiece, /^\d/.test(piece)),
        byStep(cost + 0.4, `${step}.toUpperCase()`, (own) => ofPiece(own).toUpperCase()),
      );
    }
  }
  return made;
}

const lengths = [2, 3, 4, 5, 6] as const;

/** So many characters from the beginning or the end, or all but those. */
function sliceWritings(text: string, lower: string): Writing[] {
  return lengths.flatMap((length): Writing[] => {
    if (text.length <= length) return [];
    const some: readonly (readonly [step: string, cost: number, from: number, to?: number])[] = [
      [`.slice(0, ${length})`, 1.7, 0, length],
      [`.slice(-${length})`, 1.9, -length],
      [`.slice(${length})`, 2, length],
    ];
    return some.flatMap(([step, cost, from, to]): Writing[] => {
      const piece = text.slice(from, to);
      if (piece.length < 2 || piece.trim() !== piece || !stands(piece, lower)) return [];
      return [
        byStep(cost, step, (own) => own.slice(from, to), /^\d|\d$/.test(piece)),
        byStep(cost + 0.3, `${step}.toUpperCase()`, (own) => own.slice(from, to).toUpperCase()),
      ];
    });
  });
}

/** A text that is cut where it is long, with a sign for the rest. */
const cutWritings = (cuts: readonly Cut[]): Writing[] =>
  cuts.map(({ length, sign }) => ({
    id: `cut ${length} ${sign}`,
    cost: 0.9,
    wrap: (expr) =>
      `(${expr}.length > ${length} ? \`\${${expr}.slice(0, ${length})}${sign}\` : ${expr})`,
    write: (value) => {
      const own = plainText(value) ?? '';
      return own.length > length ? own.slice(0, length) + sign : own;
    },
  }));

const stands = (piece: string, lower: string): boolean =>
  piece !== '' && lower.includes(folded(piece).toLowerCase());

const joins = [', ', ' · ', ' / ', '/', ' | ', '; ', ' ', ',', ' & ', ' + ', ' - ', '\n'];

export function listWritings(
  source: Source,
  length: number,
  { locale, fields }: Wanted,
): Writing[] {
  const byJoin = joins.map(
    (join, at): Writing => ({
      id: `join ${join}`,
      cost: 0.2 + at * 0.1,
      wrap: (expr) => `${expr}.join(${JSON.stringify(join)})`,
      write: (value) =>
        Array.isArray(value)
          ? value.flatMap((each) => plainText(each ?? undefined) ?? []).join(join)
          : '',
    }),
  );
  if (source.type.type !== 'list') return [];
  const formats = (['and', 'or', 'unit'] as const)
    .slice(0, length < 2 ? 1 : 3)
    .map((join, at) => byFormat({ as: 'list', join }, 0.5 + at * 0.4, { locale, fields }));
  return [...byJoin, ...formats];
}
