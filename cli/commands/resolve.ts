import { directionOf } from '../../src/core/base';
import { densities, type Entry, type List, listSources, type RowPlan } from '../../src/core/lists';
import { type Project, withId } from '../../src/core/project';
import { isContent } from '../../src/core/templates';
import {
  type Engine,
  type Frame,
  type OwnFonts,
  type PartBox,
  partBoxes,
  rowSolver,
  trace,
} from '../../src/engine';
import { entriesOf } from '../entries';
import { endWith, excludes, flush, json, line, needs, report, WrongUse } from '../output';
import { measuresWith, openProject, packMeasures, showLocale } from '../project';
import { actionAsText, actionsFinder } from '../row-actions';

interface ResolveOptions {
  readonly list?: string;
  readonly locale?: string;
  readonly look?: string;
  readonly set?: string;
  readonly json?: boolean;
  readonly width?: string;
  readonly ratio?: string;
  readonly textSize?: string;
  readonly direction?: string;
  readonly density?: string;
  readonly actions?: boolean;
  readonly as?: string;
}

/** Every entry with its words, from the engine that the window uses. Exit status 1 on errors. */
export async function resolve(file: string, options: ResolveOptions): Promise<void> {
  const { project, engine, findings, fonts } = await openProject(file);
  report(findings);
  const lists = options.list === undefined ? project.lists : [listNamed(project, options.list)];
  showLocale(engine, options.locale);
  showLook(engine, project, options.look);
  showSet(engine, lists, { project, set: options.set });
  const boxesOf = finderFor(engine, fonts, options);
  if (options.as !== undefined) return tellAs(options.as, { engine, project, lists }, options);
  for (const list of lists) {
    const view = engine.update(project, { from: 0, to: 0, ...boxOf(options) }, list.id);
    report(view.findings);
    if (view.findings.some((finding) => finding.severity === 'error')) endWith(1);
    const actionsOf = options.actions === true ? actionsFinder(engine, project) : undefined;
    await resolveList({ engine, list, view, boxesOf, actionsOf, isJson: options.json === true });
  }
  flush();
}

/** Rows for other programs: as a table, a value a line, or one list of all. */
async function tellAs(
  form: string,
  { engine, project, lists }: { engine: Engine; project: Project; lists: readonly List[] },
  options: ResolveOptions,
): Promise<void> {
  for (const [name, value] of [
    ['--json', options.json],
    ['--width', options.width],
    ['--actions', options.actions],
  ] as const)
    excludes('--as', form, name, value);
  if (form !== 'csv' && form !== 'ndjson' && form !== 'json')
    throw new WrongUse(`--as is csv, ndjson or json, not "${form}".`);
  const views = lists.map((list) => ({
    list,
    view: () => engine.update(project, { from: 0, to: 0 }, list.id),
  }));
  if (form === 'csv') return tellTable(engine, views);
  const all: unknown[] = [];
  for (const { list, view: open } of views) {
    const view = open();
    for (const entry of entriesOf(engine, view.sequence.entryCount)) {
      if (form === 'json') all.push(asJson(engine, list, view, entry));
      else json(asJson(engine, list, view, entry));
    }
  }
  if (form === 'json') json(all, 2);
  flush();
}

interface Opened {
  readonly list: List;
  readonly view: () => Frame;
}

/** RFC 4180: a column for each part of any template that shows words, the rows of all lists under them. */
function tellTable(engine: Engine, views: readonly Opened[]): void {
  const parts = new Set<string>();
  for (const { view } of views)
    for (const { slots } of view().plans)
      for (const slot of slots) if (isContent(slot)) parts.add(columnOf(slot));
  const columns = [...parts];
  line(cells(['list', 'entry', 'key', 'template', ...columns]));
  for (const { list, view: open } of views) {
    const view = open();
    for (const entry of entriesOf(engine, view.sequence.entryCount)) {
      const plan = view.plans[entry.plan];
      const words = new Map(
        plan?.slots.map((slot, at) => [columnOf(slot), String(entry.values[at] ?? '')]),
      );
      const own = [list.id, entry.kind, entry.key, plan?.template ?? ''];
      line(cells([...own, ...columns.map((column) => words.get(column) ?? '')]));
    }
  }
  flush();
}

const columnOf = ({
  part,
  property,
}: {
  readonly part: string;
  readonly property: string;
}): string => (property === 'text' ? part : `${part} ${property}`);

