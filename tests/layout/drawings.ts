import { readFileSync } from 'node:fs';
import { build } from 'esbuild';
import { type DrawnIn, drawnRow, type LaidRow, type Letters, layRow } from '../../src/core/drawing';
import { RowBoxes } from '../../src/core/lists';
import { colourOfRows } from '../../src/core/templates';
import { chromiumBreaks, paragraphsOfRuns, TextMeasures } from '../../src/core/text';
import { FileShapes } from '../../src/engine/drawing/glyph-shapes';
import { chainFor, familiesFor } from '../../src/engine/measuring';
import { unwrapped } from '../../src/engine/measuring/font-tables';
import { ownFontFile } from '../support/own-font';
import { browserBreaks } from './browser-breaks';
import { allSlices, ownSlice } from './measuring';
import { loadFaces, openPage } from './page';
import { type RowCase, rowMaker } from './templates';

/** The real renderer, and its rows beside those that are drawn. */
const drawing = `
import '../../src/render/render.css';
import { bindRow, createRow } from '../../src/render';
globalThis.showRows = async (cases, face, colours, picture) => {
  document.body.className = 'yc-list';
  document.body.style.cssText = 'contain:none;overflow:visible';
  document.body.style.setProperty('--row-face', face);
  for (const [name, { light }] of Object.entries(colours))
    document.body.style.setProperty('--row-' + name, light);
  document.body.style.color = colours.ink.light;
  document.body.replaceChildren(...cases.map(({ plan, values, shrunk, widthPx, textSize, direction }, at) => {
    const row = createRow({ ...plan, heightPx: 0 });
    const entry = { kind: 'row', key: '', plan: 0, values, shrunk };
    bindRow(row, entry, () => (at % 3 === 0 ? undefined : { address: picture, isSymbol: at % 3 === 2 }));
    row.element.style.width = widthPx + 'px';
    row.element.style.setProperty('--row-text-size', textSize);
    row.element.style.overflow = 'clip';
    row.element.dir = direction;
    row.element.classList.remove('yc-row');
    row.element.dataset.at = at;
    return row.element;
  }));
  await Promise.all([...document.images].filter(({ src }) => src !== '').map((each) => each.decode()));
  // Each stands on whole px, as in a list.
  let top = 0;
  return cases.map((_, at) => {
    const row = document.querySelector('[data-at="' + at + '"]');
    row.style.position = 'absolute';
    row.style.top = top + 'px';
    top += Math.ceil(row.getBoundingClientRect().height) + 8;
    const { x, y, width, height } = document.querySelector('[data-at="' + at + '"]').getBoundingClientRect();
    return { x, y, width, height };
  });
};
globalThis.showDrawings = async (svgs, places) => {
  document.body.replaceChildren(...svgs.map((svg, at) => {
    const holder = document.createElement('div');
    holder.style.cssText = 'position:absolute;left:' + places[at].x + 'px;top:' + places[at].y + 'px';
    holder.innerHTML = svg;
    return holder;
  }));
  await Promise.all([...document.querySelectorAll('image')].map((each) => {
    const own = new Image();
    own.src = each.getAttribute('href');
    return own.decode();
  }));
};
/** Pixels of one picture whose colour is not among those around them in the other. */
globalThis.strangePixels = async (one, other, places, tolerance) => {
  const pixels = async (base64) => {
    const blob = await (await fetch('data:image/png;base64,' + base64)).blob();
    const bitmap = await createImageBitmap(blob);
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d');
    context.drawImage(bitmap, 0, 0);
    return context.getImageData(0, 0, bitmap.width, bitmap.height);
  };
  const [a, b] = [await pixels(one), await pixels(other)];
  const same = (x, y) => [0, 1, 2].every((channel) => {
    const at = 4 * (y * a.width + x) + channel;
    return a.data[at] === b.data[at];
  });
  const strangeIn = (from, among, x, y) => {
    for (let channel = 0; channel < 3; channel += 1) {
      let least = 255;
      let most = 0;
      for (let dy = -1; dy <= 1; dy += 1)
        for (let dx = -1; dx <= 1; dx += 1) {
          const value = among.data[4 * ((y + dy) * among.width + x + dx) + channel];
          if (value === undefined) continue;
          least = Math.min(least, value);
          most = Math.max(most, value);
        }
      const own = from.data[4 * (y * from.width + x) + channel];
      if (own < least - tolerance || own > most + tolerance) return true;
    }
    return false;
  };
  return places.map(({ x, y, width, height }) => {
    let count = 0;
    for (let down = Math.floor(y); down < y + height && down < a.height; down += 1)
      for (let across = Math.floor(x); across < x + width; across += 1)
        if (!same(across, down) && (strangeIn(a, b, across, down) || strangeIn(b, a, across, down))) count += 1;
    return count;
  });
};
`;

