import { gestures } from '../../actions';
import type { Finding } from '../../base';
import { fieldsOfAll } from '../../values';
import { projectFindings } from '../findings';
import { type Project, withId } from '../project';
import { shownTemplates } from '../rows/rows';
import { readyAction } from './actions';
import { type ActionUse, actionUsesIn, actionWithId } from './uses';

/** What is wrong with actions, whatever the items are. */
export function brokenActions(project: Project): readonly Finding[] {
  const uses = shownTemplates(project).flatMap((template) => {
    const fields = withId(project.types, template.type)?.fields ?? [];
    return actionUsesIn(template).map((use) => ({ ...use, fields }));
  });
  return [
    ...uses
      .filter(({ action }) => actionWithId(project, action) === undefined)
      .map(projectFindings.actionUnknown),
    ...(project.actions ?? []).flatMap((action) => {
      const own = uses.filter((use) => use.action === action.id);
      const seen = own.length === 0 ? [fieldsOfAll(project.types)] : own.map((use) => use.fields);
      const wrong = seen.flatMap((fields) => {
        const { when, payload, written } = readyAction(project, action, fields);
        return [when, payload, written].flatMap((expression) => expression?.findings ?? []);
      });
      // It may be raised for items of several types: what is wrong for all of them is told once.
      const told = new Map(wrong.map((finding) => [finding.message, finding]));
      return [...told.values()].map((finding) => projectFindings.actionUnfit(action.id, finding));
    }),
    ...raisedTwice(uses),
  ];
}

/** A menu offers what swipes do, too: that is no surprise. */
function raisedTwice(uses: readonly ActionUse[]): readonly Finding[] {
  const byRow = new Map<string, ActionUse[]>();
  for (const use of uses) {
    if (use.gesture === 'menu') continue;
    const key = `${use.template} ${use.action}`;
    byRow.set(key, [...(byRow.get(key) ?? []), use]);
  }
  return [...byRow.values()].flatMap((own) => {
    const [first] = own;
    const words = [...new Set(own.map(({ gesture }) => gestures[gesture].words))];
    return first === undefined || words.length < 2
      ? []
      : [projectFindings.eventTwice(first, words)];
  });
}
