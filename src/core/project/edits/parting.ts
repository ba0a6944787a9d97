import { pathText } from '../../values';
import { type Edit, inOneStep } from './edit';
import { addComputed, type FieldPlace } from './types';

/** What stands between the pieces of a field's texts, and how many pieces they have. */
export interface Separator {
  readonly text: string;
  /** How many of the texts have it. */
  readonly textCount: number;
  readonly mostPieces: number;
}

const separators = [', ', ' – ', ' — ', ' - ', ' / ', '; ', ': ', ' | ', ' · '];
const tight = [',', ';', '|', '/', ':', '@', '_', '-', '.', ' '];
/** One that stands in fewer says nothing of the others. */
const minShare = 0.6;

/** What could part the texts in two, the likeliest first. */
export function separatorsIn(texts: readonly string[]): readonly Separator[] {
  return [...separators, ...tight]
    .map((text) => ({
      text,
      textCount: texts.filter((each) => pieceCount(each, text) > 1).length,
      mostPieces: texts.reduce((most, each) => Math.max(most, pieceCount(each, text)), 1),
    }))
    .filter(({ textCount }) => textCount > 0 && textCount >= texts.length * minShare);
}

/** A separator at an end parts nothing. */
const pieceCount = (text: string, separator: string): number =>
  text
    .trim()
    .split(separator)
    .filter((piece) => piece.trim() !== '').length;

/** Two computed properties: what stands before the first separator, and what comes after it. */
export function splitField(
  { type, path }: FieldPlace,
  { text, mostPieces }: Separator,
  [first, second]: readonly [string, string],
): Edit {
  const pieces = `${pathText(path)}.split(${JSON.stringify(text)})`;
  const after =
    mostPieces > 2 ? `${pieces}.slice(1).join(${JSON.stringify(text)})` : `${pieces}[1]`;
  return inOneStep(`Split ${path.join('.')}`, [
    addComputed(type, first, `${pieces}[0]`),
    addComputed(type, second, after),
  ]);
}

/** A computed property of two fields, with a separator where both are there. */
export function joinFields(
  { type, path }: FieldPlace,
  other: readonly string[],
  { text, name }: { readonly text: string; readonly name: string },
): Edit {
  const values = [path, other].map(pathText).join(', ');
  return {
    ...addComputed(type, name, `joined(${JSON.stringify(text)}, ${values})`),
    name: `Join ${path.join('.')} and ${other.join('.')}`,
  };
}
