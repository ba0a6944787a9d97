import { type Finding, findingsOnce, placeInWords } from '../../src/core/base';
import { withId } from '../../src/core/project';
import { loadHabits } from '../../src/core/values';
import type { Engine, Measures } from '../../src/engine';
import { type ItemsOptions, readItems } from '../input';
import { endWith, flush, json, line, needs, WrongUse } from '../output';
import { openProject } from '../project';

interface CheckOptions extends ItemsOptions {
  readonly level: string;
  readonly items?: string;
  readonly source?: string;
  readonly json?: boolean;
}

/** All findings over all items of a project, in all of its looks. Exit status 1 where there is one of the level or worse. */
export async function check(file: string, options: CheckOptions): Promise<void> {
  if (options.level !== 'error' && options.level !== 'warning')
    throw new WrongUse(`--level is error or warning, not "${options.level}".`);
  needs('--at', options.at, '--items', options.items);
  needs('--source', options.source, '--items', options.items);
  needs('--timeout', options.timeout, '--items', options.items);
  await loadHabits();
  const { project, engine, findings: broken, measures } = await openProject(file);
  const others = options.items === undefined ? [] : await putIn(engine, project, options);
  const replaced = options.items === undefined ? broken : [];
  const findings: Finding[] = [];
  for (const list of project.lists) {
    const noticed = engine.update(project, { from: 0, to: 0 }, list.id).findings;
    const { looks = [] } = project;
    for (const look of looks.length === 0 ? [undefined] : looks) {
      if (look !== undefined) engine.showLook(look.id);
      // As the window tells them that shows this list in this look.
      const counted = await surveyed(engine, measures);
      findings.push(...findingsOnce([...noticed, ...others, ...counted]));
    }
  }
  const all = told([...replaced, ...findings]);
  for (const finding of all) {
    if (options.json) json(finding);
    else line(inWords(finding));
  }
  if (!options.json && all.length === 0) line('No findings.');
  if (all.some((each) => each.severity === 'error' || each.severity === options.level)) endWith(1);
  flush();
}

/** Found over all items, once all is there that measuring their texts takes. */
async function surveyed(
  engine: Engine,
  measures: Measures | undefined,
): Promise<readonly Finding[]> {
  let { findings } = engine.surveyNow();
  while (measures?.isWaiting === true) {
    await measures.more();
    findings = engine.surveyNow().findings;
  }
  return findings;
}

/** Other items in the place of a source's own. */
async function putIn(
  engine: Engine,
  project: Parameters<Engine['update']>[0],
  options: CheckOptions,
): Promise<readonly Finding[]> {
  const id = options.source ?? project.sources[0]?.id ?? '';
  if (withId(project.sources, id) === undefined)
    throw new WrongUse(
      `There is no source "${id}". The sources are ${project.sources.map((each) => each.id).join(', ')}.`,
    );
  const read = await readItems(options.items ?? '-', options);
  const { revision } = withId(project.sources, id) ?? {};
  engine.hold(id, read.items, undefined, revision);
  return read.findings;
}

/** Each finding once: lists share templates and sources. */
const told = (findings: readonly Finding[]): readonly Finding[] => [
  ...new Map(findings.map((finding) => [JSON.stringify(finding), finding])).values(),
];

const inWords = ({ severity, place, message, hint }: Finding): string =>
  `${severity}: ${placeInWords(place)}: ${message} ${hint}`;
