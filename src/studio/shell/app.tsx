import { useEffect } from 'react';
import { openKept, seedDemo } from '../shared/opening';
import { useRoute } from '../shared/route';
import { StartPage } from '../start/start-page';
import { DropAnywhere } from './drop-anywhere';
import { useKeys } from './keys';
import { Notice } from './notice';
import { Palette } from './palette';
import { Workbench } from './workbench';

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
      <Palette />
    </DropAnywhere>
  );
}
