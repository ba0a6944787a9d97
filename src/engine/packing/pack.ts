import {
  type Expected,
  type ExpectedEntry,
  expectedNow,
  expectedSettings,
  type PackFile,
  sampleOf,
  writePack,
} from '../../core/handoff';
import type { Item } from '../../core/items';
import type { PictureContents } from '../../core/pictures';
import type { Project } from '../../core/project';
import { Engine } from '../engine';
import { type Expecting, expectedEntries } from './expecting';
import type { PackMeasures, PackPorts } from './ports';
import { RowsShown, sheetsOf } from './sheets';

/** What is handed off. */
export interface PackTask {
  readonly project: Project;
  /** All items, by source and set (`itemsIdOf`). */
  readonly items: ReadonlyMap<string, readonly Item[]>;
  readonly contents: PictureContents;
}

/** What the sample items of a project must show, in each setting. */
export const expectedOf = (
  { project, items }: Pick<PackTask, 'project' | 'items'>,
  texts: PackMeasures,
): Promise<Expected> => gathered(project, sampleOf(project, items), { texts });

async function gathered(
  project: Project,
  sample: ReadonlyMap<string, readonly Item[]>,
  how: Expecting,
): Promise<Expected> {
  const engine = engineOf(project, sample, how.texts);
  const settings = expectedSettings(project);
  const entries: ExpectedEntry[] = [];
  for (const setting of settings)
    entries.push(...(await expectedEntries(engine, project, setting, how)));
  return { yarncard: 1, project: project.name, settings, entries };
}

/** The files of a pack, the same wherever they are made. */
export async function packOf(task: PackTask, ports: PackPorts): Promise<readonly PackFile[]> {
  const { project, contents } = task;
  const items = sampleOf(project, task.items);
  const shown = new RowsShown();
  const meet: RowsShown['meet'] = (...row) => shown.meet(...row);
  const expected = await gathered(project, items, { texts: ports, meet });
  const sheets = await sheetsOf(task, shown, ports);
  const runtime = await ports.runtime();
  return writePack({ project, items, contents, expected, sheets, runtime, decoded: atob });
}

/** One of its own: what others look at does not move. */
function engineOf(
  project: Project,
  items: ReadonlyMap<string, readonly Item[]>,
  { measures }: PackMeasures,
): Engine {
  const engine = new Engine({ pause: async () => {}, now: () => expectedNow, measures });
  engine.holdFile(project, items);
  return engine;
}
