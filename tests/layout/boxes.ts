import { build } from 'esbuild';
import type { TextDirection } from '../../src/core/base';
import { placed } from '../../src/core/layout';
import { type Entry, eachFault, RowBoxes } from '../../src/core/lists';
import { chromiumBreaks, paragraphsOfRuns, TextMeasures } from '../../src/core/text';
import { chainFor, familiesFor } from '../../src/engine/measuring';
import { browserBreaks } from './browser-breaks';
import { allSlices, ownSlice } from './measuring';
import { loadFaces, openPage } from './page';
import { type RowCase, rowMaker } from './templates';

/** What the page does: the real renderer, in a row as wide as the case says. */
const drawing = `
import '../../src/render/render.css';
import { bindRow, createRow } from '../../src/render';
import { resizeRow, resizesTo } from '../../src/render/rows/resize';
globalThis.boxesOf = (cases, face) => {
  document.body.className = 'yc-list';
  document.body.style.setProperty('--row-face', face);
  return cases.map(({ plan, values, before, shrunk, widthPx, textSize, direction }) => {
    const bound = (row, values, shrunk) => {
      bindRow(row, { kind: 'row', key: '', plan: 0, values, shrunk }, () => undefined);
      return row;
    };
    const made = () => createRow({ ...plan, heightPx: 0 });
    const row = bound(bound(made(), before, shrunk.map(({ byPx }) => ({ byPx: byPx + 1, wantsPx: 90 }))), values, shrunk);
    const fresh = stateOf(bound(made(), values, shrunk).element);
    const others = { ...plan, row: withOtherSizes(plan.row) };
    const resized = bound(createRow({ ...others, heightPx: 0 }), before, []);
    resizeRow(resized, resizesTo(plan, others));
    const isAsFresh = stateOf(row.element) === fresh && stateOf(bound(resized, values, shrunk).element) === fresh;
    row.element.style.width = widthPx + 'px';
    row.element.style.setProperty('--row-text-size', textSize);
    row.element.dir = direction;
    row.element.classList.remove('yc-row');
    document.body.append(row.element);
    const origin = row.element.getBoundingClientRect();
    const boxes = [row.element, ...row.element.querySelectorAll('[data-part]')].map((element) => {
      const { x, y, width, height } = element.getBoundingClientRect();
      return { part: element.dataset.part, x: x - origin.x, y: y - origin.y, width, height };
    });
    row.element.remove();
    return { boxes, isAsFresh };
  });
};
const withOtherSizes = (part) => ({
  ...part,
  children: part.children.map(withOtherSizes),
  values: Object.fromEntries(Object.entries(part.values).map(([name, value]) => [name, otherSize(name, value)])),
});
const otherSize = (name, value) => {
  if (value === undefined) return value;
  if (name === 'width' || name === 'height') return value === 'fit' ? { share: 2 } : 'share' in value ? { fixed: 33 } : 'fit';
  if (name === 'gap' || /^(min|max)(Width|Height)$/.test(name)) return value + 7;
  return name === 'padding' ? { start: 1, end: 2, top: 3, bottom: 4 } : value;
};
const stateOf = (element) =>
  [element, ...element.querySelectorAll('*')]
    .map((each) => {
      const said = [...each.attributes].filter(({ value }) => value !== '');
      const attributes = said.map(({ name, value }) =>
        name === 'style' || name === 'class'
          ? [name, ...value.split(/[ ;]+/).filter(Boolean).sort()].join(' ')
          : [name, value].join(' '),
      );
      const text = [...each.childNodes].map((node) => (node instanceof Text ? node.data : '<>')).join('');
      return [each.localName, ...attributes.sort(), text].join('|');
    })
    .join(' > ');
`;

