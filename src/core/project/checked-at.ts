/** Bounds of what boxes are checked at: widths of a list in CSS px, text sizes in per cent. */
export const checkedWidths = { min: 120, max: 2_000, isInteger: true } as const;
export const checkedTextSizes = { min: 50, max: 400, isInteger: true } as const;
export const maxChecked = 12;
