import type { List, Separators } from '../../../core/lists';
import { coloursOf, edits, type Project, type StandingPlace } from '../../../core/project';
import { Button, Check, ChoiceChips, Row } from '../../shared/controls/controls';
import { NumberField } from '../../shared/controls/number-field';
import { make } from '../../shared/session/editing';
import { drafted, StandingTemplate } from './standing-template';

interface PieceProps {
  readonly project: Project;
  readonly list: List;
}

type EndPlace = 'header' | 'footer' | 'above' | 'below';

const titles: Readonly<Record<EndPlace, string>> = {
  header: 'Header',
  footer: 'Footer',
  above: 'Bar above',
  below: 'Bar below',
};

const about: Readonly<Record<EndPlace, string>> = {
  above: 'Above all that scrolls; it stays in sight.',
  below: 'Below all that scrolls; it stays in sight.',
  header: 'Before all rows; it scrolls along with them.',
  footer: 'After all rows; it scrolls along with them.',
};

/** What stands before or after all rows, or stays in sight there. */
export function Ends({ project, list, place }: PieceProps & { readonly place: EndPlace }) {
  return (
    <section aria-label={place}>
      <PieceHead title={titles[place]} about={about[place]} />
      <Row words="shows">
        <StandingTemplate
          {...{ project, list, place }}
          source={list.source}
          template={list[place]}
          edit={(template) => edits.stand(list.id, place, template)}
        />
      </Row>
      {place === 'below' && list.below !== undefined && (
        <Row words="safe area">
          <Check
            words="its ground goes on to the edge of the device"
            isOn={list.coversSafeAreas === true}
            onChange={(isOn) => make(edits.coverSafeAreas(list.id, isOn))}
          />
        </Row>
      )}
    </section>
  );
}

/** What ends a section. */
export function Footing({ project, list }: PieceProps) {
  const { sections } = list;
  return (
    <section aria-label="footing">
      <PieceHead title="Footing" about="After the rows of a section: a count, a sum." />
      {sections === undefined ? (
        <p className="text-ash">The list has no sections: press “heading” first.</p>
      ) : (
        <Row words="shows">
          <StandingTemplate
            {...{ project, list }}
            place="footing"
            source={list.source}
            template={sections.footing}
            edit={(template) => edits.stand(list.id, 'footing', template)}
          />
        </Row>
      )}
    </section>
  );
}

/** What stands between two rows. */
export function SeparatorPiece({ project, list }: PieceProps) {
  const { arrangement } = list;
  if (arrangement.kind !== 'list') return null;
  const { separators } = arrangement;
  const said: Separators = typeof separators === 'object' ? separators : {};
  const set = (next: boolean | Separators) =>
    make(edits.arrangeAs(list.id, { ...arrangement, separators: next }));
  const place: StandingPlace = 'separator';
  const { template: _, ...asLine } = said;
  const shown = separators === false ? 'none' : said.template === undefined ? 'line' : 'template';
  return (
    <section aria-label="separator">
      <PieceHead title="Separator" about="Between two rows, and nowhere else." />
      <Row words="shows">
        <ChoiceChips
          label="Separators"
          options={[
            'none',
            { value: 'line', words: 'a line' },
            { value: 'template', words: 'a template' },
          ]}
          chosen={shown}
          onChoose={(chosen) => {
            if (chosen === 'none') set(false);
            else if (chosen === 'line') set(Object.keys(asLine).length === 0 ? true : asLine);
            else if (shown !== 'template')
              make(
                drafted(project, { list, place, source: list.source }, (id) =>
                  edits.stand(list.id, place, id),
                ),
              );
          }}
        />
      </Row>
      {shown === 'line' && (
        <>
          <Row words="from">
            <NumberField
              label="Inset of separators"
              value={said.inset ?? 16}
              min={0}
              max={400}
              onChange={(inset) => set({ ...said, inset })}
            />
            <span className="ps-2 text-ash">px from where rows begin</span>
          </Row>
          <Row words="thick">
            <NumberField
              label="Thickness of separators"
              value={said.thickness ?? 1}
              min={0}
              max={40}
              onChange={(thickness) => set({ ...said, thickness })}
            />
            <span className="ps-2 text-ash">px; it takes no room of the rows</span>
          </Row>
          <Row words="colour">
            <ColourOf {...{ project, said }} onSet={set} />
          </Row>
        </>
      )}
      {shown === 'template' && (
        <Row words="">
          <StandingTemplate
            {...{ project, list, place }}
            mayBeNone={false}
            source={list.source}
            template={said.template}
            edit={(template) => edits.stand(list.id, place, template)}
          />
        </Row>
      )}
    </section>
  );
}

function ColourOf({
  project,
  said,
  onSet,
}: {
  readonly project: Project;
  readonly said: Separators;
  readonly onSet: (next: Separators) => void;
}) {
  const { colour: _, ...plain } = said;
  return (
    <ChoiceChips
      label="Colour of separators"
      options={[
        { value: '', words: 'as lines are' },
        ...coloursOf(project).map(({ name }) => ({ value: name, words: name })),
      ]}
      chosen={said.colour ?? ''}
      onChoose={(colour) => onSet(colour === '' ? plain : { ...plain, colour })}
    />
  );
}

export function PieceHead({
  title,
  about: words,
  onRemove,
}: {
  readonly title: string;
  readonly about: string;
  readonly onRemove?: () => void;
}) {
  return (
    <div className="flex items-start gap-3 pb-2">
      <div className="min-w-0 flex-1">
        <h2 className="font-semibold">{title}</h2>
        <p className="text-ash">{words}</p>
      </div>
      {onRemove !== undefined && <Button onPress={onRemove}>Remove</Button>}
    </div>
  );
}
