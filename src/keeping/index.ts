/**
 * Keeping: what stays in this browser. Projects as small records, their items as chunks, one
 * writer a project. The worker keeps items, the studio keeps projects; neither knows Dexie.
 */
export type { KeptProject, Preview } from './database';
export { keepItems, keptItems } from './items';
export { lockProject, type ProjectLock } from './lock';
export {
  dropProject,
  keepProject,
  keptProject,
  keptProjects,
  watchProject,
  whyNotKept,
} from './projects';
