import { failed, ok } from '../../../base';
import {
  type Constant,
  constantsOf,
  draftStack,
  elementPaths,
  fieldsAt,
  inputProperty,
  isName,
  kindOfPart,
  mapBindings,
  mapExpressions,
  mapParts,
  partWithId,
  propertyOf,
  replacePart,
  type SharedPart,
  type SharedUse,
  type Size,
  type StackPart,
  type StandingPart,
  withProperty,
} from '../../../templates';
import { type Field, pathText, renameStep, type ScalarName } from '../../../values';
import { editById, type Project, withId } from '../../project';
import { shownTemplate, withRows, writtenRows } from '../../rows/rows';
import { fieldsRead, sharedIn } from '../../rows/shared-parts';
import type { Edit } from '../edit';
import { editRow, type PartPlace } from './row-edit';
import { type FedProperty, withWholeInputs } from './whole-inputs';

/**
 * Keeps a part in the project and uses it where it stood: what it reads of the item are its inputs.
 * `whole`: values that are one input each, whatever they are made of.
 */
export function share(
  place: PartPlace,
  { id, name }: Pick<SharedPart, 'id' | 'name'>,
  whole: readonly FedProperty[] = [],
): Edit {
  const words = `Share ${place.part} as ${name}`;
  return {
    name: words,
    apply(project) {
      const template = shownTemplate(project, place.template);
      const shown = template && partWithId(template.row, place.part);
      if (template === undefined || shown === undefined) return failed('There is no such part.');
      if (withId(project.sharedParts ?? [], id) !== undefined)
        return failed(`There is a shared part "${id}" already.`);
      if (shown.part === 'run' || shown.id === template.row.id)
        return failed('The row itself and runs of words can’t be shared.');
      const ofItem = withId(project.types, template.type)?.fields ?? [];
      const fields = fieldsAt(template.row, { part: place.part, property: '' }, ofItem);
      let kept: SharedPart | undefined;
      let whyNot = 'That part can’t be shared.';
      const used = editRow(words, place, (row, part) => {
        if (part === row.id) return undefined;
        return replacePart(row, part, (old) => {
          if (old.part === 'run') return old;
          const made = withWholeInputs(rowOf(old), whole, fields, project);
          if (typeof made === 'string') {
            whyNot = made;
            return old;
          }
          const { row, fed } = made;
          const read = fieldsRead(row, fields, project).map(inputOf);
          const inputs = [...read, ...made.inputs];
          kept = { id, name, inputs, row };
          const use = standingUse(old, id, inputs);
          return whole.length === 0 ? use : { ...use, inputs: { ...fedByName(read), ...fed } };
        });
      }).apply(project);
      if (!used.ok || kept === undefined) return failed(whyNot);
      return ok({ ...used.value, sharedParts: [...(used.value.sharedParts ?? []), kept] });
    },
  };
}

/** How items are read is not known to a shared part. */
function inputOf(field: Field): Field {
  const { name, required } = field;
  if (field.type === 'record') return { type: 'record', fields: field.fields, name, required };
  if (field.type === 'list') return { type: 'list', of: field.of, name, required };
  return { type: field.type, name, required };
}

/** What a part says of its place: that is said where it is used, and what is kept fills it. */
const ofSize = [
  ...(['width', 'height', 'minWidth', 'maxWidth', 'minHeight', 'maxHeight'] as const),
];
const ofStanding = ['alignSelf', 'leaves'] as const;
const ofPlace = [...ofSize, ...ofStanding];

/** The part as a row of its own; what is of one size by itself, as pictures and controls are, stays so. */
function rowOf(part: StandingPart): StackPart {
  const gone = part.part === 'stack' || part.part === 'label' ? ofPlace : ofStanding;
  const own = gone.reduce<StandingPart>(
    (made, property) => withProperty(made, property, undefined),
    part,
  );
  if (own.part === 'stack') return own;
  return { ...draftStack('row', 'over', [own], 'fit'), gap: 0, align: 'stretch' };
}

function standingUse(part: StandingPart, of: string, inputs: readonly Field[]): SharedUse {
  const constants = constantsOf(part);
  const { width } = constants;
  // A control of a size of its own gives way to nothing.
  const own = kindOfPart(part).sized?.(constants, 'across')?.width;
  const bare: SharedUse = {
    ...{ part: 'shared', id: part.id, of },
    ...(isShare(width) && { width }),
    ...(typeof own === 'object' && 'fixed' in own && { minWidth: own.fixed }),
    ...(inputs.length > 0 && { inputs: fedByName(inputs) }),
  };
  return ofPlace.reduce((made, property) => {
    const said = propertyOf(part, property);
    return said === undefined ? made : withProperty(made, property, said);
  }, bare);
}