const cells = (values: readonly string[]): string =>
  values
    .map((value) => (/[",\r\n]/.test(value) ? `"${value.replaceAll('"', '""')}"` : value))
    .join(',');

function listNamed(project: Project, id: string): List {
  const list = withId(project.lists, id);
  if (list !== undefined) return list;
  throw new WrongUse(`There is no list "${id}". ${named('lists', project.lists)}`);
}

function showLook(engine: Engine, { looks = [] }: Project, id: string | undefined): void {
  if (id === undefined) return;
  if (withId(looks, id) === undefined)
    throw new WrongUse(`There is no look "${id}". ${named('looks', looks)}`);
  engine.showLook(id);
}

/** In the place of the own items of the sources that have it. */
function showSet(
  engine: Engine,
  lists: readonly List[],
  { project, set }: { readonly project: Project; readonly set: string | undefined },
): void {
  if (set === undefined) return;
  const sources = project.sources.filter(({ id }) =>
    lists.some((list) => listSources(list).includes(id)),
  );
  const having = sources.filter(({ sets = [] }) => withId(sets, set) !== undefined);
  if (having.length === 0) {
    const all = sources.flatMap(({ sets = [] }) => sets);
    throw new WrongUse(`There is no set "${set}". ${named('sets', all)}`);
  }
  for (const { id } of having) engine.showSet(id, set);
}

const named = (what: string, things: readonly { readonly id: string }[]): string =>
  things.length === 0
    ? `The project has no ${what}.`
    : `The ${what} are ${things.map(({ id }) => id).join(', ')}.`;

/** In what box rows are drawn: templates leave more or less space in them by that. */
function boxOf({ width, ratio = '1', textSize = '100', density = 'usual' }: ResolveOptions) {
  needs('--density', density === 'usual' ? undefined : density, '--width', width);
  if (density !== 'compact' && density !== 'usual' && density !== 'roomy')
    throw new WrongUse(`"${density}" is no density: compact, usual or roomy.`);
  const place = { ratio: Number(ratio), textSize: Number(textSize) / 100 };
  return width === undefined
    ? {}
    : { box: { ...place, widthPx: Number(width), density: densities[density] } };
}

/** Undefined: no width was asked for, so there are no boxes. */
function finderFor(
  engine: Engine,
  fonts: OwnFonts,
  options: ResolveOptions,
): FindBoxes | undefined {
  const { width, ratio = '1', textSize = '100' } = options;
  needs('--ratio', options.ratio, '--width', width);
  needs('--text-size', options.textSize, '--width', width);
  needs('--direction', options.direction, '--width', width);
  if (width === undefined) return undefined;
  const [widthPx, devicePixels, percent] = [Number(width), Number(ratio), Number(textSize)];
  const language = engine.localeNow();
  const { direction = directionOf(language) } = options;
  if (!(widthPx > 0 && widthPx <= 10_000))
    throw new WrongUse(`"${width}" is no width in px, such as 360.`);
  if (!(devicePixels >= 0.5 && devicePixels <= 8))
    throw new WrongUse(`"${ratio}" is no device pixel ratio, such as 2.`);
  if (!(percent >= 50 && percent <= 400))
    throw new WrongUse(`"${textSize}" is no text size in per cent, such as 120.`);
  if (direction !== 'ltr' && direction !== 'rtl')
    throw new WrongUse(`"${direction}" is no direction: ltr or rtl.`);
  const place = { ratio: devicePixels, textSize: percent / 100, language };
  const solve = rowSolver({ ...place, widthPx }, packMeasures(measuresWith(fonts)));
  return async (...row) => [...partBoxes(await solve(...row), direction)];
}

/** The boxes of an entry, those of the row itself first. */
type FindBoxes = (list: List, plan: RowPlan, entry: Entry) => Promise<readonly PartBox[]>;

interface Resolving {
  readonly engine: Engine;
  readonly list: List;
  readonly view: Frame;
  readonly boxesOf: FindBoxes | undefined;
  /** Undefined: they were not asked for. */
  readonly actionsOf: ReturnType<typeof actionsFinder> | undefined;
  readonly isJson: boolean;
}

async function resolveList(resolving: Resolving): Promise<void> {
  const { engine, list, view, boxesOf, actionsOf, isJson } = resolving;
  if (!isJson) line(`${list.name} (${view.sequence.entryCount})`);
  for (const entry of entriesOf(engine, view.sequence.entryCount)) {
    const plan = view.plans[entry.plan];
    const boxes = plan && (await boxesOf?.(list, plan, entry));
    const actions = plan && actionsOf?.(plan.template, entry);
    if (isJson)
      json({
        ...asJson(engine, list, view, entry),
        ...(boxes && { boxes }),
        ...(actions && { actions }),
      });
    else line(asText(view, entry) + (boxes ? `\t${boxes[0]?.height} px` : ''));
    for (const action of isJson ? [] : (actions ?? [])) line(actionAsText(action));
  }
}

function asJson(engine: Engine, list: List, view: Frame, entry: Entry) {
  const plan = view.plans[entry.plan];
  const { item } = entry;
  const why = (part: string, property: string) =>
    item === undefined
      ? undefined
      : trace(engine, { template: plan?.template ?? '', part, property }, item)?.missing;
  return {
    list: list.id,
    entry: entry.kind,
    key: entry.key,
    type: (item === undefined ? undefined : engine.typesShown()(item)) ?? null,
    template: plan?.template ?? null,
    parts: (plan?.slots ?? []).map(({ part, property }, index) => {
      const value = entry.values[index];
      if (value !== undefined) return { part, property, text: String(value) };
      return { part, property, missing: why(part, property) ?? 'missing' };
    }),
  };
}

/** An entry as a line: what it is, if it is no row; its words, a part without any as `–`. Pictures are named in brackets. */
function asText(view: Frame, entry: Entry): string {
  const slots = view.plans[entry.plan]?.slots ?? [];
  const words = slots.flatMap(({ property, kind }, index) => {
    // How a part looks is none of its words.
    if (!isContent({ kind })) return [];
    const value = entry.values[index];
    if (value === undefined) return '–';
    return property === 'picture' ? `[${value}]` : String(value);
  });
  return [...(entry.kind === 'row' ? [] : [entry.kind]), entry.key, ...words].join('\t');
}
