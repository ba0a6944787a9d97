// `npm run bench`: ratios against references that stand in tests/bench/references/, in one run,
// interleaved, medians. Prints a table; writes docs/benchmarks.md and docs/benchmarks.json.
import { spawnSync } from 'node:child_process';
import { createReadStream, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { dragAnEdge } from './bench-drag.mjs';
import { benchHeights } from './bench-heights.mjs';
import { scrollAMillion } from './bench-million.mjs';
import { streamOneItem } from './bench-stream.mjs';
import { benchValues } from './bench-values.mjs';
import { chromiumArguments, chromiumPath, ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();
const { build } = await import('esbuild');
const { chromium } = await import('@playwright/test');
const itemCount = Number(process.env.BENCH_ITEMS ?? 100_000);
const rows = [];

const median = (numbers) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)];
const ms = (value) => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`;

function note(measure, against, ours, reference, atMost) {
  const ratio = ours / reference;
  rows.push({
    measure,
    against,
    ours: ms(ours),
    reference: ms(reference),
    ratio: `${ratio.toFixed(2)} ×`,
    atMost: `${atMost} ×`,
    isWithin: ratio <= atMost,
  });
}

/** A time that is bounded itself. */
function noteTime(measure, took, atMost) {
  rows.push({
    measure,
    against: '',
    ours: ms(took),
    reference: '',
    ratio: '',
    atMost: ms(atMost),
    isWithin: took <= atMost,
  });
}

async function bundle() {
  const outdir = mkdtempSync(join(tmpdir(), 'yarn-card-bench-'));
  await build({
    absWorkingDir: root,
    entryPoints: { page: 'tests/bench/page.ts', worker: 'src/engine/worker.ts' },
    outdir,
    bundle: true,
    splitting: true,
    minify: true,
    format: 'esm',
    jsx: 'automatic',
    define: { 'process.env.NODE_ENV': '"production"' },
    // What drawing takes of Node is never asked for in a page.
    external: ['module'],
    logLevel: 'warning',
  });
  return outdir;
}

function serveBench(folder) {
  const files = {
    '/': join(root, 'tests/bench/page.html'),
    '/render.css': join(root, 'src/render/render.css'),
  };
  const types = { js: 'text/javascript', css: 'text/css' };
  const server = createServer((request, response) => {
    const path = new URL(request.url, 'http://x').pathname;
    response.setHeader('Content-Type', types[path.split('.').pop()] ?? 'text/html');
    createReadStream(files[path] ?? join(folder, path))
      .on('error', () => response.writeHead(404).end())
      .pipe(response);
  });
  return new Promise((resolve) => server.listen(0, '127.0.0.1', () => resolve(server)));
}

/** Main-thread task and script time a frame while `work` runs, in ms. */
async function workAFrame(session, frames, work) {
  const read = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return Object.fromEntries(metrics.map(({ name, value }) => [name, value * 1000]));
  };
  const before = await read();
  await work();
  const after = await read();
  return {
    task: (after.TaskDuration - before.TaskDuration) / frames,
    script: (after.ScriptDuration - before.ScriptDuration) / frames,
  };
}

async function inBrowser() {
  const server = await serveBench(await bundle());
  const browser = await chromium.launch({
    executablePath: chromiumPath,
    args: [...chromiumArguments, '--js-flags=--expose-gc'],
  });
  const page = await browser.newPage({ viewport: { width: 760, height: 760 } });
  page.on('pageerror', (error) => console.error(error));
  await page.goto(`http://127.0.0.1:${server.address().port}/`);
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const call = (name, ...args) =>
    page.evaluate(({ name, args }) => window.bench[name](...args), { name, args });
  console.log(
    `${itemCount} items, ${Math.round((await call('prepare', itemCount)) / 1e6)} MB of JSON`,
  );

  const frames = 90;
  const speeds = [3_000, 30_000];
  const first = { ours: [], all: [], reference: [], parse: [] };
  const known = { evidence: [], again: [] };
  const edited = { many: [], few: [], sixty: [] };
  const twoWindows = [];
  const richRows = { task: [], script: [] };
  const scrolled = speeds.map(() => ({
    ours: [],
    reference: [],
    oursScript: [],
    referenceScript: [],
  }));
  const counts = [1, 100, 10_000];
  const inserted = counts.map(() => ({ ours: [], reference: [], oursWork: [], referenceWork: [] }));
  let created;
  const insertAll = async (name, whose, run) => {
    for (const [index, count] of counts.entries()) {
      await call('stageInsertion', count, run * 10 + index);
      const { task } = await workAFrame(session, 1, async () => {
        inserted[index][whose].push(await call(name, run * 10 + index));
      });
      inserted[index][`${whose}Work`].push(task);
    }
  };
  for (let run = 0; run < 5; run += 1) {
    first.parse.push(await call('parseWhole'));
    first.reference.push(await call('firstRowsReference'));
    for (const [index, speed] of speeds.entries()) {
      const { task, script } = await workAFrame(session, frames, () =>
        call('scroll', speed, frames),
      );
      scrolled[index].reference.push(task);
      scrolled[index].referenceScript.push(script);
    }
    await call('toTop');
    await page.waitForTimeout(300);
    await insertAll('insertReference', 'reference', run);

    const times = await call('firstRowsOurs');
    first.ours.push(times.first);
    first.all.push(times.all);
    edited.many.push(...(await call('edits', 10)));
    for (const [index, speed] of speeds.entries()) {
      const { task, script } = await workAFrame(session, frames, () =>
        call('scroll', speed, frames),
      );
      scrolled[index].ours.push(task);
      scrolled[index].oursScript.push(script);
    }
    await call('toTop');
    await page.waitForTimeout(300);
    await call('showRichRows');
    await page.waitForTimeout(300);
    const ofRich = await workAFrame(session, frames, () => call('scroll', speeds[0], frames));
    richRows.task.push(ofRich.task);
    richRows.script.push(ofRich.script);
    await call('showPlainRows');
    await call('toTop');
    await page.waitForTimeout(300);
    await call('openSecond');
    const { task } = await workAFrame(session, frames, () => call('scroll', speeds[0], frames));
    twoWindows.push(task / 2);
    await call('closeSecond');
    await call('toTop');
    await page.waitForTimeout(300);
    await insertAll('insertOurs', 'ours', run);
    if (run === 4) created = await call('rowsFromEndToEnd');
    known.evidence.push(await call('inferWithEvidence'));
    known.again.push(await call('importAgain', run));
    edited.few.push(...(await call('editsOfFew', 10)));
    await call('withTemplates', 60);
    edited.sixty.push(...(await call('edits', 10)));
  }
  const million = await scrollAMillion(page, call, (count, work) =>
    workAFrame(session, count, work),
  );
  noteTime('a million rows in sections at 1500 px/s: work a frame', million.task, 1000 / 60);
  rows.push({
    measure: '… frames without a row where one is due',
    against: `of ${million.of}; ${million.rows} entries, to “${million.last}”`,
    ours: String(million.blank),
    reference: '0',
    ratio: '',
    atMost: '',
    isWithin: million.blank === 0,
  });
  const hand = 'React 19 + @tanstack/react-virtual';
  for (const [index, speed] of speeds.entries()) {
    const each = scrolled[index];
    note(
      `main-thread work a frame at ${speed} px/s`,
      hand,
      median(each.ours),
      median(each.reference),
      index === 0 ? 0.5 : 0.65,
    );
    note(
      `… script alone at ${speed} px/s`,
      hand,
      median(each.oursScript),
      median(each.referenceScript),
      0.25,
    );
  }
  note(
    '… of rows of ten parts, each with five bound properties',
    `${hand}, its plain rows`,
    median(richRows.task),
    median(scrolled[0].reference),
    0.5,
  );
  note(
    '… script alone of such rows',
    `${hand}, its plain rows`,
    median(richRows.script),
    median(scrolled[0].referenceScript),
    0.25,
  );
  note(
    '… of each of two windows, of other width, locale and look, at 3000 px/s',
    'one window',
    median(twoWindows),
    median(scrolled[0].ours),
    1.1,
  );
  note(
    'first rows, from the text of the items',
    hand,
    median(first.ours),
    median(first.reference),
    0.7,
  );
  for (const [index, count] of counts.entries()) {
    const each = inserted[index];
    const words = `${count} insertion${count > 1 ? 's' : ''} near the top`;
    note(`${words}: until it is there`, hand, median(each.ours), median(each.reference), 0.35);
    note(
      `… work of the page’s main thread`,
      hand,
      median(each.oursWork),
      median(each.referenceWork),
      0.35,
    );
  }
  note(
    'an edit to its rows, all items',
    'the same edit with 100 items',
    median(edited.many),
    median(edited.few),
    1.5,
  );
  note(
    'an edit with 60 templates',
    'the same with three',
    median(edited.sixty),
    median(edited.few),
    1.2,
  );
  note(
    'first rows of JSON, in the browser',
    'parsing it whole',
    median(first.ours),
    median(first.parse),
    0.1,
  );
  note(
    'all of the JSON read and known, in the browser',
    'parsing it whole',
    median(first.all),
    median(first.parse),
    2,
  );
  note(
    'types inferred, with the evidence of every field',
    'parsing it whole',
    median(known.evidence),
    median(first.parse),
    1.5,
  );
  note(
    'importing again with 1,000 changes',
    'reading it',
    median(known.again),
    median(first.all),
    2,
  );
  rows.push({
    measure: 'rows made from end to end and back',
    against: 'visible + 2 × overscan + 2 a kind',
    ours: String(created.max),
    reference: String(created.bound),
    ratio: '',
    atMost: '',
    isWithin: created.max <= created.bound,
  });
  const kept = await call('keep');
  note('storing all items', 'one record an item', kept.storeOurs, kept.storeReference, 0.1);
  note('reopening all items', 'one record an item', kept.readOurs, kept.readReference, 0.4);
  note(
    'reopening: first rows',
    'one record an item, all',
    kept.firstOurs,
    kept.readReference,
    0.06,
  );
  await browser.close();
  server.closeAllConnections();
  server.close();
}

