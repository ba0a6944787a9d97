import { create } from 'zustand';
import { fetched } from '../controls/on-demand';
import { keepWaiting } from './keep';

/** Whether a newer build is there, and how it is taken. */
export const useNewerBuild = create<{ readonly take: (() => Promise<void>) | undefined }>(() => ({
  take: undefined,
}));

const oftenEnoughMs = 60 * 60 * 1_000;

/** Has all files of the application kept by the browser, so that it works without its server. */
export async function workOffline(): Promise<void> {
  // Browsers keep files only for pages that came safely; for others all is as without it.
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  const { Workbox } = await fetched(() => import('workbox-window'));
  const workbox = new Workbox('/sw.js');
  let isTaken = false;
  workbox.addEventListener('waiting', () => {
    const take = async () => {
      isTaken = true;
      await keepWaiting();
      workbox.messageSkipWaiting();
    };
    useNewerBuild.setState({ take });
  });
  workbox.addEventListener('controlling', ({ isUpdate }) => {
    if (isTaken) location.reload();
    // Another tab took it: what this page loads late is gone, so it is asked to begin anew.
    else if (isUpdate) useNewerBuild.setState({ take: reload });
  });
  await workbox.register();
  setInterval(() => void workbox.update().catch(() => {}), oftenEnoughMs);
}

async function reload(): Promise<void> {
  await keepWaiting();
  location.reload();
}
