import type { TextStyle } from './styles';

/** A colour of the project, as #RRGGBB or #RRGGBBAA. */
export interface Colour {
  readonly name: string;
  readonly light: string;
  readonly dark: string;
}

/** A length that gaps and padding name. */
export interface SpacingStep {
  readonly name: string;
  readonly px: number;
}

/** Steps of a project that has said none of its own. */
export const neutralSpacing: readonly SpacingStep[] = [
  { name: 'hair', px: 2 },
  { name: 'small', px: 4 },
  { name: 'medium', px: 8 },
  { name: 'large', px: 12 },
  { name: 'wide', px: 16 },
  { name: 'far', px: 24 },
];

/** What templates name and the project says once. */
export interface Tokens {
  readonly styles: readonly TextStyle[];
  readonly colours: readonly Colour[];
  readonly spacing: readonly SpacingStep[];
}

/** Colours of a project that has said none of its own. */
export const neutralColours: readonly Colour[] = [
  { name: 'ink', light: '#25222c', dark: '#efe9dd' },
  { name: 'ash', light: '#625c6b', dark: '#a8a1ae' },
  { name: 'ground', light: '#ffffff', dark: '#1e1c22' },
  { name: 'soft', light: '#f1ebdf', dark: '#35323c' },
  { name: 'rule', light: '#e6dfd2', dark: '#3d3944' },
  { name: 'madder', light: '#a23a2c', dark: '#e58a78' },
  { name: 'woad', light: '#2b5c86', dark: '#86b4da' },
  { name: 'weld', light: '#7c6206', dark: '#d8b94a' },
  { name: 'moss', light: '#4a6a35', dark: '#a2c486' },
  { name: 'heather', light: '#6d4a84', dark: '#be9cd4' },
];

/** What every row has of itself, whatever its project says: as the window's style sheet has it. */
export type RowColour = 'ground' | 'ink' | 'ash' | 'rule' | 'soft' | 'madder';

export function colourOfRows(name: RowColour): Colour {
  const colour = neutralColours.find((each) => each.name === name);
  if (colour === undefined) throw new Error(`There is no colour ${name} of rows.`);
  return colour;
}

/** A colour as items bring it (CSS Color 4, section 5.2). */
const hex = /^#(?:[0-9a-f]{3}|[0-9a-f]{6}|[0-9a-f]{8})$/i;

export const isHexColour = (value: unknown): value is string =>
  typeof value === 'string' && hex.test(value);

/** What a property's default is where the project has it under no such name: the first that it has. */
export const knownName = (names: readonly string[], name: string): string =>
  names.includes(name) ? name : (names[0] ?? name);

/** What is drawn of a colour that a name or an item says; undefined: nobody knows it. */
export function colourOf(
  colours: readonly Colour[],
  said: unknown,
): Pick<Colour, 'light' | 'dark'> | undefined {
  if (isHexColour(said)) return { light: said, dark: said };
  return colours.find(({ name }) => name === said);
}
