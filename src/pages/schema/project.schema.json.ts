import { projectFileSchema } from '../../core/project';

/** The schema that project files may name, so that editors check them as they are written. */
export const GET = (): Response =>
  new Response(JSON.stringify(projectFileSchema(), null, 2), {
    headers: { 'Content-Type': 'application/schema+json' },
  });
