import { type List, type ListState, listStates } from '../../../core/lists';
import { edits, type Project } from '../../../core/project';
import { Button, Row } from '../../shared/controls/controls';
import { make } from '../../shared/session/editing';
import { setWindow } from '../../shared/session/route';
import { useWindow } from '../../shared/window/window-settings';
import { PieceHead } from './pieces';
import { StandingTemplate } from './standing-template';

interface StatesPieceProps {
  readonly project: Project;
  readonly list: List;
}

const about: Readonly<Record<ListState, string>> = {
  loading: 'in place of rows; none: rows without words',
  empty: 'in place of rows',
  filtered: 'in place of rows, where the filter lets none through',
  failed: 'in place of rows',
  more: 'after the rows',
  end: 'after the rows',
};

/** What the list shows in each of its states, each to be seen by a press. */
export function StatesPiece({ project, list }: StatesPieceProps) {
  const seen = useWindow((settings) => settings.state);
  return (
    <section aria-label="states">
      <PieceHead
        title="States"
        about="What is shown where there are no rows, or no more of them: a template, or nothing on purpose."
      />
      {listStates.map((state) => {
        const own = list.states?.[state];
        return (
          <Row key={state} words={state}>
            <span className="flex flex-wrap items-center gap-1.5">
              <StandingTemplate
                {...{ project, list }}
                place={state}
                source={list.source}
                template={own ?? undefined}
                edit={(template) => edits.showInState(list.id, state, template)}
              />
              {own == null && (
                <Button
                  isPressed={own === null}
                  label={`Nothing for ${state}, on purpose`}
                  onPress={() =>
                    make(edits.showInState(list.id, state, own === null ? undefined : null))
                  }
                >
                  nothing
                </Button>
              )}
              <Button
                isPressed={seen === state}
                label={`See the list ${state}`}
                onPress={() => setWindow({ state: seen === state ? undefined : state })}
              >
                see it
              </Button>
              <span className="text-xs text-ash">{about[state]}</span>
            </span>
          </Row>
        );
      })}
    </section>
  );
}
