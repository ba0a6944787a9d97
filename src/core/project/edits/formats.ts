import { failed, freeId, ok, slug } from '../../base';
import { type Format, isLocale, type NamedFormat } from '../../formats';
import { type Binding, mapBindings } from '../../templates';
import { editById, withId } from '../project';
import { withRows } from '../rows/rows';
import type { UsedIds } from '../used-ids';
import type { Edit } from './edit';

/** The id that a new format of that name gets. */
export const freeFormatId = ({ formats }: UsedIds, name: string): string =>
  freeId(slug(name), formats);

export function addFormat(format: NamedFormat): Edit {
  return {
    name: `Add format ${format.name}`,
    apply(project) {
      if (withId(project.formats ?? [], format.id) !== undefined)
        return failed(`There is a format "${format.id}" already.`);
      return ok({ ...project, formats: [...(project.formats ?? []), format] });
    },
  };
}

/** Another way to write, under the same name: every binding that has it follows. */
export function changeFormat(id: string, format: Format, joins?: string): Edit {
  const edit = editFormat(`Change format ${id}`, id, ({ name }) => ({ id, name, ...format }));
  return joins === undefined ? edit : { ...edit, joins };
}

export function renameFormat(id: string, wish: string): Edit {
  const name = wish.trim();
  if (name === '') return { name: 'Name a format', apply: () => failed('A format needs a name.') };
  return editFormat(`Name the format ${name}`, id, (format) => ({ ...format, name }));
}

/** Takes a format out; what had it is written plainly. */
export function removeFormat(id: string): Edit {
  const without = (binding: Binding): Binding => {
    if (typeof binding === 'string' || binding.format !== id) return binding;
    const { format: _, ...rest } = binding;
    return rest;
  };
  return {
    name: `Remove format ${id}`,
    apply(project) {
      const plain = withRows(project, ({ row }) => mapBindings(row, without));
      const formats = (project.formats ?? []).filter((format) => format.id !== id);
      const { formats: _, ...others } = plain;
      return ok(formats.length === 0 ? others : { ...plain, formats });
    },
  };
}

/** The locales that a project is made for; the first is shown first. */
export function setLocales(locales: readonly string[]): Edit {
  return {
    name: `Locales ${locales.join(', ')}`,
    apply(project) {
      const wrong = locales.find((locale) => !isLocale(locale));
      if (wrong !== undefined) return failed(`“${wrong}” names no locale.`);
      if (locales.length === 0) return failed('A project needs a locale.');
      return ok({ ...project, locales: [...new Set(locales)] });
    },
  };
}

function editFormat(name: string, id: string, change: (format: NamedFormat) => NamedFormat): Edit {
  return {
    name,
    apply(project) {
      if (withId(project.formats ?? [], id) === undefined)
        return failed(`There is no format "${id}".`);
      const formats = editById(project.formats ?? [], id, change);
      return ok({ ...project, formats });
    },
  };
}