/** What a kept project asks for until its first rows stand there: every visit but the first. */
async function scriptBeforeRows(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/p/thrumwick/templates`);
  await page.waitForSelector('.yc-sizer > .yc-row');
  await page.waitForTimeout(1_000);
  const scripts = new Set();
  page.on('request', (request) => {
    // What the page before it still asks for is none of it.
    if (request.isNavigationRequest()) scripts.clear();
    if (request.url().endsWith('.js')) scripts.add(new URL(request.url()).pathname);
  });
  let tell = () => {};
  const before = new Promise((resolve) => {
    tell = resolve;
  });
  await page.exposeFunction('tellFirstRows', () => tell([...scripts]));
  await page.addInitScript(() => {
    const watch = new MutationObserver(() => {
      if (document.querySelector('.yc-sizer > .yc-row') === null) return;
      watch.disconnect();
      window.tellFirstRows();
    });
    watch.observe(document, { childList: true, subtree: true });
  });
  await page.reload();
  const paths = await before;
  await page.close();
  return paths
    .map((path) => gzipSync(readFileSync(join(root, 'dist/client', path))).length)
    .reduce((a, b) => a + b, 0);
}

/** From a file chosen on the start page to rows, in the application itself. */
async function inTheApplication() {
  const { serve } = await import('./serve.mjs');
  const server = await serve({ host: '127.0.0.1', port: 0 });
  const address = `http://127.0.0.1:${server.address().port}`;
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments });
  const bytes = await scriptBeforeRows(browser, address);
  rows.push({
    measure: 'script before the first rows, gzipped',
    against: '',
    ours: `${Math.round(bytes / 1000)} kB`,
    reference: '350 kB',
    ratio: '',
    atMost: '',
    isWithin: bytes <= 350_000,
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await readInTheApplication(page, address);
  const { work, follow } = await dragAnEdge(page);
  noteTime('dragging an edge on the bench: work a frame, median', work.half, 1000 / 60);
  noteTime('dragging an edge on the bench: work a frame, 95 %', work.most, 1000 / 60);
  noteTime('dragging an edge on the bench: rows follow, median', follow.half, 2000 / 60);
  noteTime('dragging an edge on the bench: rows follow, 95 %', follow.most, 2000 / 60);
  const streamed = await streamOneItem(page, address, itemCount);
  noteTime(
    'an item that a server changes: until its row is drawn, median',
    streamed.half,
    2000 / 60,
  );
  noteTime('an item that a server changes: until its row is drawn, 95 %', streamed.most, 2000 / 60);
  await browser.close();
  server.closeAllConnections();
  server.close();
}

/** The whole of it: a file chosen on the start page, until its rows stand in the workbench. */
async function readInTheApplication(page, address) {
  const file = join(mkdtempSync(join(tmpdir(), 'yarn-card-bench-')), 'stock.json');
  writeFileSync(file, await benchText());
  const times = { first: [], all: [], parse: [], longest: [] };
  for (let run = 0; run < 5; run += 1) {
    await page.goto(`${address}/docs`);
    await page.evaluate(() =>
      document.body.insertAdjacentHTML('beforeend', '<input type="file" id="file">'),
    );
    await page.setInputFiles('#file', file);
    times.parse.push(
      await page.evaluate(async () => {
        const text = await document.getElementById('file').files[0].text();
        const from = performance.now();
        JSON.parse(text);
        return performance.now() - from;
      }),
    );
    await page.goto(`${address}/`);
    await page.waitForSelector('.yc-row');
    await page.waitForTimeout(1_500);
    await page.evaluate((count) => {
      window.marks = { longest: 0 };
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries())
          marks.longest = Math.max(marks.longest, entry.duration);
      }).observe({ type: 'longtask' });
      document.addEventListener('change', () => (marks.from = performance.now()), true);
      new MutationObserver(() => {
        if (!location.pathname.startsWith('/p/')) return;
        if (!marks.first && document.querySelector('.yc-sizer > .yc-row'))
          marks.first = performance.now();
        const said = document.querySelector('footer')?.textContent.replaceAll('\u00a0', '') ?? '';
        if (!marks.all && said.includes(`${count} entries`)) marks.all = performance.now();
      }).observe(document.body, { childList: true, subtree: true, characterData: true });
    }, itemCount);
    await page.getByLabel('A file of items or a project').setInputFiles(file);
    await page.waitForFunction(() => marks.all, null, { timeout: 60_000 });
    const marks = await page.evaluate(() => window.marks);
    times.first.push(marks.first - marks.from);
    times.all.push(marks.all - marks.from);
    times.longest.push(marks.longest);
  }
  const parse = median(times.parse);
  note(
    'in the application: a chosen file to its first rows',
    'parsing it whole',
    median(times.first),
    parse,
    0.1,
  );
  note('in the application: all of it', 'parsing it whole', median(times.all), parse, 2);
  await scrollTheTable(page);
  const longest = median(times.longest);
  noteTime('in the application: longest task of the page meanwhile', longest, 100);
}

