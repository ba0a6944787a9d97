import { edits } from '../../../core/project';
import { MenuButton } from '../../shared/controls/controls';
import { useCurrent } from '../../shared/session/current';
import { make } from '../../shared/session/editing';
import { useFindings } from '../../shared/session/findings';
import { engine, useSession } from '../../shared/session/session';
import { useAnswer } from '../../shared/session/use-answer';
import { ChoiceRow } from './choice-row';
import { AddLook, LookHead } from './look-heads';
import { looksIn } from './looks-in';
import { Unused } from './mends';
import { WhyThisOne } from './why-this-one';

/** Which template an item gets: conditions tried from the top, by look. */
export default function Choices() {
  const current = useCurrent();
  const findings = useFindings();
  const table = useAnswer(current?.list?.id, () => engine().choiceTable());
  const item = useSession((session) => session.atHand?.item);
  const asked = useAnswer(item, (own) => engine().whyChosen(own)) ?? [];
  if (current?.list === undefined) return null;
  const { project, list, types } = current;
  const looks = looksIn(project);
  const add = (type: string | undefined) =>
    make(edits.addChoice(list.id, type === undefined ? {} : { type }));
  return (
    <div data-pane="choices" className="h-full overflow-auto">
      <div className="flex min-h-10 items-center gap-2 border-b border-rule px-4">
        <h1 className="me-auto truncate">
          <b>Which template an item gets</b> <span className="text-ash">list “{list.name}”</span>
        </h1>
        <MenuButton
          label="A choice more"
          words="+ choice"
          entries={[
            ...types.map((type) => ({ words: type.name, onChoose: () => add(type.id) })),
            { words: 'all types', onChoose: () => add(undefined) },
          ]}
        />
        <AddLook />
      </div>
      <table className="w-full min-w-max border-collapse">
        <thead>
          <tr className="border-b border-ink text-start">
            <th scope="col" className="w-10 py-2 ps-4 text-start font-normal text-ash">
              #
            </th>
            <th scope="col" className="min-w-40 pe-3 text-start font-normal text-ash">
              when
            </th>
            {looks.map((look) => (
              <LookHead key={look?.id ?? ''} look={look} />
            ))}
          </tr>
        </thead>
        <tbody>
          {[...list.choices, undefined].map((choice, at) => (
            <ChoiceRow
              // biome-ignore lint/suspicious/noArrayIndexKey: their order is what they are
              key={at}
              isTaken={asked.at(-1)?.at === at}
              {...{ project, list, looks, choice, at, table, findings }}
            />
          ))}
        </tbody>
      </table>
      <div className="grid gap-4 p-4">
        <WhyThisOne {...{ project, list, asked }} />
        <Unused project={project} list={list} findings={findings} />
      </div>
    </div>
  );
}
