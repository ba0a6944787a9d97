import ArrowDown from 'lucide-react/icons/arrow-down';
import ArrowUp from 'lucide-react/icons/arrow-up';
import X from 'lucide-react/icons/x';
import type { List, SortKey } from '../../../core/lists';
import { edits, type Project, typesOfList } from '../../../core/project';
import { fieldsOfAll, pathText } from '../../../core/values';
import { Button, ChoiceChips, MenuButton } from '../../shared/controls/controls';
import { ItemsExpression } from '../../shared/expression/items-expression';
import { make } from '../../shared/session/editing';

interface SortKeysProps {
  readonly project: Project;
  readonly list: List;
}

/** By what the items of the list are sorted: keys, the first counting most. */
export function SortKeys({ project, list }: SortKeysProps) {
  const { order = [] } = list;
  const fields = fieldsOfAll(typesOfList(project, list));
  const set = (next: readonly SortKey[]) => make(edits.sortBy(list.id, next));
  return (
    <section aria-label="Order" className="mt-4 border-t border-rule pt-3">
      <h2 className="flex items-center gap-2 font-semibold">
        Sorted by
        <MenuButton
          label="A key more"
          words="+ key"
          entries={fields.map(({ name }) => ({
            words: name,
            onChoose: () => set([...order, { by: pathText([name]) }]),
          }))}
        />
      </h2>
      {order.length === 0 && <p className="pt-1 text-ash">nothing: items stand as they came</p>}
      <ol>
        {order.map((key, at) => (
          <Key
            // biome-ignore lint/suspicious/noArrayIndexKey: their order is what they are
            key={at}
            {...{ project, list, at }}
            sort={key}
            onSet={(next) => set(order.with(at, next))}
            onMove={(to) => set(order.toSpliced(at, 1).toSpliced(to, 0, key))}
            onRemove={() => set(order.toSpliced(at, 1))}
          />
        ))}
      </ol>
    </section>
  );
}

interface KeyProps extends SortKeysProps {
  readonly at: number;
  readonly sort: SortKey;
  readonly onSet: (key: SortKey) => void;
  readonly onMove: (to: number) => void;
  readonly onRemove: () => void;
}

function Key({ project, list, at, sort, onSet, onMove, onRemove }: KeyProps) {
  const { descending: _, ...upwards } = sort;
  const { missing: __, ...missingLast } = sort;
  return (
    <li className="flex flex-wrap items-start gap-1.5 py-1">
      <span className="w-4 pt-1 text-ash tabular-nums">{at + 1}</span>
      <div className="w-52">
        <ItemsExpression
          {...{ project, list }}
          label={`Key ${at + 1} of the order`}
          expr={sort.by}
          onChange={(by) => onSet({ ...sort, by })}
        />
      </div>
      <ChoiceChips
        label={`Way of key ${at + 1}`}
        options={['up', 'down']}
        chosen={sort.descending ? 'down' : 'up'}
        onChoose={(way) => onSet(way === 'down' ? { ...sort, descending: true } : upwards)}
      />
      <ChoiceChips
        label={`Missing values of key ${at + 1}`}
        options={[
          { value: 'first', words: 'missing first' },
          { value: 'last', words: 'last' },
        ]}
        chosen={sort.missing ?? 'last'}
        onChoose={(where) => onSet(where === 'first' ? { ...sort, missing: 'first' } : missingLast)}
      />
      <span className="flex gap-0.5">
        <Button
          isIcon
          label={`Key ${at + 1} earlier`}
          whyNot={at === 0 ? 'it is the first' : undefined}
          onPress={() => onMove(at - 1)}
        >
          <ArrowUp size={14} aria-hidden="true" />
        </Button>
        <Button
          isIcon
          label={`Key ${at + 1} later`}
          whyNot={at === (list.order ?? []).length - 1 ? 'it is the last' : undefined}
          onPress={() => onMove(at + 1)}
        >
          <ArrowDown size={14} aria-hidden="true" />
        </Button>
        <Button isIcon label={`Remove key ${at + 1}`} onPress={onRemove}>
          <X size={14} aria-hidden="true" />
        </Button>
      </span>
    </li>
  );
}
