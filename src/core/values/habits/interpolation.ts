import type { WrittenForm } from './written-form';

/** A text of a template language as a template literal. */
const asTemplate = (text: string, holes: RegExp): string | undefined => {
  if (text.includes('`') || text.includes('\\')) return undefined;
  const made = text.replace(holes, (_, ...groups: readonly unknown[]) => {
    const inside = groups.find((each) => typeof each === 'string' && each !== '');
    return `\${${typeof inside === 'string' ? inside.trim() : ''}}`;
  });
  return `\`${made}\``;
};

const quoted = (text: string): string => (/^\s*$/.test(text) ? '""' : JSON.stringify(text.trim()));

/** Values within words, as template languages and others have them. */
export const interpolationForms: readonly WrittenForm[] = [
  {
    what: 'Curly quotes',
    pattern: /[“”„‘’]/,
    write: ({ before, at, after }) => [
      (before + at(0) + after).replace(/[“”„]/g, '"').replace(/[‘’]/g, "'"),
    ],
  },
  {
    what: 'A condition between marks',
    pattern:
      /^\s*(?:\{%\s*if\s+(.*?)\s*%\}(.*?)(?:\{%\s*else\s*%\}(.*?))?\{%\s*endif\s*%\}|\{\{#if\s+(.*?)\}\}(.*?)(?:\{\{else\}\}(.*?))?\{\{\/if\}\})\s*$/s,
    write: ({ at }) => [
      `${at(1) || at(4)} ? ${quoted(at(2) || at(5))} : ${quoted(at(3) || at(6))}`,
    ],
  },
  {
    what: 'Marks around a value',
    pattern:
      /^\s*(?:\{\{\{(.+)\}\}\}|\{\{((?:(?!\}\}).)+)\}\}|<%[-=]?((?:(?!%>).)+)%>|[$#@]\{([^{}]+)\}|\[\[([^[\]]+)\]\]|%(\w+)%|\{([\w.]+)\})\s*$/s,
    write: ({ at }) => [(at(1) || at(2) || at(3) || at(4) || at(5) || at(6) || at(7)).trim()],
  },
  {
    what: 'Marks around values',
    pattern: /^.*(?:\{\{.+\}\}|<%.+%>|[$#]\{.+\}).*$/s,
    write: ({ at }) => [asTemplate(at(0), /\{\{(.+?)\}\}|<%[-=]?(.+?)%>|[$#]\{(.+?)\}/gs)],
  },
  {
    what: 'A letter before a text',
    pattern: /^\s*(?:f|\$|@|s|r|u|b|\$@|@\$)(["'])(.*)\1\s*$/is,
    write: ({ at }) => [
      asTemplate(at(2), /\$?\{([^{}:]+)(?::[^{}]*)?\}|\$([\p{L}_][\p{L}\p{N}_.]*)/gu),
    ],
  },
  {
    what: 'A mark before a name',
    pattern: /^(\s*[(!]*\s*)[@#:](?=[\p{L}_(])/u,
    write: ({ at, after }) => [at(1) + after],
  },
  {
    what: 'A sign = at the start',
    pattern: /^\s*=(?!=)/,
    write: ({ after }) => [after.trim()],
  },
  {
    what: 'A statement',
    pattern: /^\s*(?:return|echo|print|await|(?:let|const|var|val)\s+\w+\s*=)\s+/,
    write: ({ after }) => [after.trim()],
  },
  {
    what: 'SELECT',
    pattern: /^\s*select\s+([\w.]+)\s+from\s+\w+\s*;?\s*$/i,
    write: ({ at }) => [at(1)],
  },
];
