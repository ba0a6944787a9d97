/** Lines in the colour of words, as a drawing of its own. */
export const iconDrawing = (inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round">${inside}</svg>`;
