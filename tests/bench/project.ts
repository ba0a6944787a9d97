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

/** A look more, in which skeins have a line more. */
export function inTwoLooks(project: Project): Project {
  const plain = project.templates.find(({ id }) => id === 'skein-plain');
  const [list] = project.lists;
  if (plain === undefined || list === undefined) throw new Error('there are no rows of skeins');
  const more: Project = {
    ...project,
    templates: [...project.templates, { ...plain, id: 'skein-rich' }],
  };
  const at = list.choices.findIndex(({ template }) => template === 'skein-plain');
  const all: readonly Edit[] = [
    edits.addLook('rich'),
    edits.insert(
      'skein-rich',
      { beside: 'maker', side: 'below' },
      draftLabel('grams', { expr: '`${shade} · ${grams} g`' }, 'small'),
    ),
    edits.choose({ list: list.id, at }, { look: 'rich' }, 'skein-rich'),
  ];
  return all.reduce(edited, more);
}

function edited(project: Project, edit: Edit): Project {
  const made = edit.apply(project);
  if (!made.ok) throw new Error(made.error);
  return made.value;
}