/** Of letters that reach over their box, and where lines of dashes meet. */
const fewPixels = 40;
const smallShare = 0.0025;

/** By what style sheets call them. */
const windowColours = {
  ground: colourOfRows('ground'),
  ink: colourOfRows('ink'),
  ash: colourOfRows('ash'),
  rule: colourOfRows('rule'),
  blank: colourOfRows('soft'),
  missing: colourOfRows('madder'),
};

interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

declare global {
  function showRows(
    cases: readonly unknown[],
    face: string,
    colours: typeof windowColours,
    picture: string,
  ): Promise<readonly Place[]>;
  function showDrawings(svgs: readonly string[], places: readonly Place[]): Promise<void>;
  function strangePixels(
    one: string,
    other: string,
    places: readonly Place[],
    tolerance: number,
  ): Promise<readonly number[]>;
}

/** What a picture of the project is. */
const picture = `data:image/svg+xml,${encodeURIComponent(
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 30 20" width="30" height="20"><rect width="30" height="20" fill="#86b4da"/><circle cx="15" cy="10" r="8" fill="#a23a2c"/></svg>',
)}`;

const faceOf = (language: string): string =>
  familiesFor(language)
    .map((family) => `'${family}'`)
    .join();

const language = 'en';
const atOnce = 20;
/** What anti-aliasing may make of a channel, of 255. */
const tolerance = 48;

export interface DrawnUnlike {
  readonly at: number;
  readonly row: RowCase;
  readonly pixels: number;
  readonly of: number;
}

