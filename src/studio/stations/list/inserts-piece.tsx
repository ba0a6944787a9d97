import { count, grouped } from '../../../core/base';
import { firstInserts, type Inserts, type List } from '../../../core/lists';
import { edits, type Project, typesOf, withId } from '../../../core/project';
import type { Frame } from '../../../engine';
import { Button, ChoiceChips, MenuButton, Row } from '../../shared/controls/controls';
import { NumberField } from '../../shared/controls/number-field';
import { make } from '../../shared/session/editing';
import { useSession } from '../../shared/session/session';
import { PieceHead } from './pieces';
import { drafted, StandingTemplate } from './standing-template';

interface InsertsPieceProps {
  readonly project: Project;
  readonly list: List;
  readonly counts: Frame['kindCounts'] | undefined;
}

const first = { from: 3, every: 6 } as const;
const about = 'A template between rows, with the items of a source of its own in turn.';

/** What comes after every so many rows. */
export function InsertsPiece({ project, list, counts }: InsertsPieceProps) {
  const { inserts } = list;
  const set = (next: Inserts) => make(edits.insertBetween(list.id, next));
  if (inserts === undefined)
    return (
      <section aria-label="insert">
        <PieceHead title="Insert" about={about} />
        <Button
          onPress={() =>
            make(
              drafted(project, { list, place: 'insert', source: list.source }, (template) =>
                edits.insertBetween(list.id, { ...first, template }),
              ),
            )
          }
        >
          Insert after every 6 rows
        </Button>
      </section>
    );
  const { source: _, ...ofNone } = inserts;
  const { inEachSection: __, ...inWhole } = inserts;
  const { mayBeLast: ___, ...neverLast } = inserts;
  const shown = inserts.source === undefined ? undefined : withId(project.sources, inserts.source);
  return (
    <section aria-label="insert">
      <PieceHead
        title="Insert"
        about={about}
        onRemove={() => make(edits.insertBetween(list.id, undefined))}
      />
      <Row words="after">
        <span className="flex flex-wrap items-center gap-1.5">
          every
          <NumberField
            label="Rows between inserts"
            value={inserts.every}
            min={1}
            max={1_000_000}
            onChange={(every) => set({ ...inserts, every })}
          />
          rows, first after row
          <NumberField
            label="Row of the first insert"
            value={inserts.from}
            min={1}
            max={1_000_000}
            onChange={(from) => set({ ...inserts, from })}
          />
        </span>
      </Row>
      <Row words="counts">
        <ChoiceChips
          label="What is counted"
          options={[
            { value: 'list', words: 'whole list' },
            { value: 'section', words: 'each section anew' },
          ]}
          chosen={inserts.inEachSection ? 'section' : 'list'}
          onChoose={(what) => set(what === 'list' ? inWhole : { ...inserts, inEachSection: true })}
        />
      </Row>
      <Row words="items of">
        <MenuButton
          label="Source of inserts"
          words={shown?.name ?? inserts.source ?? 'none: the same each time'}
          entries={[
            {
              words: 'none',
              hint: 'it says the same each time',
              isChosen: inserts.source === undefined,
              onChoose: () => set(ofNone),
            },
            ...project.sources.map(({ id, name }) => ({
              words: name,
              isChosen: id === inserts.source,
              onChoose: () => set({ ...inserts, ...ofSource(project, inserts, id) }),
            })),
          ]}
        />
      </Row>
      <Row words="shows">
        <StandingTemplate
          {...{ project, list }}
          place="insert"
          mayBeNone={false}
          source={inserts.source ?? list.source}
          template={inserts.template}
          edit={(template = inserts.template) =>
            edits.insertBetween(list.id, { ...inserts, template })
          }
        />
      </Row>
      <Row words="at the end">
        <ChoiceChips
          label="After the last row"
          options={[
            { value: 'never', words: 'never last' },
            { value: 'may', words: 'may be last' },
          ]}
          chosen={inserts.mayBeLast ? 'may' : 'never'}
          onChoose={(where) => set(where === 'never' ? neverLast : { ...inserts, mayBeLast: true })}
        />
      </Row>
      <Row words="so it stands">
        <p>after rows {rowsInWords(inserts)}</p>
        <p>
          <b>{grouped(counts?.insert ?? 0)}</b> among {count(counts?.row ?? 0, 'row')}
        </p>
        <Before {...{ list, inserts }} />
      </Row>
    </section>
  );
}

const shownRows = 4;

const rowsInWords = (inserts: Inserts): string =>
  `${firstInserts(inserts, shownRows).join(', ')} …${inserts.inEachSection ? ' of each section' : ''}`;

/** How it stood before the last change of it. */
function Before({ list, inserts }: { readonly list: List; readonly inserts: Inserts }) {
  const before = useSession(({ history }) => {
    const of = (project: Project) => withId(project.lists, list.id)?.inserts;
    const step = history?.done.findLast(
      (each) => JSON.stringify(of(each.before)) !== JSON.stringify(of(each.after)),
    );
    return step && of(step.before);
  });
  if (before === undefined || rowsInWords(before) === rowsInWords(inserts)) return null;
  return <p className="text-ash">before the last change: {rowsInWords(before)}</p>;
}

/** A template of the other source, if it has one and the one that stands there is of another. */
function ofSource(project: Project, { template }: Inserts, source: string) {
  const types = new Set(typesOf(project, source).map(({ id }) => id));
  const isOwn = types.has(withId(project.templates, template)?.type ?? '');
  const own = project.templates.find(({ type }) => types.has(type));
  return { source, template: isOwn || own === undefined ? template : own.id };
}
