import { type ComponentType, Suspense, startTransition, useEffect, useState } from 'react';
import { ownValue } from '../../core/base';
import { Boundary } from '../shared/controls/boundary';
import { Button } from '../shared/controls/controls';
import { handItem } from '../shared/session/at-hand';
import { useCurrent } from '../shared/session/current';
import { go, type StationName } from '../shared/session/route';
import { engine, showFrame, useSession, wantedRange } from '../shared/session/session';
import { useOwnFonts } from '../shared/window/own-fonts';
import { useBeside } from '../shared/window/window-settings';
import { Bar } from './bar';
import { ItemBar } from './item-bar';
import { Arrival } from './notices/arrival';
import { Foreseen } from './notices/foreseen';
import { LookingOn } from './notices/looking-on';
import { OutsidePictures } from './notices/outside-pictures';
import { PaneTabs } from './pane-tabs';
import { Rail } from './rail';
import { stations } from './stations';
import { WindowSide } from './window';

/** Bar above, rail at the start, the station, the window, the item at hand below. */
export function Workbench({ station: name }: { readonly station: StationName }) {
  const isNowhere = useSession((session) => session.isNowhere);
  const isOpen = useSession((session) => session.history !== undefined);
  useListInView();
  useTime();
  useOwnFonts();
  const isBeside = useBeside((beside) => beside.isOpen);
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const station = stations.find((each) => each.name === name) ?? stations[0];
  if (isNowhere) return <Nowhere />;
  if (station === undefined) return null;
  const panes = station.isWide ? station.panes : [...station.panes, windowPane];
  const pane = ownValue(chosen, station.name) ?? panes[0]?.id ?? '';
  return (
    <div
      data-panes={pane}
      data-windows={isBeside && !station.isWide ? 'two' : 'one'}
      className="grid h-full grid-cols-[68px_minmax(0,1fr)] grid-rows-[44px_auto_minmax(0,1fr)_36px] max-[1000px]:grid-cols-[auto_minmax(0,1fr)] max-[1000px]:grid-rows-[44px_auto_38px_minmax(0,1fr)_36px]"
    >
      <Boundary what="the bar">
        <Bar />
      </Boundary>
      <div className="col-span-2">
        <LookingOn />
        <OutsidePictures />
        <Boundary what="what becomes of it">
          <Arrival />
          <Foreseen />
        </Boundary>
      </div>
      <Rail current={station.name} />
      <PaneTabs
        panes={panes}
        chosen={pane}
        onChoose={(id) => setChosen((before) => ({ ...before, [station.name]: id }))}
      />
      <div className="flex min-w-0 max-[1000px]:col-span-2">
        <main className="min-w-0 flex-1 overflow-hidden" aria-label={station.words}>
          <Boundary key={station.name} what={`the ${station.words} station`}>
            {isOpen && <AfterRows Screen={station.Screen} />}
          </Boundary>
        </main>
        {!station.isWide && (
          <Boundary what="the window">
            <WindowSide />
          </Boundary>
        )}
      </div>
      <Boundary what="the item at hand">
        <ItemBar />
      </Boundary>
    </div>
  );
}

/** The window shows the list of the source in the address. */
function useListInView(): void {
  const id = useCurrent()?.list?.id;
  useEffect(() => {
    const { history, view } = useSession.getState();
    if (history === undefined || id === undefined || view === undefined || view.list === id) return;
    void engine()
      .update(history.project, wantedRange(), id)
      .then((next) => {
        showFrame(next);
        return handItem(0);
      });
  }, [id]);
}

const tickMs = 20_000;

/** Rows that say how far something is from now go on saying so. */
function useTime(): void {
  useEffect(() => {
    const tick = async () => {
      const { history, reading } = useSession.getState();
      if (history === undefined || reading !== undefined || document.hidden) return;
      const view = await engine().tick(wantedRange());
      if (view !== undefined && useSession.getState().history === history) showFrame(view);
    };
    const timer = setInterval(() => void tick(), tickMs);
    return () => clearInterval(timer);
  }, []);
}

/** The window's rows are drawn first; the station follows at once, without holding them up. */
function AfterRows({ Screen }: { readonly Screen: ComponentType }) {
  const [isTurn, setTurn] = useState(false);
  useEffect(() => startTransition(() => setTurn(true)), []);
  return isTurn ? (
    <Suspense>
      <Screen />
    </Suspense>
  ) : null;
}

const windowPane = { id: 'window', words: 'Window' };

function Nowhere() {
  return (
    <main className="grid h-full place-items-center">
      <div className="max-w-md">
        <h1 className="text-lg font-semibold">This browser has no project at this address</h1>
        <p className="py-2">
          Projects stay in the browser that they were made in. To bring one here, open its file on
          the start page; one that was removed can be brought back there for 30 days.
        </p>
        <Button isMain onPress={() => go({ page: 'start' })}>
          To the start page
        </Button>
      </div>
    </main>
  );
}
