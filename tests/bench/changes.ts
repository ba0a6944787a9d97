import { atOnce } from '../../src/core/base';
import { infer } from '../../src/core/items';
import { edits, makeProject, type Project } from '../../src/core/project';
import { Engine, EngineImport } from '../../src/engine';
import { benchItems } from './items';

/** What a change of the items costs until its rows are there, in ms; prints medians as JSON. */
const itemCount = Number(process.argv[2] ?? 100_000);
const wanted = { from: 0, to: 40 };
const median = (numbers: number[]) => numbers.sort((a, b) => a - b)[numbers.length >> 1] ?? 0;

const items = benchItems(itemCount);
const computed = [
  'price * stock',
  'name.toUpperCase()',
  'grams ?? 0',
  '`${shade} ${lot}`',
  'maker.town',
];

function withComputed(project: Project): Project {
  let made = project;
  for (const { id } of project.types)
    for (const [at, expr] of computed.entries()) {
      const edited = edits.addComputed(id, `computed ${at}`, expr).apply(made);
      if (!edited.ok) throw new Error(edited.error);
      made = edited.value;
    }
  return made;
}

const inference = atOnce(infer(items, 'stock'));
const read = { format: 'json', at: '$[*]', items, findings: [] } as const;

const timed = (work: () => void): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};

/** An engine that shows a project, as the worker has it; how long each change of so many items takes. */
function shop(project: Project) {
  const engine = new Engine({ pause: async () => {}, now: () => '2026-03-02T10:00:00Z' });
  const [source] = project.sources;
  if (source === undefined) throw new Error('the project has no source');
  const anew = timed(() => {
    engine.hold(source.id, items, inference.unique);
    engine.update(project, wanted);
    atOnce(infer(items, 'stock'));
  });
  const imports = new EngineImport(engine);
  // What the window has of the list is not sent again.
  let { id, heightsId } = engine.view(wanted).sequence;
  const take = (count: number, run: number) =>
    timed(() => {
      const changed = Array.from({ length: count }, (_, at) => {
        const item = items[(at * 7_919 + run * 104_729) % items.length];
        return { ...item, stock: run, name: `changed ${run}` };
      });
      imports.takeEvents(source, [{ name: 'changed', data: JSON.stringify(changed) }]);
      ({ id, heightsId } = engine.view({ ...wanted, sequence: { id, heightsId } }).sequence);
    });
  take(1, 0);
  const medianOf = (count: number) =>
    median(Array.from({ length: 21 }, (_, run) => take(count, run + 1)));
  return { anew, one: medianOf(1), batch: medianOf(1_000) };
}

const drafted = makeProject('stock.json', read, inference);
const { one: plain } = shop(drafted);
process.stdout.write(JSON.stringify({ ...shop(withComputed(drafted)), plain }));
