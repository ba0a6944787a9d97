// `npm run break`: what people and accidents do to work that is kept; writes docs/nothing-lost.md.
// KILLS, TAKEOVERS: how often (200 and 30).
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { hostile } from './break/hostile.mjs';
import { kills } from './break/kills.mjs';
import { twoTabs } from './break/two-tabs.mjs';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
ensureChromium();
ensureBuilt();
const { serve } = await import('./serve.mjs');
const server = await serve({ host: '127.0.0.1', port: 0 });
const address = `http://127.0.0.1:${server.address().port}/`;

const strings = await hostile(address);
console.log(strings);
const tabs = await twoTabs(address, Number(process.env.TAKEOVERS ?? 30));
console.log(tabs);
const killed = await kills(address, Number(process.env.KILLS ?? 200));
console.log(killed);

const lines = [
  '# Nothing lost, nothing let in',
  '',
  'Written by `npm run break` on the built application. The random sequences of edits, undone, redone and reloaded, are in `tests/nothing-lost.test.ts`; hostile files and arguments in `tests/fuzz` and `cli/hostile.test.ts`.',
  '',
  '| what is done | how often | what came of it |',
  '| --- | --- | --- |',
  `| the browser is killed in the midst of edits | ${killed.kills} kills, ${killed.edits} edits | ${killed.broken} projects that did not open, ${killed.mixed} with items of one state and a project of another, ${killed.lateLosses} edits lost that were older than a second; the oldest that was lost was ${killed.oldestLostMs} ms old |`,
  `| two pages take a project from each other | ${tabs.takeovers} times, ${tabs.edits} edits | ${tabs.unseen} edits that the other page did not show, ${tabs.lost} lost; ${tabs.refused} of ${tabs.takeovers} attempts to edit while looking on were refused |`,
  `| strings that want to be markup, script, a request or a prototype | ${strings.strings} strings in ${strings.places} places each | ${strings.executions} executions, ${strings.requests} requests to elsewhere, ${strings.errors} errors |`,
  '',
];
writeFileSync(join(root, 'docs/nothing-lost.md'), lines.join('\n'));
server.close();
server.closeAllConnections();
const isWell =
  strings.executions + strings.requests + strings.errors + tabs.unseen + tabs.lost === 0 &&
  tabs.refused === tabs.takeovers &&
  killed.broken + killed.mixed + killed.lateLosses === 0;
process.exit(isWell ? 0 : 1);
