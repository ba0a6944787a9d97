import { allChosen, chosenIn, type List } from '../../../core/lists';
import { lookShown, type Project, withId } from '../../../core/project';
import type { ChoiceAsked } from '../../../engine';
import { useSession } from '../../shared/session/session';
import { useWindow } from '../../shared/window/window-settings';

interface WhyProps {
  readonly project: Project;
  readonly list: List;
  /** The last of them takes it. */
  readonly asked: readonly ChoiceAsked[];
}

/** For the item at hand: which conditions were tried, in order, up to the one that takes it. */
export function WhyThisOne({ project, list, asked }: WhyProps) {
  const atHand = useSession((session) => session.atHand);
  const wished = useWindow((settings) => settings.look);
  const taken = asked.at(-1);
  if (taken === undefined || atHand === undefined) return null;
  const look = lookShown(project, wished);
  const template = chosenIn(allChosen(list)[taken.at], look?.id);
  return (
    <section aria-label="Why this one">
      <h2 className="pb-1">
        <b className="font-semibold">Why this one?</b>{' '}
        <bdi className="text-ash">{atHand.title}</bdi>
      </h2>
      <ol>
        {asked.map((each) => (
          <li
            key={each.at}
            className={`flex gap-2 py-0.5 ${each.isTaken ? 'font-semibold' : 'text-ash'}`}
          >
            <span className="w-5 shrink-0 text-end tabular-nums">
              {each.at < list.choices.length ? each.at + 1 : ''}
            </span>
            <span>{inWords(project, list, each)}</span>
          </li>
        ))}
      </ol>
      <p className="ps-7">
        {template === undefined
          ? 'so it gets no template: nothing is chosen there'
          : template === null
            ? 'so it is left out on purpose'
            : `so it is shown as ${withId(project.templates, template)?.name ?? template}`}
        {look !== undefined && ` in ${look.name}`}
      </p>
    </section>
  );
}

function inWords(project: Project, list: List, asked: ChoiceAsked): string {
  const choice = list.choices[asked.at];
  if (choice === undefined) return 'otherwise: no choice takes it';
  const { type, when } = choice;
  const name = type === undefined ? 'all types' : (withId(project.types, type)?.name ?? type);
  if (!asked.isOfType) return `${name}: it is of another type`;
  if (when === undefined) return `${name}: takes it`;
  const gives = asked.gives ?? 'nothing, a value is missing';
  return `${name}, ${when}: ${gives}${asked.isTaken ? ', so it takes it' : ''}`;
}
