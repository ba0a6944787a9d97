import { type Colour, neutralColours, neutralStyles, type TextStyle } from '../templates';

/** Colours and text styles under the names that every project begins with. */
export interface StartingSet {
  readonly name: string;
  readonly about: string;
  readonly styles: readonly TextStyle[];
  readonly colours: readonly Colour[];
}

const colour = (name: string, light: string, dark: string): Colour => ({ name, light, dark });

const styled = (
  sizes: Readonly<Record<'title' | 'body' | 'small' | 'value', readonly [number, number, number]>>,
): readonly TextStyle[] =>
  neutralStyles.map((style) => {
    const own = Object.entries(sizes).find(([name]) => name === style.name)?.[1];
    if (own === undefined) return style;
    const [size, lineHeight, weight] = own;
    return { ...style, size, lineHeight, weight };
  });

/** What a project may start from, the one that it begins with first. */
export const startingSets: readonly StartingSet[] = [
  {
    name: 'neutral',
    about: 'Warm greys, dyes of a dyer’s book',
    styles: neutralStyles,
    colours: neutralColours,
  },
  {
    name: 'slate',
    about: 'Cool and close, for many rows at once',
    styles: styled({
      title: [13, 18, 600],
      body: [13, 18, 400],
      small: [11, 14, 400],
      value: [13, 18, 600],
    }),
    colours: [
      colour('ink', '#1b2230', '#e4e8f0'),
      colour('ash', '#556072', '#a0aabb'),
      colour('ground', '#ffffff', '#161b24'),
      colour('soft', '#e9edf3', '#262e3b'),
      colour('rule', '#d5dbe5', '#333d4d'),
      colour('madder', '#a8323c', '#f0909a'),
      colour('woad', '#1d5fa8', '#84b6ee'),
      colour('weld', '#7a6100', '#d9c05c'),
      colour('moss', '#2f6b45', '#86c79d'),
      colour('heather', '#5f4b9b', '#b6a6ec'),
    ],
  },
  {
    name: 'kiln',
    about: 'Clay and smoke, large and heavy',
    styles: styled({
      title: [18, 24, 650],
      body: [16, 24, 400],
      small: [13, 18, 450],
      value: [16, 24, 700],
    }),
    colours: [
      colour('ink', '#2b1d16', '#f5e9df'),
      colour('ash', '#70564a', '#c0a596'),
      colour('ground', '#ffffff', '#211814'),
      colour('soft', '#f8ebe1', '#3a2b24'),
      colour('rule', '#ecd9cb', '#4b3a31'),
      colour('madder', '#a5381a', '#f19272'),
      colour('woad', '#35617a', '#8fbcd3'),
      colour('weld', '#86590a', '#e2b366'),
      colour('moss', '#596428', '#b2bf7d'),
      colour('heather', '#86436a', '#d79bc0'),
    ],
  },
  {
    name: 'meadow',
    about: 'Greens, light letters, much air',
    styles: styled({
      title: [16, 24, 500],
      body: [15, 22, 350],
      small: [12, 18, 400],
      value: [15, 22, 500],
    }),
    colours: [
      colour('ink', '#1d2a20', '#e6efe4'),
      colour('ash', '#566558', '#a3b3a4'),
      colour('ground', '#ffffff', '#17201a'),
      colour('soft', '#e9f2e4', '#28352b'),
      colour('rule', '#d5e3cf', '#36463a'),
      colour('madder', '#a63a4a', '#ee94a0'),
      colour('woad', '#22638a', '#82bce0'),
      colour('weld', '#6f6606', '#d3c554'),
      colour('moss', '#2f7034', '#8bcb8d'),
      colour('heather', '#754d8c', '#c7a3da'),
    ],
  },
];
