import { useLiveQuery } from 'dexie-react-hooks';
import Moon from 'lucide-react/icons/moon';
import Sun from 'lucide-react/icons/sun';
import Trash2 from 'lucide-react/icons/trash-2';
import { useMemo, useState } from 'react';
import { count } from '../../core/base';
import { keptProjects, removeProject, type ShownProject } from '../../keeping';
import { Button } from '../shared/controls/controls';
import { FileButton } from '../shared/controls/file-button';
import { Mark } from '../shared/controls/mark';
import { documentOf, isAddress } from '../shared/opening/arrivals';
import { NewType } from '../shared/opening/new-type';
import { bring, demoId } from '../shared/opening/opening';
import { go } from '../shared/session/route';
import { useFontsOf } from '../shared/window/own-fonts';
import { RowPicture } from '../shared/window/row-picture';
import { useScheme } from '../shared/window/scheme';
import { RemovedProjects } from './removed-projects';
import { WayOfARow } from './way-of-a-row';

/** Items first: nothing to sign, nothing to choose. */
export default function StartPage() {
  const [scheme, flipScheme] = useScheme();
  return (
    <div className="h-full overflow-auto">
      <header className="flex h-11 items-center gap-3 border-b border-rule px-4">
        <Mark />
        <b>Yarn Card</b>
        <span className="truncate text-ash max-[1000px]:hidden">
          rows that are right on every item
        </span>
        <span className="ms-auto flex gap-2">
          <FileButton words="Open a project file" label="A file of items or a project" />
          <a
            className="inline-flex h-7 items-center rounded-md border border-rule bg-paper px-2.5 text-sm"
            href="/docs"
          >
            Help
          </a>
          <Button onPress={flipScheme} label={scheme === 'dark' ? 'Light scheme' : 'Dark scheme'}>
            {scheme === 'dark' ? (
              <Sun size={14} aria-hidden="true" />
            ) : (
              <Moon size={14} aria-hidden="true" />
            )}
          </Button>
        </span>
      </header>
      <main className="mx-auto grid max-w-6xl grid-cols-[minmax(0,1fr)_340px] gap-11 px-10 py-7 max-[1000px]:grid-cols-1 max-[1000px]:gap-6 max-[1000px]:px-4">
        <div>
          <h1 className="text-2xl leading-9 font-semibold">Start with your items</h1>
          <p className="pb-4 text-ash">
            Everything stays in this browser and in the files that you save.
          </p>
          <Paste />
          <Projects />
          <RemovedProjects />
        </div>
        <WayOfARow />
      </main>
    </div>
  );
}

const example = '[{ "name": "Merino lace, undyed", "price": 14.5, "maker": { "town": "Ousby" } }]';

function Paste() {
  const [text, setText] = useState('');
  const show = () => void bring(documentOf(text.trim() === '' ? example : text, 'typed'));
  return (
    <div className="rounded-md border border-dashed border-ash bg-paper px-6 py-5">
      <div className="flex items-center pb-3">
        <p>
          <b>Drop a file anywhere</b>{' '}
          <span className="text-ash">JSON, NDJSON, CSV, or a project</span>
        </p>
        <span className="ms-auto flex gap-2">
          <NewType onMake={(document) => void bring(document)} />
          <FileButton words="Choose a file" label="A file of items" />
        </span>
      </div>
      <textarea
        aria-label="Items as text"
        className="block h-28 w-full resize-y rounded-md border border-rule bg-wool px-3 py-2 font-mono text-sm placeholder:text-ash"
        placeholder={`… or paste or type here, or an address to fetch from\n\n${example}`}
        spellCheck={false}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) show();
        }}
      />
      <div className="flex items-center pt-3">
        <span className="text-sm text-ash">
          {text.trim() === ''
            ? 'With nothing typed, the example becomes a row.'
            : 'Ctrl Enter does the same.'}
        </span>
        <span className="ms-auto">
          <Button isMain onPress={show}>
            {isAddress(text) ? 'Fetch' : 'Show as rows'}
          </Button>
        </span>
      </div>
    </div>
  );
}

function Projects() {
  const kept = useLiveQuery(() => keptProjects().catch(() => []), []);
  return (
    <section aria-label="Projects in this browser" className="pt-8">
      <div className="flex items-baseline justify-between pb-2">
        <h2 className="text-lg font-semibold">Projects in this browser</h2>
        <span className="text-sm text-ash">
          {kept === undefined ? '' : `${kept.length} of them`}
        </span>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-3">
        {kept?.map((shown) => (
          <Card key={shown.kept.id} shown={shown} />
        ))}
      </ul>
    </section>
  );
}

function Card({ shown }: { readonly shown: ShownProject }) {
  const { kept, contents } = shown;
  const { project, preview, itemCount, loadsOutside = true } = kept;
  const other = useMemo(() => ({ loadsOutside, contents }), [loadsOutside, contents]);
  useFontsOf(project.fonts, contents);
  const templates = count(project.templates.length, 'template');
  return (
    <li className="group relative overflow-hidden rounded-md border border-rule bg-paper hover:border-ash">
      <button
        type="button"
        className="block w-full text-start"
        onClick={() => go({ page: 'project', id: kept.id, station: 'templates' })}
      >
        <span
          className="block h-32 overflow-hidden border-b border-rule bg-(--row-ground) scheme-light"
          aria-hidden="true"
        >
          <span className="block w-[142%] origin-top-left scale-[0.7] rtl:origin-top-right">
            {preview.entries.slice(0, 3).map((entry) => {
              const plan = preview.plans[entry.plan];
              return (
                plan && (
                  <span key={entry.key} className="block border-b border-rule">
                    <RowPicture
                      plan={plan}
                      entry={entry}
                      pictures={preview.pictures}
                      other={other}
                    />
                  </span>
                )
              );
            })}
          </span>
        </span>
        <span className="block px-3 pt-2 font-semibold">{project.name}</span>
        <span className="block px-3 text-sm text-ash">
          {kept.id === demoId ? 'the demo · ' : ''}
          {count(itemCount, 'item')}, {templates}
        </span>
        <span className="block px-3 pb-2 text-sm text-ash">{whenInWords(kept.keptAt)}</span>
      </button>
      <button
        type="button"
        aria-label={`Remove ${project.name} from this browser`}
        title="Remove from this browser"
        className="absolute end-2 bottom-2 rounded-sm p-1 text-ash opacity-0 group-hover:opacity-100 hover:text-madder focus-visible:opacity-100"
        onClick={() => void removeProject(kept.id)}
      >
        <Trash2 size={14} aria-hidden="true" />
      </button>
    </li>
  );
}

function whenInWords(at: number): string {
  const date = new Date(at);
  const isToday = date.toDateString() === new Date().toDateString();
  return isToday
    ? `today, ${date.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`
    : date.toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });
}
