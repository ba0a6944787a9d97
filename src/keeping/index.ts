/**
 * Keeping: what stays in this browser. Projects as small records, their items as chunks.
 * The worker reads and writes both, the studio lists projects and follows one; neither
 * knows Dexie.
 */
export type { KeptHandOff, KeptProject, Preview } from './database';
export { keepHandOff, lastHandOff } from './handoffs';
export { type KeptState, type Opened, openProject } from './items';
export {
  bringBack,
  dropLongRemoved,
  dropProject,
  keptProjects,
  removedProjects,
  removeProject,
  type ShownProject,
  watchProject,
  whyNotKept,
} from './projects';
export { claimProject, TakenOver, type Writing, writeProjectHere } from './write';
