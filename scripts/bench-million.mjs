/**
 * A million rows in sections with headings that stick, inserts and two templates, scrolled at the
 * speed of reading from the top, the middle and to the last: frames without a row where one is due,
 * and the work of a frame.
 */
const pxPerSecond = 1_500;
const frames = 90;
const places = [0, 0.5, 0.9999];

/** `call`: of the bench page; `workAFrame`: the work of so many frames while something runs, in ms. */
export async function scrollAMillion(page, call, workAFrame) {
  const rows = await call('showMillion', 1_000_000);
  let blank = 0;
  const tasks = [];
  for (const place of places) {
    await call('toShare', place);
    await page.waitForTimeout(600);
    blank += await call('watchScroll', pxPerSecond, frames);
    await call('toShare', place);
    await page.waitForTimeout(600);
    const { task } = await workAFrame(frames, () => call('scroll', pxPerSecond, frames));
    tasks.push(task);
  }
  const last = await call('lastRow');
  return { rows, blank, of: places.length * frames, task: Math.max(...tasks), last };
}
