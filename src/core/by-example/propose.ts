import { freeId, ownValue, slug } from '../base';
import type { Format, NamedFormat } from '../formats';
import { type Field, instantOf, pathText, plainText } from '../values';
import { type Behaviour, behavioursOf, nextSample, openAt, type Sample } from './behaviours';
import { type Cover, coversOf, type Piece } from './cover';
import { typedOf } from './fold';
import { type Example, type Read, readExamples } from './occurrences';
import type { Source } from './sources';
import { exprOf, type Hole, type Text } from './writings/writing';

export interface Asked {
  readonly fields: readonly Field[];
  /** What `sourcesOf` gives, made once for the fields. */
  readonly sources: readonly Source[];
  readonly examples: readonly (Example & { readonly position: number })[];
  /** Some of the items, on which proposals are told apart. */
  readonly samples: readonly Sample[];
  readonly locale: string;
  /** Formats of the project: they are used where they do. */
  readonly formats: readonly NamedFormat[];
}

/** One stretch of the first example's words, and what it stays or becomes. */
export interface Stretch {
  /** The text as it was typed. */
  readonly text: string;
  readonly from: number;
  readonly to: number;
  /** The value that it becomes, and how that is written; undefined: fixed words. */
  readonly value?: { readonly expr: string; readonly format?: string };
  /** Why it may be wrong that it stays fixed. */
  readonly doubt?: string;
}

/** A form of a new format: a plural category, or `true` or `false`. */
export interface OpenForm {
  readonly format: string;
  readonly form: string;
  /** Likely words for it, which the format has. */
  readonly guess?: string;
}

export interface Proposal {
  /** Undefined `expr`: all of it is fixed words. */
  readonly expr: string | undefined;
  readonly words: string;
  /** Id of the format of the whole. */
  readonly format?: string;
  /** Formats that the project does not have yet. */
  readonly newFormats: readonly NamedFormat[];
  readonly stretches: readonly Stretch[];
  /** What it gives for the samples. */
  readonly texts: readonly Text[];
  /** Whether the words of each sample are in a form that no example has shown. */
  readonly isOpenAt: readonly boolean[];
  readonly open: readonly OpenForm[];
  /** Whether a computed property can be this: it has no formats. */
  readonly isPlain: boolean;
  /** Other ways to write the same for all samples. */
  readonly others: readonly Way[];
}

export type Way = Pick<Proposal, 'expr' | 'format' | 'newFormats'>;

export interface Proposed {
  /** The likeliest first, three at most. */
  readonly proposals: readonly Proposal[];
  /** The sample whose words would tell them apart. */
  readonly next: number | undefined;
  /** The examples follow no rule that is known here. */
  readonly isTwoRules: boolean;
}

const maxProposals = 3;
const maxOthers = 4;
/** Past this gap in cost to the first, nobody means it. */
const widestGap = 6;

/** What could give the words that a person typed for some items. */
export function propose(asked: Asked): Proposed {
  const { examples, sources, fields, locale, samples } = asked;
  const reads = readExamples(examples, sources, { locale, fields });
  const [first] = reads;
  if (first === undefined || first.words.text.trim() === '')
    return { proposals: [], next: undefined, isTwoRules: false };
  const covers = coversOf(reads, sources, locale, fields);
  const behaviours = behavioursOf(covers, first.words, samples);
  const positions = new Set(examples.map(({ position }) => position));
  return {
    proposals: likelyOf(behaviours).map((behaviour) => proposalOf(behaviour, first, asked)),
    next: nextSample(behaviours, samples, positions),
    isTwoRules: covers.length === 0 && examples.length > 1,
  };
}

/** The likeliest, and of the others those that are not far less likely: no place is filled with noise. */
function likelyOf(behaviours: readonly Behaviour[]): readonly Behaviour[] {
  const [first] = behaviours;
  if (first === undefined) return [];
  return behaviours
    .slice(0, maxProposals)
    .filter(({ cover }) => cover.cost - first.cover.cost <= widestGap);
}

function proposalOf({ cover, others, texts }: Behaviour, read: Read, asked: Asked): Proposal {
  const way = wayOf(cover, read, asked);
  const open = cover.pieces.flatMap((piece): OpenForm[] => {
    if (piece.kind === 'words') return [];
    const { open, format } = piece.hole.writing;
    const own = way.newFormats.find((each) => format !== undefined && isSame(each, format));
    if (own === undefined || open === undefined) return [];
    return open.forms.map((form) => {
      const guess = ownValue(open.guesses, form);
      return { format: own.id, form, ...(guess !== undefined && { guess }) };
    });
  });
  return {
    ...way,
    words: read.words.typed,
    stretches: cover.pieces.map((piece) => stretchOf(piece, read, cover, asked.fields)),
    texts,
    isOpenAt: openAt(cover, asked.samples),
    open,
    isPlain: cover.pieces.every(
      (piece) => piece.kind === 'words' || piece.hole.writing.format === undefined,
    ),
    others: others.slice(0, maxOthers).map((other) => wayOf(other, read, asked)),
  };
}

