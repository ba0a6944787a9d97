import { projectFileSchema } from '../../src/core/project';
import { flush, line } from '../output';

/** The JSON Schema of project files. */
export function schema(): void {
  line(JSON.stringify(projectFileSchema(), null, 2));
  flush();
}
