import { ValidationError } from 'yup';
import { type Finding, failed, grouped, ok, type Result } from '../../base';
import { holdTo, mapOf, record } from '../../shape';
import { projectFindings } from '../findings';
import type { Project } from '../project';
import { contentShape, projectShape } from '../shapes';

const hold = holdTo(projectShape);
const holdContents = holdTo(
  record<{ readonly contents: Readonly<Record<string, string>> }>({
    contents: mapOf(contentShape),
  }),
);

/** Holds a value against the project's shape and hands it back as it is, unknown keys and all. */
export const validated = (value: unknown, file: string): Result<Project, Finding> =>
  held(() => hold(value), file);

/** The same for what the project's pictures show. */
export const validatedContents = (
  contents: unknown,
  file: string,
): Result<Readonly<Record<string, string>>, Finding> =>
  held(() => holdContents({ contents }).contents, file);

function held<T>(work: () => T, file: string): Result<T, Finding> {
  try {
    return ok(work());
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const first = error.inner[0] ?? error;
    return failed(
      projectFindings.misshapen(file, first.path ?? '', first.message, error.errors.length - 1),
    );
  }
}

const parts = [
  ...(['sources', 'types', 'templates', 'lists', 'pictures', 'formats', 'locales'] as const),
  ...(['sharedParts', 'fonts', 'textStyles', 'colours', 'spacing'] as const),
  ...(['widths', 'textSizes'] as const),
];
const maxOfOne = 5_000;

/**
 * Why a project that was valid before a change is not valid after it, in words for people. Only
 * what changed is held against the schema, so that it can be asked at every keystroke.
 */
export function whyNotWritable(before: Project, after: Project): string | undefined {
  const changed: Record<string, unknown> = { ...after };
  for (const part of parts) {
    const [old, now]: (readonly unknown[] | undefined)[] = [before[part], after[part]];
    if (now === undefined) continue;
    if (now.length > maxOfOne) return `A project can have ${grouped(maxOfOne)} ${part} at most.`;
    const known = new Set(old);
    const fresh = now.filter((each) => !known.has(each));
    // Where nothing is new there is nothing to look at, but a project has a locale at least.
    changed[part] = part === 'locales' ? now : fresh;
  }
  try {
    hold(changed, 'first');
    return undefined;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const place = error.path?.replaceAll(/\[\d+\]/g, '') ?? '';
    const wrong = error.message.replaceAll(error.path ?? '', place).slice(0, maxSaid);
    return `A project file could not hold that: ${wrong}.`;
  }
}

const maxSaid = 200;
