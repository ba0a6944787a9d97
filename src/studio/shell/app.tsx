import { lazy, Suspense, useEffect, useState } from 'react';
import { loadPopups } from '../shared/later';
import { atStart, openKept } from '../shared/opening';
import { useRoute } from '../shared/route';
import { engine } from '../shared/session';
import { DropAnywhere } from './drop-anywhere';
import { useKeys } from './keys';
import { Notice } from './notice';
import { usePalette } from './palette-state';
import { stations } from './stations';
import { Workbench } from './workbench';

const StartPage = lazy(() => import('../start/start-page'));
const loadPalette = () => import('./palette');
const Palette = lazy(loadPalette);

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

/** Once the page is at rest, the engine and the code of what may be opened next. */
function fetchAhead(): () => void {
  const waiting = setTimeout(() => {
    engine();
    for (const load of [...stations.map((station) => station.load), loadPalette, loadPopups])
      void load();
  }, idleAfterMs);
  return () => clearTimeout(waiting);
}

/** The whole page: the start page or the workbench, by the address. */
export function App() {
  const { route } = useRoute();
  const id = route.page === 'project' ? route.id : undefined;
  useKeys();
  useEffect(fetchAhead, []);
  useEffect(() => {
    void (id === undefined ? atStart() : openKept(id));
  }, [id]);
  return (
    <DropAnywhere>
      {route.page === 'start' ? (
        <Suspense>
          <StartPage />
        </Suspense>
      ) : (
        <Workbench station={route.station} />
      )}
      <Notice />
      <LazyPalette />
    </DropAnywhere>
  );
}
