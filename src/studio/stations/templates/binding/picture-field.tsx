import { useEffect, useState } from 'react';
import { edits } from '../../../../core/project';
import type { Binding } from '../../../../core/templates';
import { Combobox, type ComboboxOption } from '../../../shared/controls/combobox';
import { iconDrawing } from '../../../shared/opening/icon-drawing';
import { type Icons, iconsNamed, loadIcons, withIcons } from '../../../shared/opening/icons';
import { make } from '../../../shared/session/editing';
import { useSession } from '../../../shared/session/session';
import type { Selection } from '../selection';
import type { Place } from './binding-edits';

interface PictureFieldProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly binding: Extract<Binding, string>;
}

/** More would be read by nobody. */
const maxIcons = 40;

/** One picture for all items: of the project, or an icon that becomes one of it, by first letters. */
export default function PictureField({ selection, place, binding }: PictureFieldProps) {
  const [icons, setIcons] = useState<Icons>(new Map());
  const [typed, setTyped] = useState<string>();
  useEffect(() => {
    let isHere = true;
    void loadIcons().then(
      (all) => isHere && setIcons(all),
      (reason: unknown) => useSession.setState({ notice: notHere(reason) }),
    );
    return () => {
      isHere = false;
    };
  }, []);
  const { pictures } = selection.project;
  const text = typed ?? binding;
  const wanted = typed ?? '';
  const options = (): readonly ComboboxOption[] => [
    ...pictures
      .filter(({ name }) => name.toLowerCase().startsWith(wanted.toLowerCase()))
      .slice(0, maxIcons)
      .map(({ name }) => ({ key: `own ${name}`, words: name, hint: 'of the project' })),
    ...iconsNamed(icons, wanted, maxIcons).map((name) => ({
      key: `icon ${name}`,
      words: name,
      hint: 'icon',
      sign: <Icon inside={icons.get(name) ?? ''} />,
    })),
  ];
  const take = (key: string) => {
    const [kind, ...rest] = key.split(' ');
    const name = rest.join(' ');
    const bind = edits.bind(place, name);
    setTyped(undefined);
    make(kind === 'icon' ? withIcons(icons, [name], [bind]) : bind);
  };
  return (
    <Combobox
      label={`Fixed ${place.property}`}
      among="Pictures and icons"
      placeholder="first letters of a picture or an icon"
      look="h-7 w-full rounded-md border border-rule bg-paper px-2 focus:border-woad"
      text={text}
      onText={(next) => {
        setTyped(next);
        make(edits.bind(place, next, `words ${place.part}`));
      }}
      options={options}
      none="No picture or icon begins so."
      onTake={take}
    />
  );
}

function Icon({ inside }: { readonly inside: string }) {
  const address = `data:image/svg+xml,${encodeURIComponent(iconDrawing(inside))}`;
  return (
    <span
      aria-hidden="true"
      className="size-4 shrink-0 bg-ink"
      style={{ mask: `url("${address}") 50% / contain no-repeat` }}
    />
  );
}

const notHere = (reason: unknown) => ({
  code: 'icons-not-here',
  severity: 'note' as const,
  place: { in: 'items' as const, source: 'all' },
  message: 'The icons could not be fetched.',
  hint: reason instanceof Error ? reason.message : 'Is the server there?',
});
