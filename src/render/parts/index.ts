/** How each kind of part is drawn: one file a kind, and this list that names them all. */
import { image } from './image';
import { label } from './label';
import { line } from './line';
import { meter } from './meter';
import type { PartView } from './part-view';
import { progress } from './progress';
import { rating } from './rating';
import { run } from './run';
import { space } from './space';
import { stack } from './stack';
import { swatch } from './swatch';

export type { Around, Direction, Draw, PartView, Pictures } from './part-view';
export { ownFace } from './words';

/** The view of each kind, by its name. A kind that is not here is drawn as the words that it shows. */
export const partViews: Readonly<Record<string, PartView>> = {
  ...{ label, run, image },
  ...{ progress, meter, rating, swatch },
  ...{ space, line, stack },
};
export const viewOfWords = label;
