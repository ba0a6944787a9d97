import { useMemo, useState } from 'react';
import type { RowsDrawn } from '../../../../engine';
import { Button, ChoiceChips, Heading } from '../../../shared/controls/controls';
import { useDirection, useLocale } from '../../../shared/session/locale';
import { engine, useSession } from '../../../shared/session/session';
import { useAnswer, useLatest } from '../../../shared/session/use-answer';
import { usePictures } from '../../../shared/window/pictures';
import { useWindow } from '../../../shared/window/window-settings';
import { useBenchItem, useTried } from '../bench/bench-item';
import { extremeInWords } from '../bench/extremes';
import type { Selection } from '../selection';
import {
  addressOfSvg,
  drawn,
  type PictureKind,
  pictureKinds,
  type Shown,
  savePicture,
  saveSheet,
} from './making';

/** Rows as a picture, to be put into a document or handed on; and the sheet of the template. */
export default function PictureScreen({ selection }: { readonly selection: Selection }) {
  const { template, project } = selection;
  const [kind, setKind] = useState<PictureKind>('SVG, text');
  const [picked, setPicked] = useState<readonly Shown[]>([]);
  const [left, setLeft] = useState<readonly number[]>();
  const [failed, setFailed] = useState<string>();
  const { device, scheme, textSize } = useWindow();
  const [language, direction] = [useLocale(), useDirection()];
  const pictures = usePictures(project.pictures, scheme);
  const offered = useOffered(selection, picked);
  // At first the item at hand alone; the others are one press away.
  const shown = offered.filter(({ item }, at) =>
    left === undefined ? at === 0 : !left.includes(item),
  );
  const shownItems = shown.map(({ item }) => item).join();
  const items = useMemo(() => shownItems.split(',').filter(Boolean).map(Number), [shownItems]);
  const rows = useTried(template, items);
  const settings = useMemo(
    () => ({ widthPx: device.widthPx, textSize, language, scheme, direction, pictures }),
    [device.widthPx, textSize, language, scheme, direction, pictures],
  );
  const [picture, setPicture] = useState<RowsDrawn>();
  useLatest(
    [rows, settings, kind],
    () =>
      rows === undefined
        ? undefined
        : drawn(rows, settings, kind).then(
            (made) => ({ made, why: undefined }),
            (error: unknown) => ({ made: undefined, why: String(error) }),
          ),
    ({ made, why }) => {
      setPicture(made);
      setFailed(why);
    },
  );
  const atHand = offered[0];
  const isChosen = (item: number) => shown.some((each) => each.item === item);
  const choose = (item: number) => {
    const hidden = offered.flatMap((each) => (isChosen(each.item) ? [] : [each.item]));
    setLeft(isChosen(item) ? [...hidden, item] : hidden.filter((each) => each !== item));
  };
  return (
    <section
      aria-label="As a picture"
      className="col-span-2 grid min-h-0 grid-cols-[260px_minmax(0,1fr)] gap-4 px-4 py-2 max-[1000px]:col-span-1"
    >
      <div className="overflow-y-auto">
        <Heading>Rows in it</Heading>
        <ul>
          {offered.map(({ item, reason }) => (
            <li key={item}>
              <label className="flex gap-2 py-0.5">
                <input
                  type="checkbox"
                  checked={isChosen(item)}
                  onChange={() => choose(item)}
                  className="accent-woad"
                />
                <span className="min-w-0 truncate">{reason}</span>
              </label>
            </li>
          ))}
        </ul>
        {atHand !== undefined && (
          <Button
            title="It stays here while you go on to other items"
            whyNot={
              picked.some(({ item }) => item === atHand.item) ? 'It is kept already' : undefined
            }
            onPress={() => setPicked([...picked, { ...atHand, reason: atHand.title }])}
          >
            Keep the item at hand
          </Button>
        )}
        <Heading>As</Heading>
        <ChoiceChips label="As" options={pictureKinds} chosen={kind} onChoose={setKind} />
        <p className="py-1 text-sm text-ash">{about[kind]}</p>
        <p className="flex gap-1 py-1">
          <Button
            isMain
            whyNot={picture === undefined ? 'There is no row to draw' : undefined}
            onPress={() =>
              picture === undefined
                ? undefined
                : void savePicture(template.id, picture, kind).catch((error: unknown) =>
                    setFailed(String(error)),
                  )
            }
          >
            Save the picture
          </Button>
          <Button
            title="One page for A4: boxes, styles, bindings, and the rows that are chosen here"
            whyNot={shown.length === 0 ? 'Choose a row first' : undefined}
            onPress={() =>
              void saveSheet(selection, shown, settings).catch((error: unknown) =>
                setFailed(String(error)),
              )
            }
          >
            Save the spec sheet
          </Button>
        </p>
        <p role="status" className="text-sm text-madder">
          {failed}
        </p>
      </div>
      <div className={`scheme-${scheme} overflow-auto rounded-md border border-rule p-4`}>
        {picture !== undefined && (
          <img
            alt={`The rows: ${shown.map(({ reason }) => reason).join(', ')}`}
            src={addressOfSvg(picture.svg)}
            width={picture.widthPx}
            height={picture.heightPx}
            className="max-w-none"
          />
        )}
      </div>
    </section>
  );
}

const about: Readonly<Record<PictureKind, string>> = {
  'SVG, text': 'Words can be selected and found; the letters’ fonts are in the file.',
  'SVG, outlines': 'Letters are shapes: it looks the same everywhere.',
  'PNG 1×': 'One pixel for each px.',
  'PNG 2×': 'Two pixels for each px, as on most laptops.',
  'PNG 3×': 'Three pixels for each px, as on most phones.',
};

interface Offered extends Shown {
  readonly title: string;
}

/** The item at hand, those that were kept, and those that test the selected part most. */
function useOffered({ template, part }: Selection, picked: readonly Shown[]): readonly Offered[] {
  const atHand = useSession((session) => session.atHand);
  const item = useBenchItem(template);
  const extremes = useAnswer({ template: template.id, part: part.id }, (asked) =>
    engine().extremes(asked),
  );
  return useMemo(() => {
    if (item < 0) return [];
    const own = atHand?.item === item ? atHand.title : undefined;
    const title = own ?? 'the first item';
    const all = [
      { item, reason: own === undefined ? title : `at hand: ${own}`, title },
      ...picked.map((each) => ({ ...each, title: each.reason })),
      ...(extremes ?? []).map((each) => ({
        item: each.item,
        reason: extremeInWords(each),
        title: extremeInWords(each),
      })),
    ];
    return all.filter((each, at) => all.findIndex((other) => other.item === each.item) === at);
  }, [item, atHand, picked, extremes]);
}
