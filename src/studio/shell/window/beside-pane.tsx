import X from 'lucide-react/icons/x';
import { useEffect, useRef } from 'react';
import { directionOf } from '../../../core/base';
import { toggledWith } from '../../../core/lists';
import { ownSet, type Source, withId } from '../../../core/project';
import type { Frame } from '../../../engine';
import type { ListView } from '../../../render';
import { MenuButton } from '../../shared/controls/controls';
import { localeShown } from '../../shared/session/locale';
import { setBeside } from '../../shared/session/route';
import { engine, onBeside, useProject, useSession, withLines } from '../../shared/session/session';
import {
  besideId,
  handsOf,
  roomOf,
  useBeside,
  useBesideFrame,
} from '../../shared/window/window-settings';
import { DeviceFrame, DeviceMenus } from './device-frame';
import { FilterBox } from './filter-box';
import { LookBar } from './look-bar';
import { LivesButton } from './pane-toggle';
import { NoRows, Rows } from './rows';
import { windows } from './scroll-along';

const firstRange = { from: 0, to: 40 };

/** A second window beside the first: the same items, any setting of its own, scrolling along. */
export function BesidePane() {
  const project = useProject();
  const settings = useBeside();
  const { scheme, textSize, locale: chosen, list } = settings;
  const { frame } = useBesideFrame();
  const atHand = useSession((session) => session.atHand);
  const hasRows = (frame?.sequence.entryCount ?? 0) > 0;
  const view = useRef<ListView>(undefined);
  useFrames();
  useEffect(() => {
    windows.second = view.current;
    return () => {
      windows.second = undefined;
    };
  });
  if (project === undefined) return null;
  const shownList =
    (list === undefined ? undefined : withId(project.lists, list)) ?? project.lists[0];
  const locale = localeShown(project, chosen);
  const direction = settings.direction ?? directionOf(locale);
  const locales = project.locales ?? [locale];
  return (
    <section
      aria-label="Window beside"
      className="flex h-full flex-col border-s border-rule bg-chosen/50"
    >
      <div className="flex min-h-10 items-center gap-1 border-b border-rule bg-wool px-2 py-1.5">
        <DeviceMenus
          of=" beside"
          settings={settings}
          ofLocale={directionOf(locale)}
          onChange={setBeside}
        />
        <MenuButton
          label="Locale beside"
          words={locale}
          entries={locales.map((each) => ({
            words: each,
            isChosen: each === locale,
            onChoose: () => setBeside({ locale: each }),
          }))}
        />
        {project.lists.length > 1 && (
          <MenuButton
            givesWay
            label="List beside"
            words={shownList?.name ?? ''}
            entries={project.lists.map((each) => ({
              words: each.name,
              isChosen: each === shownList,
              onChoose: () => setBeside({ list: each.id }),
            }))}
          />
        )}
        <LivesButton of=" beside" lives={settings.lives} onChange={setBeside} />
        <SetMenu source={shownList && withId(project.sources, shownList.source)} />
        <button
          type="button"
          aria-label="Close the window beside"
          className="ms-auto rounded-sm p-0.5 hover:bg-chosen"
          onClick={() => setBeside({ isOpen: false })}
        >
          <X size={14} aria-hidden="true" />
        </button>
      </div>
      <LookBar of=" beside" look={settings.look} state={settings.state} onChange={setBeside} />
      <DeviceFrame
        of=" beside"
        settings={settings}
        direction={direction}
        title={shownList?.name ?? ''}
        onChange={setBeside}
      >
        <FilterBox
          of=" beside"
          list={shownList}
          typed={settings.filter}
          onType={(filter) => setBeside({ filter })}
        />
        {frame !== undefined && hasRows ? (
          <Rows
            label="Rows beside"
            view={besideId}
            frame={frame}
            scheme={scheme}
            textSize={textSize}
            {...roomOf(settings)}
            direction={direction}
            atHand={atHand?.source === frame.source ? atHand?.key : undefined}
            entry={-1}
            locale={locale}
            list={view}
            onResized={askAnew}
            onFold={(section) =>
              setBeside({ toggled: toggledWith(frame.list ?? '', section, settings.toggled) })
            }
            lives={settings.lives}
            model={shownList}
            hands={handsOf(settings)}
            filter={shownList?.filter === undefined ? '' : settings.filter}
          />
        ) : (
          <NoRows frame={frame} state={settings.state} />
        )}
      </DeviceFrame>
    </section>
  );
}

/** Another set of the source than the first window shows. */
function SetMenu({ source }: { readonly source: Source | undefined }) {
  const { set } = useBeside();
  const sets = source?.sets ?? [];
  if (sets.length === 0) return null;
  const named = [
    { id: undefined, name: 'the set of the first window' },
    { id: ownSet, name: 'its own items' },
    ...sets,
  ];
  const shown = named.find(({ id }) => id === set) ?? named[0];
  return (
    <MenuButton
      givesWay
      label="Set beside"
      words={shown?.id === undefined ? 'same set' : shown.name}
      entries={named.map(({ id, name }) => ({
        words: name,
        isChosen: id === shown?.id,
        onChoose: () => setBeside({ set: id }),
      }))}
    />
  );
}

const take = (frame: Frame) =>
  useBesideFrame.setState((before) => ({ frame: withLines(frame, before.frame) }));

function askAnew(): void {
  const { locale: chosen, list, set, look, state, filter, toggled } = useBeside.getState();
  const locale = localeShown(useSession.getState().history?.project, chosen);
  const wanted = windows.second?.wanted() ?? firstRange;
  const settings = { locale, list, set, look, state, filter, toggled };
  void engine().showBeside(besideId, settings, wanted).then(take);
}

/** Asks for the view as it is set; what comes of edits is told by the engine itself. */
function useFrames(): void {
  const { locale, list, set, look, state, filter, toggled } = useBeside();
  const id = useSession((session) => session.id);
  const hasItems = useSession((session) => session.view !== undefined);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another project is another view
  useEffect(() => {
    if (!hasItems) return;
    askAnew();
  }, [locale, list, set, look, state, filter, toggled, id, hasItems]);
  useEffect(() => onBeside(take), []);
  useEffect(
    () => () => {
      void engine().closeBeside(besideId);
      useBesideFrame.setState({ frame: undefined });
    },
    [],
  );
}