/** Generated rows as the real renderer draws them in Chromium, and as they are drawn here. */
export async function compareDrawings(task: {
  readonly seed: number;
  readonly count: number;
  readonly kind: Letters['kind'];
}): Promise<{ readonly rows: number; readonly unlike: readonly DrawnUnlike[] }> {
  const { seed, count, kind } = task;
  const cases = Array.from({ length: count }, rowMaker(seed));
  const slices = await allSlices();
  const own = await ownSlice();
  const { page, close } = await openPage(1);
  const texts = cases.flatMap(({ values }) => values.map(String));
  const findBreaks = chromiumBreaks(await browserBreaks(page, cases.flatMap(paragraphsIn)));
  const measuresBy = new Map<string, TextMeasures>();
  const measuresIn = (language: string): TextMeasures => {
    const chains = [chainFor(language, slices), chainFor(language, slices, own)] as const;
    const chain = (family: string | undefined) => chains[family === undefined ? 0 : 1];
    const port = { chain, hasFaces: () => true, draws: () => true, findBreaks };
    const measures = measuresBy.get(language) ?? new TextMeasures({ ratio: 1, language }, port);
    measuresBy.set(language, measures);
    return measures;
  };
  const built = await build({
    ...{ stdin: { contents: drawing, resolveDir: 'tests/layout', loader: 'ts' }, bundle: true },
    ...{ write: false, outdir: 'out', format: 'iife' },
  });
  for (const { path, text } of built.outputFiles)
    if (path.endsWith('.css')) await page.addStyleTag({ content: text });
    else await page.addScriptTag({ content: text });
  const languages = ['tr', 'ja', 'ko', 'zh', 'zh-Hans', 'zh-Hant', 'zh-TW'];
  const rules = languages.map((own) => `.yc-label[lang=${own}]{--row-face:${faceOf(own)}}`);
  await page.addStyleTag({
    // Where parts have no room and stand over each other, they do so in the order of the row.
    content: `${rules.join('')}*,::before,::after{box-sizing:border-box}.yc-stack>*{z-index:0}a{color:inherit;text-decoration:inherit}svg{display:block;font-synthesis-weight:none;text-spacing-trim:space-all;text-autospace:no-autospace}.tabular{font-variant-numeric:tabular-nums}.proportional{font-variant-numeric:proportional-nums}`,
  });
  await page.evaluate((ground) => {
    document.documentElement.style.background = ground;
  }, windowColours.ground.light);
  await loadFaces(page, texts, faceOf(language));
  const laid = cases.map((row): LaidRow => {
    const boxes = new RowBoxes(row.plan, { ratio: 1, textSize: row.textSize });
    boxes.fill(row.values);
    boxes.measure((runs, own = language) => measuresIn(own).of(runs));
    boxes.solve(row.widthPx);
    const laid = layRow(row.plan, row.values, boxes, (runs, room, own = language) =>
      measuresIn(own).laid(runs, room),
    );
    if (laid === undefined) throw new Error('Some face is not there.');
    return laid;
  });
  const letters = await lettersOf(kind, laid);
  const unlike: DrawnUnlike[] = [];
  for (let at = 0; at < cases.length; at += atOnce) {
    const some = cases.slice(at, at + atOnce);
    const rows = laid.slice(at, at + atOnce);
    const shrunk = some.map((row, i) => ({ ...row, shrunk: rows[i]?.boxes.shrunk ?? [] }));
    const places = await page.evaluate(
      ([cases, face, colours, picture]) => showRows(cases, face, colours, picture),
      [shrunk, faceOf(language), windowColours, picture] as const,
    );
    const theirs = await page.screenshot({ fullPage: true });
    let ids = 0;
    const svgs = rows.map((row, i) =>
      picturesOf(row, {
        scheme: 'light',
        direction: some[i]?.direction ?? 'ltr',
        // Some rows have none, some a symbol.
        pictures: () => (i % 3 === 0 ? undefined : { address: picture, isSymbol: i % 3 === 2 }),
        letters,
        id: () => {
          ids += 1;
          return `d${ids}`;
        },
      }),
    );
    await page.evaluate(([svgs, places]) => showDrawings(svgs, places), [svgs, places] as const);
    const ours = await page.screenshot({ fullPage: true });
    const counts = await page.evaluate(
      ([one, other, places, tolerance]) => strangePixels(one, other, places, tolerance),
      [theirs.toString('base64'), ours.toString('base64'), places, tolerance] as const,
    );
    counts.forEach((pixels, i) => {
      const row = some[i];
      const place = places[i];
      if (row === undefined || place === undefined) return;
      const of = Math.round(place.width * place.height);
      if (pixels > Math.max(fewPixels, of * smallShare))
        unlike.push({ at: at + i, row, pixels, of });
    });
  }
  await close();
  return { rows: cases.length, unlike };
}

function picturesOf(row: LaidRow, how: DrawnIn): string {
  const { box } = row.boxes.row;
  const [width, height] = [Math.round(box.width / 64), Math.round(box.height / 64)];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" text-rendering="geometricPrecision" xml:space="preserve">${drawnRow(row, how)}</svg>`;
}

async function lettersOf(kind: Letters['kind'], rows: readonly LaidRow[]): Promise<Letters> {
  if (kind === 'text')
    return {
      kind,
      families: (own, of = language) => `${own === undefined ? '' : "'Own own',"}${faceOf(of)}`,
    };
  const files = new Map<string, Uint8Array>();
  for (const { words } of rows)
    for (const { laid } of words.values())
      for (const { pieces } of laid.lines)
        for (const { glyphs } of pieces)
          for (const { slice } of glyphs)
            if (!files.has(slice.file)) {
              const path = slice.file === 'own' ? ownFontFile : `public/faces/${slice.file}`;
              files.set(slice.file, await unwrapped(new Uint8Array(readFileSync(path))));
            }
  return { kind, shapes: new FileShapes(files) };
}

/** What is broken into lines in a row. */
function paragraphsIn({ plan, values }: RowCase): readonly string[] {
  const boxes = new RowBoxes(plan, { ratio: 1, textSize: 1 });
  boxes.fill(values);
  return boxes.labels.flatMap((label) =>
    paragraphsOfRuns(label.runsAt(0).map(({ words }) => words)).map(({ text }) => text),
  );
}
