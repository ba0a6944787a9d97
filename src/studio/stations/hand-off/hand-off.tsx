import Download from 'lucide-react/icons/download';
import { tagOf } from '../../../core/handoff';
import { fileNameOf, type Project } from '../../../core/project';
import { Button } from '../../shared/controls/controls';
import { saveAsFile } from '../../shared/keeping/save-file';
import { useFindings } from '../../shared/session/findings';
import { useRoute } from '../../shared/session/route';
import { useProject } from '../../shared/session/session';
import { FileList } from './file-list';
import { FileView } from './file-view';
import { usePack } from './use-pack';
import { Writing } from './writing';

/** What leaves the browser: the pack, file by file, and how app and CI use it. */
export default function HandOff() {
  const project = useProject();
  const findings = useFindings();
  const pack = usePack();
  const { route } = useRoute();
  if (project === undefined) return null;
  const errors = findings.filter((finding) => finding.severity === 'error').length;
  const { files = [] } = pack;
  const wanted = route.page === 'project' ? route.file : undefined;
  const file =
    files.find(({ path }) => path === wanted) ??
    files.find(({ state }) => state === 'changed') ??
    files[0];
  return (
    <div className="grid h-full grid-cols-[250px_minmax(0,1fr)_300px] grid-rows-[40px_minmax(0,1fr)] max-[1000px]:grid-cols-1">
      <div className="col-span-3 flex items-center gap-2 overflow-x-auto overflow-y-hidden border-b border-rule px-3 max-[1000px]:col-span-1">
        <h1 className="font-semibold">Hand-off</h1>
        <span
          className={`rounded-full border px-2.5 text-sm whitespace-nowrap ${errors > 0 ? 'border-madder text-madder' : 'border-moss text-moss'}`}
        >
          {errors > 0 ? `${errors} errors` : 'no errors'}, {findings.length - errors} warnings
        </span>
        <span className="ms-auto flex items-center gap-2">
          <Button onPress={() => void saveAsFile()}>
            <Download size={14} aria-hidden="true" />
            Save {fileNameOf(project)}
          </Button>
          <Writing project={project} pack={pack} />
        </span>
      </div>
      <FileList pack={pack} chosen={file?.path} />
      <FileView file={file} />
      <Uses project={project} />
    </div>
  );
}

/** How what is written is used. */
function Uses({ project }: { readonly project: Project }) {
  const [name, tag] = [fileNameOf(project), tagOf(project.name)];
  const list = project.lists[0]?.id ?? '';
  return (
    <section
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a scrolling region must be reachable by keyboard
      tabIndex={0}
      data-pane="use"
      aria-label="How it is used"
      className="overflow-auto border-l border-rule px-4 py-3"
    >
      <h2 className="font-semibold">In a web view</h2>
      <p className="py-1 text-ash">
        list.js draws the lists with your own items, and tells your app what rows are for.
      </p>
      <Code
        text={`<script type="module"\n  src="list.js"></script>\n<${tag} list="${list}">\n</${tag}>`}
      />
      <h2 className="pt-4 font-semibold">In any other toolkit</h2>
      <p className="py-1 text-ash">
        expected.json says what each sample item must show, in which boxes. Write what you draw in
        the same form:
      </p>
      <Code text={'yarncard compare expected.json \\\n  actual.json'} />
      <h2 className="pt-4 font-semibold">In your CI</h2>
      <p className="py-1 text-ash">Do today’s items fit?</p>
      <Code text={'yarncard check project.yarncard.json \\\n  --items today.json'} />
      <p className="py-1 pt-3 text-ash">Is what was handed off as the design says?</p>
      <Code text={`yarncard pack "${name}" \\\n  --out rows && git diff --exit-code`} />
      <h2 className="pt-4 font-semibold">In version control</h2>
      <p className="py-1 text-ash">
        Keys and lists keep their order and every part stands on lines of its own, so an edit
        changes the lines that it concerns. yarncard merge is a driver for git.
      </p>
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
