import { Suspense, useEffect, useState } from 'react';
import { Boundary } from '../shared/controls/boundary';
import { sayWhatFails } from '../shared/controls/failures';
import { loadPopups } from '../shared/controls/later';
import { onDemand } from '../shared/controls/on-demand';
import { workOffline } from '../shared/keeping/offline';
import { atStart, openKept } from '../shared/opening/opening';
import { holdLimits } from '../shared/session/limits';
import { useRoute } from '../shared/session/route';
import { engine } from '../shared/session/session';
import { loadAllFaces } from '../shared/window/faces';
import { rowsStand } from '../shared/window/rows-stand';
import { DropAnywhere } from './drop-anywhere';
import { useKeys } from './keys';
import { Notice } from './notices/notice';
import { usePalette } from './palette/palette-state';
import { stations } from './stations';
import { Workbench } from './workbench';

const StartPage = onDemand(() => import('../start/start-page'));
const loadPalette = () => import('./palette/palette');
const Palette = onDemand(loadPalette);

/** The palette's code comes when it is first asked for, if it has not been fetched ahead. */
function LazyPalette() {
  const isOpen = usePalette((palette) => palette.isOpen);
  const [isWanted, setWanted] = useState(false);
  useEffect(() => {
    if (isOpen) setWanted(true);
  }, [isOpen]);
  return isWanted ? (
    <Suspense>
      <Palette />
    </Suspense>
  ) : null;
}

const idleAfterMs = 1_500;

/** Once the page is at rest, the engine and the code of what may be opened next: after the rows of a project. */
function fetchAhead(): () => void {
  let isGone = false;
  const waiting = setTimeout(() => {
    engine();
    const isProject = useRoute.getState().route.page === 'project';
    void (isProject ? rowsStand() : Promise.resolve()).then(() => isGone || fetchAll());
  }, idleAfterMs);
  return () => {
    isGone = true;
    clearTimeout(waiting);
  };
}

function fetchAll(): void {
  loadAllFaces();
  holdLimits().catch(() => {});
  workOffline().catch(() => {});
  // What cannot be had now is asked for again, and said, when it is needed.
  for (const load of [...stations.map((station) => station.load), loadPalette, loadPopups])
    load().catch(() => {});
}

/** The whole page: the start page or the workbench, by the address. */
export function App() {
  const { route } = useRoute();
  const id = route.page === 'project' ? route.id : undefined;
  useKeys();
  useEffect(fetchAhead, []);
  useEffect(sayWhatFails, []);
  useEffect(() => {
    void (id === undefined ? atStart() : openKept(id));
  }, [id]);
  return (
    <DropAnywhere>
      {route.page === 'start' ? (
        <Boundary what="the start page">
          <Suspense>
            <StartPage />
          </Suspense>
        </Boundary>
      ) : (
        <Workbench station={route.station} />
      )}
      <Notice />
      <Boundary what="the list of what can be found and done">
        <LazyPalette />
      </Boundary>
    </DropAnywhere>
  );
}
