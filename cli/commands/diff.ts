import { clipped, count, grouped, type Json } from '../../src/core/base';
import { changeInWords, changesBetween, type Project } from '../../src/core/project';
import { isContent } from '../../src/core/templates';
import type { Engine } from '../../src/engine';
import { entriesOf } from '../entries';
import { flush, json, line } from '../output';
import { openProject } from '../project';

/** What is otherwise in a project: what it says, and which rows read otherwise. */
export async function diff(
  old: string,
  fresh: string,
  options: { readonly json?: boolean },
): Promise<void> {
  const before = await openProject(old);
  const now = await openProject(fresh);
  const changes = changesBetween(asJson(before.project), asJson(now.project));
  const lists = now.project.lists.flatMap(({ id, name }) => {
    const isBoth = before.project.lists.some((list) => list.id === id);
    return isBoth ? [{ id, name, rows: rowsBetween(wordsOf(before, id), wordsOf(now, id)) }] : [];
  });
  if (options.json) json({ changes, lists });
  else {
    for (const change of changes) line(changeInWords(change));
    for (const { name, rows } of lists) for (const told of inWords(rows)) line(`${name}: ${told}`);
    if (changes.length === 0 && lists.every(({ rows }) => isNothing(rows))) line('No differences.');
  }
  flush();
}

const asJson = (project: Project): Json => JSON.parse(JSON.stringify(project));

/** The words of each row by its key, each by its template, part and property. */
type Words = ReadonlyMap<string, ReadonlyMap<string, string>>;

function wordsOf(
  { engine, project }: { readonly engine: Engine; readonly project: Project },
  list: string,
): Words {
  const view = engine.update(project, { from: 0, to: 0 }, list);
  const rows = new Map<string, ReadonlyMap<string, string>>();
  for (const entry of entriesOf(engine, view.sequence.entryCount)) {
    const plan = view.plans[entry.plan];
    if (entry.kind !== 'row' || plan === undefined) continue;
    const words = plan.slots.flatMap(({ part, property, kind }, at): [string, string][] => {
      if (!isContent({ kind })) return [];
      const value = entry.values[at];
      const shown = value === undefined ? 'nothing' : `“${value}”`;
      return [[`${plan.template}, ${part}, ${property}`, shown]];
    });
    rows.set(entry.key, new Map(words));
  }
  return rows;
}

interface Rows {
  readonly added: number;
  readonly removed: number;
  readonly all: number;
  /** By the place in the row: how many rows, and the first of them. */
  readonly places: readonly {
    readonly place: string;
    readonly rowCount: number;
    readonly first: { readonly key: string; readonly before: string; readonly now: string };
  }[];
}

function rowsBetween(before: Words, now: Words): Rows {
  const places = new Map<string, Rows['places'][number]>();
  for (const [key, words] of now) {
    const old = before.get(key);
    if (old === undefined) continue;
    for (const place of new Set([...old.keys(), ...words.keys()])) {
      const first = {
        key,
        before: old.get(place) ?? 'no such part',
        now: words.get(place) ?? 'no such part',
      };
      if (first.before === first.now) continue;
      const known = places.get(place) ?? { place, rowCount: 0, first };
      places.set(place, { ...known, rowCount: known.rowCount + 1 });
    }
  }
  const added = [...now.keys()].filter((key) => !before.has(key)).length;
  const removed = [...before.keys()].filter((key) => !now.has(key)).length;
  return { added, removed, all: now.size, places: [...places.values()] };
}

const isNothing = ({ added, removed, places }: Rows): boolean =>
  added + removed + places.length === 0;

function inWords({ added, removed, all, places }: Rows): readonly string[] {
  const told = places.map(
    ({ place, rowCount, first }) =>
      `${place} reads otherwise in ${grouped(rowCount)} of ${count(all, 'row')}; the first is ${first.key}: ${clipped(`${first.before} → ${first.now}`)}`,
  );
  const came = added === 0 ? [] : [`${count(added, 'row')} more`];
  const went = removed === 0 ? [] : [`${count(removed, 'row')} fewer`];
  return [...told, ...came, ...went];
}