interface PartBox {
  readonly part: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface DrawnRow {
  readonly boxes: readonly PartBox[];
  /** Whether the row, which showed another item before, and one that had other sizes, are the same as a new one. */
  readonly isAsFresh: boolean;
}

export interface WrongRow {
  readonly row: RowCase;
  readonly part: string;
  readonly theirs: PartBox | undefined;
  readonly ours: PartBox;
  /** Whether the row is higher or lower than ours, and whether a finding says that it may be. */
  readonly isOff: boolean;
  readonly isTold: boolean;
}

declare global {
  function boxesOf(
    cases: readonly (RowCase & Pick<Entry, 'shrunk'>)[],
    face: string,
  ): readonly DrawnRow[];
}

const faceOf = (language: string): string =>
  familiesFor(language)
    .map((family) => `'${family}'`)
    .join();

/** Boxes of generated rows, ours against those of the real renderer in Chromium, to 1/64 px. */
export async function compareBoxes(task: {
  readonly seed: number;
  readonly count: number;
  readonly ratio: number;
}): Promise<{
  readonly rows: number;
  readonly boxes: number;
  readonly wrong: readonly WrongRow[];
  /** Rows that showed another item before, and still show something of it. */
  readonly unlikeFresh: readonly RowCase[];
}> {
  const { seed, count, ratio } = task;
  const next = rowMaker(seed);
  const cases = Array.from({ length: count }, next);
  const language = 'en';
  const face = faceOf(language);
  const slices = await allSlices();
  const own = await ownSlice();
  const { page, close } = await openPage(ratio);
  const texts = cases.flatMap(({ values }) => values.map(String));
  const breaks = await browserBreaks(page, cases.flatMap(paragraphsIn));
  const findBreaks = chromiumBreaks(breaks);
  const known = new Map<string, TextMeasures>();
  const measuresIn = (language: string): TextMeasures => {
    const chains = [chainFor(language, slices), chainFor(language, slices, own)] as const;
    const chain = (family: string | undefined) => chains[family === undefined ? 0 : 1];
    const port = { chain, hasFaces: () => true, draws: () => true, findBreaks };
    const measures = known.get(language) ?? new TextMeasures({ ratio, language }, port);
    known.set(language, measures);
    return measures;
  };
  const built = await build({
    stdin: { contents: drawing, resolveDir: 'tests/layout', loader: 'ts' },
    bundle: true,
    write: false,
    outdir: 'out',
    format: 'iife',
  });
  for (const { path, text } of built.outputFiles)
    if (path.endsWith('.css')) await page.addStyleTag({ content: text });
    else await page.addScriptTag({ content: text });
  const languages = ['en', 'tr', 'ja', 'ko', 'zh', 'zh-Hans', 'zh-Hant', 'zh-TW'];
  const ofLanguages = languages.map((own) => `.yc-label[lang=${own}]{--row-face:${faceOf(own)}}`);
  await page.addStyleTag({ content: ofLanguages.join('') });
  await loadFaces(page, texts, face);
  const wrong: WrongRow[] = [];
  const unlikeFresh: RowCase[] = [];
  let boxCount = 0;
  for (let at = 0; at < cases.length; at += 200) {
    const some = cases.slice(at, at + 200);
    const solved = some.map((row) => {
      const boxes = new RowBoxes(row.plan, { ratio, textSize: row.textSize });
      boxes.fill(row.values);
      boxes.measure((runs, own = language) => measuresIn(own).of(runs));
      boxes.solve(row.widthPx);
      return boxes;
    });
    const drawn = some.map((row, i) => ({ ...row, shrunk: solved[i]?.shrunk ?? [] }));
    const theirs = await page.evaluate(({ drawn, face }) => boxesOf(drawn, face), { drawn, face });
    solved.forEach((boxes, i) => {
      const row = some[i];
      if (row === undefined) return;
      const seen = new Set<string>();
      for (const ours of partBoxes(boxes, row.direction)) {
        // The words of a pill stand in it under its name.
        if (seen.has(ours.part)) continue;
        seen.add(ours.part);
        boxCount += 1;
        const own = theirs[i]?.boxes.find(({ part }) => part === ours.part);
        if (own !== undefined && isSame(own, ours)) continue;
        const height = theirs[i]?.boxes[0]?.height ?? 0;
        const isOff = Math.abs(height - boxes.heightPx) >= 1 / 128;
        wrong.push({ row, part: ours.part, theirs: own, ours, isOff, isTold: hangs(boxes) });
        break;
      }
      if (theirs[i]?.isAsFresh !== true) unlikeFresh.push(row);
    });
  }
  await close();
  return { rows: cases.length, boxes: boxCount, wrong, unlikeFresh };
}

/** What is broken into lines in a row. */
function paragraphsIn({ plan, values }: RowCase): readonly string[] {
  const boxes = new RowBoxes(plan, { ratio: 1, textSize: 1 });
  boxes.fill(values);
  return boxes.labels.flatMap((label) =>
    paragraphsOfRuns(label.runsAt(0).map(({ words }) => words)).map(({ text }) => text),
  );
}

function hangs({ row }: RowBoxes): boolean {
  let isHanging = false;
  eachFault(row, (_, fault) => {
    isHanging ||= fault === 'hangs';
  });
  return isHanging;
}

const sides = ['x', 'y', 'width', 'height'] as const;
const isSame = (one: PartBox, other: PartBox): boolean =>
  sides.every((side) => Math.abs(one[side] - other[side]) < 1 / 128);

function* partBoxes({ row, place }: RowBoxes, direction: TextDirection): Generator<PartBox> {
  const css = (units: number) => units / 64 / place.ratio;
  for (const { node, x, y } of placed(row, direction)) {
    const { width, height } = node.box;
    yield { part: node.part, x: css(x), y: css(y), width: css(width), height: css(height) };
  }
}
