/** A named way to set text: sizes and line heights in px at 100 % text size. */
export interface TextStyle {
  readonly sizePx: number;
  readonly linePx: number;
  readonly weight: number;
  readonly colour: 'ink' | 'ash';
}

export type TextStyleName = 'title' | 'body' | 'small' | 'value';

export const textStyles: Readonly<Record<TextStyleName, TextStyle>> = {
  title: { sizePx: 15, linePx: 20, weight: 550, colour: 'ink' },
  body: { sizePx: 14, linePx: 20, weight: 400, colour: 'ink' },
  small: { sizePx: 12, linePx: 16, weight: 400, colour: 'ash' },
  value: { sizePx: 14, linePx: 20, weight: 600, colour: 'ink' },
};

export const textStyleNames: readonly TextStyleName[] = ['title', 'body', 'small', 'value'];
