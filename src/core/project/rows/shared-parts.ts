import { readsField } from '../../formats';
import {
  type Binding,
  elementPaths,
  expressionsOf,
  partsOf,
  type SharedPart,
  type StackPart,
  type StandingPart,
  slotsOf,
} from '../../templates';
import { type Field, formatsUsed, pathsRead } from '../../values';
import type { Project } from '../project';
import { writtenRows } from './rows';

/** The shared parts that a row uses. */
export const sharedIn = (row: StackPart): readonly string[] =>
  [...partsOf(row)].flatMap((part) => (part.part === 'shared' ? [part.of] : []));

/** How many parts use a shared one, in templates and in other shared parts. */
export const sharedUses = (project: Project, id: string): number =>
  writtenRows(project).flatMap(({ row }) => sharedIn(row).filter((of) => of === id)).length;

/** The way from a shared part to itself through what it uses; undefined: there is none. */
export function circleIn(all: readonly SharedPart[], start: string): readonly string[] | undefined {
  const visited = new Set<string>();
  const wayFrom = (id: string): readonly string[] | undefined => {
    const row = all.find((each) => each.id === id)?.row;
    if (row === undefined || visited.has(id)) return undefined;
    visited.add(id);
    for (const next of sharedIn(row)) {
      if (next === start) return [id, start];
      const way = wayFrom(next);
      if (way !== undefined) return [id, ...way];
    }
    return undefined;
  };
  return wayFrom(start);
}

/** The fields, of those that a part sees, that it reads: what it needs to stand elsewhere. */
export function fieldsRead(
  part: StandingPart,
  fields: readonly Field[],
  { formats = [] }: Project,
): readonly Field[] {
  const row: StackPart = { part: 'stack', id: 'row', children: [part] };
  const elements = elementPaths(row);
  const paths = slotsOf(part).flatMap(({ part: id, binding }) =>
    expressionsOf(binding).flatMap((expr) => pathsRead(expr, elements.get(id))),
  );
  const isWhole = paths.some((path) => path.length === 0);
  const used = new Set(slotsOf(part).flatMap(({ binding }) => formatsIn(binding)));
  const written = formats.filter(({ id }) => used.has(id));
  return fields.filter(
    ({ name }) =>
      isWhole ||
      paths.some(([first]) => first === name) ||
      written.some((format) => readsField(format, [name])),
  );
}

/** The formats that a binding writes with. */
export const formatsIn = (binding: Binding): readonly string[] => [
  ...(typeof binding !== 'string' && binding.format !== undefined ? [binding.format] : []),
  ...expressionsOf(binding).flatMap(formatsUsed),
];
