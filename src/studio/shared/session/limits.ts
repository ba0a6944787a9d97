import { loadLimits, type Project, type WhyPastLimits } from '../../../core/project';
import { fetched } from '../controls/on-demand';

let limits: WhyPastLimits | undefined;
let loading: Promise<void> | undefined;

/** Fetches what the limits of project files are; `then` is called once they are there. */
export async function holdLimits(then: () => void = () => {}): Promise<void> {
  loading ??= fetched(loadLimits).then((loaded) => {
    limits = loaded;
  });
  await loading.catch((error: unknown) => {
    loading = undefined;
    throw error;
  });
  then();
}

/** Why a project could not be opened again; undefined also while the limits are not there yet. */
export const whyPastLimits = (before: Project, after: Project): string | undefined =>
  limits?.(before, after);

export const areLimitsHeld = (): boolean => limits !== undefined;
