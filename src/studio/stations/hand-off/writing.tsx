import Archive from 'lucide-react/icons/archive';
import FolderOutput from 'lucide-react/icons/folder-output';
import { useState } from 'react';
import { count } from '../../../core/base';
import { fileNameOf, type Project } from '../../../core/project';
import { Button } from '../../shared/controls/controls';
import { fetched } from '../../shared/controls/on-demand';
import { keptHere } from '../../shared/keeping/keep';
import { saveBlob } from '../../shared/keeping/save-file';
import { useSession } from '../../shared/session/session';
import { canWriteFolders, chosenFolder, type Found, foundIn, mayWrite, writeInto } from './folder';
import type { HandedFile, Pack } from './use-pack';

function writeInWords(folder: string, { files = [] }: Pack): string {
  const changed = files.filter(({ state }) => state === 'new' || state === 'changed').length;
  return changed === 0 ? `Write to ${folder}` : `Write ${changed} changed to ${folder}`;
}

interface WritingProps {
  readonly project: Project;
  readonly pack: Pack;
}

/** A folder with files in it that somebody else wrote: whether they are overwritten is asked. */
interface Asked {
  readonly folder: FileSystemDirectoryHandle;
  readonly files: readonly HandedFile[];
  readonly foreign: readonly string[];
}

/** Hands the pack off: as a zip file, or into a folder, where only what is otherwise is written. */
export function Writing({ project, pack }: WritingProps) {
  const [told, setTold] = useState<string>();
  const [asked, setAsked] = useState<Asked>();
  const whyNot = pack.files === undefined || pack.isStale ? 'it is being made' : undefined;
  const files = (pack.files ?? []).filter(({ state }) => state !== 'gone');

  const handOff = async (folder: FileSystemDirectoryHandle | undefined, words: string) => {
    const { id } = useSession.getState();
    setTold(words);
    if (id === undefined) return;
    const kept = files.map(({ path, text }) => ({ path, text }));
    const handedOff = { project: id, at: Date.now(), files: kept, folder };
    pack.handedOff(handedOff);
    await (await keptHere()).keepHandOff(handedOff);
  };

  const asZip = async () => {
    const { zipOf } = await fetched(() => import('./zip'));
    const name = fileNameOf(project).replace(/\.yarncard\.json$/, '');
    saveBlob(`${name}.zip`, zipOf(name, files));
    await handOff(undefined, `${count(files.length, 'file')} as a zip.`);
  };

  const write = async ({ folder, files: changed }: Omit<Asked, 'foreign'>) => {
    setAsked(undefined);
    for (const file of changed) await writeInto(folder, file);
    const rest = files.length - changed.length;
    const same = rest === 0 ? '' : `; ${count(rest, 'file')} were so already`;
    await handOff(folder, `${count(changed.length, 'file')} written to ${folder.name}${same}.`);
  };

  const toFolder = async (folder: FileSystemDirectoryHandle | undefined) => {
    if (folder === undefined) return;
    if (!(await mayWrite(folder))) {
      setTold(`The browser does not let this page write to ${folder.name}.`);
      return;
    }
    const found: Found[] = [];
    for (const file of files) found.push(await foundIn(folder, file));
    const changed = files.filter((_, at) => found[at] !== 'the same');
    const foreign = files.filter((_, at) => found[at] === 'something else');
    if (foreign.length === 0) await write({ folder, files: changed });
    else setAsked({ folder, files: changed, foreign: foreign.map(({ path }) => path) });
  };

  const failing = (work: Promise<void>) =>
    void work.catch((error: unknown) =>
      setTold(
        `It could not be written: ${error instanceof Error ? error.message : String(error)}.`,
      ),
    );
  const last = pack.last?.folder;
  return (
    <>
      <span role="status" className="text-sm text-ash">
        {told}
      </span>
      {asked !== undefined && (
        <span role="alert" className="flex items-center gap-2 text-sm">
          {asked.folder.name} has {asked.foreign.slice(0, 3).join(', ')}
          {asked.foreign.length > 3 && ` and ${asked.foreign.length - 3} more`}, not as handed off.
          <Button onPress={() => failing(write(asked))}>Overwrite</Button>
          <Button onPress={() => setAsked(undefined)}>Leave</Button>
        </span>
      )}
      <Button whyNot={whyNot} onPress={() => failing(asZip())}>
        <Archive size={14} aria-hidden="true" />
        As a zip
      </Button>
      {canWriteFolders() && (
        <Button
          isMain
          whyNot={whyNot}
          onPress={() => failing((last ? Promise.resolve(last) : chosenFolder()).then(toFolder))}
        >
          <FolderOutput size={14} aria-hidden="true" />
          {last === undefined ? 'Write into a folder' : writeInWords(last.name, pack)}
        </Button>
      )}
      {last !== undefined && canWriteFolders() && (
        <Button whyNot={whyNot} onPress={() => failing(chosenFolder().then(toFolder))}>
          Another folder
        </Button>
      )}
    </>
  );
}
