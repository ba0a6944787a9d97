import { directionOf, type TextDirection } from '../../../core/base';
import { localeOf, type Project } from '../../../core/project';
import { useWindow } from '../window/window-settings';
import { useProject } from './session';

/** The locale that rows are shown in: the one that was chosen, if the project has it, or its first. */
export function localeShown(project: Project | undefined, chosen: string | undefined): string {
  if (project === undefined) return 'en';
  // An address may name anything.
  const isKnown = chosen !== undefined && project.locales?.includes(chosen) === true;
  return isKnown ? chosen : localeOf(project);
}

/** The locale of the first window. */
export function useLocale(): string {
  return localeShown(
    useProject(),
    useWindow(({ locale }) => locale),
  );
}

/** Where rows of the first window begin: as it is set, else as its locale says. */
export function useDirection(): TextDirection {
  const locale = useLocale();
  return useWindow(({ direction }) => direction) ?? directionOf(locale);
}
