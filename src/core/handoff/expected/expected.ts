import type { ExpectedSetting } from '../settings';

/** x from the left, y from the top, width, height: CSS px with two decimals. */
export type ExpectedBox = readonly [x: number, y: number, width: number, height: number];

/** A part of an entry, as it is shown. What has left its row is not among them. */
export interface ExpectedPart {
  readonly part: string;
  /** From the corner of its entry; undefined: it is words within another part. */
  readonly box?: ExpectedBox;
  /** All of its words, also those that are cut off. */
  readonly text?: string;
  /** How many lines of them are seen. */
  readonly lines?: number;
  /** Whether some are not. */
  readonly cut?: boolean;
  /** What they are drawn in, as #rrggbb or #rrggbbaa. */
  readonly colour?: { readonly light: string; readonly dark: string };
  /** What else it shows or leads to, by property: a picture, an address. */
  readonly shows?: Readonly<Record<string, string>>;
}

/** One thing in the list, as it must be. */
export interface ExpectedEntry {
  /** Id of the setting that it is so in. */
  readonly setting: string;
  /** Its kind: row, heading, … */
  readonly entry: string;
  readonly key: string;
  readonly template: string;
  /** From the corner of the list. */
  readonly box: ExpectedBox;
  readonly parts: readonly ExpectedPart[];
}

/** What each sample item must show: for programmers who test another renderer, in any language. */
export interface Expected {
  readonly yarncard: 1;
  readonly project: string;
  readonly settings: readonly ExpectedSetting[];
  readonly entries: readonly ExpectedEntry[];
}

/** JSON with an entry a line, so that differences are seen by entry. */
export function writeExpected({ yarncard, project, settings, entries }: Expected): string {
  const lines = (all: readonly unknown[]) =>
    all.map((each) => `\n    ${JSON.stringify(each)}`).join(',');
  return `{
  "yarncard": ${yarncard},
  "project": ${JSON.stringify(project)},
  "settings": [${lines(settings)}
  ],
  "entries": [${lines(entries)}
  ]
}
`;
}
