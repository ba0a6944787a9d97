import { count } from '../../../core/base';
import { Heading } from '../../shared/controls/controls';
import { goOnPress, hrefWithin, useRoute } from '../../shared/session/route';
import { bytesOf } from './content';
import type { FileState, HandedFile, Pack } from './use-pack';

interface FileListProps {
  readonly pack: Pack;
  readonly chosen: string | undefined;
}

/** What is written, file by file, and how each stands to what was handed off last. */
export function FileList({ pack: { files = [], last, isStale }, chosen }: FileListProps) {
  const { route } = useRoute();
  const changed = files.filter(({ state }) => state !== 'same').length;
  return (
    <nav aria-label="Files" data-pane="written" className="overflow-auto border-r border-rule py-2">
      <div className="px-3">
        <Heading>What is written</Heading>
      </div>
      <ul aria-busy={isStale}>
        {files.map((file) => (
          <li key={file.path}>
            <a
              href={hrefWithin(route, { file: file.path })}
              onClick={(event) => goOnPress(event, { file: file.path })}
              aria-current={file.path === chosen ? 'true' : undefined}
              title={file.about}
              className="flex items-baseline gap-2 px-3 py-1 hover:bg-chosen aria-current:bg-chosen aria-current:font-semibold"
            >
              <PathWords path={file.path} isGone={file.state === 'gone'} />
              <span className="ms-auto flex gap-1.5 text-sm whitespace-nowrap">
                <Mark state={file.state} isFirst={last === undefined} />
                <span className="text-ash">{file.state === 'gone' ? '' : sizeInWords(file)}</span>
              </span>
            </a>
          </li>
        ))}
      </ul>
      <p className="px-3 pt-3 text-sm text-ash">
        {last === undefined
          ? 'Nothing was handed off from this browser yet.'
          : `${changed === 0 ? 'Nothing is' : `${count(changed, 'file')} ${changed === 1 ? 'is' : 'are'}`} otherwise than at the last hand-off, ${new Date(last.at).toLocaleString()}${last.folder === undefined ? ', a zip' : `, to ${last.folder.name}`}.`}
      </p>
      <p className="px-3 pt-2 text-sm text-ash">
        Of each source {sampleWords}: the project file with all items is saved above.
      </p>
    </nav>
  );
}

const sampleWords = '60 items at most go along, as a sample';

function PathWords({ path, isGone }: { readonly path: string; readonly isGone: boolean }) {
  const at = path.lastIndexOf('/') + 1;
  return (
    <span className={`truncate ${isGone ? 'line-through' : ''}`}>
      <span className="text-ash">{path.slice(0, at)}</span>
      {path.slice(at)}
    </span>
  );
}

const marks: Readonly<Record<FileState, { readonly sign: string; readonly words: string }>> = {
  new: { sign: '+', words: 'new' },
  changed: { sign: '~', words: 'changed since the last hand-off' },
  same: { sign: '', words: '' },
  gone: { sign: '−', words: 'gone since the last hand-off' },
};

/** At the first hand-off all is new: that needs no sign. */
function Mark({ state, isFirst }: { readonly state: FileState; readonly isFirst: boolean }) {
  const { sign, words } = marks[state];
  if (sign === '' || isFirst) return null;
  return (
    <span role="img" aria-label={words} title={words} className="font-semibold text-weld">
      {sign}
    </span>
  );
}

function sizeInWords(file: HandedFile): string {
  const bytes = bytesOf(file).length;
  if (bytes < 1_000) return `${bytes} B`;
  if (bytes < 1_000_000) return `${Math.round(bytes / 1_000)} kB`;
  return `${(bytes / 1_000_000).toFixed(1)} MB`;
}