/** The expression of a cover, with the formats that it needs. */
function wayOf({ pieces }: Cover, { words }: Read, { formats }: Asked): Way {
  const newFormats: NamedFormat[] = [];
  const formatOf = (hole: Hole): string | undefined => {
    const { format } = hole.writing;
    if (format === undefined) return undefined;
    const known = [...formats, ...newFormats].find((each) => isSame(each, format));
    if (known !== undefined) return known.id;
    const name = nameOf(format, hole);
    const id = freeId(
      slug(name),
      [...formats, ...newFormats].map((each) => each.id),
    );
    newFormats.push({ id, name, ...format });
    return id;
  };
  const [only] = pieces;
  if (pieces.every((piece) => piece.kind === 'words')) return { expr: undefined, newFormats };
  if (pieces.length === 1 && only?.kind === 'hole') {
    const format = formatOf(only.hole);
    return { expr: exprOf(only.hole), ...(format !== undefined && { format }), newFormats };
  }
  const inside = pieces.map((piece) => {
    if (piece.kind === 'words') return typedOf(words, piece).replace(/[`\\]|\$(?=\{)/g, '\\$&');
    const format = formatOf(piece.hole);
    const expr = exprOf(piece.hole);
    return format === undefined ? `\${${expr}}` : `\${format(${expr}, ${JSON.stringify(format)})}`;
  });
  return { expr: `\`${inside.join('')}\``, newFormats };
}

function isSame({ id: _, name: __, ...known }: NamedFormat, format: Format): boolean {
  const sorted = (of: object) =>
    JSON.stringify(Object.entries(of).sort(([a], [b]) => (a < b ? -1 : 1)));
  return sorted(known) === sorted(format);
}

function nameOf(format: Format, { source }: Hole): string {
  const last = source.names.at(-1) ?? 'value';
  switch (format.as) {
    case 'number':
      if (format.compact !== undefined) return 'short number';
      return format.maxDigits === undefined ? 'number' : `${format.maxDigits} digits`;
    case 'date':
      return format.pattern ?? (format.date === undefined ? 'time' : `${format.date} date`);
    case 'unit':
      return typeof format.unit === 'string' ? format.unit : 'unit';
    case 'relative':
      return format.unit === 'day' ? 'days from now' : 'from now';
    case 'yesNo':
    case 'message':
      return `${last} in words`;
    case 'text':
      return format.change;
    default:
      return format.as;
  }
}

function stretchOf(
  piece: Piece,
  { words, example }: Read,
  { pieces }: Cover,
  fields: readonly Field[],
): Stretch {
  const from = words.at[piece.from] ?? 0;
  const to = words.at[piece.to] ?? words.typed.length;
  const text = words.typed.slice(from, to);
  if (piece.kind === 'hole') {
    const { format } = piece.hole.writing;
    const value = {
      expr: exprOf(piece.hole),
      ...(format !== undefined && { format: inWords(format) }),
    };
    return { text, from, to, value };
  }
  const doubt = doubtIn(text, example, pieces, fields);
  return { text, from, to, ...(doubt !== undefined && { doubt }) };
}

function inWords(format: Format): string {
  switch (format.as) {
    case 'money':
      return typeof format.currency === 'string'
        ? `money in ${format.currency}`
        : `money by ${format.currency.expr}`;
    case 'date':
      return (
        format.pattern ?? [format.date, format.time].filter((each) => each !== undefined).join(' ')
      );
    case 'yesNo':
      return `${format.yes || 'nothing'} or ${format.no || 'nothing'}`;
    case 'message':
      return 'plural';
    case 'text':
      return format.change;
    default:
      return format.as;
  }
}

/** Fixed words that hold digits, or a word of the item's own values, were perhaps meant to follow it. */
function doubtIn(
  text: string,
  { item }: Example,
  pieces: readonly Piece[],
  fields: readonly Field[],
): string | undefined {
  const digits = /\p{N}+/u.exec(text)?.[0];
  if (digits !== undefined) {
    const date = fields.find(
      ({ name, type }) =>
        type === 'text' &&
        !Number.isNaN(instantOf(plainText(ownValue(item, name) ?? undefined) ?? '')),
    );
    const hint = date && ` (${date.name} is read as text: read it as a date in Data to use it)`;
    return `${digits} is no value of this item that is known here; it stays as it is${hint ?? ''}`;
  }
  const shown = new Set(
    pieces.flatMap((piece) => (piece.kind === 'hole' ? piece.hole.source.expr : [])),
  );
  for (const word of text.split(/[^\p{L}\p{N}]+/u).filter((each) => each.length > 3))
    for (const [name, value] of Object.entries(item)) {
      const expr = pathText([name]);
      const own = plainText(value ?? undefined);
      if (own !== undefined && !shown.has(expr) && own.split(/[^\p{L}\p{N}]+/u).includes(word))
        return `“${word}” stands in ${expr}; it stays as it is`;
    }
  return undefined;
}
