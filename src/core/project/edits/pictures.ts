import { count, failed, ok } from '../../base';
import { contentOf, type Picture, type PictureKept } from '../../pictures';
import { type Binding, mapBindings, slotsOf, type Template } from '../../templates';
import type { Edit } from './edit';

/** Pictures join the project; one of a name that is there takes its place. Content is kept once. */
export function addPictures(added: readonly PictureKept[]): Edit {
  const [only] = added;
  const what =
    added.length === 1 && only !== undefined ? only.name : count(added.length, 'picture');
  return {
    name: `Add ${added.length === 1 ? 'picture ' : ''}${what}`,
    apply: (project) => ok({ ...project, pictures: added.reduce(withPicture, project.pictures) }),
  };
}

function withPicture(pictures: readonly Picture[], added: PictureKept): readonly Picture[] {
  const old = pictures.find((each) => each.name === added.name);
  if (old !== undefined && contentOf(pictures, old)?.base64 === added.base64) return pictures;
  const others = withoutPicture(pictures, added.name);
  const same = others.find((each) => 'base64' in each && each.base64 === added.base64);
  const picture = same === undefined ? added : { name: added.name, sameAs: same.name };
  const at = pictures.findIndex((each) => each.name === added.name);
  return at < 0 ? [...others, picture] : [...others.slice(0, at), picture, ...others.slice(at)];
}

/** What had the content of the one that goes takes it over. */
function withoutPicture(pictures: readonly Picture[], name: string): readonly Picture[] {
  const gone = pictures.find((each) => each.name === name);
  const heir = pictures.find((each) => 'sameAs' in each && each.sameAs === name)?.name;
  return pictures
    .filter((each) => each.name !== name)
    .map((each): Picture => {
      if (!('sameAs' in each) || each.sameAs !== name || heir === undefined) return each;
      return each.name === heir && gone !== undefined && 'base64' in gone
        ? { ...gone, name: heir }
        : { name: each.name, sameAs: heir };
    });
}

export function removePicture(name: string): Edit {
  return {
    name: `Remove picture ${name}`,
    apply: (project) => ok({ ...project, pictures: withoutPicture(project.pictures, name) }),
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
      const pictures = project.pictures.map((each): Picture => {
        if (each.name === name) return { ...each, name: next };
        return 'sameAs' in each && each.sameAs === name ? { ...each, sameAs: next } : each;
      });
      const templates = project.templates.map((template) => withPictureNamed(template, name, next));
      return ok({ ...project, pictures, templates });
    },
  };
}

function withPictureNamed(template: Template, name: string, next: string): Template {
  const names = (binding: Binding) => binding === name;
  const isUsed = slotsOf(template.row).some(
    ({ declared, binding }) => declared.kind === 'picture' && names(binding),
  );
  if (!isUsed) return template;
  const row = mapBindings(template.row, (binding, { kind }) =>
    kind === 'picture' && names(binding) ? next : binding,
  );
  return row.part === 'stack' ? { ...template, row } : template;
}
