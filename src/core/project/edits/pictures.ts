import { count, failed, ok } from '../../base';
import type { Picture } from '../../pictures';
import { mapBindings, type StackPart } from '../../templates';
import { withRows } from '../rows/rows';
import type { Edit } from './edit';

/** Pictures join the project; one of a name that is there takes its place. */
export function addPictures(added: readonly Picture[]): Edit {
  const [only] = added;
  const what =
    added.length === 1 && only !== undefined ? only.name : count(added.length, 'picture');
  return {
    name: `Add ${added.length === 1 ? 'picture ' : ''}${what}`,
    apply: (project) => ok({ ...project, pictures: added.reduce(withPicture, project.pictures) }),
  };
}

function withPicture(pictures: readonly Picture[], added: Picture): readonly Picture[] {
  const at = pictures.findIndex(({ name }) => name === added.name);
  return at < 0 ? [...pictures, added] : pictures.with(at, added);
}

export function removePicture(name: string): Edit {
  return {
    name: `Remove picture ${name}`,
    apply: (project) =>
      ok({ ...project, pictures: project.pictures.filter((each) => each.name !== name) }),
  };
}

/** The picture under another name, also where a part names it as its one picture. */
export function renamePicture(name: string, wish: string): Edit {
  const next = wish.trim();
  return {
    name: `Name picture ${name} ${next}`,
    apply(project) {
      if (next === '') return failed('A picture needs a name.');
      if (next === name) return ok(project);
      if (project.pictures.some((each) => each.name === next))
        return failed(`There is a picture "${next}" already.`);
      const pictures = project.pictures.map((each) =>
        each.name === name ? { ...each, name: next } : each,
      );
      return ok({ ...withRows(project, ({ row }) => withPictureNamed(row, name, next)), pictures });
    },
  };
}

const withPictureNamed = (row: StackPart, name: string, next: string): StackPart =>
  mapBindings(row, (binding, { kind }) =>
    kind === 'picture' && binding === name ? next : binding,
  );
