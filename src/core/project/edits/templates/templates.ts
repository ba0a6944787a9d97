import { canNameActions } from '../../../actions';
import { freeId, ownValue } from '../../../base';
import {
  addRun,
  type Binding,
  type Bound,
  type Constant,
  declaredInput,
  followsWhatIsShown,
  inputNamed,
  insertPart,
  isBound,
  kindOfPart,
  type Landing,
  nameAfter,
  type Part,
  type Property,
  partIds,
  partWithId,
  prefixOf,
  propertyOf,
  type RunPart,
  replacePart,
  type StackPart,
  type StandingPart,
  type Template,
  withProperty,
} from '../../../templates';
import type { Edit } from '../edit';
import { editRow } from './row-edit';

/** A property of a part of a template. */
export interface PropertyPlace {
  readonly template: string;
  readonly part: string;
  readonly property: string;
}

/** Feeds a property of a part; `joins` names the typing that it belongs to. */
export function bind(place: PropertyPlace, binding: Binding, joins?: string): Edit {
  const what = isBound(binding) ? `Bind to ${binding.expr}` : 'Fixed words';
  return setting(`${what}, ${place.part}`, place, binding, joins);
}

/** Says what a property of a part is; undefined: what its kind says of it. */
export function set(place: PropertyPlace, value: Constant | undefined, joins?: string): Edit {
  const { part, property } = place;
  const what = property.slice(0, 1).toUpperCase() + property.slice(1);
  const words = typeof value === 'string' ? `${what} ${value}` : what;
  return setting(`${words}, ${part}`, place, value, joins);
}

function setting(
  name: string,
  place: PropertyPlace,
  value: Constant | Bound | undefined,
  joins: string | undefined,
): Edit {
  const { property } = place;
  const edit = editRow(name, place, (row, part) => {
    const target = partWithId(row, part);
    const declared = target && declaredIn(target, property);
    if (declared === undefined || !canBe(declared, value)) return undefined;
    if (declared.isOfRow && part !== row.id) return undefined;
    return replacePart(row, part, (old) => {
      const made = withProperty(old, property, value);
      return joins === undefined ? namedAnew(row, old, made) : made;
    });
  });
  return joins === undefined ? edit : { ...edit, joins };
}

/** A part whose name says what it showed is called after what it shows now. */
function namedAnew(row: StackPart, before: Part, after: Part): Part {
  const { shows } = kindOfPart(before);
  const [old, now] = [before, after].map((part) => shows && propertyOf(part, shows));
  // Fixed words say nothing that it could be called after.
  if (!isBinding(old) || !isBound(now)) return after;
  if (!followsWhatIsShown(before.id, old) || followsWhatIsShown(before.id, now)) return after;
  const others = partIds(row).filter((id) => id !== before.id);
  return { ...after, id: freeId(nameAfter(now, before.part), others) };
}

const isBinding = (value: unknown): value is Binding => typeof value === 'string' || isBound(value);

/** What a part declares, inputs that nothing feeds yet too. */
function declaredIn(part: Part, property: string): Property | undefined {
  const input = part.part === 'shared' ? inputNamed(property) : undefined;
  return input === undefined
    ? ownValue(kindOfPart(part).properties, property)
    : declaredInput(input, undefined);
}

function canBe(declared: Property, value: Constant | Bound | undefined): boolean {
  if (isBound(value)) return declared.isBindable;
  if (declared.kind === 'actions' && typeof value === 'string')
    return canNameActions(value, declared.max);
  return value !== undefined || !declared.isRequired;
}

/** Puts a new part where it lands. The part's id is made free first: see `freePartId`. */
export function insert(template: string, landing: Landing, part: StandingPart): Edit {
  return editRow(
    part.part === part.id ? `Insert ${part.id}` : `Insert ${part.part} ${part.id}`,
    { template, part: 'within' in landing ? landing.within : landing.beside },
    (row, target) => {
      const own = partWithId(row, target);
      if (own === undefined || ('within' in landing && own.part !== 'stack')) return undefined;
      const stackId = freeId('stack', [...partIds(row), ...partIds(part)]);
      const place =
        'within' in landing
          ? { within: target, at: landing.at }
          : { beside: target, side: landing.side };
      return insertPart(row, place, { part, stackId });
    },
  );
}

/** Has a label go on with a run. The run's id is made free first. */
export const addRunTo = (template: string, label: string, run: RunPart): Edit =>
  editRow(`Add run ${run.id}`, { template, part: label }, (row, own) =>
    partWithId(row, own)?.part === 'label' ? addRun(row, own, run) : undefined,
  );

/** An id for a new part that no part has in the row in which `beside` is written. */
export function freePartId(template: Template, beside: string, wish: string): string {
  const prefix = prefixOf(beside);
  const ids = partIds(template.row).flatMap((id) =>
    prefixOf(id) === prefix ? [id.slice(prefix.length)] : [],
  );
  return freeId(wish, ids);
}
