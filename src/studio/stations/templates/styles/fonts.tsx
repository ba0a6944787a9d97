import X from 'lucide-react/icons/x';
import { edits, type Project } from '../../../../core/project';
import { Heading } from '../../../shared/controls/controls';
import { FileButton } from '../../../shared/controls/file-button';
import { Renamed } from '../../../shared/controls/renamed';
import { make } from '../../../shared/session/editing';
import { useSession } from '../../../shared/session/session';

/** The project's own fonts: styles name them. */
export function Fonts({ project }: { readonly project: Project }) {
  const contents = useSession((session) => session.contents);
  const { fonts = [] } = project;
  return (
    <section aria-label="Fonts">
      <Heading>Fonts</Heading>
      {fonts.length === 0 && (
        <p className="pb-2 text-sm text-ash">
          Drop a font file anywhere; a style draws its texts in it. What it lacks is drawn in the
          faces that every project has.
        </p>
      )}
      <ul>
        {fonts.map(({ name, content }) => (
          <li key={name} className="flex items-center gap-1 border-b border-rule py-1">
            <span className="min-w-0 flex-1 overflow-hidden">
              <Renamed
                label={`Name of the font ${name}`}
                words={name}
                onRename={(next) => make(edits.renameFont(name, next))}
              />
              <span className="block px-1 text-xs text-ash">
                {kilobytes(contents.get(content)?.length)}
              </span>
            </span>
            <button
              type="button"
              aria-label={`Remove font ${name}`}
              className="rounded p-1 text-ash hover:bg-wool hover:text-ink"
              onClick={() => make(edits.removeFont(name))}
            >
              <X size={14} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      <div className="py-2">
        <FileButton
          words="Add fonts"
          label="Fonts for this project"
          accept=".ttf,.otf,.woff,.woff2"
        />
      </div>
    </section>
  );
}

/** Base64 takes four letters for three bytes. */
const kilobytes = (letters: number | undefined): string =>
  letters === undefined ? 'its file is not here' : `${Math.round((letters * 3) / 4_000)} kB`;
