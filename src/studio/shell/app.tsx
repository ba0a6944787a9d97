import { lazy, Suspense, useEffect, useState } from 'react';
import { atStart, openKept } from '../shared/opening';
import { useRoute } from '../shared/route';
import { StartPage } from '../start/start-page';
import { DropAnywhere } from './drop-anywhere';
import { useKeys } from './keys';
import { Notice } from './notice';
import { usePalette } from './palette-state';
import { Workbench } from './workbench';

const loadPalette = () => import('./palette');
const Palette = lazy(loadPalette);

/** The palette's code comes when the page has nothing else to do, or when it is first asked for. */
function LazyPalette() {
  const isOpen = usePalette((palette) => palette.isOpen);
  const [isWanted, setWanted] = useState(false);
  useEffect(() => {
    if (isOpen) setWanted(true);
  }, [isOpen]);
  useEffect(() => {
    const waiting = setTimeout(() => void loadPalette(), 2_000);
    return () => clearTimeout(waiting);
  }, []);
  return isWanted ? (
    <Suspense>
      <Palette />
    </Suspense>
  ) : null;
}

/** The whole page: the start page or the workbench, by the address. */
export function App() {
  const { route } = useRoute();
  const id = route.page === 'project' ? route.id : undefined;
  useKeys();
  useEffect(() => {
    void (id === undefined ? atStart() : openKept(id));
  }, [id]);
  return (
    <DropAnywhere>
      {route.page === 'start' ? <StartPage /> : <Workbench station={route.station} />}
      <Notice />
      <LazyPalette />
    </DropAnywhere>
  );
}
