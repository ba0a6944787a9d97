import X from 'lucide-react/icons/x';
import { useState } from 'react';
import { count } from '../../../core/base';
import { type Picture, pictureName } from '../../../core/pictures';
import { edits, type Project } from '../../../core/project';
import type { UnknownPicture } from '../../../engine';
import { FileButton } from '../../shared/controls/file-button';
import { Renamed } from '../../shared/controls/renamed';
import { handItem } from '../../shared/session/at-hand';
import { make } from '../../shared/session/editing';
import { surveysOf, useKept, useSession } from '../../shared/session/session';
import { addressOf, allowOutside, useOutside } from '../../shared/window/pictures';

const kinds = '.svg,.png,.jpg,.jpeg,.webp,.avif,.gif';

/** The project's own pictures, and those that items name and that are not here. */
export function PicturesPanel({ project }: { readonly project: Project }) {
  const { pictures } = project;
  const { isAllowed } = useOutside();
  return (
    <section data-pane="table" aria-label="Pictures" className="min-h-0 overflow-auto px-4 py-3">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="font-semibold">{count(pictures.length, 'picture')}</h2>
        <FileButton words="Add pictures" label="Pictures for this project" accept={kinds} />
        <label className="ms-auto flex items-center gap-1.5 text-sm">
          <input
            type="checkbox"
            checked={isAllowed}
            onChange={(event) => allowOutside(event.target.checked)}
          />
          load pictures from addresses
        </label>
      </div>
      <p className="max-w-prose py-1 text-sm text-ash">
        An image part names one, by a value or a pattern such as{' '}
        <code>skein-$&#123;fibre&#125;</code>. <code>mill@2x</code> is taken on dense screens,{' '}
        <code>mill~dark</code> in dark, <code>mill~tablet</code> on tablets, each where there is
        one.
      </p>
      <Missing />
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(200px,1fr))] gap-x-4 gap-y-1 pt-2">
        {pictures.map((picture) => (
          <PictureLine
            key={picture.name}
            picture={picture}
            twin={pictures.find(
              ({ name, content }) => content === picture.content && name !== picture.name,
            )}
          />
        ))}
      </ul>
      {pictures.length === 0 && (
        <p className="py-4">Drop picture files anywhere; each keeps the name of its file.</p>
      )}
    </section>
  );
}

/** The names that items have for pictures, where there is none. */
function Missing() {
  const surveys = useKept(surveysOf);
  const unknown = eachOnce(surveys.flatMap(({ slots }) => slots.flatMap((slot) => slot.unknown)));
  if (unknown.length === 0) return null;
  return (
    <section aria-label="Missing pictures" className="py-1">
      <h3 className="text-sm font-semibold text-madder">
        {count(unknown.length, 'picture')} wanted and not here
      </h3>
      <ul className="flex max-h-40 flex-wrap gap-x-4 overflow-auto text-sm">
        {unknown.map(({ name, itemCount, first }) => (
          <li key={name}>
            <button
              type="button"
              className="underline"
              title="Have the first item that wants it at hand"
              onClick={() => void handItem(first)}
            >
              {name}
            </button>{' '}
            <span className="text-ash">by {count(itemCount, 'item')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function eachOnce(all: readonly UnknownPicture[]): readonly UnknownPicture[] {
  const byName = new Map<string, UnknownPicture>();
  for (const each of all) {
    const known = byName.get(each.name);
    const itemCount = each.itemCount + (known?.itemCount ?? 0);
    byName.set(each.name, {
      ...each,
      first: Math.min(each.first, known?.first ?? each.first),
      itemCount,
    });
  }
  return [...byName.values()];
}

interface PictureLineProps {
  readonly picture: Picture;
  /** A picture with the same content. */
  readonly twin: Picture | undefined;
}

function PictureLine({ picture, twin }: PictureLineProps) {
  const [size, setSize] = useState('');
  const contents = useSession((session) => session.contents);
  return (
    <li className="flex items-center gap-2 border-b border-rule py-1">
      <img
        src={addressOf(picture, contents)}
        alt=""
        className="size-10 shrink-0 rounded bg-wool object-contain"
        onLoad={({ currentTarget }) =>
          setSize(`${currentTarget.naturalWidth} × ${currentTarget.naturalHeight}, `)
        }
      />
      <span className="min-w-0 flex-1">
        <Renamed
          key={picture.name}
          label={`Name of the picture ${picture.name}`}
          words={picture.name}
          onRename={(name) => make(edits.renamePicture(picture.name, name))}
        />
        <span className="block truncate px-1 text-xs text-ash">
          {size}
          {formatOf(picture.mediaType)} {weight(contents.get(picture.content))}
          {twin !== undefined && ` · same as ${twin.name}`}
          {variantOf(picture)}
        </span>
      </span>
      <button
        type="button"
        aria-label={`Remove picture ${picture.name}`}
        className="rounded p-1 text-ash hover:bg-wool hover:text-ink"
        onClick={() => make(edits.removePicture(picture.name))}
      >
        <X size={14} aria-hidden="true" />
      </button>
    </li>
  );
}

const formatOf = (mediaType: string): string =>
  mediaType.replace('image/', '').replace('+xml', '').toUpperCase();

/** As heavy as the file was: base64 takes four letters for three bytes. */
function weight(base64 = ''): string {
  const bytes = (base64.length * 3) / 4;
  return bytes < 1_000 ? `${Math.round(bytes)} B` : `${Math.round(bytes / 100) / 10} kB`;
}

function variantOf({ name }: Picture): string {
  const { base, density, scheme, device } = pictureName(name);
  const said = [density > 1 ? `×${density}` : '', scheme ?? '', device ?? ''].filter(Boolean);
  return said.length === 0 ? '' : ` · ${base} for ${said.join(', ')}`;
}
