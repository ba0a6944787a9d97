import { Group, Panel, Separator } from 'react-resizable-panels';
import { Button } from '../shared/controls';
import { go, type StationName } from '../shared/route';
import { useSession } from '../shared/session';
import { Bar } from './bar';
import { ItemBar } from './item-bar';
import { Rail } from './rail';
import { stations } from './stations';
import { WindowPane } from './window-pane';

/** Bar above, rail at the start, the station, the window, the item at hand below. */
export function Workbench({ station: name }: { readonly station: StationName }) {
  const isNowhere = useSession((session) => session.isNowhere);
  const isOpen = useSession((session) => session.history !== undefined);
  const station = stations.find((each) => each.name === name) ?? stations[0];
  if (isNowhere) return <Nowhere />;
  if (station === undefined) return null;
  const { Screen } = station;
  return (
    <div className="grid h-full grid-cols-[68px_1fr] grid-rows-[44px_1fr_36px]">
      <Bar />
      <Rail current={station.name} />
      <Group orientation="horizontal" className="min-h-0">
        <Panel minSize="40%" id="station">
          <main className="h-full min-w-0 overflow-hidden" aria-label={station.words}>
            {isOpen && <Screen />}
          </main>
        </Panel>
        {!station.isWide && (
          <>
            <Separator className="w-px bg-rule hover:bg-woad data-[separator=active]:bg-woad" />
            <Panel id="window" defaultSize="33%" minSize={320} maxSize={820}>
              <WindowPane />
            </Panel>
          </>
        )}
      </Group>
      <ItemBar />
    </div>
  );
}

function Nowhere() {
  return (
    <main className="grid h-full place-items-center">
      <div className="max-w-md">
        <h1 className="text-lg font-semibold">This browser has no project at this address</h1>
        <p className="py-2">
          Projects stay in the browser that they were made in. To bring one here, open its file on the start page.
        </p>
        <Button isMain onPress={() => go({ page: 'start' })}>
          To the start page
        </Button>
      </div>
    </main>
  );
}
