import { failed, ok, type Result } from '../../base';
import { fieldReadSo, type Key, keyFields } from '../../items';
import {
  computedField,
  type Decoding,
  type Field,
  fieldAtPath,
  fieldNamed,
  fieldsChangedAt,
  type ScalarName,
  withComputedSettled,
} from '../../values';
import { renamedInActions } from '../acting/uses';
import { editById, type ItemType, type Project, type Source, typesOf, withId } from '../project';
import { renamedInFields, renamedInFormats, renamedInLists, renamedInRows } from '../uses';
import type { Edit } from './edit';

/** A field of a type, through records. */
export interface FieldPlace {
  readonly type: string;
  readonly path: readonly string[];
}

const lastOf = (path: readonly string[]): string => path.at(-1) ?? '';
const inWords = (path: readonly string[]): string => path.join('.');

/**
 * The field under another name, in every type of its source that has it, and in all that reads
 * it. The items keep the name that they came with.
 */
export function renameField({ type: id, path }: FieldPlace, wish: string): Edit {
  const name = wish.trim();
  return {
    name: `Name ${inWords(path)} ${name}`,
    apply(project) {
      const type = withId(project.types, id);
      const source = type === undefined ? undefined : withId(project.sources, type.source);
      if (type === undefined || source === undefined) return failed(`There is no type "${id}".`);
      if (name === '') return failed('A field needs a name.');
      if (name === lastOf(path)) return ok(project);
      const types = typesOf(project, source.id).filter(
        (each) => fieldAtPath(each.fields, path) !== undefined,
      );
      const beside = [...path.slice(0, -1), name];
      const taken = types.find((each) => fieldAtPath(each.fields, beside) !== undefined);
      if (taken !== undefined) return failed(`${taken.name} has a field ${name} already.`);
      const formats = renamedInFormats(project, types, path, name);
      const renamed = (field: Field): Field => renamedField(field, name);
      const next = withTypes(renamedInRows(project, types, path, name), types, (each) =>
        changeField({ ...each, fields: renamedInFields(each.fields, path, name) }, path, renamed),
      );
      const sources =
        path.length === 1
          ? editById(next.sources, source.id, (each) => renamedSource(each, lastOf(path), name))
          : next.sources;
      const lists = renamedInLists(project, types, path, name);
      const actions = renamedInActions(project, types, path, name);
      return ok({
        ...{ ...next, sources, lists },
        ...(formats !== undefined && { formats }),
        ...(actions !== undefined && { actions }),
      });
    },
  };
}

/** Back under the name that the items have, `from` is not needed; a computed property never had one. */
function renamedField(field: Field, name: string): Field {
  if (field.expr !== undefined) return { ...field, name };
  const from = field.from ?? field.name;
  const { from: _, name: __, ...rest } = field;
  return from === name ? ({ name, ...rest } as Field) : ({ name, from, ...rest } as Field);
}

function renamedSource(source: Source, before: string, name: string): Source {
  const renamed = (field: string) => (field === before ? name : field);
  const key: Key =
    source.key === null
      ? null
      : typeof source.key === 'string'
        ? renamed(source.key)
        : source.key.map(renamed);
  return {
    ...source,
    key,
    discriminator: source.discriminator === null ? null : renamed(source.discriminator),
  };
}

/** Another type for a field, in all types of its source that have it, without changing how it is read. */
export function retypeField(place: FieldPlace, type: ScalarName): Edit {
  return editField(place, 'alike', `${inWords(place.path)} is ${type}`, (field) => {
    const { name, required, from } = field;
    return { type, name, required, ...(from !== undefined && { from }), given: 'person' };
  });
}

/** The field stays what it was found to be, in all types of its source: nobody asks again. */
export function leaveField(place: FieldPlace): Edit {
  return editField(place, 'alike', `Leave ${inWords(place.path)} as it is`, (field) => ({
    ...field,
    given: 'person',
  }));
}

export function requireField(place: FieldPlace, required: boolean): Edit {
  const what = required ? 'is in every item' : 'may be missing';
  return editField(place, 'one', `${inWords(place.path)} ${what}`, (field) => ({
    ...field,
    required,
  }));
}

/** How the values of a field are read, in all types of its source; null: as they stand. `joins` names the typing it belongs to. */
export function decodeField(place: FieldPlace, decoding: Decoding | null, joins?: string): Edit {
  const name = `Read ${inWords(place.path)} ${decoding === null ? 'as it stands' : 'as a value'}`;
  const edit = editField(place, 'alike', name, (field, found) => {
    const { name: own, required, from } = field;
    const kept = { name: own, required, ...(from !== undefined && { from }) };
    if (decoding === null) return { type: found === 'number' ? 'number' : 'text', ...kept };
    return fieldReadSo(field, decoding);
  });
  return joins === undefined ? edit : { ...edit, joins };
}

