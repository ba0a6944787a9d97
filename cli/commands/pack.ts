import { lstat, mkdir, readFile, realpath } from 'node:fs/promises';
import { dirname, join, relative, resolve } from 'node:path';
import { count } from '../../src/core/base';
import type { PackFile } from '../../src/core/handoff';
import { contentsFor } from '../../src/core/pictures';
import { ownFonts, packOf } from '../../src/engine';
import { flush, json, line, WrongUse } from '../output';
import { packPorts, projectFile } from '../project';
import { replaceFile } from '../replace-file';

interface PackOptions {
  readonly out: string;
  readonly dryRun?: boolean;
  readonly json?: boolean;
}

type State = 'new' | 'changed' | 'as it was';

/** Writes what an app's developer puts into a repository: only what is not so already. */
export async function pack(file: string, options: PackOptions): Promise<void> {
  const { project, items, contents } = await projectFile(file);
  const fonts = await ownFonts(contentsFor(project.fonts ?? [], contents));
  const files = await packOf({ project, items, contents }, packPorts(fonts));
  const told: { readonly path: string; readonly state: State }[] = [];
  for (const each of files) {
    await canBeWritten(options.out, each.path);
    told.push({ path: each.path, state: await stateOf(options.out, each) });
  }
  // All is looked at before anything is written.
  for (const [at, each] of files.entries()) {
    if (options.dryRun !== true && told[at]?.state !== 'as it was') {
      const target = join(options.out, each.path);
      await mkdir(dirname(target), { recursive: true }).catch(() => {
        throw new WrongUse(
          `${dirname(target)} could not be made. Choose another folder with --out.`,
        );
      });
      await replaceFile(target, bytesOf(each));
    }
  }
  tell(told, options);
  flush();
}

function tell(
  told: readonly { readonly path: string; readonly state: State }[],
  { out, dryRun, json: isJson }: PackOptions,
): void {
  const written = told.filter(({ state }) => state !== 'as it was').length;
  for (const each of told) {
    if (isJson) json(each);
    else line(`${each.state}\t${each.path}`);
  }
  if (isJson) return;
  const verb = dryRun === true ? 'would be written' : 'written';
  line(`${count(written, 'file')} of ${told.length} ${verb} to ${out}.`);
}

const bytesOf = ({ text, isBase64 }: PackFile): Buffer =>
  Buffer.from(text, isBase64 === true ? 'base64' : 'utf8');

async function stateOf(out: string, file: PackFile): Promise<State> {
  try {
    const held = await readFile(join(out, file.path));
    return held.equals(bytesOf(file)) ? 'as it was' : 'changed';
  } catch {
    return 'new';
  }
}

/** No link within the folder leads out of it, so nothing is written elsewhere; folders are folders, files files. */
async function canBeWritten(out: string, path: string): Promise<void> {
  const root = await realpath(out).catch(() => resolve(out));
  const names = path.split('/');
  for (const at of names.keys()) {
    const place = join(out, ...names.slice(0, at + 1));
    const found = await lstat(place).catch(() => undefined);
    if (found === undefined) return;
    if (found.isSymbolicLink() && leadsOut(root, await realpath(place).catch(() => '/')))
      throw new WrongUse(`${place} is a link that leads out of ${out}. Nothing was written.`);
    const isFile = at === names.length - 1;
    if (!found.isSymbolicLink() && found.isDirectory() === isFile)
      throw new WrongUse(
        `${place} is ${isFile ? 'a folder' : 'a file'}, where a ${isFile ? 'file' : 'folder'} has to be. Nothing was written.`,
      );
  }
}

const leadsOut = (root: string, target: string): boolean =>
  relative(root, target).startsWith('..') || relative(root, target) === target;
