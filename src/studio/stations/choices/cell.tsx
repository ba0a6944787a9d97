import { count, grouped } from '../../../core/base';
import { allChosen, chosenIn } from '../../../core/lists';
import {
  draftTemplate,
  edits,
  type ItemType,
  type Look,
  type Project,
  typesOfList,
  withId,
} from '../../../core/project';
import { plainLook } from '../../../engine';
import { MenuButton } from '../../shared/controls/controls';
import type { MenuEntry } from '../../shared/controls/popup';
import { handItem } from '../../shared/session/at-hand';
import { placeOfTemplate } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { goWithin } from '../../shared/session/route';
import { engine, usedIds } from '../../shared/session/session';
import { useAnswer } from '../../shared/session/use-answer';
import { RowPicture } from '../../shared/window/row-picture';
import { useWindow } from '../../shared/window/window-settings';
import type { ChoiceRowProps } from './choice-props';

interface CellProps extends ChoiceRowProps {
  readonly look: Look | undefined;
  readonly itemCount: number;
  /** The first item that it takes; -1: it takes none. */
  readonly first: number;
}

/** What the items of a choice get in a look: its template with a real row, and how many they are. */
export function Cell(props: CellProps) {
  const { project, list, choice, at, look, itemCount, first } = props;
  const template = chosenIn(allChosen(list)[at], look?.id);
  const named = typeof template === 'string' ? withId(project.templates, template) : undefined;
  const words =
    template === null
      ? 'left out on purpose'
      : template === undefined
        ? 'nothing chosen'
        : (named?.name ?? template);
  const isMissing = template === undefined && itemCount > 0;
  const type = withId(project.types, choice?.type ?? '');
  const whom = [
    choice === undefined ? 'otherwise' : (type?.name ?? choice.type ?? 'all types'),
    ...(choice?.when === undefined ? [] : [`where ${choice.when}`]),
    ...(look === undefined ? [] : [`in ${look.name}`]),
  ].join(' ');
  return (
    <td className="py-2 pe-3 max-[1100px]:max-w-44 in-data-[windows=two]:max-w-36">
      <span className="flex items-center gap-1">
        <MenuButton
          givesWay
          label={`Template for ${whom}`}
          words={words}
          entries={entriesFor(props, type, template)}
        />
        {named !== undefined && (
          <button
            type="button"
            className="text-sm text-woad underline"
            onClick={() => goWithin({ station: 'templates', ...placeOfTemplate(named.id) })}
          >
            edit
          </button>
        )}
        <button
          type="button"
          disabled={first < 0}
          title={first < 0 ? 'No item lands here' : 'Have the first of them at hand'}
          className={`ms-auto ps-2 font-semibold tabular-nums enabled:hover:underline ${isMissing ? 'text-madder' : ''}`}
          onClick={() => void handItem(first)}
        >
          {grouped(itemCount)}
        </button>
      </span>
      {isMissing && (
        <p className="pt-1 text-sm text-madder">{count(itemCount, 'item')} without a template</p>
      )}
      {named !== undefined && first >= 0 && (
        <Example template={named.id} item={first} pictures={project.pictures} />
      )}
    </td>
  );
}

function entriesFor(
  { project, list, at, look }: CellProps,
  type: ItemType | undefined,
  template: string | null | undefined,
): readonly MenuEntry[] {
  const where = look === undefined ? 'all looks' : { look: look.id };
  const choose = (next: string | null | undefined) =>
    make(edits.choose({ list: list.id, at }, where, next));
  const own = new Set(typesOfList(project, list).map(({ id }) => id));
  const fitting = project.templates.filter((each) =>
    type === undefined ? own.has(each.type) : each.type === type.id,
  );
  return [
    ...fitting.map((each) => ({
      words: each.name,
      hint: type === undefined ? withId(project.types, each.type)?.name : undefined,
      isChosen: each.id === template,
      onChoose: () => choose(each.id),
    })),
    {
      words: 'left out on purpose',
      hint: 'no row',
      isChosen: template === null,
      onChoose: () => choose(null),
    },
    {
      words: 'nothing chosen',
      isChosen: template === undefined,
      onChoose: () => choose(undefined),
    },
    ...(type === undefined
      ? []
      : [
          {
            words: 'a new template',
            hint: 'drafted',
            onChoose: () => void chooseNew(type, choose),
          },
        ]),
  ];
}

/** A template of its own for the type, with the likeliest title, and at once its choice. */
async function chooseNew(type: ItemType, choose: (template: string) => void): Promise<void> {
  const { rows } = await engine().rows(type.source, plainLook, { from: 0, to: 400 });
  const items = rows.map((row) => row.item);
  const template = draftTemplate(type, items, usedIds().templates);
  if (make(edits.addTemplate(template)) === undefined) choose(template.id);
}

interface ExampleProps extends Pick<Project, 'pictures'> {
  readonly template: string;
  readonly item: number;
}

/** A real item, drawn small with the template. */
function Example({ template, item, pictures }: ExampleProps) {
  const { widthPx } = useWindow((settings) => settings.device);
  const scheme = useWindow((settings) => settings.scheme);
  const tried = useAnswer({ template, item }, (asked) =>
    engine().tryTemplate(asked.template, [asked.item]),
  );
  const [entry] = tried?.entries ?? [];
  const shownPx = Math.min(widthPx, 400);
  return (
    <div
      // How much smaller than in the window, by the room that there is.
      className="mt-1 min-h-8 overflow-hidden rounded-md border border-rule [--small:0.5] in-data-[windows=two]:[--small:0.34] max-[1100px]:[--small:0.42]"
      style={{ width: `calc(${shownPx}px * var(--small) + 2px)` }}
    >
      {tried !== undefined && entry !== undefined && (
        <div style={{ zoom: 'var(--small)', width: shownPx }}>
          <RowPicture plan={tried.plan} entry={entry} pictures={pictures} scheme={scheme} />
        </div>
      )}
    </div>
  );
}