const isShare = (width: Constant | undefined): width is Size =>
  typeof width === 'object' && 'share' in width;

const fedByName = (inputs: readonly Field[]) =>
  Object.fromEntries(inputs.map(({ name }) => [name, { expr: pathText([name]) }]));

export function renameShared(id: string, wish: string): Edit {
  const name = wish.trim();
  return editShared(`Name the shared part ${name}`, id, (part) =>
    name === '' ? 'A shared part needs a name.' : { ...part, name },
  );
}

/** Takes a shared part out of the project. */
export function removeShared(id: string): Edit {
  return {
    name: `Remove the shared part ${id}`,
    apply(project) {
      const users = writtenRows(project).filter(({ row }) => sharedIn(row).includes(id));
      if (users.length > 0)
        return failed(`It is used in ${users.map((user) => `“${user.id}”`).join(', ')}.`);
      const { sharedParts = [], ...others } = project;
      const left = sharedParts.filter((part) => part.id !== id);
      return ok(left.length === 0 ? others : { ...project, sharedParts: left });
    },
  };
}

/** One more input, read by its name; nothing feeds it yet. */
export function addInput(id: string, wish: string, type: ScalarName): Edit {
  const name = wish.trim();
  return editShared(`Add input ${name}`, id, (part) => {
    const why = whyNotNamed(part, name);
    if (why !== undefined) return why;
    return { ...part, inputs: [...part.inputs, { type, name, required: true }] };
  });
}

/** Another type for an input, or whether it may be missing. */
export function changeInput(
  id: string,
  name: string,
  change: { readonly type: ScalarName } | { readonly required: boolean },
): Edit {
  return editShared(`Change input ${name}`, id, (part) => ({
    ...part,
    inputs: part.inputs.map((input): Field => {
      if (input.name !== name) return input;
      return 'type' in change
        ? { type: change.type, name, required: input.required }
        : { ...input, ...change };
    }),
  }));
}

/** The input under another name: what reads it and what feeds it follow. */
export function renameInput(id: string, name: string, wish: string): Edit {
  const next = wish.trim();
  const words = `Name input ${name} ${next}`;
  return {
    name: words,
    apply(project) {
      if (next === name) return ok(project);
      const named = editShared(words, id, (part) => {
        const why = whyNotNamed(part, next);
        if (why !== undefined) return why;
        const inputs = part.inputs.map((input) =>
          input.name === name ? { ...input, name: next } : input,
        );
        const elements = elementPaths(part.row);
        const row = mapBindings(part.row, (binding, _, own) =>
          mapExpressions(binding, (expr) => renameStep(expr, [name], next, elements.get(own))),
        );
        return { ...part, inputs, row };
      }).apply(project);
      return named.ok ? ok(withInputFed(named.value, id, name, next)) : named;
    },
  };
}

/** Takes an input away, and what feeds it where the part is used. */
export function removeInput(id: string, name: string): Edit {
  const words = `Remove input ${name}`;
  return {
    name: words,
    apply(project) {
      const without = editShared(words, id, (part) => ({
        ...part,
        inputs: part.inputs.filter((input) => input.name !== name),
      })).apply(project);
      return without.ok ? ok(withInputFed(without.value, id, name, undefined)) : without;
    },
  };
}

/** What feeds an input, in every use, feeds another one; undefined: none. */
const withInputFed = (project: Project, id: string, name: string, next: string | undefined) =>
  withRows(project, ({ row }) =>
    mapParts(row, (part) => {
      if (part.part !== 'shared' || part.of !== id) return part;
      const fed = propertyOf(part, inputProperty(name));
      const without = withProperty(part, inputProperty(name), undefined);
      return next === undefined || fed === undefined
        ? without
        : withProperty(without, inputProperty(next), fed);
    }),
  );

function whyNotNamed({ inputs }: SharedPart, name: string): string | undefined {
  if (!isName(name)) return 'An input is called by letters, digits and _.';
  return inputs.some((input) => input.name === name)
    ? `There is an input ${name} already.`
    : undefined;
}

/** `change` gives the part otherwise, or why not. */
function editShared(
  name: string,
  id: string,
  change: (part: SharedPart) => SharedPart | string,
): Edit {
  return {
    name,
    apply(project) {
      const { sharedParts = [] } = project;
      const part = withId(sharedParts, id);
      if (part === undefined) return failed(`There is no shared part "${id}".`);
      const changed = change(part);
      if (typeof changed === 'string') return failed(changed);
      return ok({ ...project, sharedParts: editById(sharedParts, id, () => changed) });
    },
  };
}
