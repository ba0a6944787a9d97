/**
 * An edge of a part dragged on the bench, over the items that are open in the application: what a
 * frame works, and how long after the pointer moved the rows of the window follow.
 */
const moves = 60;

/** Medians and 95 % of both, in ms. */
export async function dragAnEdge(page) {
  await page.getByRole('link', { name: 'Templates' }).click();
  await page.waitForTimeout(3_000);
  await page.locator('section[aria-label=Parts] li button').nth(1).click();
  const edge = page.locator('[data-edge=end]');
  await edge.waitFor();
  await page.waitForTimeout(1_000);
  await page.evaluate(watch);
  const { x, y, width, height } = await edge.boundingBox();
  const at = { x: x + width / 2, y: y + height / 2 };
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  // The first moves take the edge up.
  for (let move = 1; move <= moves + 5; move += 1) {
    if (move === 6) await page.evaluate(() => window.drag.begin());
    // There and back, so that each move is another width.
    await page.mouse.move(at.x - Math.abs(30 - (move % 60)) * 2.2, at.y);
    await page.waitForTimeout(16);
  }
  const { works, follows } = await page.evaluate(() => window.drag);
  await page.mouse.up();
  return { work: middle(works), follow: middle(follows) };
}

function middle(times) {
  const sorted = times.toSorted((a, b) => a - b);
  const at = (share) => sorted[Math.floor(sorted.length * share)] ?? Number.NaN;
  return { half: at(0.5), most: at(0.95) };
}

/** Runs in the page. A frame's work: from its first callback until what comes after it is drawn. */
function watch() {
  const drag = { works: [], follows: [], isOn: false };
  drag.begin = () => {
    drag.isOn = true;
  };
  window.drag = drag;
  const after = new MessageChannel();
  let [frame, moved] = [0, 0];
  after.port1.onmessage = () => drag.isOn && drag.works.push(performance.now() - frame);
  const next = () => {
    frame = performance.now();
    after.port2.postMessage(undefined);
    requestAnimationFrame(next);
  };
  requestAnimationFrame(next);
  window.addEventListener('pointermove', () => (moved ||= performance.now()), true);
  new MutationObserver(() => {
    if (drag.isOn && moved > 0) drag.follows.push(performance.now() - moved);
    moved = 0;
  }).observe(document.querySelector('.yc-sizer'), {
    ...{ childList: true, subtree: true, attributes: true },
  });
}
