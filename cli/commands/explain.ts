import type { Entry } from '../../src/core/lists';
import { actionWithId, type Project, readyAction, withId } from '../../src/core/project';
import { type Expression, explain as explainExpression } from '../../src/core/values';
import { type Engine, trace } from '../../src/engine';
import { entriesOf } from '../entries';
import { endWith, excludes, flush, json, line, report, WrongUse } from '../output';
import { openProject, showLocale } from '../project';

interface ExplainOptions {
  readonly list?: string;
  readonly key: string;
  readonly part?: string;
  readonly action?: string;
  readonly locale?: string;
  readonly json?: boolean;
}

/** How the words of one part of one row came about. Exit status 1 if nothing shows there. */
export async function explain(file: string, options: ExplainOptions): Promise<void> {
  excludes('--part', options.part, '--action', options.action);
  if (options.part === undefined && options.action === undefined)
    throw new WrongUse('explain needs --part PART, or --action ID.');
  const { project, engine, findings } = await openProject(file);
  report(findings);
  if (options.list !== undefined && withId(project.lists, options.list) === undefined)
    throw new WrongUse(`There is no list "${options.list}".`);
  const view = engine.update(project, { from: 0, to: 0 }, options.list);
  showLocale(engine, options.locale);
  const entry = entryWith(engine, options.key, view.sequence.entryCount);
  const plan = view.plans[entry.plan];
  if (options.action !== undefined) {
    explainAction(
      { project, engine, entry, template: plan?.template ?? '' },
      options.action,
      options.json,
    );
    return;
  }
  const slot = plan?.slots.find((each) => each.part === options.part);
  if (plan === undefined || slot === undefined || entry.item === undefined)
    throw new WrongUse(
      `The template ${plan?.template ?? ''} has no part "${options.part}" that shows something. It has ${plan?.slots.map(({ part }) => part).join(', ') ?? 'none'}.`,
    );
  const { part, property } = slot;
  const found = trace(engine, { template: plan.template, part, property }, entry.item);
  if (found?.text === undefined) endWith(1);
  if (options.json) json({ template: plan.template, part, property, ...found });
  else {
    for (const step of found?.steps ?? []) line(`${step.label}\t${step.missing ?? step.shown}`);
    if (found?.instead !== undefined) line('if missing\ta stand-in');
    for (const step of found?.instead ?? []) line(`${step.label}\t${step.missing ?? step.shown}`);
    if (found?.nearest !== undefined)
      line(`nearest value\t${found.nearest.expr}\t${found.nearest.shown}`);
    line(`text\t${found?.text ?? `(missing: ${found?.missing ?? ''})`}`);
  }
  flush();
}

interface ActedOn {
  readonly project: Project;
  readonly engine: Engine;
  readonly entry: Entry;
  readonly template: string;
}

/** Exit status 1 if it is not allowed, or hands nothing over. */
function explainAction(on: ActedOn, id: string, isJson: boolean | undefined): void {
  const { project, engine, entry } = on;
  const action = actionWithId(project, id);
  const position = entry.item;
  const item = position === undefined ? undefined : engine.shownItems()[position];
  if (action === undefined || item === undefined || position === undefined) {
    const all = (project.actions ?? []).map((each) => each.id).join(', ') || 'none';
    throw new WrongUse(`There is no action "${id}" for that row. The project has ${all}.`);
  }
  const type = withId(project.templates, on.template)?.type ?? '';
  const ready = readyAction(project, action, withId(project.types, type)?.fields ?? []);
  const context = engine.contextOf(position);
  const stepsOf = (expression: Expression | undefined) =>
    expression?.checked &&
    explainExpression(expression.checked, item, context, expression.environment);
  const [condition, payload] = [stepsOf(ready.when), stepsOf(ready.payload)];
  const whole = action.payload === 'key' ? entry.key : item;
  const handed = ready.payload === undefined ? whole : payload?.value;
  const isAllowed = ready.when === undefined || condition?.value === true;
  if (!isAllowed || handed === undefined) endWith(1);
  if (isJson) json({ action: id, allowed: isAllowed, condition, payload, handed });
  else {
    for (const step of condition?.steps ?? [])
      line(`if ${step.label}\t${step.missing ?? step.shown}`);
    line(`allowed\t${isAllowed ? 'yes' : 'no'}`);
    for (const step of payload?.steps ?? []) line(`${step.label}\t${step.missing ?? step.shown}`);
    line(
      `handed over\t${handed === undefined ? `(missing: ${payload?.missing ?? ''})` : JSON.stringify(handed)}`,
    );
  }
  flush();
}

function entryWith(engine: Engine, key: string, count: number) {
  for (const entry of entriesOf(engine, count)) if (entry.key === key) return entry;
  throw new WrongUse(`No row of the list has the key "${key}".`);
}
