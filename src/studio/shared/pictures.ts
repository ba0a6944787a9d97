import type { Picture } from '../../core/project';
import type { Pictures } from '../../render';

/**
 * Names to addresses that an image may load: the project's own pictures as data addresses (so
 * that an SVG is an image and nothing else), http and https as they are.
 */
export function picturesOf(pictures: readonly Picture[]): Pictures {
  const own = new Map(
    pictures.map((each) => [each.name, `data:${each.mediaType};base64,${each.base64}`]),
  );
  return (name) => own.get(name) ?? (/^https?:\/\//i.test(name) ? name : undefined);
}
