import { draftTemplate, edits, type ItemType, type Project, withId } from '../../../core/project';
import { plainLook } from '../../../engine';
import { MenuButton } from '../../shared/controls/controls';
import type { MenuEntry } from '../../shared/controls/popup';
import { useCurrent } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { goWithin } from '../../shared/session/route';
import { engine, usedIds, useProject, useSession } from '../../shared/session/session';
import { useAnswer } from '../../shared/session/use-answer';
import { RowPicture } from '../../shared/window/row-picture';

/** Which template an item gets: a row a type, tried from the top, and what all others get. */
export default function Choices() {
  const project = useProject();
  const view = useSession((session) => session.view);
  const list = useCurrent()?.list;
  if (project === undefined || list === undefined) return null;
  const types = project.types.filter((type) => type.source === list.source);
  const chosen = (type: string) => list.choices.find((choice) => choice.type === type);
  return (
    <div data-pane="choices" className="h-full overflow-auto p-4">
      <h1 className="pb-2">
        <b>Which template an item gets</b> <span className="text-ash">list “{list.name}”</span>
      </h1>
      <table className="w-full">
        <thead className="text-start">
          <tr className="border-b border-ink">
            <th scope="col" className="w-8 py-1 text-start">
              #
            </th>
            <th scope="col" className="text-start">
              when
            </th>
            <th scope="col" className="text-start">
              template
            </th>
            <th scope="col" className="text-start">
              as a row
            </th>
            <th scope="col" className="text-end">
              items
            </th>
          </tr>
        </thead>
        <tbody>
          {types.map((type, index) => {
            const choice = chosen(type.id);
            const at = list.choices.findIndex((each) => each.type === type.id);
            return (
              <Line
                key={type.id}
                number={String(index + 1)}
                words={type.name}
                about={
                  type.value === null
                    ? 'every item'
                    : `${withId(project.sources, list.source)?.discriminator} is “${type.value}”`
                }
                template={choice === undefined ? undefined : choice.template}
                type={type}
                project={project}
                itemCount={at < 0 ? 0 : (view?.choiceCounts[at] ?? 0)}
                onChoose={(template) => make(edits.choose(list.id, type.id, template))}
              />
            );
          })}
          <Line
            number=""
            words="otherwise"
            about="items that no choice takes"
            template={list.otherwise}
            type={undefined}
            project={project}
            itemCount={view?.choiceCounts.at(-1) ?? 0}
            onChoose={(template) => make(edits.choose(list.id, undefined, template))}
          />
        </tbody>
      </table>
    </div>
  );
}

interface LineProps {
  readonly number: string;
  readonly words: string;
  readonly about: string;
  /** null: left out on purpose; undefined: this type has no choice of its own. */
  readonly template: string | null | undefined;
  readonly type: ItemType | undefined;
  readonly project: Project;
  readonly itemCount: number;
  readonly onChoose: (template: string | null) => void;
}

function Line({ number, words, about, template, type, project, itemCount, onChoose }: LineProps) {
  const fitting = project.templates.filter((each) => type === undefined || each.type === type.id);
  const entries: MenuEntry[] = [
    ...fitting.map((each) => ({
      words: type === undefined ? each.id : each.name,
      isChosen: each.id === template,
      onChoose: () => onChoose(each.id),
    })),
    { words: 'left out on purpose', isChosen: template === null, onChoose: () => onChoose(null) },
  ];
  if (type !== undefined)
    entries.push({
      words: 'a new template',
      hint: 'drafted',
      onChoose: () => void chooseNew(type, onChoose),
    });
  const chosen = typeof template === 'string' ? withId(project.templates, template) : undefined;
  const shownWords = template === null ? 'left out' : (chosen?.name ?? template ?? 'as otherwise');
  return (
    <tr className="h-16 border-b border-rule align-middle">
      <td className="py-3 text-ash">{number}</td>
      <td className="pe-4">
        <span className={type === undefined ? 'italic' : 'font-semibold'}>{words}</span>
        <span className="block text-sm text-ash">{about}</span>
      </td>
      <td>
        <MenuButton label={`Template for ${words}`} words={shownWords} entries={entries} />
      </td>
      <td className="w-72 py-2 pe-4">
        {typeof template === 'string' && itemCount > 0 && (
          <Example template={template} type={type} />
        )}
        {template === null && itemCount > 0 && <span className="text-ash">no row</span>}
      </td>
      <td className="text-end font-semibold tabular-nums">
        {itemCount}
        {typeof template === 'string' && chosen !== undefined && type !== undefined && (
          <button
            type="button"
            className="block w-full text-end text-sm font-normal text-woad underline"
            onClick={() => goWithin({ station: 'templates', template, part: undefined })}
          >
            edit
          </button>
        )}
      </td>
    </tr>
  );
}

/** A template of its own for the type, with the likeliest title, and at once its choice. */
async function chooseNew(type: ItemType, onChoose: (template: string) => void): Promise<void> {
  const { rows } = await engine().rows(type.source, plainLook, { from: 0, to: 400 });
  const items = rows.map((row) => row.item);
  const template = draftTemplate(type, items, usedIds().templates);
  if (make(edits.addTemplate(template)) === undefined) onChoose(template.id);
}

/** A real item of the type, drawn with the template. */
function Example({
  template,
  type,
}: {
  readonly template: string;
  readonly type: ItemType | undefined;
}) {
  const project = useProject();
  const tried = useAnswer({ template, type: type?.id }, async (asked) => {
    const [item] = asked.type === undefined ? [0] : await engine().itemsOfType(asked.type, 1);
    return item === undefined ? undefined : engine().tryTemplate(asked.template, [item]);
  });
  const [entry] = tried?.entries ?? [];
  if (tried === undefined || entry === undefined) return null;
  return (
    <div className="overflow-hidden rounded-md border border-rule">
      <RowPicture plan={tried.plan} entry={entry} pictures={project?.pictures ?? []} />
    </div>
  );
}
