/** Once there are rows in the page, or after a moment: a list may have none. */
export async function rowsStand(): Promise<void> {
  const until = performance.now() + 2_500;
  while (document.querySelector('.yc-sizer > .yc-row') === null && performance.now() < until)
    await new Promise((resolve) => setTimeout(resolve, 30));
  await new Promise((resolve) => requestIdleCallback(resolve, { timeout: 1_000 }));
}