/** The table of Data, with all of the items in it, beside what a frame lasts. */
async function scrollTheTable(page) {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const frames = 90;
  const worked = [];
  for (let run = 0; run < 3; run += 1) {
    const { task } = await workAFrame(session, frames, () =>
      page.evaluate(async (count) => {
        const table = document.querySelector('section[aria-label="Items"]');
        for (let i = 0; i < count; i += 1) {
          table.scrollTop += 50;
          await new Promise((resolve) => requestAnimationFrame(resolve));
        }
      }, frames),
    );
    worked.push(task);
  }
  note(
    'main-thread work a frame of the table at 3000 px/s',
    'a frame',
    median(worked),
    1000 / 60,
    1,
  );
}

async function benchText() {
  const { outputFiles } = await build({
    absWorkingDir: root,
    stdin: {
      contents: `import { benchItems } from './tests/bench/items'; export default JSON.stringify({ stock: benchItems(${itemCount}) });`,
      resolveDir: root,
    },
    bundle: true,
    format: 'esm',
    write: false,
  });
  const code = Buffer.from(outputFiles[0].contents).toString('base64');
  return (await import(`data:text/javascript;base64,${code}`)).default;
}

/** What the engine keeps of all items, by the same code as in its worker. */
async function memory() {
  const folder = mkdtempSync(join(tmpdir(), 'yarn-card-bench-'));
  writeFileSync(join(folder, 'stock.json'), await benchText());
  await build({
    absWorkingDir: root,
    entryPoints: ['tests/bench/memory.ts'],
    outfile: join(folder, 'memory.mjs'),
    bundle: true,
    platform: 'node',
    format: 'esm',
    mainFields: ['module', 'main'],
    external: ['sql.js', 'json-p3'],
    logLevel: 'warning',
  });
  const { stdout } = spawnSync(
    process.execPath,
    ['--expose-gc', join(folder, 'memory.mjs'), join(folder, 'stock.json')],
    { encoding: 'utf8' },
  );
  const { held, text } = JSON.parse(stdout);
  const mb = (bytes) => `${Math.round(bytes / 1e6)} MB`;
  rows.push({
    measure: 'memory that the engine keeps',
    against: 'the text of the items',
    ours: mb(held),
    reference: mb(text),
    ratio: `${(held / text).toFixed(2)} ×`,
    atMost: '4 ×',
    isWithin: held <= 4 * text,
  });
}

