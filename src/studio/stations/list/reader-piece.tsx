import type { List, ListHabit } from '../../../core/lists';
import { edits } from '../../../core/project';
import { Check, ChoiceChips, Row } from '../../shared/controls/controls';
import { make } from '../../shared/session/editing';
import { PieceHead } from './pieces';

/** What a reader may do with rows beside what rows do themselves, and how the list takes changes. */
export function ReaderPiece({ list }: { readonly list: List }) {
  const { arrangement } = list;
  const isSorted = (list.order?.length ?? 0) > 0;
  return (
    <section aria-label="reader">
      <PieceHead
        title="Reader"
        about="What whoever has the app in hand may do with rows, and what is seen when items change."
      />
      <Row words="selects">
        <ChoiceChips
          label="How many rows may be selected"
          options={[{ value: '', words: 'none' }, 'moment', 'single', 'several']}
          chosen={list.selects ?? ''}
          onChoose={(mode) => make(edits.selectRows(list.id, mode === '' ? undefined : mode))}
        />
      </Row>
      <Row words="may">
        <div className="flex flex-col gap-1">
          <Habit
            {...{ list }}
            habit="reorders"
            words="move rows: by dragging, or Space and arrows"
          />
          {list.reorders === true && (
            <p className="text-sm text-ash">{reordersSaid(list, isSorted)}</p>
          )}
          <Habit {...{ list }} habit="refreshes" words="pull the list down to ask for items anew" />
        </div>
      </Row>
      <Row words="changes">
        <div className="flex flex-col gap-1">
          {arrangement.kind !== 'strip' && (
            <Habit {...{ list }} habit="animates" words="rows move to where they come to stand" />
          )}
          <Habit {...{ list }} habit="holdsNew" words="new items above wait for a press" />
        </div>
      </Row>
    </section>
  );
}

function reordersSaid({ sections }: List, isSorted: boolean): string {
  const across =
    sections === undefined
      ? ''
      : ` Into another section it is given that section’s ${sections.by ?? 'source'}.`;
  const within = isSorted
    ? 'The list is sorted: within a section rows stay as they are sorted.'
    : 'The items stand in another order then.';
  return within + across;
}

interface HabitProps {
  readonly list: List;
  readonly habit: ListHabit;
  readonly words: string;
}

const Habit = ({ list, habit, words }: HabitProps) => (
  <Check
    words={words}
    isOn={list[habit] === true}
    onChange={(isOn) => make(edits.takeHabit(list.id, habit, isOn))}
  />
);
