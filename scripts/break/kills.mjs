// Kills the browser at so many instants in the midst of edits, and reads what is kept after each.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumArguments, chromiumPath } from '../chromium.mjs';

/** Edits older than this must be kept. */
const keptWithinMs = 1_000;

/** Figures: kills, what did not open, what was of two states, how old the oldest lost edit was. */
export async function kills(address, count) {
  const { chromium } = await import('@playwright/test');
  const profile = mkdtempSync(join(tmpdir(), 'yarn-card-kill-'));
  const figures = { kills: 0, edits: 0, broken: 0, mixed: 0, lateLosses: 0, oldestLostMs: 0 };
  let made = [];
  let url;
  for (let round = 0; round <= count; round += 1) {
    const context = await chromium.launchPersistentContext(profile, {
      executablePath: chromiumPath,
      args: chromiumArguments,
      viewport: { width: 1280, height: 800 },
    });
    const page = context.pages()[0] ?? (await context.newPage());
    if (url === undefined) url = await begin(page, address);
    else judge(figures, await kept(page, url), made);
    if (round === count) {
      await context.close();
      break;
    }
    made = [];
    const editing = edit(page, made).catch(() => {});
    // Some in the first writing, some in the midst of many.
    await new Promise((resolve) => setTimeout(resolve, 200 + ((round * 137) % 2_300)));
    const killedAt = Date.now();
    const session = await context
      .browser()
      ?.newBrowserCDPSession()
      .catch(() => undefined);
    if (session) await session.send('Browser.crash').catch(() => {});
    else await page.context().close();
    await editing;
    made = made.map((each) => ({ ...each, ageMs: killedAt - each.at }));
    figures.kills += 1;
    figures.edits += made.length;
    await context.close().catch(() => {});
  }
  rmSync(profile, { recursive: true, force: true });
  return figures;
}

async function begin(page, address) {
  await page.goto(address);
  await page.getByLabel('Items as text').fill('[{"id":"a","name":"v0"},{"id":"b","name":"x"}]');
  await page.getByRole('button', { name: 'Show as rows' }).click();
  await page.getByText('saved', { exact: true }).waitFor();
  await page.getByLabel('Project name').fill('v0');
  await page.getByLabel('Project name').press('Enter');
  await page.getByText('saved', { exact: true }).waitFor();
  return page.url();
}

let version = 0;
/** What the page had, one state after the other, since it was opened: what is kept must be one of them. */
let states = [{ item: 0, project: 0 }];

/** The name of an item, then the name of the project, again and again. */
async function edit(page, made) {
  for (;;) {
    version += 1;
    const own = version;
    const cell = page.locator('[data-cell="0:1"]');
    await cell.click();
    await page.keyboard.type(`v${own}`);
    states.push({ ...states.at(-1), item: own });
    await page.keyboard.press('Enter');
    // The worker has it then: the next edit is made on top of it.
    await page.getByRole('button', { name: /^Undo: Type name/ }).waitFor();
    made.push({ what: 'item', version: own, at: Date.now() });
    states.push({ ...states.at(-1), project: own });
    await page.getByLabel('Project name').fill(`v${own}`);
    await page.getByLabel('Project name').press('Enter');
    made.push({ what: 'project', version: own, at: Date.now() });
  }
}

async function kept(page, url) {
  try {
    await page.goto(url.replace(/\/[a-z-]+(\?.*)?$/, '/data'));
    await page.locator('.yc-sizer > .yc-row').first().waitFor({ timeout: 20_000 });
    const item = await page.locator('[data-cell="0:1"]').textContent();
    const project = await page.getByLabel('Project name').inputValue();
    await page.getByText('saved', { exact: true }).waitFor();
    return { item: Number(item?.slice(1)), project: Number(project.slice(1)) };
  } catch (error) {
    console.error(String(error));
    return undefined;
  }
}

function judge(figures, state, made) {
  if (state === undefined) {
    figures.broken += 1;
    return;
  }
  const isOne = states.some((each) => each.item === state.item && each.project === state.project);
  if (!isOne) {
    figures.mixed += 1;
    console.error('mixed', state, states.slice(-6));
  }
  for (const { what, version: number, ageMs } of made) {
    if (state[what] >= number) continue;
    figures.oldestLostMs = Math.max(figures.oldestLostMs, ageMs);
    if (ageMs > keptWithinMs) figures.lateLosses += 1;
  }
  states = [state];
}
