import { type Finding, ok, type Result } from '../base';
import { slotsOf } from '../templates';
import { type Edit, edits } from './edits';
import { projectFindings } from './findings';
import { brokenReferences, problemsIn } from './problems';
import { type Project, typesOf } from './project';
import { shownTemplate } from './rows/rows';

/** What an edit would make wrong: findings that the project does not have before it. */
export function foresee(project: Project, edit: Edit): Result<readonly Finding[], string> {
  const after = edit.apply(project);
  if (!after.ok) return after;
  const known = new Set(problemsOf(project).map(identity));
  return ok(problemsOf(after.value).filter((finding) => !known.has(identity(finding))));
}

/** What goes with a source: a person's work on its types and templates. */
export function goesWith(project: Project, source: string): readonly Finding[] {
  const types = typesOf(project, source);
  const names = (things: readonly { readonly name: string }[]) =>
    things.map(({ name }) => name).join(', ');
  return types.map((type) => {
    const templates = project.templates.filter((template) => template.type === type.id);
    return projectFindings.typeGoes(type.id, type.name, names(templates));
  });
}

/** The edit with the mends of what it makes wrong, as one step. */
export function withMends(edit: Edit): Edit {
  return {
    ...edit,
    apply(project) {
      const foreseen = foresee(project, edit);
      const after = edit.apply(project);
      return foreseen.ok && after.ok ? ok(foreseen.value.reduce(mended, after.value)) : after;
    },
  };
}

function mended(project: Project, { place, mend }: Finding): Project {
  if (place.in !== 'part' || mend === undefined) return project;
  const template = shownTemplate(project, place.template);
  const slot = (template === undefined ? [] : slotsOf(template.row)).find(
    (each) => each.part === place.part && each.property === place.property,
  );
  if (slot === undefined || typeof slot.binding === 'string') return project;
  const { part, property, binding } = slot;
  const expr = binding.expr.slice(0, mend.from) + mend.text + binding.expr.slice(mend.to);
  const bound = edits.bind({ template: place.template, part, property }, { ...binding, expr });
  const made = bound.apply(project);
  return made.ok ? made.value : project;
}

const problemsOf = (project: Project): readonly Finding[] => [
  ...brokenReferences(project),
  ...project.templates.flatMap((template) => problemsIn(project, template)),
];

const identity = ({ code, place, message }: Finding): string =>
  JSON.stringify([code, place, message]);