/** Takes a field out of the type; what reads it becomes a finding. */
export function removeField({ type: id, path }: FieldPlace): Edit {
  return {
    name: `Leave ${inWords(path)} out`,
    apply(project) {
      const type = withId(project.types, id);
      const field = type === undefined ? undefined : fieldAtPath(type.fields, path);
      const source = type === undefined ? undefined : withId(project.sources, type.source);
      if (type === undefined || field === undefined) return failed(missing(id, path));
      if (path.length === 1 && source?.discriminator === field.name)
        return failed(`${field.name} tells the types apart. Merge the types first.`);
      if (path.length === 1 && source !== undefined && keyFields(source.key).includes(field.name))
        return failed(`${field.name} is the key. Choose another key first.`);
      const raw = field.from ?? field.name;
      const isHeld = path.length === 1 && field.expr === undefined;
      const leftOut = isHeld ? [...(type.leftOut ?? []), raw] : type.leftOut;
      const changed = changeField(type, path, () => undefined);
      return ok(
        withTypes(project, [type], () => ({
          ...changed,
          ...(leftOut !== undefined && { leftOut }),
        })),
      );
    },
  };
}

/** A field written by hand: for items that are typed in. */
export function addField(id: string, wish: string, type: ScalarName): Edit {
  const name = wish.trim();
  return newField(id, `Add field ${name}`, name, () => ({ name, required: false, type }));
}

/** A computed property of a type, shared by all of its templates: a named expression. */
export function addComputed(id: string, wish: string, expr: string): Edit {
  const name = wish.trim();
  return newField(id, `Compute ${name}`, name, (before) => computedField(name, expr, before));
}

function newField(
  id: string,
  words: string,
  name: string,
  make: (before: readonly Field[]) => Field,
): Edit {
  return {
    name: words,
    apply(project) {
      const type = withId(project.types, id);
      if (type === undefined) return failed(`There is no type "${id}".`);
      if (name === '') return failed('A field needs a name.');
      if (fieldNamed(type.fields, name) !== undefined)
        return failed(`${type.name} has a field ${name} already.`);
      const field = make(type.fields);
      const isHeld = field.expr === undefined;
      const leftOut = isHeld ? type.leftOut?.filter((each) => each !== name) : type.leftOut;
      return ok(
        withTypes(project, [type], (each) => ({
          ...each,
          fields: [...each.fields, field],
          ...(leftOut !== undefined && { leftOut }),
        })),
      );
    },
  };
}

/** Another expression for a computed property; `joins` names the typing it belongs to. */
export function compute({ type: id, path }: FieldPlace, expr: string, joins?: string): Edit {
  const edit: Edit = {
    name: `Compute ${inWords(path)}`,
    apply(project) {
      const type = withId(project.types, id);
      const field = type === undefined ? undefined : fieldAtPath(type.fields, path);
      if (type === undefined || field?.expr === undefined) return failed(missing(id, path));
      const computed = { ...field, expr };
      return ok(withTypes(project, [type], (each) => changeField(each, path, () => computed)));
    },
  };
  return joins === undefined ? edit : { ...edit, joins };
}

export function renameType(id: string, wish: string): Edit {
  const name = wish.trim();
  return {
    name: `Name the type ${name}`,
    apply(project): Result<Project, string> {
      const type = withId(project.types, id);
      if (type === undefined) return failed(`There is no type "${id}".`);
      if (name === '') return failed('A type needs a name.');
      return ok(withTypes(project, [type], (each) => ({ ...each, name })));
    },
  };
}

/** Changes a field of one type, or of all types of its source where it is of the same kind. */
function editField(
  { type: id, path }: FieldPlace,
  where: 'one' | 'alike',
  name: string,
  change: (field: Field, type: Field['type']) => Field | undefined,
): Edit {
  return {
    name,
    apply(project) {
      const type = withId(project.types, id);
      const field = type === undefined ? undefined : fieldAtPath(type.fields, path);
      if (type === undefined || field === undefined) return failed(missing(id, path));
      if (field.expr !== undefined)
        return failed(`${inWords(path)} is computed: what it is follows from its expression.`);
      if (change(field, field.type) === undefined) return failed('That pattern cannot be read.');
      const isAlike = (each: ItemType) => {
        const own = fieldAtPath(each.fields, path);
        return own?.type === field.type && own.expr === undefined;
      };
      const types =
        where === 'one' ? [type] : typesOf(project, type.source).filter((each) => isAlike(each));
      const changed = (own: Field) => change(own, own.type) ?? own;
      return ok(withTypes(project, types, (each) => changeField(each, path, changed)));
    },
  };
}

const missing = (type: string, path: readonly string[]): string =>
  `The type "${type}" has no field ${inWords(path)}.`;

function withTypes(
  project: Project,
  types: readonly ItemType[],
  change: (type: ItemType) => ItemType,
): Project {
  const ids = new Set(types.map((type) => type.id));
  return {
    ...project,
    types: project.types.map((type) => (ids.has(type.id) ? settled(change(type)) : type)),
  };
}

const settled = (type: ItemType): ItemType => ({
  ...type,
  fields: withComputedSettled(type.fields),
});

const changeField = (
  type: ItemType,
  path: readonly string[],
  change: (field: Field) => Field | undefined,
): ItemType => ({ ...type, fields: fieldsChangedAt(type.fields, path, change) });
