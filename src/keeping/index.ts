/**
 * Keeping: what stays in this browser. Projects as small records, their items as chunks, one
 * writer a project. The worker reads and writes both, the studio lists and locks projects; neither
 * knows Dexie.
 */
export type { KeptProject, Preview } from './database';
export { type KeptState, type Opened, openProject } from './items';
export { lockProject, type ProjectLock } from './lock';
export {
  bringBack,
  dropLongRemoved,
  dropProject,
  keptProjects,
  removedProjects,
  removeProject,
  watchProject,
  whyNotKept,
} from './projects';
export { claimProject, TakenOver, type Writing, writeProjectHere } from './write';
