import { gestures } from '../../core/actions';
import { clipped, count, type Finding, type Turns } from '../../core/base';
import { type ActionUse, actionUsesIn, actionWithId, withId } from '../../core/project';
import type { CompiledTemplate } from '../../core/templates';
import { type Acting, readyIn } from './raising';

const itemsAtOnce = 2_000;

/** Actions that hand nothing over for some of the items whose rows raise them, though they are allowed. */
export function* missingPayloads(
  acting: Acting,
  templates: readonly CompiledTemplate[],
): Turns<readonly Finding[]> {
  const found: Finding[] = [];
  for (const { template } of templates)
    for (const use of actionUsesIn(template)) {
      const missing = yield* missingOf(acting, template.type, use);
      if (missing.count > 0) found.push(payloadMissing(use, missing));
    }
  return found;
}

interface Missing {
  readonly count: number;
  readonly of: number;
}

function* missingOf(acting: Acting, type: string, { action: id }: ActionUse): Turns<Missing> {
  const { world, of } = acting;
  const { project } = world;
  const action = project && actionWithId(project, id);
  if (project === undefined || typeof action?.payload !== 'object') return { count: 0, of: 0 };
  const { when, payload } = readyIn({ world, project }, type, action);
  if (payload?.evaluate === undefined) return { count: 0, of: 0 };
  const own = withId(project.types, type)?.id;
  const typeOf = of.types();
  const around = of.around();
  let [missing, all] = [0, 0];
  for (const [position, item] of of.items().entries()) {
    if (position % itemsAtOnce === itemsAtOnce - 1) yield position;
    if (typeOf(position) !== own) continue;
    if (when !== undefined && when.evaluate?.(item, around) !== true) continue;
    all += 1;
    if (payload.evaluate(item, around) === undefined) missing += 1;
  }
  return { count: missing, of: all };
}

const payloadMissing = (
  { template, part, gesture, action }: ActionUse,
  { count: missing, of }: Missing,
): Finding => ({
  code: 'event.payload',
  severity: 'warning',
  place: { in: 'part', template, part, property: gesture, from: 0, to: 0 },
  message: clipped(
    `"${action}" (${gestures[gesture].words}) hands nothing over for ${missing === of && of > 1 ? 'any of ' : ''}${count(missing, 'item')}.`,
  ),
  hint: 'Give its payload a stand-in with ??, or a condition that leaves those out.',
});
