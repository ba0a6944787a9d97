import Download from 'lucide-react/icons/download';
import { useState } from 'react';
import { fileNameOf, type Project } from '../../../core/project';
import { Button, Heading } from '../../shared/controls/controls';
import { saveAsFile } from '../../shared/keeping/save-file';
import { useFindings } from '../../shared/session/findings';
import { engine, useProject, useSession } from '../../shared/session/session';
import { useLatest } from '../../shared/session/use-answer';

const maxShownChars = 200_000;

interface WrittenFile {
  /** Its beginning. */
  readonly text: string;
  readonly bytes: number;
}

async function written(project: Project): Promise<WrittenFile> {
  const blob = await engine().file(project, useSession.getState().contents);
  return { text: await blob.slice(0, maxShownChars).text(), bytes: blob.size };
}

/** What leaves the browser: the project file as it will be written, and how a CI uses it. */
export default function HandOff() {
  const project = useProject();
  const findings = useFindings();
  const [file, setFile] = useState<WrittenFile>();
  useLatest([project], () => project && written(project), setFile);
  if (project === undefined) return null;
  const name = fileNameOf(project);
  const errors = findings.filter((finding) => finding.severity === 'error').length;
  return (
    <div className="grid h-full grid-cols-[250px_minmax(0,1fr)_316px] grid-rows-[40px_minmax(0,1fr)] max-[1000px]:grid-cols-1">
      <div className="col-span-3 flex items-center gap-3 overflow-x-auto overflow-y-hidden border-b border-rule px-3 max-[1000px]:col-span-1">
        <h1 className="font-semibold">Hand-off</h1>
        <span
          className={`rounded-full border px-2.5 text-sm ${errors > 0 ? 'border-madder text-madder' : 'border-moss text-moss'}`}
        >
          {errors > 0 ? `${errors} errors` : 'no errors'}, {findings.length - errors} warnings
        </span>
        <span className="ms-auto">
          <Button isMain onPress={() => void saveAsFile()}>
            <Download size={14} aria-hidden="true" />
            Save {name}
          </Button>
        </span>
      </div>
      <div data-pane="written" className="border-r border-rule px-3 py-2">
        <Heading>What is written</Heading>
        <p className="-mx-3 flex justify-between gap-2 bg-chosen px-3 py-1">
          <span className="truncate font-semibold">{name}</span>
          <span className="whitespace-nowrap text-ash">
            {file === undefined ? '…' : sizeInWords(file.bytes)}
          </span>
        </p>
        <p className="pt-2 text-sm text-ash">
          One file: sources, types, templates, choices, arrangement, pictures and, last, the items,
          one a line. Open it in any browser, or give it to the command line.
        </p>
      </div>
      <FileText text={file?.text ?? ''} isCut={file !== undefined && file.bytes > maxShownChars} />
      <aside data-pane="use" className="overflow-auto border-l border-rule px-4 py-3">
        <h2 className="font-semibold">In your CI</h2>
        <p className="py-1 text-ash">Every row with its words, an entry a line:</p>
        <Code text={`yarncard resolve "${name}" --json`} />
        <p className="py-1 pt-3 text-ash">The same words as text, to read and to compare:</p>
        <Code text={`yarncard resolve "${name}"`} />
        <h2 className="pt-4 font-semibold">In version control</h2>
        <p className="py-1 text-ash">
          Keys and lists keep their order and every part stands on lines of its own, so an edit
          changes the lines that it concerns.
        </p>
      </aside>
    </div>
  );
}

function FileText({ text, isCut }: { readonly text: string; readonly isCut: boolean }) {
  return (
    <section
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
      tabIndex={0}
      data-pane="file"
      aria-label="The file"
      className="overflow-auto bg-paper py-2"
    >
      <ol className="list-inside font-mono text-sm leading-5">
        {text
          .split('\n')
          .slice(0, 2_000)
          .map((line, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a line of a text is its number
            <li key={index} className="flex gap-3 px-3 whitespace-pre">
              <span className="w-9 shrink-0 text-end text-ash select-none">{index + 1}</span>
              {line.length > 300 ? `${line.slice(0, 300)} …` : line}
            </li>
          ))}
      </ol>
      {isCut && <p className="px-3 py-2 text-ash">… and so on to the end of the file.</p>}
    </section>
  );
}

function Code({ text }: { readonly text: string }) {
  return (
    <pre className="rounded-md bg-ink px-3 py-2 font-mono text-sm wrap-anywhere whitespace-pre-wrap text-paper">
      {text}
    </pre>
  );
}

function sizeInWords(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.max(1, Math.round(bytes / 1_000))} kB`;
  return `${(bytes / 1_000_000).toFixed(1)} MB`;
}