/** What a file of the benchmark prints, run by itself. */
async function measuredIn(name) {
  const { outputFiles } = await build({
    absWorkingDir: root,
    entryPoints: [`tests/bench/${name}.ts`],
    bundle: true,
    write: false,
    platform: 'node',
    format: 'esm',
    mainFields: ['module', 'main'],
    external: ['sql.js', 'json-p3'],
    logLevel: 'warning',
  });
  const file = join(root, `.cache/bench-${name}.mjs`);
  mkdirSync(join(root, '.cache'), { recursive: true });
  writeFileSync(file, outputFiles[0].contents);
  const { stdout } = spawnSync(process.execPath, [file, String(itemCount)], { encoding: 'utf8' });
  return JSON.parse(stdout);
}

/** A stream's change, by the same code as in the worker: until the rows are there. */
async function changes() {
  const { one, plain, batch, anew } = await measuredIn('changes');
  noteTime('a stream changes one item that is shown as it came', plain, 5);
  noteTime('a stream changes one item, five computed properties', one, 5);
  note('… a thousand of them at once', 'reading the items anew', batch, anew, 0.1);
}

/** Lists as they are arranged. */
async function lists() {
  const { sorts, folded, arranged, sections } = await measuredIn('lists');
  noteTime('folding 100,000 of 200,000 rows, inserts among them', folded, 16);
  note(
    'a million rows in sections, with inserts',
    'putting them in sections',
    arranged,
    sections,
    1.5,
  );
  for (const { kind, ours, collator } of sorts)
    note(
      `sorting 100,000 texts, ${kind === 'words' ? 'words' : 'words and numbers'}`,
      'Intl.Collator for each comparison',
      ours,
      collator,
      0.2,
    );
}

