import { type Edit, edits, type Project } from '../../src/core/project';
import { draftLabel } from '../../src/core/templates';

/** Rows of mixed height: skeins with two lines and a value, the others with the title alone. */
export function benchProject(drafted: Project): Project {
  const words = { expr: '`${maker.name} · ${grams} g`' };
  const all: readonly Edit[] = [
    edits.insert(
      'skein-plain',
      { beside: 'title', side: 'below' },
      draftLabel('maker', words, 'small', { share: 1 }),
    ),
    edits.insert(
      'skein-plain',
      { beside: 'row', side: 'after' },
      draftLabel('price', { expr: 'price' }, 'value'),
    ),
  ];
  return all.reduce(edited, drafted);
}

/** The same with other words in a label, as one types. */
export const withWords = (project: Project, words: string): Project =>
  edited(
    project,
    edits.bind(
      { template: 'skein-plain', part: 'maker', property: 'text' },
      { expr: `\`\${maker.name} · ${words}\`` },
    ),
  );

function edited(project: Project, edit: Edit): Project {
  const made = edit.apply(project);
  if (!made.ok) throw new Error(made.error);
  return made.value;
}
