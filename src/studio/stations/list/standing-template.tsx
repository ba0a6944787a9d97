import { type List, standingTemplates } from '../../../core/lists';
import {
  type DraftedPlace,
  type Edit,
  edits,
  freeTemplateId,
  inOneStep,
  type Project,
  standingDraft,
  typesOf,
  withId,
} from '../../../core/project';
import { MenuButton } from '../../shared/controls/controls';
import { placeOfTemplate } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { goWithin } from '../../shared/session/route';
import { usedIds } from '../../shared/session/session';

interface StandingTemplateProps {
  readonly project: Project;
  readonly list: List;
  readonly place: DraftedPlace;
  /** The source whose items the template is for. */
  readonly source: string;
  readonly template: string | undefined;
  /** Whether there may be none. */
  readonly mayBeNone?: boolean;
  /** Sets it; undefined: none. */
  readonly edit: (template: string | undefined) => Edit;
}

/** Which template stands in a place beside the rows: one that is there, a draft, or none. */
export function StandingTemplate(props: StandingTemplateProps) {
  const { project, list, place, source, template, mayBeNone = true, edit } = props;
  const own = typesOf(project, source);
  const all = project.templates.filter(({ type }) => own.some(({ id }) => id === type));
  const used = new Set(project.lists.flatMap(standingTemplates));
  const shown = template === undefined ? undefined : withId(project.templates, template);
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <MenuButton
        label={`Template of the ${place}`}
        words={shown?.name ?? template ?? 'none'}
        entries={[
          {
            words: 'A new one',
            hint: standingDraft(place, list.name).about,
            onChoose: () => make(drafted(project, { list, place, source }, edit)),
          },
          // What stands beside rows elsewhere is likelier than a row.
          ...all
            .toSorted((one, other) => Number(used.has(other.id)) - Number(used.has(one.id)))
            .map(({ id, name }) => ({
              words: name,
              hint: id,
              isChosen: id === template,
              onChoose: () => make(edit(id)),
            })),
          ...(mayBeNone
            ? [
                {
                  words: 'None',
                  isChosen: template === undefined,
                  onChoose: () => make(edit(undefined)),
                },
              ]
            : []),
        ]}
      />
      {shown !== undefined && (
        <button
          type="button"
          className="text-sm underline decoration-rule underline-offset-2 hover:decoration-ink"
          onClick={() => goWithin({ station: 'templates', ...placeOfTemplate(shown.id) })}
        >
          open it
        </button>
      )}
    </span>
  );
}

interface Place {
  readonly list: List;
  readonly place: DraftedPlace;
  readonly source: string;
}

/** A draft for a place, and what puts it there, in one step. */
export function drafted(
  project: Project,
  { list, place, source }: Place,
  edit: (template: string) => Edit,
): Edit {
  const type = typesOf(project, source)[0]?.id ?? '';
  const draft = standingDraft(place, list.name);
  const id = freeTemplateId(list.id, draft.name, usedIds().templates);
  const name = `${draft.name} of ${list.name}`;
  return inOneStep(`Add ${place}`, [edits.addDraft({ id, name, type }, draft), edit(id)]);
}
