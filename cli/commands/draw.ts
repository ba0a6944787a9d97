import { writeFile } from 'node:fs/promises';
import { directionOf } from '../../src/core/base';
import { isLocale } from '../../src/core/formats';
import { expectedNow } from '../../src/core/handoff';
import { contentsFor } from '../../src/core/pictures';
import { localeOf, lookShown, withId } from '../../src/core/project';
import { Engine, listPicture, ownFonts } from '../../src/engine';
import { print, WrongUse } from '../output';
import { drawPorts, projectFile } from '../project';

interface DrawOptions {
  readonly key?: string;
  readonly list?: string;
  readonly look?: string;
  readonly locale?: string;
  readonly scheme: string;
  readonly width: string;
  readonly textSize: string;
  readonly letters: string;
  readonly out?: string;
}

/** A row, or all rows of a list, as an SVG file, by the boxes of the solver. */
export async function draw(file: string, options: DrawOptions): Promise<void> {
  const { project, items, contents } = await projectFile(file);
  const fonts = await ownFonts(contentsFor(project.fonts ?? [], contents));
  const ports = drawPorts(fonts);
  const { scheme, letters, key } = options;
  if (scheme !== 'light' && scheme !== 'dark')
    throw new WrongUse(`--scheme is light or dark, not "${scheme}".`);
  if (letters !== 'text' && letters !== 'outlines')
    throw new WrongUse(`--letters is text or outlines, not "${letters}".`);
  const { measures } = ports;
  const engine = new Engine({ pause: async () => {}, now: () => expectedNow, measures });
  engine.holdFile(project, items);
  const list = options.list === undefined ? project.lists[0] : withId(project.lists, options.list);
  if (list === undefined)
    throw new WrongUse(
      `There is no list "${options.list ?? ''}". The lists are ${project.lists.map(({ id }) => id).join(', ')}.`,
    );
  const locale = options.locale ?? localeOf(project);
  if (!isLocale(locale)) throw new WrongUse(`"${locale}" names no locale, such as en or de-AT.`);
  const look = lookShown(project, options.look)?.id;
  if (options.look !== undefined && look !== options.look)
    throw new WrongUse(`There is no look "${options.look}".`);
  const setting = {
    ...{ id: 'drawn', list: list.id, ratio: 1, locale, direction: directionOf(locale) },
    ...{ width: pxOf(options.width), textSize: percentOf(options.textSize), now: expectedNow },
    ...(look !== undefined && { look }),
  };
  const task = { setting, key, scheme, letters } as const;
  const picture = await listPicture(engine, task, { project, contents }, ports);
  if (picture === undefined)
    throw new WrongUse(`No row of the list ${list.id} is of an item with the key "${key ?? ''}".`);
  if (options.out === undefined) print(picture.svg);
  else await writeFile(options.out, picture.svg);
}

function pxOf(text: string): number {
  const px = Number(text);
  if (!(px > 0 && px <= 10_000)) throw new WrongUse(`"${text}" is no width in px, such as 360.`);
  return px;
}

function percentOf(text: string): number {
  const percent = Number(text);
  if (!(percent >= 50 && percent <= 400))
    throw new WrongUse(`"${text}" is no text size in per cent, such as 120.`);
  return percent;
}
