/** How each kind of part is drawn: one file a kind, and this list that names them all. */
import { badge } from './controls/badge';
import { button } from './controls/button';
import { link } from './controls/link';
import { meter } from './controls/meter';
import { progress, slider, stepper } from './controls/range';
import { rating } from './controls/rating';
import { swatch } from './controls/swatch';
import { checkbox, switchView } from './controls/toggle';
import { image } from './image';
import { label } from './label';
import { line } from './line';
import type { PartView } from './part-view';
import { run } from './run';
import { space } from './space';
import { stack } from './stack';

export { cssColour } from './colour';
export type { Around, Direction, Draw, Drawn, DrawnPicture, PartView, Pictures } from './part-view';

/** The view of each kind, by its name. A kind that is not here is drawn as the words that it shows. */
export const partViews: Readonly<Record<string, PartView>> = {
  ...{ label, run, image },
  ...{ badge, progress, meter, rating, swatch },
  ...{ switch: switchView, checkbox, slider, stepper },
  ...{ button, link },
  ...{ space, line, stack, shared: stack },
};
export const viewOfWords = label;
