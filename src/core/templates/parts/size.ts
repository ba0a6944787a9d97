/** A width or height: as large as the content, a share of what the others leave, or so many px. */
export type Size = 'fit' | { readonly share: number } | { readonly fixed: number };

/** Space inside the edges, in px; start and end follow the reading direction. */
export interface Padding {
  readonly start: number;
  readonly end: number;
  readonly top: number;
  readonly bottom: number;
}

/** How round corners are: in px, or as round as can be. */
export type Radius = number | 'circle';

/** How many lines a text may take. */
export type LineCount = number | 'all';
