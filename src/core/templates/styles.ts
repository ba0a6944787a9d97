/** A named way to set text: lengths in px at 100 % text size. */
export interface TextStyle {
  readonly name: string;
  readonly size: number;
  readonly lineHeight: number;
  /** From 100 to 900. */
  readonly weight: number;
  /** The name of a colour of the project. */
  readonly colour: string;
  /** A font of the project's own, by its name; none: the faces that every project has. */
  readonly family?: string;
  /** After each letter, in px. */
  readonly letterSpacing?: number;
}

/** Styles of a project that has said none of its own. */
export const neutralStyles: readonly TextStyle[] = [
  { name: 'title', size: 15, lineHeight: 20, weight: 550, colour: 'ink' },
  { name: 'body', size: 14, lineHeight: 20, weight: 400, colour: 'ink' },
  { name: 'small', size: 12, lineHeight: 16, weight: 400, colour: 'ash' },
  { name: 'value', size: 14, lineHeight: 20, weight: 600, colour: 'ink' },
];

const plain: TextStyle = { name: 'body', size: 14, lineHeight: 20, weight: 400, colour: 'ink' };

/** The style of a name; of a name that no style has, the first one: a text is always drawn. */
export const styleNamed = (styles: readonly TextStyle[], name: unknown): TextStyle =>
  styles.find((style) => style.name === name) ?? styles[0] ?? plain;
