import Columns2 from 'lucide-react/icons/columns-2';
import { Suspense, useEffect, useRef } from 'react';
import { directionOf } from '../../../core/base';
import { toggledWith } from '../../../core/lists';
import { lookShown } from '../../../core/project';
import type { ListView } from '../../../render';
import { MenuButton } from '../../shared/controls/controls';
import { onDemand } from '../../shared/controls/on-demand';
import { useCurrent } from '../../shared/session/current';
import { useLocale } from '../../shared/session/locale';
import { goWithin, setBeside, setWindow } from '../../shared/session/route';
import {
  engine,
  setWantedRange,
  showFrame,
  useProject,
  useSession,
  wantedRange,
} from '../../shared/session/session';
import { handsOf, roomOf, useBeside, useWindow } from '../../shared/window/window-settings';
import { Announced, DestinationPage } from './destination-page';
import { DeviceFrame, DeviceMenus } from './device-frame';
import { FilterBox } from './filter-box';
import { LocaleMenu } from './locale-menu';
import { LookBar } from './look-bar';
import { LivesButton, PaneToggle } from './pane-toggle';
import { NoRows, Rows, type RowsProps } from './rows';
import { windows } from './scroll-along';

const EventsPanel = onDemand(() => import('./events-panel'));

/** The real list on all items, in a frame as large as the device. */
export function WindowPane() {
  const settings = useWindow();
  const { scheme, textSize } = settings;
  const isBeside = useBeside((beside) => beside.isOpen);
  const current = useCurrent();
  const list = current?.list;
  const lists = current?.project.lists ?? [];
  const locale = useLocale();
  const direction = settings.direction ?? directionOf(locale);
  useShownLocale();
  useShownLook();
  useShownPart();
  return (
    <div className="flex h-full flex-col bg-chosen/50">
      <div className="flex min-h-10 items-center gap-1 border-b border-rule bg-wool px-2 py-1.5">
        <DeviceMenus settings={settings} ofLocale={directionOf(locale)} onChange={setWindow} />
        <LocaleMenu />
        <PaneToggle
          givesWay
          words="Beside"
          title="A second window beside this one, with settings of its own"
          icon={<Columns2 size={14} aria-hidden="true" />}
          isOn={isBeside}
          onPress={() => setBeside({ isOpen: !isBeside })}
        />
        <LivesButton lives={settings.lives} onChange={setWindow} />
      </div>
      <LookBar look={settings.look} state={settings.state} onChange={setWindow}>
        {lists.length > 1 && (
          <MenuButton
            givesWay
            label="List"
            words={list?.name ?? ''}
            entries={lists.map((each) => ({
              words: each.name,
              isChosen: each === list,
              onChoose: () => goWithin({ list: each.id, source: each.source }),
            }))}
          />
        )}
      </LookBar>
      <DeviceFrame
        settings={settings}
        direction={direction}
        title={list?.name ?? ''}
        onChange={setWindow}
      >
        <FilterBox list={list} typed={settings.filter} onType={(filter) => setWindow({ filter })} />
        <DestinationPage />
        <Announced />
        <FirstRows
          {...{ scheme, textSize, direction, locale }}
          {...roomOf(settings)}
          lives={settings.lives}
          model={list}
          hands={handsOf(settings)}
          filter={list?.filter === undefined ? '' : settings.filter}
        />
      </DeviceFrame>
      {settings.lives && (
        <Suspense fallback={null}>
          <EventsPanel />
        </Suspense>
      )}
    </div>
  );
}

/** The rows of the first window, with what is being tried. */
function FirstRows(
  settings: Pick<
    RowsProps,
    | 'scheme'
    | 'textSize'
    | 'density'
    | 'safeBelow'
    | 'direction'
    | 'locale'
    | 'filter'
    | 'lives'
    | 'model'
    | 'hands'
  >,
) {
  const view = useSession((session) => session.view);
  const atHand = useSession((session) => session.atHand);
  const { state, toggled } = useWindow();
  const shown = useRef<ListView>(undefined);
  useEffect(() => {
    windows.first = shown.current;
    setWantedRange(() => shown.current?.wanted() ?? { from: 0, to: 40 });
  });
  if (view === undefined) return null;
  if (view.sequence.entryCount === 0) return <NoRows frame={view} state={state} />;
  return (
    <Rows
      label="Rows"
      frame={view}
      {...settings}
      atHand={atHand?.key}
      entry={atHand?.entry ?? -1}
      list={shown}
      onResized={lookAgain}
      onFold={(section) => setWindow({ toggled: toggledWith(view.list ?? '', section, toggled) })}
    />
  );
}

function lookAgain(): void {
  void engine().look(wantedRange()).then(showFrame);
}

/** Has the rows shown in the locale that is chosen. */
function useShownLocale(): void {
  const locale = useLocale();
  const id = useSession((session) => session.id);
  // A project that is read as a whole begins with its first locale.
  const isRead = useSession(({ view, reading }) => view !== undefined && reading === undefined);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another project is shown anew
  useEffect(() => {
    if (!isRead) return;
    void engine()
      .showLocale(locale, wantedRange())
      .then((frame) => frame && showFrame(frame));
  }, [locale, id, isRead]);
}

/** Has the rows shown in the look that is chosen. */
function useShownLook(): void {
  const project = useProject();
  const chosen = useWindow(({ look }) => look);
  const look = project && lookShown(project, chosen)?.id;
  const isRead = useSession(({ view, reading }) => view !== undefined && reading === undefined);
  useEffect(() => {
    if (!isRead || look === undefined) return;
    void engine()
      .showLook(look, wantedRange())
      .then((frame) => frame && showFrame(frame));
  }, [look, isRead]);
}

/** Has the list shown in the state that is chosen, with what the filter box lets through. */
function useShownPart(): void {
  const state = useWindow((settings) => settings.state);
  const filter = useWindow((settings) => settings.filter);
  const toggled = useWindow((settings) => settings.toggled);
  const id = useSession((session) => session.id);
  const isRead = useSession(({ view, reading }) => view !== undefined && reading === undefined);
  const isPart = state !== undefined || filter !== '' || toggled.length > 0;
  const wasPart = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another project is shown anew
  useEffect(() => {
    // All of it is what a list shows by itself.
    if (!isRead || (!isPart && !wasPart.current)) return;
    wasPart.current = isPart;
    void engine().showPart({ state, filter, toggled }, wantedRange()).then(showFrame);
  }, [state, filter, toggled, id, isRead]);
}
