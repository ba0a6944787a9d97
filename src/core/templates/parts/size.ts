/** A width: as wide as the content, a share of what the others leave, or so many px. */
export type Size = 'fit' | { readonly share: number } | { readonly fixed: number };
