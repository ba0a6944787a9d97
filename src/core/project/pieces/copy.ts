import { isBound, outermost, type Part, prefixOf, slotsOf, writtenAt } from '../../templates';
import { namesIn } from '../named-uses';
import { coloursOf, formatVersion, type Project, spacingOf, stylesOf, withId } from '../project';
import { shownTemplate } from '../rows/rows';
import { formatsIn, sharedIn } from '../rows/shared-parts';
import { type Piece, rowOfParts } from './piece';

/** What parts of a template are, with what they name of the project. Undefined: there are none such. */
export function copied(
  project: Project,
  place: { readonly template: string; readonly parts: readonly string[] },
): Piece | undefined {
  const parts = writtenParts(project, place);
  if (parts.length === 0) return undefined;
  const { sharedParts = [], formats = [] } = project;
  const kept = sharedClosure(project, parts);
  const rows = [
    rowOfParts(parts),
    ...sharedParts.filter(({ id }) => kept.has(id)).map(({ row }) => row),
  ];
  const named = (kind: 'style' | 'colour' | 'spacing', names: readonly string[]) =>
    new Set(
      rows.flatMap((row) =>
        namesIn(project, { id: '', row, fields: undefined, type: undefined }, kind, names),
      ),
    );
  const styles = named(
    'style',
    stylesOf(project).map(({ name }) => name),
  );
  const textStyles = stylesOf(project).filter(({ name }) => styles.has(name));
  const colours = named(
    'colour',
    coloursOf(project).map(({ name }) => name),
  );
  for (const { colour } of textStyles) colours.add(colour);
  const steps = named(
    'spacing',
    spacingOf(project).map(({ name }) => name),
  );
  const written = new Set(
    rows.flatMap((row) => slotsOf(row).flatMap(({ binding }) => formatsIn(binding))),
  );
  const ownColours = coloursOf(project).filter(({ name }) => colours.has(name));
  const spacing = spacingOf(project).filter(({ name }) => steps.has(name));
  const ownFormats = formats.filter(({ id }) => written.has(id));
  const shared = sharedParts.filter(({ id }) => kept.has(id));
  return {
    yarncard: formatVersion,
    parts,
    ...(textStyles.length > 0 && { textStyles }),
    ...(ownColours.length > 0 && { colours: ownColours }),
    ...(spacing.length > 0 && { spacing }),
    ...(ownFormats.length > 0 && { formats: ownFormats }),
    ...(shared.length > 0 && { sharedParts: shared }),
  };
}

/** Parts as they are written: what a shared part has in it is not in them. */
function writtenParts(
  project: Project,
  { template: id, parts }: { readonly template: string; readonly parts: readonly string[] },
): Piece['parts'] {
  const template = shownTemplate(project, id);
  const [first] = parts;
  if (template === undefined || first === undefined) return [];
  const at = writtenAt(template.row, first);
  const row =
    at.shared === undefined
      ? withId(project.templates, id)?.row
      : withId(project.sharedParts ?? [], at.shared)?.row;
  if (row === undefined) return [];
  const prefix = prefixOf(first);
  const own = parts
    .filter((part) => prefixOf(part) === prefix)
    .map((part) => part.slice(prefix.length));
  // The row itself is pasted as what it holds.
  if (own.includes(row.id)) return row.children;
  return outermost(row, own);
}

/** The shared parts that parts use, and those that these use. */
function sharedClosure({ sharedParts = [] }: Project, parts: readonly Part[]): ReadonlySet<string> {
  const found = new Set<string>();
  const wanted = [...sharedIn(rowOfParts(parts))];
  for (let id = wanted.pop(); id !== undefined; id = wanted.pop()) {
    if (found.has(id)) continue;
    found.add(id);
    const row = withId(sharedParts, id)?.row;
    if (row !== undefined) wanted.push(...sharedIn(row));
  }
  return found;
}

/** The pictures that parts name as they are, by value or by words. */
export const picturesIn = (parts: readonly Part[]): readonly string[] =>
  slotsOf(rowOfParts(parts)).flatMap(({ declared, binding }) =>
    declared.kind === 'picture' && !isBound(binding) && binding !== '' ? [binding] : [],
  );

export const pieceText = (piece: Piece): string => `${JSON.stringify(piece, null, 2)}\n`;
