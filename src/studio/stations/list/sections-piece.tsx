import { type List, type SectionPart, type SectionsOf, sectionParts } from '../../../core/lists';
import { edits, type Project, typesOfList } from '../../../core/project';
import { type Field, fieldsOfAll, pathText } from '../../../core/values';
import { Check, ChoiceChips, MenuButton, Row } from '../../shared/controls/controls';
import { ItemsExpression } from '../../shared/expression/items-expression';
import { make } from '../../shared/session/editing';
import { PieceHead } from './pieces';
import { drafted, StandingTemplate } from './standing-template';

interface SectionsPieceProps {
  readonly project: Project;
  readonly list: List;
}

/** What the items of the list are put together by, and what stands over each section. */
export function SectionsPiece({ project, list }: SectionsPieceProps) {
  const { sections } = list;
  if (sections === undefined) return <NoSections {...{ project, list }} />;
  const set = (next: SectionsOf) => make(edits.divide(list.id, next));
  return (
    <section aria-label="heading">
      <PieceHead
        title="Sections"
        about="Items with the same value stand together, under a heading."
        onRemove={() => make(edits.divide(list.id, undefined))}
      />
      <Row words="by">
        <By {...{ project, list, sections }} onSet={set} />
      </Row>
      {sections.by !== undefined && <TakenAs {...{ sections }} onSet={set} />}
      <Row words="heading">
        <StandingTemplate
          {...{ project, list }}
          place="heading"
          source={list.source}
          template={sections.heading}
          edit={(template) => edits.stand(list.id, 'heading', template)}
        />
      </Row>
      <Row words="">
        <Switches {...{ sections }} onSet={set} />
      </Row>
    </section>
  );
}

interface SectionsProps {
  readonly sections: SectionsOf;
  readonly onSet: (next: SectionsOf) => void;
}

/** What of a value tells sections apart, and how they follow each other: sources come as the list has them. */
function TakenAs({ sections, onSet }: SectionsProps) {
  return (
    <>
      <Row words="taken as">
        <ChoiceChips
          label="What tells sections apart"
          options={[{ value: 'whole', words: 'it is' }, ...sectionParts]}
          chosen={sections.part ?? 'whole'}
          onChoose={(part) => onSet(withPart(sections, part === 'whole' ? undefined : part))}
        />
      </Row>
      <Row words="order">
        <ChoiceChips
          label="Order of sections"
          options={['up', { value: 'descending', words: 'down' }, 'as they come']}
          chosen={sections.order ?? 'up'}
          onChoose={(order) => {
            const { order: _, ...rest } = sections;
            onSet(order === 'up' ? rest : { ...rest, order });
          }}
        />
      </Row>
    </>
  );
}

/** Nothing is chosen yet: a field makes sections, with a heading that is drafted. */
function NoSections({ project, list }: SectionsPieceProps) {
  const fields = fieldsOfAll(typesOfList(project, list)).filter(({ type }) => isTellable(type));
  const divide = (sections: SectionsOf) => {
    const place = { list, place: 'heading', source: list.source } as const;
    make(
      drafted(project, place, (heading) =>
        edits.divide(list.id, { ...sections, heading, sticks: true }),
      ),
    );
  };
  return (
    <section aria-label="heading">
      <PieceHead
        title="Sections"
        about="Items with the same value stand together, under a heading. By what?"
      />
      <div className="flex flex-wrap gap-1.5">
        {list.more !== undefined && (
          <button
            type="button"
            className="h-7 rounded-full border border-ink bg-paper px-2.5 text-sm hover:border-ash"
            onClick={() => divide({})}
          >
            one for each source
          </button>
        )}
        {fields.slice(0, 24).map((field) => (
          <button
            key={field.name}
            type="button"
            className="h-7 rounded-full border border-rule bg-paper px-2.5 text-sm hover:border-ash"
            onClick={() => divide(sectionsBy(field))}
          >
            {field.name}
          </button>
        ))}
      </div>
    </section>
  );
}

const isTellable = (type: Field['type']): boolean => type !== 'list' && type !== 'record';

/** A date makes months: days would be as many sections as rows. */
function sectionsBy({ name, type }: Field): SectionsOf {
  const by = pathText([name]);
  return type === 'date' || type === 'datetime' ? { by, part: 'month' } : { by };
}

function bySource({ by: _, part: __, order: ___, ...rest }: SectionsOf): SectionsOf {
  return rest;
}

function withPart({ part: _, ...rest }: SectionsOf, part: SectionPart | undefined): SectionsOf {
  return part === undefined ? rest : { ...rest, part };
}

interface ByProps extends SectionsPieceProps {
  readonly sections: SectionsOf;
  readonly onSet: (next: SectionsOf) => void;
}

function By({ project, list, sections, onSet }: ByProps) {
  const fields = fieldsOfAll(typesOfList(project, list));
  return (
    <div className="flex items-start gap-1.5">
      <div className="min-w-0 flex-1">
        {sections.by === undefined ? (
          <p className="py-1">the source that items are of</p>
        ) : (
          <ItemsExpression
            {...{ project, list }}
            label="Sections by"
            expr={sections.by}
            onChange={(by) => onSet({ ...sections, by })}
          />
        )}
      </div>
      <MenuButton
        label="A field"
        words="field"
        entries={[
          ...(list.more === undefined
            ? []
            : [
                {
                  words: 'its source',
                  hint: 'a section for each',
                  onChoose: () => onSet(bySource(sections)),
                },
              ]),
          ...fields
            .filter(({ type }) => isTellable(type))
            .map((field) => ({
              words: field.name,
              onChoose: () => {
                const { part: _, ...rest } = sections;
                onSet({ ...rest, ...sectionsBy(field) });
              },
            })),
        ]}
      />
    </div>
  );
}

function Switches({
  sections,
  onSet,
}: {
  readonly sections: SectionsOf;
  readonly onSet: (next: SectionsOf) => void;
}) {
  const { folds, ...base } = sections;
  const { sticks, showsEmpty, hasIndex } = sections;
  return (
    <div className="flex flex-col gap-1">
      <Check
        words="headings stick at the top"
        isOn={sticks === true}
        onChange={(isOn) => onSet(without({ ...sections, sticks: true }, 'sticks', isOn))}
      />
      <Check
        words="sections without rows are shown"
        isOn={showsEmpty === true}
        onChange={(isOn) => onSet(without({ ...sections, showsEmpty: true }, 'showsEmpty', isOn))}
      />
      <Check
        words="an index of them at the side"
        isOn={hasIndex === true}
        onChange={(isOn) => onSet(without({ ...sections, hasIndex: true }, 'hasIndex', isOn))}
      />
      <div className="flex items-center gap-2 pt-1">
        <span className="text-ash">rows</span>
        <ChoiceChips
          label="Folding"
          options={[
            { value: 'never', words: 'never fold' },
            { value: 'open', words: 'fold, open at first' },
            { value: 'folded', words: 'folded at first' },
          ]}
          chosen={folds ?? 'never'}
          onChoose={(how) => onSet(how === 'never' ? base : { ...base, folds: how })}
        />
      </div>
    </div>
  );
}

function without(
  sections: SectionsOf,
  name: 'sticks' | 'showsEmpty' | 'hasIndex',
  isOn: boolean,
): SectionsOf {
  const { [name]: _, ...rest } = sections;
  return isOn ? sections : rest;
}
