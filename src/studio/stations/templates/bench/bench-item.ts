import type { Template } from '../../../../core/templates';
import type { Tried } from '../../../../engine';
import { engine, useSession } from '../../../shared/session/session';
import { type Pace, useAnswer } from '../../../shared/session/use-answer';

/** The item at hand if the template is for its type, else the first item of the type; -1: none. */
export function useBenchItem(template: Template): number {
  const atHand = useSession((session) => session.atHand);
  const fits = atHand !== undefined && atHand.type === template.type;
  const first = useAnswer(fits ? undefined : template.type, (type) =>
    engine().itemsOfType(type, 1),
  );
  return fits ? atHand.item : (first?.[0] ?? -1);
}

/** Items drawn with a template, whatever the list chooses for them; anew with every edit. */
export function useTried(
  template: Template,
  items: readonly number[],
  pace?: Pace,
): Tried | undefined {
  const measuredCount = useSession((session) => session.measuredCount);
  return useAnswer(
    { id: template.id, items, measuredCount },
    (asked) => engine().tryTemplate(asked.id, asked.items),
    pace,
  );
}
