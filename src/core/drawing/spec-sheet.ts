import type { Colour, Template, Tokens } from '../templates';
import { type PartInWords, partsInWords } from './part-words';
import { type Box, element, escaped, written } from './svg';

/** Where a part of a row stands, in CSS px from its top and its left. */
export interface PartPlace extends Box {
  readonly part: string;
}

/** A row as it is for one item. */
export interface RowState {
  /** Why it is shown. */
  readonly reason: string;
  /** SVG elements and their size. */
  readonly svg: string;
}

/** What a spec sheet tells of. */
export interface SheetTask {
  readonly template: Template;
  /** The name of the item type. */
  readonly type: string;
  /** What the measures hold for: the width, the size of text, the locale. */
  readonly holdsFor: string;
  /** The row of the item at hand. */
  readonly svg: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly places: readonly PartPlace[];
  readonly states: readonly RowState[];
  readonly tokens: Tokens;
}

/** A page of HTML that prints on A4: a template with its measures. It has no script and fetches nothing. */
export function specSheet(task: SheetTask): string {
  const { template, type, holdsFor, states } = task;
  const parts = partsInWords(template.row);
  const title = `${template.name}, for ${type}`;
  const numbers = new Map(parts.map(({ id }, at) => [id, at + 1]));
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data: https: http:; style-src 'unsafe-inline'">
<meta name="viewport" content="width=device-width">
<title>${escaped(title)}</title>
<style>${style}</style>
</head>
<body>
<h1>${escaped(title)}</h1>
<p>${escaped(holdsFor)}. Lengths are CSS px.</p>
<figure>${measuredRow(task, numbers)}</figure>
${partTable(parts, task)}
${usedStyles(task, parts)}
${states.length === 0 ? '' : `<h2>The row for other items</h2>\n${states.map(stateOf).join('\n')}`}
</body>
</html>
`;
}

/** As wide as the page, at most twice its size. */
const mostPx = 688;

function measuredRow(
  { svg, widthPx, heightPx, places }: SheetTask,
  numbers: ReadonlyMap<string, number>,
): string {
  const scale = Math.min(2, mostPx / widthPx);
  const around = 14;
  const taken: Box[] = [];
  const marks = places.flatMap(({ part, ...box }) => {
    const number = numbers.get(part);
    if (number === undefined || number === 1) return [];
    const edge = { fill: 'none', stroke: '#a23a2c', 'stroke-width': 0.5 };
    const place = freePlace({ x: box.x + 1, y: box.y - 1, width: 8, height: 6 }, taken);
    taken.push(place);
    const words = { 'font-size': 6, 'font-weight': 700, fill: '#a23a2c' };
    return [
      element('rect', { ...box, ...edge }),
      element('text', { x: place.x, y: place.y, ...words }, String(number)),
    ];
  });
  const [width, height] = [widthPx + 2 * around, heightPx + 2 * around];
  return element(
    'svg',
    {
      width: width * scale,
      height: height * scale,
      viewBox: [-around, -around, width, height].map(written).join(' '),
      role: 'img',
      'aria-label': 'The row with the box of each part',
    },
    element('rect', { width: widthPx, height: heightPx, fill: 'none', stroke: '#e6dfd2' }),
    svg,
    ruler(widthPx, heightPx),
    ...marks,
  );
}

/** Beside the numbers that stand there already. */
function freePlace(wanted: Box, taken: readonly Box[]): Box {
  const isTaken = taken.some(
    ({ x, y }) => Math.abs(x - wanted.x) < wanted.width && Math.abs(y - wanted.y) < wanted.height,
  );
  return isTaken ? freePlace({ ...wanted, x: wanted.x + wanted.width }, taken) : wanted;
}

/** How wide and high the row is, beside it. */
function ruler(width: number, height: number): string {
  const words = { 'font-size': 7, fill: '#625c6b' };
  const line = { stroke: '#625c6b', 'stroke-width': 0.5 };
  return (
    element('line', { x1: 0, y1: height + 6, x2: width, y2: height + 6, ...line }) +
    element(
      'text',
      { x: width / 2, y: height + 13, 'text-anchor': 'middle', ...words },
      written(width),
    ) +
    element('line', { x1: width + 5, y1: 0, x2: width + 5, y2: height, ...line }) +
    element(
      'text',
      {
        transform: `translate(${width + 12} ${height / 2}) rotate(-90)`,
        'text-anchor': 'middle',
        ...words,
      },
      written(height),
    )
  );
}

function partTable(parts: readonly PartInWords[], { places }: SheetTask): string {
  const rows = parts.map(({ id, kind, depth, properties }, at) => {
    const place = places.find(({ part }) => part === id);
    const box =
      place === undefined
        ? '<td colspan="2">not in this row</td>'
        : `<td>${short(place.x)}, ${short(place.y)}</td><td>${short(place.width)} × ${short(place.height)}</td>`;
    const said = properties.map(
      ({ words, value }) => `<span><i>${escaped(words)}</i> ${escaped(value)}</span>`,
    );
    return `<tr><td>${at + 1}</td><td class="in${Math.min(depth, 6)}"><b>${escaped(id)}</b> ${escaped(kind)}</td>${box}<td>${said.join('')}</td></tr>`;
  });
  return `<table>
<thead><tr><th>No.</th><th>Part</th><th>Place</th><th>Size</th><th>Says</th></tr></thead>
<tbody>
${rows.join('\n')}
</tbody>
</table>`;
}

const short = (px: number): string => String(Math.round(px * 100) / 100);

/** The styles and colours that the parts name. */
function usedStyles({ tokens }: SheetTask, parts: readonly PartInWords[]): string {
  const named = new Set(parts.flatMap(({ names }) => names));
  const styles = tokens.styles.filter(({ name }) => named.has(name));
  const inStyles = new Set(styles.map(({ colour }) => colour));
  const colours = tokens.colours.filter(({ name }) => named.has(name) || inStyles.has(name));
  const lines = styles.map(({ name, size, lineHeight, weight, colour, letterSpacing }) => {
    const spacing = letterSpacing === undefined ? '' : `, letters ${letterSpacing} px apart`;
    return `<tr><td><b>${escaped(name)}</b></td><td>${size} / ${lineHeight}, weight ${weight}${spacing}</td><td>${escaped(colour)}</td></tr>`;
  });
  return `<h2>Styles and colours</h2>
<table><tbody>
${lines.join('\n')}
${colours.map(colourLine).join('\n')}
</tbody></table>`;
}

const colourLine = ({ name, light, dark }: Colour): string =>
  `<tr><td><b>${escaped(name)}</b></td><td>${swatch(light)} ${escaped(light)} light</td><td>${swatch(dark)} ${escaped(dark)} dark</td></tr>`;

const swatch = (colour: string): string =>
  element(
    'svg',
    { width: 10, height: 10 },
    element('rect', { width: 10, height: 10, fill: colour }),
  );

const stateOf = ({ reason, svg }: RowState): string =>
  `<figure><figcaption>${escaped(reason)}</figcaption>${svg}</figure>`;

const style = `@page{size:A4;margin:14mm}
body{font:9pt/1.35 system-ui,sans-serif;color:#25222c;background:#fff;max-width:182mm;margin:0 auto;padding:4mm 0}
h1{font-size:15pt;margin:0}h2{font-size:11pt;margin:5mm 0 1mm}p{margin:0 0 3mm;color:#625c6b}
figure{margin:0 0 3mm;break-inside:avoid}figure svg{display:block;max-width:100%}figcaption{color:#625c6b}
table{border-collapse:collapse;width:100%}th{text-align:start;font-weight:600;color:#625c6b}
th,td{padding:1mm 2mm 1mm 0;vertical-align:top;border-bottom:.2mm solid #e6dfd2}tr{break-inside:avoid}
td>span{display:inline-block;margin-right:3mm}i{font-style:normal;color:#625c6b}
${[1, 2, 3, 4, 5, 6].map((depth) => `.in${depth}{padding-left:${2 * depth}mm}`).join('')}`;
