import { failed, freeId, isRecord, type Json, type Result } from '../../base';
import {
  addRun,
  expressionsOf,
  insertPart,
  type Landing,
  mapParts,
  type Part,
  partIds,
  partWithId,
  type StackPart,
  slotsOf,
  withFreeIds,
} from '../../templates';
import { pathsRead } from '../../values';
import type { Edit } from '../edits/edit';
import { editRow } from '../edits/templates/row-edit';
import { coloursOf, type Project, spacingOf, stylesOf, withId } from '../project';
import { shownTemplate } from '../rows/rows';
import { picturesIn } from './copy';
import { type Piece, rowOfParts } from './piece';

/** Whether a text is meant as a piece: one that has parts, and says whose they are. */
export const looksLikePiece = (text: string): boolean =>
  /^\s*\{/.test(text) && /"yarncard"\s*:/.test(text) && /"parts"\s*:/.test(text);

/** Reads a piece from what was pasted; the error says why it is none. */
export async function readPiece(text: string): Promise<Result<Piece, string>> {
  let read: Json;
  try {
    read = JSON.parse(text);
  } catch {
    return failed('What was pasted is no piece of a template.');
  }
  if (!isRecord(read) || !('parts' in read) || !('yarncard' in read))
    return failed('What was pasted is no piece of a template.');
  const { heldPiece } = await import('./piece-shape');
  return heldPiece(read);
}

/** What a piece brings into a project, and what of it is another there. */
export interface Arriving {
  /** What comes along. */
  readonly added: readonly string[];
  /** What the project calls the same, and has otherwise: its own is used. */
  readonly own: readonly string[];
  /** Values, pictures and fonts that are not there. */
  readonly missing: readonly string[];
}

/** Puts a piece where it lands. What it needs comes along; what is there under its name stays as it is. */
export function paste(template: string, landing: Landing, piece: Piece): Edit {
  const target = 'within' in landing ? landing.within : landing.beside;
  const name = `Paste ${piece.parts.length === 1 ? piece.parts[0]?.id : `${piece.parts.length} parts`}`;
  return {
    name,
    apply(before) {
      const project = withNeeds(before, piece);
      return editRow(name, { template, part: target }, (row, part) => {
        const place: Landing =
          'within' in landing
            ? { within: part, at: landing.at }
            : { beside: part, side: landing.side };
        return pastedIn(row, place, piece.parts);
      }).apply(project);
    },
  };
}

function pastedIn(row: StackPart, landing: Landing, parts: Piece['parts']): StackPart | string {
  const target = partWithId(row, 'within' in landing ? landing.within : landing.beside);
  if (target === undefined) return 'There is no such place.';
  const isInLabel = 'within' in landing && target.part === 'label';
  let made = row;
  let next = landing;
  for (const part of parts) {
    const own = withFreeIds(withoutOpened(part), partIds(made));
    if (own.part === 'run') {
      if (!isInLabel || !('within' in next)) return 'A run of words is pasted into a label.';
      made = addRun(made, next.within, own, next.at);
    } else {
      if (isInLabel) return 'Only runs of words stand in a label.';
      const stackId = freeId('stack', [...partIds(made), ...partIds(own)]);
      made = insertPart(made, next, { part: own, stackId });
    }
    next =
      'within' in next
        ? { ...next, at: next.at + 1 }
        : { ...next, ...following(own.id, next.side) };
  }
  return made;
}

const following = (id: string, side: 'before' | 'after' | 'above' | 'below') =>
  ({ beside: id, side: side === 'before' || side === 'after' ? 'after' : 'below' }) as const;

/** What stands in a use is looked up anew. */
const withoutOpened = <P extends Part>(part: P): P =>
  mapParts(part, (each) => {
    if (!('opened' in each)) return each;
    const { opened: _, ...rest } = each;
    return { ...each, ...rest, opened: undefined };
  });

/** The project with everything of a piece that it has nothing of the same name for. */
function withNeeds(project: Project, piece: Piece): Project {
  const { formats = [], sharedParts = [] } = project;
  const textStyles = newIn(stylesOf(project), piece.textStyles, 'name');
  const colours = newIn(coloursOf(project), piece.colours, 'name');
  const spacing = newIn(spacingOf(project), piece.spacing, 'name');
  const written = newIn(formats, piece.formats, 'id');
  const kept = newIn(sharedParts, piece.sharedParts, 'id');
  const fonts = new Set((project.fonts ?? []).map(({ name }) => name));
  return {
    ...project,
    ...(textStyles.length > 0 && {
      textStyles: [
        ...stylesOf(project),
        ...textStyles.map(({ family, ...style }) =>
          family !== undefined && fonts.has(family) ? { ...style, family } : style,
        ),
      ],
    }),
    ...(colours.length > 0 && { colours: [...coloursOf(project), ...colours] }),
    ...(spacing.length > 0 && { spacing: [...spacingOf(project), ...spacing] }),
    ...(written.length > 0 && { formats: [...formats, ...written] }),
    ...(kept.length > 0 && { sharedParts: [...sharedParts, ...kept] }),
  };
}

const newIn = <T extends object, K extends keyof T>(
  here: readonly T[],
  brought: readonly T[] = [],
  key: K,
): readonly T[] => brought.filter((each) => here.every((own) => own[key] !== each[key]));

/** What pasting brings, and what stays or lacks: for who pasted. */
export function arriving(project: Project, template: string, piece: Piece): Arriving {
  const { formats = [], sharedParts = [] } = project;
  const all = [
    ...compared('style', stylesOf(project), piece.textStyles, 'name'),
    ...compared('colour', coloursOf(project), piece.colours, 'name'),
    ...compared('step', spacingOf(project), piece.spacing, 'name'),
    ...compared('format', formats, piece.formats, 'id'),
    ...compared('shared part', sharedParts, piece.sharedParts, 'id'),
  ];
  const type = withId(project.types, shownTemplate(project, template)?.type ?? '');
  const names = new Set(type?.fields.map(({ name }) => name));
  const read = slotsOf(rowOfParts(piece.parts)).flatMap(({ binding }) =>
    expressionsOf(binding).flatMap((expr) => pathsRead(expr).map(([first = '']) => first)),
  );
  const pictures = new Set(project.pictures.map(({ name }) => name));
  const fonts = new Set((project.fonts ?? []).map(({ name }) => name));
  return {
    added: all.flatMap(({ words, is }) => (is === 'new' ? [words] : [])),
    own: all.flatMap(({ words, is }) => (is === 'other' ? [words] : [])),
    missing: [
      ...[...new Set(read)].filter((name) => !names.has(name)).map((name) => `value ${name}`),
      ...picturesIn(piece.parts)
        .filter((name) => !pictures.has(name))
        .map((name) => `picture ${name}`),
      ...(piece.textStyles ?? []).flatMap(({ family }) =>
        family === undefined || fonts.has(family) ? [] : [`font ${family}`],
      ),
    ],
  };
}

interface Compared {
  readonly words: string;
  readonly is: 'new' | 'other';
}

function compared<T extends object, K extends keyof T>(
  kind: string,
  here: readonly T[],
  brought: readonly T[] = [],
  key: K,
): readonly Compared[] {
  return brought.flatMap((each): readonly Compared[] => {
    const own = here.find((other) => other[key] === each[key]);
    const words = `${kind} ${String(each[key])}`;
    if (own === undefined) return [{ words, is: 'new' }];
    return JSON.stringify(own) === JSON.stringify(each) ? [] : [{ words, is: 'other' }];
  });
}
