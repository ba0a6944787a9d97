import { readFile } from 'node:fs/promises';
import type { Finding } from '../src/core/base';
import { isLocale } from '../src/core/formats';
import { contentsFor } from '../src/core/pictures';
import { type Project, type ProjectFile, readProject } from '../src/core/project';
import {
  type DrawPorts,
  Engine,
  Measures,
  type OwnFonts,
  ownFonts,
  type PackMeasures,
  type PackPorts,
} from '../src/engine';
import { inputFile } from './input';
import { measureFiles } from './measure-files';
import { refuse, WrongUse } from './output';

interface Opened {
  readonly project: Project;
  /** Holds all items of the file. */
  readonly engine: Engine;
  readonly findings: readonly Finding[];
  /** Undefined: the project does not ask for boxes to be checked. */
  readonly measures: Measures | undefined;
  readonly fonts: OwnFonts;
}

/** A locale that was asked for, if it is one. */
export function showLocale(engine: Engine, locale: string | undefined): void {
  if (locale === undefined) return;
  if (!isLocale(locale)) throw new WrongUse(`"${locale}" names no locale, such as en or de-AT.`);
  engine.showLocale(locale);
}

/** A project file with its items in an engine of its own; ends with 2 if it cannot be read. */
export async function openProject(file: string): Promise<Opened> {
  const { project, items, contents, findings } = await projectFile(file);
  const fonts = await ownFonts(contentsFor(project.fonts ?? [], contents));
  const measures = project.widths === undefined ? undefined : measuresWith(fonts);
  const engine = new Engine({
    pause: async () => {},
    now: () => new Date().toISOString(),
    ...(measures && { measures }),
  });
  engine.holdFile(project, items);
  return { project, engine, findings, measures, fonts };
}

/** A project file as what is handed off is made of; ends with 2 if it cannot be read. */
export async function projectFile(file: string): Promise<ProjectFile> {
  const { name, bytes } = await inputFile(file);
  const read = await readProject(new TextDecoder().decode(bytes), name);
  return read.ok ? read.value : refuse(read.error);
}

/** What drawing takes: measures, and the faces that the build puts beside the command line. */
export function drawPorts(fonts: OwnFonts): DrawPorts {
  const measures = measuresWith(fonts);
  return {
    ...packMeasures(measures),
    measures,
    face: (file) => readFile(new URL(`../client/faces/${file}`, import.meta.url)),
    fonts,
  };
}

/** What packing takes: measures, and the runtime that the build puts beside the command line. */
export const packPorts = (fonts: OwnFonts): PackPorts => ({
  ...drawPorts(fonts),
  runtime: async () =>
    JSON.parse(await readFile(new URL('../client/pack/runtime.json', import.meta.url), 'utf8')),
});

/** Measures that wait for what is on its way. */
export const packMeasures = (measures: Measures): PackMeasures => ({
  measures,
  more: () => measures.more(),
  pause: async () => {},
});

/** What measures texts, with a project's own fonts. */
export function measuresWith(fonts: OwnFonts): Measures {
  const measures = new Measures(measureFiles, () => {});
  measures.give(fonts);
  return measures;
}
