import { localeOf } from '../../../core/project';
import { useWindow } from '../window/window-settings';
import { useProject } from './session';

/** The locale that the rows are shown in: the one that was chosen, if the project has it, or its first. */
export function useLocale(): string {
  const project = useProject();
  const chosen = useWindow(({ locale }) => locale);
  if (project === undefined) return 'en';
  const isKnown = chosen !== undefined && project.locales?.includes(chosen) === true;
  return isKnown ? chosen : localeOf(project);
}
