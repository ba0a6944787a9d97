// What somebody who has never seen the tool does first, with fresh items: each press, drag and
// command key is a step; letters that are typed are not.

/** Items that nothing here was made for, another set for each seed. */
export function freshItems(seed) {
  const names = ['Otter', 'Long clinker dinghy with a tan sail', 'Heron', 'Skiff', 'Coracle'];
  return Array.from({ length: 24 }, (_, at) => ({
    code: `b-${seed}-${at}`,
    title: `${names[(at + seed) % names.length]} ${at}`,
    photo: `boats/${at}.png`,
    yard: { name: `Yard at ${['Keld', 'Muker', 'Askrigg'][(at + seed) % 3]} ${at}` },
    pricePerDay: 20 + ((at * 7 + seed) % 31) + 0.5,
    seats: 1 + ((at + seed) % 6),
  }));
}

const parts = ['photo', 'title', 'name', 'price-per-day'];

/** The row that is wanted: an image, a title, a second line beneath, a value at the end. */
export async function rowIsThere(page) {
  const boxes = {};
  for (const part of parts) {
    const element = page
      .locator(`.yc-sizer > .yc-row:not(.yc-spare)`)
      .first()
      .locator(`[data-part="${part}"]`);
    await element.waitFor({ state: 'attached', timeout: 5_000 });
    boxes[part] = await element.boundingBox();
  }
  const { photo, title, name, 'price-per-day': price } = boxes;
  const isRight =
    photo.x < title.x &&
    Math.abs(title.x - name.x) < 2 &&
    name.y > title.y &&
    price.x > title.x + title.width - 2;
  if (!isRight) throw new Error(`The row is another: ${JSON.stringify(boxes)}`);
}

/** Counts what one does. */
export function stepper(page) {
  const steps = [];
  return {
    steps,
    async press(what, locator) {
      steps.push(`press ${what}`);
      await locator.click();
    },
    async drag(what, from, to, at) {
      steps.push(`drag ${what}`);
      await from.hover();
      await page.mouse.down();
      const box = await standing(to);
      await page.mouse.move(box.x + box.width * at.x, box.y + box.height * at.y, { steps: 5 });
      await page.waitForTimeout(100);
      await page.mouse.up();
    },
    async key(key) {
      steps.push(key);
      await page.keyboard.press(key);
    },
    async type(text) {
      await page.keyboard.type(text);
    },
  };
}

/** The box of what is drawn anew at times: as soon as it is there. */
async function standing(locator) {
  for (;;) {
    await locator.waitFor();
    const box = await locator.boundingBox();
    if (box !== null) return box;
  }
}

const value = (page, name) =>
  page
    .getByRole('region', { name: 'Values' })
    .getByRole('button', { name: new RegExp(`^${name}`) });
const onBench = (page, part) => page.locator(`.yc-bench [data-part="${part}"]`);

export const tries = [
  {
    name: 'by pointer, without a draft',
    max: 8,
    async run(page, does) {
      await does.drag('photo before the title', value(page, 'photo'), onBench(page, 'title'), {
        x: 0.05,
        y: 0.5,
      });
      await onBench(page, 'photo').waitFor();
      await does.press('open yard', page.getByRole('button', { name: 'Values inside yard' }));
      await does.drag('name under the title', value(page, 'name'), onBench(page, 'title'), {
        x: 0.5,
        y: 0.95,
      });
      await onBench(page, 'name').waitFor();
      await does.drag('price to the end', value(page, 'pricePerDay'), onBench(page, 'row'), {
        x: 0.995,
        y: 0.5,
      });
    },
  },
  {
    name: 'from a draft',
    max: 2,
    async run(page, does) {
      await does.press('Draft', page.getByRole('button', { name: 'Draft', exact: true }));
      await does.press('with picture', page.getByRole('button', { name: /^with picture/ }));
    },
  },
  {
    name: 'by keyboard alone',
    max: 8,
    async run(page, does) {
      await does.key('Alt+b');
      const insert = async (words) => {
        await page.waitForFunction(
          () => document.activeElement?.getAttribute('data-keys') === 'bench',
        );
        await does.key('Insert');
        await does.type(words);
        await does.key('Enter');
      };
      await insert('photo');
      await onBench(page, 'photo').waitFor();
      await does.key('ArrowRight');
      await insert('yard');
      await onBench(page, 'name').waitFor();
      await insert('price');
    },
  },
];
