import type { TextDirection } from '../../../../core/base';
import { type HeldPicture, namesShown, type RowState, specSheet } from '../../../../core/drawing';
import { tokensOf, withId } from '../../../../core/project';
import type { RowsDrawn, Tried } from '../../../../engine';
import type { Pictures } from '../../../../render';
import { saveBlob, saveText } from '../../../shared/keeping/save-file';
import { engine } from '../../../shared/session/session';
import type { Selection } from '../selection';

/** What a picture of rows may be. */
export const pictureKinds = ['SVG, text', 'SVG, outlines', 'PNG 1×', 'PNG 2×', 'PNG 3×'] as const;
export type PictureKind = (typeof pictureKinds)[number];

/** How rows are drawn: as in the first window. */
export interface PictureSettings {
  readonly widthPx: number;
  readonly textSize: number;
  readonly language: string;
  readonly scheme: 'light' | 'dark';
  readonly direction: TextDirection;
  readonly pictures: Pictures;
}

const pngScale: Readonly<Record<PictureKind, number | undefined>> = {
  'SVG, text': undefined,
  'SVG, outlines': undefined,
  'PNG 1×': 1,
  'PNG 2×': 2,
  'PNG 3×': 3,
};

export function drawn(
  rows: Tried,
  { pictures, ...settings }: PictureSettings,
  kind: PictureKind,
  prefix = 'y',
): Promise<RowsDrawn> {
  const letters = kind === 'SVG, text' ? 'text' : 'outlines';
  const held = picturesIn(rows, pictures);
  const ratio = pngScale[kind] ?? 1;
  return engine().drawRows({ rows, ...settings, ratio, letters, pictures: held, prefix });
}

/** The pictures that rows name. */
const picturesIn = (
  { plan, entries }: Tried,
  pictures: Pictures,
): ReadonlyMap<string, HeldPicture> =>
  new Map(
    [...namesShown(plan, entries)].flatMap((name): [string, HeldPicture][] => {
      const picture = pictures(name);
      return picture === undefined ? [] : [[name, picture]];
    }),
  );

/** The address of an SVG file, as an image takes it. */
export const addressOfSvg = (svg: string): string =>
  `data:image/svg+xml,${encodeURIComponent(svg)}`;

export async function savePicture(
  name: string,
  { svg, widthPx, heightPx }: RowsDrawn,
  kind: PictureKind,
): Promise<void> {
  const scale = pngScale[kind];
  if (scale === undefined) saveText(`${name}.svg`, svg, 'image/svg+xml');
  else saveBlob(`${name}@${scale}x.png`, await asPng(svg, widthPx * scale, heightPx * scale));
}

async function asPng(svg: string, width: number, height: number): Promise<Blob> {
  const image = new Image(width, height);
  image.src = addressOfSvg(svg);
  await image.decode();
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width: Math.round(width), height: Math.round(height) });
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((done, fail) =>
    canvas.toBlob((blob) => {
      if (blob === null) fail(new Error('The picture is too large for this browser.'));
      else done(blob);
    }, 'image/png'),
  );
}

/** A row with the reason why it is shown. */
export interface Shown {
  readonly reason: string;
  readonly item: number;
}

/** Hands the reader the sheet of a template: its row for the first item, and its states for the others. */
export async function saveSheet(
  { template, project }: Selection,
  shown: readonly Shown[],
  settings: PictureSettings,
): Promise<void> {
  const drawnRows: { readonly reason: string; readonly drawn: RowsDrawn }[] = [];
  for (const [at, { reason, item }] of shown.entries()) {
    const rows = await engine().tryTemplate(template.id, [item]);
    if (rows !== undefined)
      drawnRows.push({ reason, drawn: await drawn(rows, settings, 'SVG, outlines', `y${at}-`) });
  }
  const [first, ...others] = drawnRows;
  if (first === undefined) return;
  const { language, widthPx, textSize, scheme } = settings;
  const sheet = specSheet({
    template,
    type: withId(project.types, template.type)?.name ?? template.type,
    holdsFor: `${first.reason}; a row of ${widthPx} px, text at ${Math.round(100 * textSize)} %, ${language}, ${scheme}`,
    ...first.drawn,
    places: first.drawn.places[0] ?? [],
    states: others.map(({ reason, drawn }): RowState => ({ reason, svg: drawn.svg })),
    tokens: tokensOf(project),
  });
  saveText(`${template.id}.html`, sheet, 'text/html');
}
