import type { List, ListFilter } from '../../../core/lists';
import { edits, type Project, typesOfList } from '../../../core/project';
import { fieldsOfAll } from '../../../core/values';
import { Check, Row } from '../../shared/controls/controls';
import { make } from '../../shared/session/editing';
import { PieceHead } from './pieces';

interface FilterPieceProps {
  readonly project: Project;
  readonly list: List;
}

/** The box above the rows, and the fields that it looks in. */
export function FilterPiece({ project, list }: FilterPieceProps) {
  const { filter } = list;
  const fields = fieldsOfAll(typesOfList(project, list)).filter(
    ({ type }) => type !== 'list' && type !== 'record',
  );
  const set = (next: ListFilter | undefined) => make(edits.filterBy(list.id, next));
  const turn = (name: string, isOn: boolean) => {
    const { fields: own = [], ...rest } = filter ?? { fields: [] };
    const next = isOn ? [...own, name] : own.filter((each) => each !== name);
    set(next.length === 0 ? undefined : { ...rest, fields: next });
  };
  return (
    <section aria-label="filter box">
      <PieceHead
        title="Filter box"
        about="Those rows stay that have all words which are typed. Marks and case do not count."
        {...(filter !== undefined && { onRemove: () => set(undefined) })}
      />
      <Row words="looks in">
        <fieldset aria-label="Fields of the filter" className="flex flex-wrap gap-x-4 gap-y-1">
          {fields.slice(0, 40).map(({ name }) => (
            <Check
              key={name}
              words={name}
              isOn={filter?.fields.includes(name) === true}
              onChange={(isOn) => turn(name, isOn)}
            />
          ))}
        </fieldset>
      </Row>
      {filter !== undefined && (
        <Row words="">
          <Check
            words="rows are revealed only by typing"
            isOn={filter.reveals === true}
            onChange={(isOn) =>
              set(isOn ? { ...filter, reveals: true } : { fields: filter.fields })
            }
          />
        </Row>
      )}
    </section>
  );
}
