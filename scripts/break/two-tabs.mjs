// Two pages with one project: they take it over from each other again and again, and edit.
import { chromiumArguments, chromiumPath } from '../chromium.mjs';

/** Figures: takeovers, edits made, edits that the other page did not see, edits lost at the end. */
export async function twoTabs(address, rounds) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments });
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const one = await context.newPage();
  await one.goto(address);
  await one.getByLabel('Items as text').fill('[{"id":"a","name":"v0"},{"id":"b","name":"x"}]');
  await one.getByRole('button', { name: 'Show as rows' }).click();
  await one.getByText('saved', { exact: true }).waitFor();
  const two = await context.newPage();
  await two.goto(one.url());
  const figures = { takeovers: 0, edits: 0, refused: 0, unseen: 0, lost: 0 };
  let [writer, looker] = [one, two];
  for (let round = 1; round <= rounds; round += 1) {
    await looker.getByRole('region', { name: 'Open in another tab' }).waitFor();
    if (!(await typed(looker, `no${round}`))) figures.refused += 1;
    await typed(writer, `v${round}`);
    figures.edits += 1;
    if (!(await shows(looker, `v${round}`))) figures.unseen += 1;
    // Not saved yet: what is taken over has it all the same.
    await typed(writer, `w${round}`);
    figures.edits += 1;
    await looker.getByRole('button', { name: 'Take over here' }).click();
    await looker.getByRole('region', { name: 'Open in another tab' }).waitFor({ state: 'hidden' });
    figures.takeovers += 1;
    if (!(await shows(looker, `w${round}`))) figures.lost += 1;
    [writer, looker] = [looker, writer];
  }
  await writer.getByText('saved', { exact: true }).waitFor();
  await writer.reload();
  if (!(await shows(writer, `w${rounds}`))) figures.lost += 1;
  await browser.close();
  return figures;
}

const cell = (page) => page.locator('[data-cell="0:1"]');

/** Whether what was typed stands there. */
async function typed(page, words) {
  await page.bringToFront();
  await cell(page).click();
  await page.keyboard.type(words);
  await page.keyboard.press('Enter');
  await page.waitForTimeout(50);
  return (await cell(page).textContent()) === words;
}

async function shows(page, words) {
  try {
    await page.locator('[data-cell="0:1"]', { hasText: words }).waitFor({ timeout: 10_000 });
    await page.locator('.yc-label', { hasText: words }).first().waitFor({ timeout: 10_000 });
    return true;
  } catch {
    return false;
  }
}