/** CPU time of finished children of this process, in ms (Linux: proc(5), cutime and cstime). */
function childCpu() {
  const fields = readFileSync('/proc/self/stat', 'utf8').split(') ')[1].split(' ');
  return (Number(fields[13]) + Number(fields[14])) * 10;
}

function commandLineStart() {
  const cpuOf = (args) => {
    const before = childCpu();
    for (let i = 0; i < 10; i += 1) spawnSync(process.execPath, args, { cwd: root });
    return (childCpu() - before) / 10;
  };
  const bare = [];
  const ours = [];
  for (let run = 0; run < 3; run += 1) {
    bare.push(cpuOf(['-e', '0']));
    ours.push(cpuOf(['bin/yarncard', '--help']));
  }
  const more = median(ours) - median(bare);
  rows.push({
    measure: 'command line start, CPU',
    against: 'bare node -e 0',
    ours: ms(median(ours)),
    reference: ms(median(bare)),
    ratio: `+ ${ms(more)}`,
    atMost: '+ 150 ms',
    isWithin: more <= 150,
  });
}

console.log('This takes two or three minutes; leave the machine alone meanwhile.');
await inBrowser();
await benchHeights(itemCount, median, note);
await inTheApplication();
await memory();
await changes();
await lists();
await benchValues(itemCount, note, noteTime);
commandLineStart();

const columns = ['measure', 'against', 'ours', 'reference', 'ratio', 'atMost'];
const heads = ['measure', 'against', 'ours', 'reference', 'ratio', 'at most'];
const table = [
  `| ${heads.join(' | ')} | |`,
  `|${'---|'.repeat(heads.length + 1)}`,
  ...rows.map(
    (row) =>
      `| ${columns.map((column) => row[column]).join(' | ')} | ${row.isWithin ? 'within' : '**past it**'} |`,
  ),
].join('\n');
const machine = `${cpus().length} × ${cpus()[0]?.model ?? 'unknown'}, Node ${process.versions.node}`;
console.log(`\n${table}\n`);
const page = `# Benchmarks

${itemCount} items of 22 fields, one run on ${machine}: interleaved, medians. Ratios hold across machines; times do not. \`npm run bench\` writes this page anew. The references stand in \`tests/bench/references/\`.

${table}
`;
writeFileSync(join(root, 'docs/benchmarks.md'), page);
writeFileSync(
  join(root, 'docs/benchmarks.json'),
  `${JSON.stringify({ itemCount, machine, rows }, null, 2)}\n`,
);
// In the form that `npm test` asks of every file.
spawnSync('npx', ['--no-install', 'biome', 'check', '--write', 'docs'], { cwd: root });
process.exit(0);
