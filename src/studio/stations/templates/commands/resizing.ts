import { ownValue } from '../../../../core/base';
import { type Edit, edits, inOneStep, spacingOf } from '../../../../core/project';
import { kindOfPart, type Part, propertyOf } from '../../../../core/templates';
import { drawnSize } from '../bench/drawn';
import type { Selection } from '../selection';

export type SizeName = 'width' | 'height';

/** Whether a part can be of a fixed size. */
export function canBeFixed(part: Part, property: SizeName): boolean {
  const declared = ownValue(kindOfPart(part).properties, property);
  return declared?.kind === 'size' && declared.among.includes('fixed');
}

/** The edit that fixes a size, in px; a text: why that can't be. `joins`: the drag or the row of keys that it goes on with. */
export function fixedSize(
  { template, part }: Pick<Selection, 'template' | 'part'>,
  property: SizeName,
  px: number,
  joins: string,
): Edit | string {
  if (part.id === template.row.id && property === 'width') return 'The row is as wide as the list.';
  if (!canBeFixed(part, property)) return `A ${part.part} has a ${property} of its own.`;
  const place = { template: template.id, part: part.id, property };
  const edit = edits.set(place, { fixed: Math.max(0, Math.round(px)) }, joins);
  return {
    ...edit,
    name: `${property === 'width' ? 'Width' : 'Height'} ${Math.round(px)} px, ${part.id}`,
  };
}

/** All selected parts larger or smaller than they are drawn, by a px or to the next spacing step. */
export function resized(
  selection: Selection,
  property: SizeName,
  { by, inSteps }: { readonly by: 1 | -1; readonly inSteps: boolean },
): Edit | string {
  const joins = `keys ${property} ${selection.part.id}`;
  const all = selection.parts.map((part) => {
    const drawn = saidPx(part, property) ?? drawnSize(part.id)?.[property] ?? 0;
    const px = inSteps ? nextStep(selection, drawn, by) : Math.round(drawn) + by;
    return fixedSize({ template: selection.template, part }, property, px, joins);
  });
  const why = all.find((each) => typeof each === 'string');
  if (why !== undefined) return why;
  const made = all.filter((each) => typeof each !== 'string');
  const [first] = made;
  if (first === undefined) return 'Nothing is selected.';
  return made.length === 1 ? first : { ...inOneStep(`${first.name} and others`, made), joins };
}

/** What the part says itself: what is drawn comes a little later. */
function saidPx(part: Part, property: SizeName): number | undefined {
  const said = propertyOf(part, property);
  return typeof said === 'object' && 'fixed' in said ? said.fixed : undefined;
}

/** The multiple of the project's smallest spacing steps that comes next. */
export function nextStep({ project }: Pick<Selection, 'project'>, px: number, by: 1 | -1): number {
  const step = spacingOf(project).find((each) => each.px >= 4)?.px ?? 4;
  return by > 0 ? Math.floor(px / step + 1) * step : Math.max(0, Math.ceil(px / step - 1) * step);
}
