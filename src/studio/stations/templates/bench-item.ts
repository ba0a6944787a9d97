import { useEffect, useState } from 'react';
import type { Template } from '../../../core/templates';
import type { Tried } from '../../../engine';
import { engine, useSession } from '../../shared/session/session';

/** The item at hand if the template is for its type, else the first item of the type; -1: none. */
export function useBenchItem(template: Template): number {
  const { atHand } = useSession();
  const fits = atHand !== undefined && atHand.type === template.type;
  const [first, setFirst] = useState(-1);
  useEffect(() => {
    if (!fits) void engine().firstOfType(template.type).then(setFirst);
  }, [fits, template.type]);
  return fits ? atHand.item : first;
}

/** Items drawn with a template, whatever the list chooses for them; anew with every edit. */
export function useTried(template: Template, items: readonly number[]): Tried | undefined {
  const version = useSession((session) => session.view?.version);
  const [tried, setTried] = useState<Tried>();
  const asked = items.join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version stands for items and project, `asked` for the items
  useEffect(() => {
    let isLatest = true;
    void engine()
      .tryTemplate(template.id, items)
      .then((made) => {
        if (isLatest && made !== undefined) setTried(made);
      });
    return () => {
      isLatest = false;
    };
  }, [template, asked, version]);
  return tried;
}
