import { placesBetween } from '../../src/core/lists';
import { withId } from '../../src/core/project';
import { type Engine, trace } from '../../src/engine';
import { endWith, flush, json, line, report, WrongUse } from '../output';
import { openProject, showLocale } from '../project';

interface ExplainOptions {
  readonly list?: string;
  readonly key: string;
  readonly part: string;
  readonly locale?: string;
  readonly json?: boolean;
}

const entriesAtOnce = 2_000;

/** How the words of one part of one row came about. Exit status 1 if nothing shows there. */
export async function explain(file: string, options: ExplainOptions): Promise<void> {
  const { project, engine, findings } = await openProject(file);
  report(findings);
  if (options.list !== undefined && withId(project.lists, options.list) === undefined)
    throw new WrongUse(`There is no list "${options.list}".`);
  const view = engine.update(project, { from: 0, to: 0 }, options.list);
  showLocale(engine, options.locale);
  const entry = entryWith(engine, options.key, view.sequence.entryCount);
  const plan = view.plans[entry.plan];
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

function entryWith(engine: Engine, key: string, count: number) {
  for (let from = 0; from < count; from += entriesAtOnce) {
    const found = engine
      .entries(placesBetween(from, from + entriesAtOnce))
      .find((entry) => entry.key === key);
    if (found !== undefined) return found;
  }
  throw new WrongUse(`No row of the list has the key "${key}".`);
}
