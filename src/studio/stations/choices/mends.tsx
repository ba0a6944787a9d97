import type { Finding } from '../../../core/base';
import type { List } from '../../../core/lists';
import { type Edit, edits, type Project, typesOfList, withId } from '../../../core/project';
import { Button } from '../../shared/controls/controls';
import { placeOfTemplate } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { goWithin } from '../../shared/session/route';
import type { ChoiceRowProps } from './choice-props';

interface MendsProps extends Pick<ChoiceRowProps, 'list' | 'choice' | 'at' | 'looks'> {
  readonly findings: readonly Finding[];
}

/** What is wrong with a choice, each with what puts it right at one press. */
export function Mends({ findings, ...row }: MendsProps) {
  return findings
    .filter(({ code }) => code !== 'choice-condition-unfit')
    .map(({ code, message }) => (
      <p key={message} data-finding={code} className="max-w-64 pt-1 text-sm text-madder">
        {message}{' '}
        {mendsFor(code, row).map(({ words, edit }) => (
          <button
            key={words}
            type="button"
            className="me-2 text-woad underline"
            onClick={() => make(edit)}
          >
            {words}
          </button>
        ))}
      </p>
    ));
}

interface MendPress {
  readonly words: string;
  readonly edit: Edit;
}

function mendsFor(
  code: string,
  { list, at, looks }: Omit<MendsProps, 'findings'>,
): readonly MendPress[] {
  const place = { list: list.id, at };
  const remove = { words: 'remove it', edit: edits.removeChoice(place) };
  switch (code) {
    case 'choice-never-reached':
      return [{ words: 'try it first', edit: edits.moveChoice(place, 0) }, remove];
    case 'choice-type-unknown':
      return [remove];
    case 'choice-nothing-chosen':
      return looks.map((look) => ({
        words: look === undefined ? 'leave them out' : `leave them out in ${look.name}`,
        edit: edits.choose(place, look === undefined ? 'all looks' : { look: look.id }, null),
      }));
    default:
      return [];
  }
}

interface UnusedProps {
  readonly project: Project;
  readonly list: List;
  readonly findings: readonly Finding[];
}

/** Templates that no list chooses. */
export function Unused({ project, list, findings }: UnusedProps) {
  const unused = findings.flatMap(({ code, place }) =>
    code === 'template-unused' && place.in === 'project'
      ? (withId(project.templates, place.path.replace('templates/', '')) ?? [])
      : [],
  );
  if (unused.length === 0) return null;
  return (
    <section aria-label="Templates that no list chooses">
      <h2 className="pb-1 font-semibold">Chosen nowhere</h2>
      <ul>
        {unused.map(({ id, name, type }) => (
          <li
            key={id}
            data-finding="template-unused"
            className="flex flex-wrap items-center gap-2 py-1"
          >
            <button
              type="button"
              className="text-woad underline"
              onClick={() => goWithin({ station: 'templates', ...placeOfTemplate(id) })}
            >
              {withId(project.types, type)?.name ?? type} {name}
            </button>
            {typesOfList(project, list).some(({ id: own }) => own === type) && (
              <Button onPress={() => make(addFor(list, type, id))}>
                choose it for a choice more
              </Button>
            )}
            <Button onPress={() => make(edits.removeTemplate(id))}>remove it</Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A choice for the type before all others, with the template: its condition is still to be written. */
const addFor = (list: List, type: string, template: string): Edit => ({
  name: `Choose ${template}`,
  apply(project) {
    const added = edits.addChoice(list.id, { type }, 0).apply(project);
    return added.ok
      ? edits.choose({ list: list.id, at: 0 }, 'all looks', template).apply(added.value)
      : added;
  },
});
