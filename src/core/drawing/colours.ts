import type { Colour } from '../templates';

/** What every row has behind it and around it where its project says nothing: as the window has it. */
export const rowColours = {
  ground: { light: '#ffffff', dark: '#1e1c22' },
  ink: { light: '#25222c', dark: '#efe9dd' },
  ash: { light: '#625c6b', dark: '#a8a1ae' },
  rule: { light: '#e6dfd2', dark: '#3d3944' },
  blank: { light: '#f1ebdf', dark: '#35323c' },
  missing: { light: '#a23a2c', dark: '#e58a78' },
} as const satisfies Readonly<Record<string, Pick<Colour, 'light' | 'dark'>>>;
