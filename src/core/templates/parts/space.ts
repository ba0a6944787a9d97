import { bindable, size } from './declare';
import { type DraftedKind, ofEveryPart, type PartOf } from './kind';

const properties = {
  width: bindable(size('width', { share: 1 }, ['share', 'fixed'])),
  height: bindable(size('height', { fixed: 0 }, ['fixed', 'share'])),
  ...ofEveryPart,
};

export type SpacePart = PartOf<'space', typeof properties>;

/** Room that nothing takes: beside others it pushes them apart. */
export const space: DraftedKind<'space', typeof properties> = {
  part: 'space',
  about: 'Room that nothing takes: beside others it pushes them apart',
  shows: undefined,
  box: 'block',
  properties,
  draft: (id, _value, where) => ({
    part: 'space',
    id,
    ...(where === 'under' && { height: { fixed: 8 } }),
  }),
};
