import { type Colour, colourOf } from '../../core/templates';
import type { Drawn } from './part-view';

/** A colour as style sheets say it, for both schemes (CSS Color 5, section 8); nothing for what nobody knows. */
export function cssColour(colours: readonly Colour[], said: Drawn): string {
  const colour = colourOf(colours, said);
  return colour === undefined ? '' : `light-dark(${colour.light}, ${colour.dark})`;
}
