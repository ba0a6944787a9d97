import { lazy, Suspense, useEffect, useState } from 'react';
import { openKept, seedDemo } from '../shared/opening';
import { useRoute } from '../shared/route';
import { StartPage } from '../start/start-page';
import { DropAnywhere } from './drop-anywhere';
import { useKeys } from './keys';
import { Notice } from './notice';
import { usePalette } from './palette-state';
import { Workbench } from './workbench';

const Palette = lazy(() => import('./palette'));

/** The palette's code comes when it is first asked for, and stays. */
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

/** The whole page: the start page or the workbench, by the address. */
export function App() {
  const { route } = useRoute();
  const id = route.page === 'project' ? route.id : undefined;
  useKeys();
  useEffect(() => {
    void (id === undefined ? seedDemo() : openKept(id));
  }, [id]);
  return (
    <DropAnywhere>
      {route.page === 'start' ? <StartPage /> : <Workbench station={route.station} />}
      <Notice />
      <LazyPalette />
    </DropAnywhere>
  );
}
