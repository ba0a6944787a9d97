import type { PackedProject } from '../../packed';

/**
 * The module that defines the element of a pack: the runtime as it was built, then the design as
 * data. Standard: ECMA-262, modules.
 */
export function listModule(tag: string, runtime: string, packed: PackedProject): string {
  return `/* The lists of ${inComment(packed.name)} as the element <${tag}>, made by Yarn Card: change the design, not this file. */
${runtime.trim()}
runtime.defineList(${JSON.stringify(tag)}, ${asData(packed)}, import.meta.url);
`;
}

/** A line for each thing in its lists, so that differences are seen by what differs. */
function asData(packed: PackedProject): string {
  const members = Object.entries(packed).map(([name, value]) => {
    const isLong = Array.isArray(value) && value.some((each) => typeof each === 'object');
    const text = isLong
      ? `[\n${value.map((each) => JSON.stringify(each)).join(',\n')}\n]`
      : JSON.stringify(value);
    return `${JSON.stringify(name)}: ${text}`;
  });
  return `{\n${keysAlone(members.join(',\n'))}\n}`;
}

/** In a literal of JavaScript `__proto__` would be no key (ECMA-262, B.3.1). */
export const keysAlone = (json: string): string =>
  json.replace(/(?<!\\)"__proto__":/g, '["__proto__"]:');

/** Words that end no comment. */
export const inComment = (words: string): string =>
  words.replace(/[\p{C}\s]+/gu, ' ').replaceAll('*/', '* /');

/**
 * The name of a project's element: letters and digits with hyphens between, and one in any case.
 * Standard: HTML, valid custom element name.
 */
export function tagOf(name: string): string {
  const words = name
    .normalize('NFKD')
    .toLowerCase()
    .match(/[a-z0-9]+/g);
  const slug = (words ?? [])
    .join('-')
    .slice(0, 40)
    .replace(/^[^a-z]+/, '')
    .replace(/-+$/, '');
  return `${slug === '' ? 'yarn' : slug}-list`;
}
