/** How each kind of part is drawn: one file a kind, and this list that names them all. */
import { image } from './image';
import { label } from './label';
import type { PartView } from './part-view';
import { run } from './run';
import { stack } from './stack';

export type { Around, Direction, Draw, PartView, Pictures } from './part-view';
export { ownFace } from './words';

/** The view of each kind, by its name. A kind that is not here is drawn as the words that it shows. */
export const partViews: Readonly<Record<string, PartView>> = { label, run, image, stack };
export const viewOfWords = label;
