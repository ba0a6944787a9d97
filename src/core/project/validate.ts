import { ValidationError } from 'yup';
import { type Finding, failed, ok, type Result } from '../base';
import { projectFindings } from './findings';
import type { Project } from './project';
import { projectSchema } from './schema';

/** Holds a value against the project's schema and hands it back as it is, unknown keys and all. */
export function validated(value: unknown, file: string): Result<Project, Finding> {
  try {
    projectSchema.validateSync(value, { strict: true, abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const first = error.inner[0] ?? error;
    return failed(
      projectFindings.misshapen(file, first.path ?? '', first.message, error.errors.length - 1),
    );
  }
  // The schema has just said so; the recursion of parts is beyond what its type can carry.
  return ok(value as Project);
}
